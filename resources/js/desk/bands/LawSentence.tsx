import type { Band, Law } from '../../api/client';
import { Choice, type Option } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';
import { useDesk, type Driven } from '../store';
import { degrees, drives, isAngle, numberOf, percent, plain, said } from './words';

type Kind = Law['kind'];

export const lawKinds: Option<Kind>[] = [
    { value: 'constant', label: 'the same all along' },
    { value: 'ramp', label: 'a ramp' },
    { value: 'wave', label: 'a wave' },
    { value: 'bump', label: 'a bump' },
    { value: 'steps', label: 'steps' },
    { value: 'drawn', label: 'a drawn curve' },
    { value: 'seeded', label: 'seeded variation' },
    { value: 'combined', label: 'two laws together' },
];

const together: Option<NonNullable<Law['how']>>[] = [
    { value: 'sum', label: 'added' },
    { value: 'greater', label: 'the greater of both' },
    { value: 'product', label: 'the first times the second in %' },
];

/** What one size of a band’s pieces is along the run, as a sentence whose figures are fields. */
export function LawSentence({ band, of }: { band: Band; of: Driven }) {
    const data = useData();
    const ask = useAsk();
    const send = useSend();
    const driven = useDesk((s) => s.driven);
    const law = band.laws[of]!;
    const fixed = !data.mayEdit;
    const set = (changed: Partial<Law>) => send('band.change', { ids: [band.id], laws: { [of]: { ...law, ...changed } as never } });
    const shown = driven === of;
    const show = () => useDesk.setState({ driven: of });
    return (
        <div
            className={`-mx-2 rounded px-2 ${shown ? 'bg-tide-wash/60' : ''}`}
            onFocusCapture={show}
            data-law={of}
            role="group"
            aria-label={`Law of their ${drives[of].name}`}
        >
            <Sentence>
                <button
                    type="button"
                    aria-pressed={shown}
                    title={`Show the curve of their ${drives[of].name} over the elevation`}
                    onClick={show}
                    className="font-semibold underline decoration-dotted underline-offset-4 hover:text-tide"
                >
                    {drives[of].name.charAt(0).toUpperCase() + drives[of].name.slice(1)}
                </button>
                :{' '}
                <Choice
                    label={`Law of the ${drives[of].name}`}
                    value={law.kind}
                    options={lawKinds}
                    disabled={fixed}
                    onChange={(kind) => void ask('band.draw', { id: band.id, of, kind })}
                />
                <LawFigures law={law} of={of} name={drives[of].name} fixed={fixed} set={set} />
                <Carried law={law} />.
            </Sentence>
        </div>
    );
}

type FiguresProps = { law: Law; of: Driven; name: string; fixed: boolean; set: (changed: Partial<Law>) => Promise<string | null> };

