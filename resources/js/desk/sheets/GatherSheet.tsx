import { useEffect, useRef, useState } from 'react';
import { api } from '../../api/client';
import { Button } from '../../ui/Button';
import { Heading } from '../card/parts';
import { useData, type FoundOpening } from '../data';
import { useDesk } from '../store';
import { KeepSet } from './KeepSet';
import { Entry, Pick, useKept } from './parts';

type Data = ReturnType<typeof useData>;
type Criterion = 'type' | 'mark' | 'operation' | 'width' | 'height' | 'storey' | 'host' | 'frontage' | 'facing' | 'sill' | 'head';
type Values = Record<Criterion, string>;

const names: Record<Criterion, string> = {
    type: 'type',
    mark: 'mark',
    operation: 'operation',
    width: 'width',
    height: 'height',
    storey: 'storey',
    host: 'wall',
    frontage: 'frontage',
    facing: 'facing',
    sill: 'sill above floor',
    head: 'head above floor',
};
const order = Object.keys(names) as Criterion[];
const operations = {
    fixed: 'fixed',
    'side-hung': 'side-hung',
    'top-hung': 'top-hung',
    'bottom-hung': 'bottom-hung',
    'tilt-and-turn': 'tilt-and-turn',
    'horizontal-pivot': 'horizontally pivoted',
    'vertical-pivot': 'vertically pivoted',
    'hinged-door': 'hinged door',
};

function valuesOf(data: Data, o: FoundOpening): Values {
    const floor = data.storeys.get(o.storey)?.floor ?? 0;
    return {
        type: o.curtain?.grid ?? o.type ?? 'bare',
        mark:
            [...data.project.types, ...data.project.grids].find((t) => t.id === (o.curtain?.grid ?? o.type))?.mark ??
            data.project.types[0]?.mark ??
            '',
        operation: data.elevations.get(o.frontage.id)?.figures[o.symbol]?.operations.find((way) => way !== 'fixed') ?? 'fixed',
        width: `${o.width} mm`,
        height: `${o.height} mm`,
        storey: o.storey,
        host: o.host,
        frontage: o.frontage.id,
        facing: o.frontage.facing,
        sill: `${o.sillLevel - floor} mm`,
        head: `${o.headLevel - floor} mm`,
    };
}

/** The criteria that were used last; with them G gathers at once. */
function used(): Criterion[] {
    const kept = useKept.getState()['gather.by'];
    return kept === undefined ? ['type', 'width', 'height'] : order.filter((c) => kept.split(',').includes(c));
}

async function find(data: Data, by: Criterion[], values: Values): Promise<{ ids: string[]; byStorey: Record<string, number> }> {
    return api.gather(data.id, Object.fromEntries(by.map((c) => [c, values[c]])) as never);
}

