import type { EditArgs, FloorBand, Law } from '../../api/client';
import { formatArea } from '../../measure/format';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { Facts, Heading, Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';
import { startHole } from '../plan/outlining';
import { ArrangeBands } from './ArrangeBands';
import { layersOf } from './placed';
import { BandFoot, FinishChoice, ProfileFigure } from './shared';
import { LawFigures, lawKinds } from './LawSentence';

/** A floor band: which outline it follows, at which storeys, how far out, how high and deep, and the shape of its edge. */
export function FloorBandCard({ band }: { band: FloorBand }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const fixed = !data.mayEdit;
    type Args = Omit<EditArgs<'floor-band.change'>, 'id'>;
    const set = (args: Args) => send('floor-band.change', { id: band.id, ...args });
    const choose = (args: Args) => void ask('floor-band.change', { id: band.id, ...args });
    const typed = (key: 'level' | 'depth' | 'height' | 'edgeSize') => (text: string) => set({ [key]: text });
    const outline = data.project.outlines.find((o) => o.id === band.outline);
    const storeys = data.project.storeys.map((s) => ({ value: s.id, label: s.name }));
    const [first, last] = [band.rows[0], band.rows.at(-1)];
    /** Begun from what it is: over the storeys from its least to its greatest. */
    const become = (kind: Law['kind']) => {
        const least = first?.out ?? 0;
        const most = last && last.out !== least ? last.out : least + 200;
        const values =
            kind === 'steps'
                ? { values: [least, most] }
                : kind === 'drawn'
                  ? {
                        points: [
                            [0, least],
                            [1, most],
                        ],
                    }
                  : {};
        choose({ out: { kind, value: least, from: least, to: most, waves: 1, ...values } as never });
    };
    return (
        <>
            <Heading
                title={band.name}
                note={
                    (band.rows.length === 1 ? 'at one floor' : `at ${band.rows.length} floors`) +
                    (outline ? ` · follows ${outline.name}` : ' · along a line of its own')
                }
            />
            {band.why && (
                <p role="alert" className="my-2 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-buoy">
                    {band.why}
                </p>
            )}
            <Sentence>
                Following{' '}
                <Choice
                    label="Outline it follows"
                    value={band.outline ?? 'own'}
                    options={[
                        ...(band.outline === null ? [{ value: 'own', label: 'a line of its own' }] : []),
                        ...data.project.outlines.filter((o) => !o.inner).map((o) => ({ value: o.id, label: o.name })),
                    ]}
                    disabled={fixed}
                    onChange={(to) => to !== 'own' && choose({ outline: to })}
                />
                , from{' '}
                <Choice
                    label="First storey"
                    value={band.storey}
                    options={storeys}
                    disabled={fixed}
                    onChange={(storey) => choose({ storey })}
                />{' '}
                to <Choice label="Last storey" value={band.top} options={storeys} disabled={fixed} onChange={(top) => choose({ top })} />.
            </Sentence>
            <Sentence>
                <Figure label="Height" shown={data.length(band.height)} disabled={fixed} onSend={typed('height')} /> high, its top{' '}
                <Figure label="Top" shown={data.length(band.level)} disabled={fixed} onSend={typed('level')} /> over the floor,{' '}
                {band.depth === null ? (
                    <>
                        a whole slab
                        {outline && (
                            <>
                                {' '}
                                to the{' '}
                                <Choice
                                    label="Faces it reaches"
                                    value={band.inner ? 'inner' : 'outer'}
                                    options={[
                                        { value: 'inner', label: 'inner faces' },
                                        { value: 'outer', label: 'outer faces' },
                                    ]}
                                    disabled={fixed}
                                    onChange={(to) => choose({ inner: to === 'inner' })}
                                />
                            </>
                        )}
                    </>
                ) : (
                    <>
                        <Figure label="Depth" shown={data.length(band.depth)} disabled={fixed} onSend={typed('depth')} /> deep
                    </>
                )}
                {!fixed && (outline?.closed ?? true) && (
                    <>
                        {' '}
                        (
                        <button
                            type="button"
                            className="text-tide underline"
                            onClick={() =>
                                choose({ depth: band.depth === null ? (data.project.settings.units === 'mm' ? 600 : '600 mm') : null })
                            }
                        >
                            {band.depth === null ? 'only its rim' : 'make it a whole slab'}
                        </button>
                        )
                    </>
                )}
                .
            </Sentence>
            <Sentence>
                Its edge lies outside the line by{' '}
                <Choice label="Law of the outset" value={band.out.kind} options={lawKinds} disabled={fixed} onChange={become} />
                <LawFigures
                    law={band.out}
                    of="reach"
                    name="outset"
                    fixed={fixed}
                    set={(changed) => set({ out: { ...band.out, ...changed } as never })}
                />
                {band.rows.length > 1 ? ', from the first floor to the last' : ''}. A minus sets it in.
            </Sentence>
            <Sentence>
                Its edge is{' '}
                <Choice
                    label="Shape of its edge"
                    value={band.edge}
                    options={[
                        { value: 'square', label: 'square' },
                        { value: 'chamfered', label: 'chamfered' },
                        { value: 'rounded', label: 'rounded' },
                        { value: 'drawn', label: 'drawn' },
                    ]}
                    disabled={fixed}
                    // a drawn one begins as a lip that overhangs
                    onChange={(edge) => choose({ edge, ...(edge === 'drawn' && band.profile.length === 0 ? { profile: LIP } : {}) })}
                />
                {(band.edge === 'chamfered' || band.edge === 'rounded') && (
                    <>
                        {' '}
                        by <Figure label="Edge" shown={data.length(band.edgeSize)} disabled={fixed} onSend={typed('edgeSize')} />
                    </>
                )}
                {band.edge === 'drawn' && (
                    <>
                        {' '}
                        through, in % of its height inward and down,{' '}
                        <ProfileFigure label="Points of the edge" profile={band.profile} onSend={(profile) => set({ profile })} />
                    </>
                )}
                , finished in <FinishChoice finish={band.finish} onChange={(finish) => choose({ finish })} />.
            </Sentence>
            {band.depth === null && <Holes band={band} />}
            <Facts
                rows={[
                    ...band.rows.map((r): [string, string] => [
                        data.storeys.get(r.storey)?.name ?? '',
                        `${data.length(r.out)} out · ${data.length(Math.round(r.length))} round`,
                    ]),
                    ['Volume together', `${(band.volume / 1e9).toFixed(2)} m³`],
                ]}
            />
            <ArrangeBands bands={layersOf(data).filter((l) => l.id === band.id)} />
            <BandFoot id={band.id} name={band.name} what="floor band" edit="floor-band.remove" onName={(text) => set({ name: text })} />
        </>
    );
}

/** The openings in a slab: how large, closed one by one, and one more drawn in plan. */
function Holes({ band }: { band: FloorBand }) {
    const data = useData();
    const ask = useAsk();
    const { units } = data.project.settings;
    return (
        <div className="mt-3 border-t border-hairline pt-2">
            <p className="text-quiet">{band.holes.length === 0 ? 'No openings in it.' : 'Openings in it, through every storey'}</p>
            {band.holes.map((hole, i) => (
                <p key={i} className="flex min-h-7 items-center gap-2">
                    <span className="grow">
                        {i + 1}: {data.length(hole.width)} × {data.length(hole.depth)}
                    </span>
                    <span className="text-quiet">{formatArea(hole.area, units)}</span>
                    {data.mayEdit && (
                        <button
                            type="button"
                            className="px-1 text-quiet hover:text-buoy"
                            aria-label={`Close opening ${i + 1}`}
                            title="Close this opening"
                            onClick={() => void ask('floor-band.change', { id: band.id, withoutHole: i })}
                        >
                            ×
                        </button>
                    )}
                </p>
            ))}
            {data.mayEdit && (
                <Button small onClick={() => startHole(data, band.id, band.storey)}>
                    Draw an opening
                </Button>
            )}
        </div>
    );
}

const LIP = [
    [0, 0],
    [0, 0.6],
    [0.2, 0.7],
    [0.2, 1],
];
