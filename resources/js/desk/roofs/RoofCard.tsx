import type { EditArgs, Roof } from '../../api/client';
import { formatArea } from '../../measure/format';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { BandFoot, FinishChoice } from '../bands/shared';
import { Figure } from '../card/Figure';
import { Facts, Heading, Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';
import { useDesk } from '../store';
import { Joined } from './Joined';
import { LightCard } from './LightCard';
import { Lights } from './Lights';
import { mayRunUp } from './running';

const degrees = (pitch: number) => `${Math.round(pitch * 100) / 100}°`;

/** A roof: how steep, how far out and how thick it is, and over which walls it is otherwise. */
export function RoofCard({ roof }: { roof: Roof }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const chosen = useDesk((s) => s.fins);
    const lights = roof.lights.filter((l) => chosen.includes(l.n));
    const fixed = !data.mayEdit;
    type Args = Omit<EditArgs<'roof.change'>, 'id'>;
    const set = (args: Args) => send('roof.change', { id: roof.id, ...args });
    const choose = (args: Args) => void ask('roof.change', { id: roof.id, ...args });
    const outline = data.project.outlines.find((o) => o.id === roof.outline);
    const over = roof.also.length > 0 ? `${roof.also.length + 1} outlines` : (outline?.name ?? 'its outline');
    const { units } = data.project.settings;
    const sum = (key: 'area' | 'plan') => roof.faces.reduce((total, face) => total + face[key], 0);
    if (lights.length > 0) return <LightCard key={lights.map((l) => l.n).join()} roof={roof} lights={lights} />;
    return (
        <>
            <Heading title={roof.name} note={`${roof.faces.length === 1 ? 'one face' : `${roof.faces.length} faces`} over ${over}`} />
            {roof.why && (
                <p role="alert" className="my-2 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-buoy">
                    {roof.why}
                </p>
            )}
            <Joined roof={roof} />
            <Sentence>
                Pitched at <Figure label="Pitch" shown={degrees(roof.pitch)} disabled={fixed} onSend={(pitch) => set({ pitch })} />,{' '}
                <Choice
                    label="It lies"
                    value={roof.within ? 'within' : 'over'}
                    options={[
                        { value: 'over', label: 'it lies over its walls' },
                        { value: 'within', label: 'it lies between its walls' },
                    ]}
                    disabled={fixed}
                    onChange={(to) => choose({ within: to === 'within' })}
                />
                {roof.within ? (
                    ', which stand up round it as parapets.'
                ) : (
                    <>
                        , its eaves{' '}
                        <Figure
                            label="Overhang"
                            shown={data.length(roof.overhang)}
                            disabled={fixed}
                            onSend={(overhang) => set({ overhang })}
                        />{' '}
                        out from them, measured{' '}
                        <Choice
                            label="Overhang measured"
                            value={roof.along ? 'along' : 'level'}
                            options={[
                                { value: 'level', label: 'level' },
                                { value: 'along', label: 'along the slope' },
                            ]}
                            disabled={fixed}
                            onChange={(to) => choose({ along: to === 'along' })}
                        />
                        .
                    </>
                )}
            </Sentence>
            <Sentence>
                It springs{' '}
                <Figure label="Over the head" shown={data.length(roof.level)} disabled={fixed} onSend={(level) => set({ level })} /> over
                the head of{' '}
                <Choice
                    label="Storey"
                    value={roof.storey}
                    options={data.project.storeys.map((s) => ({ value: s.id, label: s.name }))}
                    disabled={fixed}
                    onChange={(storey) => choose({ storey })}
                />
                , <Figure label="Thickness" shown={data.length(roof.thick)} disabled={fixed} onSend={(thick) => set({ thick })} /> thick
                square to its slope, in <FinishChoice finish={roof.finish} onChange={(finish) => choose({ finish })} />.
            </Sentence>
            {roof.springs !== null && (
                <Sentence>
                    The underside of its eaves{roof.cut !== 'upright' && ', as if cut upright,'} lies at{' '}
                    <Figure
                        label="Level of its eaves"
                        shown={data.length(roof.springs)}
                        disabled={fixed}
                        onSend={(eaves) => set({ eaves })}
                    />
                    , its highest line at{' '}
                    <Figure
                        label="Level of its highest line"
                        shown={data.length(roof.top!)}
                        disabled={fixed}
                        onSend={(ridge) => set({ ridge })}
                    />
                    .
                </Sentence>
            )}
            {!roof.within && (
                <Sentence>
                    Its eaves are cut{' '}
                    <Choice
                        label="Cut of the eaves"
                        value={roof.cut}
                        options={[
                            { value: 'upright', label: 'upright' },
                            { value: 'square', label: 'square to the slope' },
                            { value: 'level', label: 'level' },
                        ]}
                        disabled={fixed}
                        onChange={(cut) => choose({ cut })}
                    />
                    ; its verges upright.
                </Sentence>
            )}
            <p className="text-xs text-quiet">
                Upright it is {data.length(roof.upright)} through everywhere; its eaves lie at one level all round.
            </p>
            <div className="mt-3 border-t border-hairline pt-2">
                <p className="text-quiet">Over each wall</p>
                {roof.round.map((wall, i) => (
                    <Edge key={wall} roof={roof} wall={wall} number={i + 1} />
                ))}
            </div>
            <Lights roof={roof} />
            {roof.springs !== null && !roof.within && <RunUp roof={roof} />}
            {roof.springs !== null && (
                <Facts
                    rows={[
                        ['Area', formatArea(sum('area'), units)],
                        ['Area in plan', formatArea(sum('plan'), units)],
                        ...Object.entries(roof.lengths).map(([what, length]): [string, string] => [
                            LINES[what] ?? what,
                            data.length(length),
                        ]),
                    ]}
                />
            )}
            <BandFoot id={roof.id} name={roof.name} what="roof" edit="roof.remove" onName={(name) => set({ name })} />
        </>
    );
}

/** How many of the walls it lies over run up to it, and all of them in one step. */
function RunUp({ roof }: { roof: Roof }) {
    const data = useData();
    const ask = useAsk();
    const walls = roof.before.map((id) => data.walls.get(id)).filter(mayRunUp);
    const up = walls.filter((w) => w!.headEdge?.roof === roof.id).length;
    const ids = walls.map((w) => w!.id);
    if (walls.length === 0) return null;
    return (
        <div className="mt-3 border-t border-hairline pt-2">
            <p className="mb-1.5">
                {up === 0 ? 'None' : up === walls.length ? 'All' : up} of its {walls.length} walls {up === 1 ? 'runs' : 'run'} up to it.
            </p>
            {data.mayEdit && (
                <p className="flex flex-wrap gap-1.5">
                    {up < walls.length && (
                        <Button small onClick={() => void ask('wall.edge', { walls: ids, head: { roof: roof.id } })}>
                            Run all walls up to it
                        </Button>
                    )}
                    {up > 0 && (
                        <Button
                            small
                            onClick={() =>
                                void ask('wall.edge', {
                                    walls: ids.filter((id) => data.walls.get(id)?.headEdge?.roof === roof.id),
                                    head: null,
                                })
                            }
                        >
                            Make their heads level
                        </Button>
                    )}
                </p>
            )}
        </div>
    );
}

const LINES: Record<string, string> = {
    eaves: 'Eaves',
    ridge: 'Ridges',
    hip: 'Hips',
    valley: 'Valleys',
    verge: 'Verges',
    break: 'Breaks of slope',
    abutment: 'Along what stands through it',
};

/** What the roof is over one wall: a slope, of its own pitch where that is said, or a gable. */
function Edge({ roof, wall, number }: { roof: Roof; wall: string; number: number }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const fixed = !data.mayEdit;
    const edge = roof.edges.find((e) => e.wall === wall);
    const name = data.frontageOf.get(wall)?.name ?? `Wall ${number}`;
    const set = (values: { pitch?: string; overhang?: string }) => send('roof.change', { id: roof.id, edge: { wall, ...values } });
    return (
        <Sentence>
            <button type="button" className="font-semibold text-tide hover:underline" onClick={() => useDesk.getState().choose([wall])}>
                {name}
            </button>
            :{' '}
            <Choice
                label={`Over ${name}`}
                value={edge?.open ? 'open' : edge?.hip ? 'hip' : edge?.gable ? 'gable' : 'slope'}
                options={[
                    { value: 'slope', label: 'a slope' },
                    { value: 'gable', label: 'a gable' },
                    { value: 'hip', label: 'a half hip' },
                    { value: 'open', label: 'left open' },
                ]}
                disabled={fixed}
                onChange={(to) =>
                    void ask('roof.change', {
                        id: roof.id,
                        edge:
                            to === 'hip'
                                ? { wall, halfHip: true, open: false }
                                : { wall, gable: to !== 'slope', open: to === 'open', hip: null },
                    })
                }
            />
            {edge?.hip && (
                <>
                    {' '}
                    from{' '}
                    <Figure
                        label={`Half hip over ${name}`}
                        shown={data.length(edge.hip)}
                        disabled={fixed}
                        onSend={(hip) => send('roof.change', { id: roof.id, edge: { wall, hip } })}
                    />{' '}
                    over the eaves
                </>
            )}
            {(!edge?.gable || edge.hip) && (
                <>
                    {' '}
                    of{' '}
                    <Figure
                        label={`Pitch over ${name}`}
                        shown={degrees(edge?.pitch ?? roof.pitch)}
                        disabled={fixed}
                        onSend={(pitch) => set({ pitch })}
                    />
                </>
            )}
            {!roof.within && (
                <>
                    ,{' '}
                    <Figure
                        label={`Overhang over ${name}`}
                        shown={data.length(edge?.overhang ?? roof.overhang)}
                        disabled={fixed}
                        onSend={(overhang) => set({ overhang })}
                    />{' '}
                    out
                </>
            )}
        </Sentence>
    );
}
