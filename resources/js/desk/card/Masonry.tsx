import { useData, type FoundOpening } from '../data';
import { useSend } from './parts';
import { complain } from '../../ui/notices';

/** The nearest figures of the project's masonry for an opening's size and for the piers beside it, each a step away. */
export function Masonry({ opening }: { opening: FoundOpening }) {
    const data = useData();
    const send = useSend();
    const near = opening.coordinated;
    if (!near || opening.frontage.inner) return null;
    const step = async (args: Record<string, unknown>) => {
        const why = await send('opening.change', { id: opening.id, ...args });
        if (why) complain(new Error(why));
    };
    const off = (a: number, b: number) => Math.abs(a - b) > 0.05;
    const steps: [string, boolean, number, Record<string, unknown>][] = [
        ['width', off(near.width, opening.width), near.width, { width: near.width }],
        ['height', off(near.height, opening.height), near.height, { height: near.height }],
        ['left pier', off(near.fromLeft, opening.fromLeft), near.fromLeft, { by: { u: near.fromLeft - opening.fromLeft } }],
        ['right pier', off(near.fromRight, opening.fromRight), near.fromRight, { by: { u: opening.fromRight - near.fromRight } }],
    ];
    return (
        <p className="my-1.5 flex flex-wrap items-baseline gap-x-2 gap-y-0.5 text-xs text-quiet" data-masonry>
            Masonry, nearest:
            {steps.map(([name, differs, mm, args]) =>
                differs && data.mayEdit ? (
                    <button
                        key={name}
                        type="button"
                        title={`Make the ${name} ${data.length(mm)}`}
                        className="min-h-6 text-brass underline"
                        onClick={() => void step(args)}
                    >
                        {name} {data.length(mm)}
                    </button>
                ) : (
                    <span key={name}>
                        {differs ? '' : '✓ '}
                        {name} {data.length(mm)}
                    </span>
                ),
            )}
        </p>
    );
}