/** Chooses all that are alike: by what was used last at once, then by any mix that is ticked. */
export function GatherSheet() {
    const data = useData();
    const [start] = useState(() => useDesk.getState().chosen.filter((id) => data.openings.has(id)));
    const reference = data.openings.get(start[0] ?? '') ?? [...data.openings.values()][0];
    const [by, setBy] = useState<Criterion[]>(used);
    const [values, setValues] = useState<Values | null>(() => (reference ? valuesOf(data, reference) : null));
    const [how, setHow] = useState<'only' | 'add' | 'take'>('only');
    const [found, setFound] = useState<{ ids: string[]; byStorey: Record<string, number> } | null>(null);
    const [problem, setProblem] = useState<string | null>(null);
    const dataNow = useRef(data);
    useEffect(() => {
        dataNow.current = data;
    }, [data]);
    const chosen = useDesk((s) => s.chosen);

    useEffect(() => {
        if (!values) return;
        let gone = false;
        void find(dataNow.current, by, values)
            .then((f) => {
                if (gone) return;
                setFound(f);
                setProblem(null);
                const inFound = new Set(f.ids);
                const next =
                    how === 'only'
                        ? f.ids
                        : how === 'add'
                          ? [...start, ...f.ids.filter((id) => !start.includes(id))]
                          : start.filter((id) => !inFound.has(id));
                // the one they are alike to stays the first
                const first = start[0];
                useDesk.setState({ chosen: first && next.includes(first) ? [first, ...next.filter((id) => id !== first)] : next });
            })
            .catch((error: Error) => !gone && setProblem(error.message));
        return () => {
            gone = true;
        };
    }, [by, values, how, start]);

    const close = () => useDesk.getState().open(null);
    const toggle = (c: Criterion, on: boolean) => {
        const next = on ? order.filter((o) => o === c || by.includes(o)) : by.filter((o) => o !== c);
        useKept.setState({ 'gather.by': next.join(',') });
        setBy(next);
    };
    const set = (c: Criterion, value: string) => setValues((v) => v && { ...v, [c]: value });

    if (!reference || !values) return <p>There are no openings to gather yet.</p>;
    const fillings = [...data.project.types, ...data.project.grids];
    const choices: Partial<Record<Criterion, Record<string, string>>> = {
        type: { ...Object.fromEntries(fillings.map((t) => [t.id, `${t.mark} ${t.name}`])), bare: 'bare' },
        mark: Object.fromEntries(fillings.map((t) => [t.mark, t.mark])),
        operation: operations,
        storey: Object.fromEntries(data.project.storeys.map((s) => [s.id, s.name])),
        host: Object.fromEntries(data.project.walls.map((w) => [w.id, `${data.frontageOf.get(w.id)?.name ?? ''} ${w.position + 1}`])),
        frontage: Object.fromEntries(data.project.frontages.map((f) => [f.id, f.name])),
        facing: Object.fromEntries(data.project.frontages.map((f) => [f.facing, f.facing])),
    };
    return (
        <div data-sheet="gather">
            <Heading title="Gather" note={found ? `${chosen.length} chosen` : 'looking…'}>
                <Button small look="plain" onClick={close} title="Esc">
                    Done
                </Button>
            </Heading>
            <p className="mb-1">
                <Pick
                    label="What to do with them"
                    value={how}
                    options={{ only: 'Choose', add: 'Add to what was chosen', take: 'Take from what was chosen' }}
                    onChange={setHow}
                />{' '}
                all alike in
            </p>
            <ul className="grid gap-px">
                {order.map((c) => (
                    <li key={c} className="flex min-h-6 items-center gap-2">
                        <label className="flex w-36 shrink-0 items-center gap-1.5">
                            <input
                                type="checkbox"
                                className="size-4 accent-(--tide)"
                                checked={by.includes(c)}
                                onChange={(e) => toggle(c, e.target.checked)}
                            />{' '}
                            {names[c]}
                        </label>
                        <span className={`min-w-0 truncate ${by.includes(c) ? '' : 'opacity-70'}`}>
                            {choices[c] ? (
                                <Pick label={names[c]} value={values[c]} options={choices[c]} onChange={(v) => set(c, v)} />
                            ) : (
                                <Entry
                                    label={names[c]}
                                    value={/^-?[\d.]+ mm$/.test(values[c]) ? data.length(parseFloat(values[c])) : values[c]}
                                    onChange={(v) => set(c, v)}
                                />
                            )}
                        </span>
                    </li>
                ))}
            </ul>
            {problem && <p className="my-1 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-buoy">{problem}</p>}
            {found && (
                <p className="mt-2 border-t border-hairline pt-2" data-found={found.ids.length}>
                    <b>{found.ids.length} alike</b>
                    {found.ids.length > 0 &&
                        `: ${data.project.storeys
                            .filter((s) => found.byStorey[s.id])
                            .map((s) => `${s.name} ${found.byStorey[s.id]}`)
                            .join(', ')}`}
                </p>
            )}
            <div className="mt-2 flex flex-wrap gap-2">
                <Button
                    small
                    onClick={() => {
                        const now = new Set(chosen);
                        useDesk.setState({ chosen: [...data.openings.keys()].filter((id) => !now.has(id)), sheet: null });
                    }}
                >
                    Invert: choose all others
                </Button>
            </div>
            <KeepSet members={chosen} what={`${chosen.length} openings`} />
        </div>
    );
}
