import type { Roof } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { Sentence, useAsk } from '../card/parts';
import { useData } from '../data';

/** The outlines that a roof lies over in one: more are joined to it, and taken from it. */
export function Joined({ roof }: { roof: Roof }) {
    const data = useData();
    const ask = useAsk();
    const { outlines, roofs } = data.project;
    const taken = new Set(roofs.filter((r) => r.storey === roof.storey).flatMap((r) => [r.outline, ...r.also]));
    const free = outlines.filter((o) => o.closed && !o.inner && !taken.has(o.id));
    const name = (id: string) => outlines.find((o) => o.id === id)?.name ?? 'an outline';
    const over = (also: string[]) => void ask('roof.change', { id: roof.id, also });
    if (roof.also.length === 0 && (free.length === 0 || !data.mayEdit)) return null;
    return (
        <Sentence>
            It lies over {name(roof.outline)}
            {roof.also.map((id) => (
                <span key={id}>
                    {' '}
                    and <b>{name(id)}</b>
                    {data.mayEdit && (
                        <button
                            type="button"
                            aria-label={`Take ${name(id)} out from under it`}
                            className="min-h-6 px-1 text-tide hover:underline"
                            onClick={() => over(roof.also.filter((o) => o !== id))}
                        >
                            ×
                        </button>
                    )}
                </span>
            ))}
            {free.length > 0 && data.mayEdit && (
                <>
                    {' '}
                    and{' '}
                    <Choice
                        label="Outline joined under it"
                        value="none"
                        options={[{ value: 'none', label: 'no other' }, ...free.map((o) => ({ value: o.id, label: o.name }))]}
                        onChange={(id) => id !== 'none' && over([...roof.also, id])}
                    />
                </>
            )}
            .
        </Sentence>
    );
}
