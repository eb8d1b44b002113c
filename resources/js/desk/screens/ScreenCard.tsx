import type { EditArgs, Screen } from '../../api/client';
import { formatArea } from '../../measure/format';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { BandFoot, FinishChoice } from '../bands/shared';
import { Figure } from '../card/Figure';
import { Facts, Heading, Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';
import { useDesk, type CutInHand } from '../store';
import { ChosenParts } from './ChosenParts';
import { startCutting } from './cutting';
import { placedScreens, type FoundScreen } from './placed';

const forms: [CutInHand['form'], string][] = [
    ['rectangle', 'Rectangle'],
    ['slot', 'Slot'],
    ['round', 'Round'],
    ['polygon', 'Polygon'],
];

/** A screen: how far before its walls it stands, what it is made of, what is cut out of it, what closes it back. */
export function ScreenCard({ screen }: { screen: Screen }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const chosen = useDesk((s) => s.fins);
    const fixed = !data.mayEdit;
    type Args = Omit<EditArgs<'screen.change'>, 'id'>;
    const set = (args: Args) => send('screen.change', { id: screen.id, ...args });
    const choose = (args: Args) => void ask('screen.change', { id: screen.id, ...args });
    const whole = screen.parts.find((p) => p.shape.form === 'whole');
    const placed = placedScreens(data, screen.id);
    const before = `before ${screen.before.length === 1 ? 'one wall' : `${screen.before.length} walls`}`;
    const cuts = screen.parts.filter((p) => p.cut);
    const pieces = screen.parts.filter((p) => !p.cut);
    const parts = screen.parts.filter((p) => chosen.includes(p.n));
    // those that lie wholly or in part behind what there is of it
    const behind = placed.flatMap(({ placed: { host, bounds } }) =>
        (data.elevations.get(data.frontageOf.get(host)?.id ?? '')?.openings ?? []).filter(
            (o) =>
                o.host === host &&
                o.left < bounds[2]! &&
                o.left + o.span > bounds[0]! &&
                o.sillLevel < bounds[3]! &&
                o.headLevel > bounds[1]!,
        ),
    );
    const followed = new Set(screen.parts.flatMap((p) => p.shape.around ?? []));
    const free = behind.filter((o) => !followed.has(o.id));
    const around = () =>
        ask('screen.draw', { id: screen.id, cut: true, shape: { form: 'openings', around: free.map((o) => o.id), grow: 0 } });
    if (parts.length > 0) return <ChosenParts key={parts.map((p) => p.n).join()} screen={screen} parts={parts} />;
    return (
        <>
            <Heading title={screen.name} note={`${before} · ${cuts.length} ${cuts.length === 1 ? 'cut-out' : 'cut-outs'}`} />
            {placed.length === 0 && data.whole && (
                <p role="alert" className="my-2 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-buoy">
                    It cannot stand as it is: its finding says why.
                </p>
            )}
            <Sentence>
                Sheet <Figure label="Thickness" shown={data.length(screen.thick)} disabled={fixed} onSend={(thick) => set({ thick })} />{' '}
                thick, its back <Figure label="Gap" shown={data.length(screen.gap)} disabled={fixed} onSend={(gap) => set({ gap })} />{' '}
                before the walls, finished in <FinishChoice finish={screen.finish} onChange={(finish) => choose({ finish })} />.
            </Sentence>
            {whole && (
                <Sentence>
                    Its foot{' '}
                    <Figure
                        label="Foot"
                        shown={data.length(whole.shape.v ?? 0)}
                        disabled={fixed}
                        onSend={(v) => send('screen.draw', { id: screen.id, n: whole.n, shape: { v } })}
                    />{' '}
                    over the floor of{' '}
                    <Choice
                        label="Storey"
                        value={screen.storey}
                        options={data.project.storeys.map((s) => ({ value: s.id, label: s.name }))}
                        disabled={fixed}
                        onChange={(storey) => choose({ storey })}
                    />
                    ,{' '}
                    <Figure
                        label="Height"
                        shown={data.length(whole.shape.height ?? 0)}
                        disabled={fixed}
                        onSend={(height) => send('screen.draw', { id: screen.id, n: whole.n, shape: { height } })}
                    />{' '}
                    high.
                </Sentence>
            )}
            <Sentence>
                Closed back to what is behind it{' '}
                <Choice
                    label="Where it is closed back"
                    value={screen.edges ? (screen.reveals ? 'both' : 'edges') : screen.reveals ? 'cuts' : 'none'}
                    options={[
                        { value: 'none', label: 'nowhere' },
                        { value: 'edges', label: 'at its edges' },
                        { value: 'cuts', label: 'at its cut-outs' },
                        { value: 'both', label: 'at its edges and cut-outs' },
                    ]}
                    disabled={fixed}
                    onChange={(to) => choose({ edges: to === 'edges' || to === 'both', reveals: to === 'cuts' || to === 'both' })}
                />
                .
            </Sentence>
            {!fixed && (
                <>
                    {[
                        [true, 'Cut out'],
                        [false, 'Add a piece'],
                    ].map(([cut, says]) => (
                        <div key={String(says)} className="mt-2 flex flex-wrap items-center gap-1.5">
                            <span className="w-20 text-quiet">{says}</span>
                            {forms.map(([form, name]) => (
                                <Button key={form} small onClick={() => startCutting(screen.id, cut as boolean, form)}>
                                    {name}
                                </Button>
                            ))}
                        </div>
                    ))}
                    <p className="mt-2 text-xs text-quiet">
                        A unit taken from the rack while this screen is chosen is placed in it, by the rules of openings.
                    </p>
                    {free.length > 0 && (
                        <div className="mt-2">
                            <Button small onClick={() => void around()}>
                                Cut out round the {free.length === 1 ? 'opening' : `${free.length} openings`} behind it
                            </Button>
                        </div>
                    )}
                </>
            )}
            {!fixed && placed.length > 0 && <FillWhole screen={screen} placed={placed} />}
            {[['Cut-outs', cuts] as const, ['Pieces', pieces.length > 1 || !whole ? pieces : []] as const].map(([title, list]) =>
                list.length === 0 ? null : (
                    <div key={title} className="mt-3 border-t border-hairline pt-2">
                        <p className="text-quiet">{title}</p>
                        {list.map((p) => (
                            <button
                                key={p.n}
                                type="button"
                                className="flex min-h-6 w-full items-center gap-2 text-left hover:underline"
                                onClick={() => useDesk.setState({ fins: [p.n] })}
                            >
                                <span className="w-6 text-quiet">{p.n}</span>
                                <span className="min-w-0 grow truncate text-tide">{p.says}</span>
                            </button>
                        ))}
                    </div>
                ),
            )}
            {screen.area !== null && placed.length > 0 && (
                <Facts
                    rows={[
                        [
                            'Area',
                            formatArea(
                                placed.reduce((sum, p) => sum + p.seen.area, 0),
                                data.project.settings.units,
                            ),
                        ],
                    ]}
                />
            )}
            <BandFoot id={screen.id} name={screen.name} what="screen" edit="screen.remove" onName={(name) => set({ name })} />
        </>
    );
}

/** Battens over all that is seen of a screen before one wall, or those that are there. */
function FillWhole({ screen, placed }: { screen: Screen; placed: FoundScreen[] }) {
    const data = useData();
    const walls = [...new Set(placed.map((p) => p.placed.host))].filter((id) => !data.walls.get(id)?.arc);
    return (
        <div className="mt-2 flex flex-wrap items-center gap-1.5">
            {walls.map((wall) => {
                const field = data.project.fields.find((f) => f.screen === screen.id && f.cut === null && f.wall === wall);
                const where = walls.length === 1 ? '' : `, ${data.frontageOf.get(wall)?.name ?? 'this wall'}`;
                const fill = () =>
                    data.edit(
                        'field.fill',
                        {
                            screen: screen.id,
                            wall,
                            angle: 90,
                            wide: '40 mm',
                            deep: '20 mm',
                            battens: { by: 'pitch', size: '120 mm' },
                        },
                        { choose: (o) => o.chosen },
                    );
                return (
                    <Button key={wall} small onClick={() => (field ? useDesk.getState().choose([field.id]) : void fill())}>
                        {field ? `To ${field.name}, over it${where}` : `Battens over all of it${where}`}
                    </Button>
                );
            })}
        </div>
    );
}
