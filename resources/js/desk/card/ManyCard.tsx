import type { EditArgs } from '../../api/client';
import { useState } from 'react';
import { formatArea } from '../../measure/format';
import { Choice } from '../../ui/Choice';
import { later } from '../../ui/later';
import { openingActions, wallActions } from '../actions';
import { layersOf } from '../bands/placed';
import { useData, type FoundOpening } from '../data';
import { useDesk } from '../store';
import { Figure } from './Figure';
import { ActionRow, Facts, FindingNote, Heading, RemoveButton, Sentence, useSend } from './parts';

const RunUpAll = later('Roofs', () => import('../roofs/RunUpAll').then((m) => m.RunUpAll), null);

const LayersCard = later('The card of what is chosen', () => import('../bands/LayersCard').then((m) => m.LayersCard));
const CurtainsCard = later('The card of the curtain walls', () => import('../curtain/CurtainsCard').then((m) => m.CurtainsCard));

/** Figures that are the same in all are shown, others as a range: "1 200 … 1 500". */
function shared(figures: number[], length: (mm: number) => string): string {
    const least = Math.min(...figures);
    const most = Math.max(...figures);
    return most - least < 0.05 ? length(least) : `${length(least)} … ${length(most)}`;
}

/** Several things chosen together: what they are, and figures that are changed in all of them, to a value or by so much. */
export function ManyCard({ ids }: { ids: string[] }) {
    const data = useData();
    const openings = ids.map((id) => data.openings.get(id)).filter((o) => o !== undefined);
    const walls = ids.filter((id) => data.walls.has(id));
    const stretches = walls.map((id) => data.walls.get(id)!).filter((w) => w.curtain !== null);
    if (openings.length === 0 && stretches.length > 0 && stretches.length === ids.length) return <CurtainsCard walls={stretches} />;
    const layers = layersOf(data).filter((l) => ids.includes(l.id));
    if (layers.length > 0 && layers.length === ids.length) {
        // the one that others were gathered with comes first
        return <LayersCard layers={layers.sort((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id))} />;
    }
    if (openings.length === 0) {
        return (
            <>
                <Heading
                    title={`${ids.length} chosen`}
                    note={walls.length > 0 ? `${walls.length} walls` : 'Lines, storeys or what is not in view'}
                />
                <ActionRow actions={wallActions(data)} />
                {walls.length > 0 && data.mayEdit && <RunUpAll walls={walls} />}
            </>
        );
    }
    return <Openings openings={openings} ids={ids} />;
}