/** The figures of a law: values in the project’s units or degrees, shares in per cent. */
export function LawFigures({ law, of, name, fixed, set }: FiguresProps) {
    const data = useData();
    const value = (key: 'value' | 'from' | 'to', label: string) => (
        <Figure
            label={`${label} ${name}`}
            shown={said(data, of, law[key] ?? 0)}
            disabled={fixed}
            onSend={(text) => typed(of, text, (to) => set({ [key]: to as number }))}
        />
    );
    const number = (key: 'waves' | 'phase' | 'place' | 'width' | 'sharpness' | 'seed', label: string, written: (v: number) => string) => (
        <Figure
            label={`${label} of the ${name}`}
            shown={written(law[key] ?? 0)}
            disabled={fixed}
            onSend={(text) => numbered(text, (to) => set({ [key]: to }))}
        />
    );
    switch (law.kind) {
        case 'constant':
            return <>, {value('value', 'The')}</>;
        case 'ramp':
            return (
                <>
                    {' '}
                    from {value('from', 'Least')} to {value('to', 'Greatest')}
                </>
            );
        case 'wave':
            return (
                <>
                    {' '}
                    from {value('from', 'Least')} to {value('to', 'Greatest')}, {number('waves', 'Waves', plain)} waves, shifted{' '}
                    {number('phase', 'Shift', percent)} of one
                </>
            );
        case 'bump':
            return (
                <>
                    {' '}
                    from {value('from', 'Least')} to {value('to', 'Greatest')} at {number('place', 'Place', percent)} of the run,{' '}
                    {number('width', 'Width', percent)} wide, sharpness {number('sharpness', 'Sharpness', plain)}
                </>
            );
        case 'seeded':
            return (
                <>
                    {' '}
                    from {value('from', 'Least')} to {value('to', 'Greatest')}, seed {number('seed', 'Seed', plain)}
                </>
            );
        case 'steps':
            return (
                <>
                    :{' '}
                    <Figure
                        label={`Steps of the ${name}`}
                        shown={(law.values ?? []).map((v) => said(data, of, v)).join('; ')}
                        disabled={fixed}
                        onSend={(text) => set({ values: text.split(';').map((part) => part.trim()) as never })}
                    />{' '}
                    (parted by ;)
                </>
            );
        case 'drawn':
            return (
                <>
                    {' '}
                    through {law.points?.length ?? 0} points,{' '}
                    <Choice
                        label={`Curve of the ${name}`}
                        value={law.smooth ? 'smooth' : 'straight'}
                        options={[
                            { value: 'smooth', label: 'smooth' },
                            { value: 'straight', label: 'straight from one to the next' },
                        ]}
                        disabled={fixed}
                        onChange={(to) => void set({ smooth: to === 'smooth' })}
                    />
                    . Drag its points on the elevation; a double click adds one, or takes one away
                </>
            );
        case 'combined': {
            const [first, second] = [law.first!, law.second!];
            const part = (which: 'first' | 'second') => (to: Law) => set({ [which]: to });
            return (
                <>
                    ,{' '}
                    <Choice
                        label={`How the two laws of the ${name} are combined`}
                        value={law.how ?? 'sum'}
                        options={together}
                        disabled={fixed}
                        onChange={(how) => void set({ how })}
                    />
                    : first <Part law={first} of={of} name={`first ${name}`} fixed={fixed} onSend={part('first')} />; second{' '}
                    <Part law={second} of={of} name={`second ${name}`} fixed={fixed} onSend={part('second')} />
                </>
            );
        }
    }
}

const simple = lawKinds.filter((k) => k.value !== 'combined' && k.value !== 'drawn');

type PartProps = {
    law: Law;
    of: Driven;
    name: string;
    fixed: boolean;
    onSend: (law: Law) => Promise<string | null>;
};

/** One of two laws that are combined: it becomes another kind with figures of its own. */
function Part({ law, of, name, fixed, onSend }: PartProps) {
    const least = law.from ?? law.value ?? law.values?.[0] ?? 0;
    const most = law.to ?? least;
    const as = (kind: Kind): Law => ({
        ...{ kind, shift: 0, mirrored: false, scale: 1, value: least, from: least, to: most, waves: 2, values: [least, most] },
    });
    return (
        <>
            <Choice
                label={`Law of the ${name}`}
                value={law.kind}
                options={law.kind === 'drawn' ? [...simple, { value: 'drawn' as Kind, label: 'a drawn curve' }] : simple}
                disabled={fixed}
                onChange={(kind) => void onSend(as(kind))}
            />
            <LawFigures law={law} of={of} name={name} fixed={fixed} set={(changed) => onSend({ ...law, ...changed })} />
        </>
    );
}

/** How it was carried here, where it was. */
function Carried({ law }: { law: Law }) {
    const said = [
        law.shift !== 0 ? `shifted ${percent(law.shift)} of the run` : null,
        law.mirrored ? 'mirrored' : null,
        law.scale !== 1 ? `scaled by ${plain(law.scale)}` : null,
    ].filter((s) => s !== null);
    return said.length > 0 ? <span className="text-quiet"> ({said.join(', ')})</span> : null;
}

/** Sends a length as it was typed, or an angle as a number. */
export function typed(of: Driven, text: string, send: (to: string | number) => Promise<string | null>): Promise<string | null> {
    return isAngle(of) ? numbered(text, send) : send(text);
}

export function numbered(text: string, send: (to: number) => Promise<string | null>): Promise<string | null> {
    const value = numberOf(text);
    return value === null ? Promise.resolve(`“${text}” is no number.`) : send(value);
}

export { degrees };
