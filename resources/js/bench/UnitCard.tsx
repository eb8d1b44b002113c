import { api } from '../api/client';
import { Choice } from '../ui/Choice';
import { Figure } from '../desk/card/Figure';
import { Heading, Sentence } from '../desk/card/parts';
import { useData } from '../desk/data';
import { rename, step, useBench } from './draft';
import { Finishes } from './Finishes';
import { send } from './LightCard';
import { OutlineWords, type Outline } from './OutlineWords';
import { Cill, Limits, Trim, type Frame } from './Surrounds';

/** The unit as a whole: outline, frame, cill and trim, finishes, how it is measured and how far it may be stretched. */
export function UnitCard() {
    const data = useData();
    const draft = useBench((b) => b.draft)!;
    const tree = draft.tree as { outline?: Outline; frame: Frame; measure?: string; setback?: number; limits?: Record<string, number> };
    const frame = tree.frame;
    const fixed = !data.mayEdit;
    const jamb = frame.jamb ?? frame.left ?? 0;
    const split = frame.jamb === undefined;
    const face = (label: string, name: string, value: number) => (
        <Figure label={label} shown={data.length(value)} disabled={fixed} onSend={(t) => send('frame', { values: { [name]: t } }, name)} />
    );
    return (
        <>
            <Heading title="The unit" note="Choose a light in the drawing to divide it or say how it opens." />
            <OutlineWords outline={tree.outline ?? { kind: 'rectangle' }} fixed={fixed} />
            <Sentence>
                Frame{' '}
                {split ? (
                    <>
                        {face('Left jamb', 'left', frame.left ?? 0)} left, {face('Right jamb', 'right', frame.right ?? 0)} right
                    </>
                ) : (
                    <>{face('Jambs', 'jamb', jamb)} at the jambs</>
                )}
                , {face('Head', 'head', frame.head)} at the head, {face('Sill', 'sill', frame.sill)} at the sill (0 for none),{' '}
                {face('Frame depth', 'depth', frame.depth)} deep;{' '}
                <span className="whitespace-nowrap">
                    <Choice
                        label="Corners"
                        value={frame.mitred ? 'mitred' : 'through'}
                        disabled={fixed}
                        options={[
                            { value: 'through', label: 'jambs run through' },
                            { value: 'mitred', label: 'corners mitred' },
                        ]}
                        onChange={(to) => void step('frame', { values: { mitred: to === 'mitred' } }, 'card mitred')}
                    />
                    .
                </span>{' '}
                {!fixed && (
                    <button
                        type="button"
                        className="text-tide underline"
                        onClick={() => void step('frame', { values: split ? { jamb } : { left: jamb, right: jamb } }, 'card jamb')}
                    >
                        {split ? 'Jambs alike' : 'Jambs of their own'}
                    </button>
                )}
            </Sentence>
            <Sentence>
                Sizes of parts run{' '}
                <Choice
                    label="Sizes run"
                    value={tree.measure ?? 'faces'}
                    disabled={fixed}
                    options={[
                        { value: 'centres', label: 'to centre lines' },
                        { value: 'faces', label: 'clear between faces' },
                    ]}
                    onChange={(to) => void step('measure', { to }, 'card measure')}
                />
                . In a wall it stands{' '}
                <Figure
                    label="Behind the outer face"
                    shown={tree.setback === undefined ? 'as is usual' : data.length(tree.setback)}
                    disabled={fixed}
                    onSend={(t) =>
                        send('frame', { values: { setback: /^(as|usual)?/i.exec(t.trim())?.[0] || t.trim() === '' ? null : t } }, 'setback')
                    }
                />{' '}
                behind the outer face, its sill{' '}
                <Figure
                    label="Usual sill"
                    shown={data.length(draft.sill)}
                    disabled={fixed}
                    onSend={async (t) => {
                        const read = await readLength(data.project.settings.units, t);
                        if (typeof read === 'string') return read;
                        rename({ sill: read });
                        return null;
                    }}
                />{' '}
                over the floor.
            </Sentence>
            <Cill frame={frame} fixed={fixed} />
            <Trim frame={frame} fixed={fixed} />
            <Limits limits={tree.limits ?? {}} fixed={fixed} />
            <Finishes />
        </>
    );
}

async function readLength(units: 'mm' | 'm' | 'ft-in', text: string): Promise<number | string> {
    try {
        return (await api.readLength(text, units)).mm;
    } catch (problem) {
        return (problem as Error).message;
    }
}