function Openings({ openings, ids }: { openings: FoundOpening[]; ids: string[] }) {
    const data = useData();
    const send = useSend();
    const [keep, setKeep] = useState<'sill' | 'head'>('sill');
    const fixed = !data.mayEdit;
    const all = openings.map((o) => o.id);
    const change = (args: EditArgs<'opening.change'>) => send('opening.change', { ids: all, ...args });
    const floor = (o: FoundOpening) => data.storeys.get(o.storey)?.floor ?? 0;
    const figure = (of: (o: FoundOpening) => number) => shared(openings.map(of), data.length);
    const one = (of: (o: FoundOpening) => string) => (openings.every((o) => of(o) === of(openings[0]!)) ? of(openings[0]!) : 'various');
    const counts = new Map<string, number>();
    for (const o of openings) counts.set(o.label, (counts.get(o.label) ?? 0) + 1);
    const area = openings.reduce((sum, o) => sum + o.area, 0);
    const places = [...new Set(openings.map((o) => o.frontage.name))].join(', ');
    const various = { value: 'various', label: 'various' };
    const type = one((o) => o.type ?? 'bare');
    const facing = one((o) => (o.facesOut ? 'out' : 'in'));
    const handing = one((o) => (o.mirrored ? 'mirrored' : 'drawn'));
    const about = data.findings.filter((f) => f.elements.some((e) => ids.includes(e)));
    return (
        <>
            <Heading title={`${openings.length} openings`} note={`${places} · chosen together`} />
            <Sentence>
                <Figure label="Width" shown={figure((o) => o.width)} disabled={fixed} onSend={(width) => change({ width })} /> wide,{' '}
                <Figure label="Height" shown={figure((o) => o.height)} disabled={fixed} onSend={(height) => change({ height, keep })} />{' '}
                high.
            </Sentence>
            <Sentence>
                Sill{' '}
                <Figure
                    label="Sill"
                    shown={figure((o) => o.sill.height)}
                    disabled={fixed}
                    onSend={(sillHeight) => change({ sillHeight, keep })}
                />
                , head{' '}
                <Figure
                    label="Head"
                    shown={figure((o) => o.headLevel - floor(o))}
                    disabled={fixed}
                    onSend={(head) => change({ head, keep })}
                />{' '}
                above the floor.
            </Sentence>
            {!fixed && (
                <Sentence>
                    When one of these changes, the{' '}
                    <Choice
                        label="What stays"
                        value={keep}
                        options={[
                            { value: 'sill', label: 'sill stays' },
                            { value: 'head', label: 'head stays' },
                        ]}
                        onChange={(to) => setKeep(to as 'sill' | 'head')}
                    />
                    .<span className="block text-xs text-quiet">Type 2100 for all alike, +150 or −150 for so much more or less each.</span>
                </Sentence>
            )}
            <ActionRow actions={openingActions(data)} />
            <Sentence>
                Filled with{' '}
                <Choice
                    label="Unit type"
                    value={type}
                    disabled={fixed}
                    options={[
                        ...(type === 'various' ? [various] : []),
                        ...data.project.types.map((t) => ({ value: t.id, label: `${t.mark} ${t.name}` })),
                        { value: 'bare', label: 'nothing (bare)' },
                    ]}
                    onChange={(to) => to !== 'various' && void data.edit('opening.change', { ids: all, type: to === 'bare' ? null : to })}
                />
                ,{' '}
                <Figure
                    label="Behind the outer face"
                    shown={figure((o) => o.setback)}
                    disabled={fixed}
                    onSend={(setback) => change({ setback })}
                />{' '}
                behind the outer face, facing{' '}
                <Choice
                    label="Facing"
                    value={facing}
                    disabled={fixed}
                    options={[...(facing === 'various' ? [various] : []), { value: 'out', label: 'out' }, { value: 'in', label: 'in' }]}
                    onChange={(to) => to !== 'various' && void data.edit('opening.change', { ids: all, facesOut: to === 'out' })}
                />
                , handed{' '}
                <Choice
                    label="Handing"
                    value={handing}
                    disabled={fixed}
                    options={[
                        ...(handing === 'various' ? [various] : []),
                        { value: 'drawn', label: 'as drawn' },
                        { value: 'mirrored', label: 'the other way' },
                    ]}
                    onChange={(to) => to !== 'various' && void data.edit('opening.change', { ids: all, mirrored: to === 'mirrored' })}
                />
                .
            </Sentence>
            <Facts
                rows={[
                    ...[...counts].map(([label, n]) => [label, `${n} ×`] as [string, string]),
                    ['Area together', formatArea(area, data.project.settings.units)],
                ]}
            />
            {about.slice(0, 5).map((f) => (
                <FindingNote
                    key={`${f.key} ${f.figure}`}
                    finding={f}
                    place={f.frontage.name}
                    onGo={() => useDesk.getState().choose([f.elements[0]!])}
                />
            ))}
            {about.length > 5 && (
                <button type="button" className="mt-2 text-tide underline" onClick={() => useDesk.setState({ listFindings: true })}>
                    and {about.length - 5} more findings
                </button>
            )}
            {data.mayEdit && (
                <RemoveButton
                    label={`Remove these ${openings.length} openings`}
                    onClick={() => useDesk.setState({ removingOpenings: all })}
                />
            )}
        </>
    );
}
