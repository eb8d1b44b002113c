import type { EditArgs, Field } from '../../api/client';
import { formatArea } from '../../measure/format';
import { Choice } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { Facts, Heading, Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';
import { useDesk } from '../store';
import { FillMore } from './FillMore';
import { LawFigures, lawKinds, numbered } from './LawSentence';
import { placedBands } from './placed';
import { BandFoot, FinishChoice, ProfileFigure } from './shared';
import { degrees } from './words';

/** Of a slanted blade, to begin with: shares of its width and depth. */
const blade = [
    [0, 0],
    [0.3, 0],
    [1, 1],
    [0.7, 1],
];

/** A law to begin with, round what they are turned by now; each kind takes of it what it has. */
const begun = (turn: number) => ({
    from: Math.max(-90, turn - 20),
    to: Math.min(90, turn + 20),
    waves: 1,
    phase: 0,
    place: 50,
    width: 40,
    sharpness: 1,
    seed: 1,
    values: [turn - 20, turn, turn + 20],
    points: [
        [0, turn - 20],
        [1, turn + 20],
    ],
    smooth: true,
});

/** A field of battens: what it fills, which way they run, how they are spaced and cut. */
export function FieldCard({ field }: { field: Field }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const tried = useDesk((s) => s.tried);
    const fixed = !data.mayEdit;
    type Args = Omit<EditArgs<'field.change'>, 'id'>;
    const set = (args: Args) => send('field.change', { id: field.id, ...args });
    const choose = (args: Args) => void ask('field.change', { id: field.id, ...args });
    const typed = (key: 'out' | 'wide' | 'deep' | 'web' | 'frameWide' | 'frameDeep') => (text: string) => set({ [key]: text });
    const opening = data.openings.get(field.opening ?? '');
    const screen = data.project.screens.find((s) => s.id === field.screen);
    const placed = tried?.bands.find((b) => b.element === field.id) ?? placedBands(data, field.id)[0]?.placed;
    const said = placed?.said;
    const { battens } = field;
    return (
        <>
            <Heading
                title={field.name}
                note={(said ? `${said.count} ${said.count === 1 ? 'batten' : 'battens'} · ` : '') + filledWords(data, field)}
            />
            {!placed && (
                <p role="alert" className="my-2 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-buoy">
                    It cannot stay as it is: its finding says why.
                </p>
            )}
            <Sentence>
                <Choice
                    label="What its battens are"
                    value={field.shape}
                    options={[
                        { value: 'flat' as const, label: 'Flat battens' },
                        { value: 'round' as const, label: 'Round bars' },
                        { value: 'ellipse' as const, label: 'Elliptical bars' },
                        { value: 'tee' as const, label: 'T sections' },
                        { value: 'drawn' as const, label: 'Drawn sections' },
                    ]}
                    disabled={fixed}
                    onChange={(shape) => choose({ shape, ...(shape === 'drawn' ? { profile: blade } : {}) })}
                />{' '}
                <Figure label="Width" shown={data.length(field.wide)} disabled={fixed} onSend={typed('wide')} />
                {field.shape === 'round' ? (
                    ' thick'
                ) : (
                    <>
                        {' '}
                        wide and <Figure label="Depth" shown={data.length(field.deep)} disabled={fixed} onSend={typed('deep')} /> deep
                    </>
                )}
                {field.shape === 'tee' && (
                    <>
                        , of sheet{' '}
                        <Figure label="Thickness of the T" shown={data.length(field.web)} disabled={fixed} onSend={typed('web')} />
                    </>
                )}
                {field.shape === 'drawn' && (
                    <>
                        , corners at{' '}
                        <ProfileFigure label="Corners of the section" profile={field.profile} onSend={(profile) => set({ profile })} />
                    </>
                )}
                , running{' '}
                <Choice
                    label="Which way they run"
                    value={field.angle === 0 ? 'upright' : Math.abs(field.angle) === 90 ? 'level' : 'angle'}
                    options={[
                        { value: 'upright', label: 'upright' },
                        { value: 'level', label: 'level' },
                        { value: 'angle', label: 'at an angle' },
                    ]}
                    disabled={fixed}
                    onChange={(to) => choose({ angle: to === 'upright' ? 0 : to === 'level' ? 90 : 30 })}
                />
                {field.angle !== 0 && Math.abs(field.angle) !== 90 && (
                    <>
                        {' '}
                        of{' '}
                        <Figure
                            label="Angle from upright"
                            shown={degrees(field.angle)}
                            disabled={fixed}
                            onSend={(text) => numbered(text, (angle) => set({ angle }))}
                        />
                    </>
                )}
                {field.shape !== 'round' && (
                    <>
                        , turned{' '}
                        <Choice
                            label="How they are turned"
                            value={field.turnLaw?.kind ?? 'constant'}
                            options={lawKinds
                                .filter((k) => k.value !== 'combined')
                                .map((k) => (k.value === 'constant' ? { ...k, label: 'all alike' } : k))}
                            disabled={fixed}
                            onChange={(kind) =>
                                choose(kind === 'constant' ? { turn: field.turn } : { turnLaw: { ...begun(field.turn), kind } as never })
                            }
                        />
                        {field.turnLaw ? (
                            <LawFigures
                                law={field.turnLaw}
                                of="turn"
                                name="turn"
                                fixed={fixed}
                                set={(changed) => set({ turnLaw: { ...field.turnLaw, ...changed } as never })}
                            />
                        ) : (
                            <>
                                {' '}
                                by{' '}
                                <Figure
                                    label="Turn"
                                    shown={degrees(field.turn)}
                                    disabled={fixed}
                                    onSend={(text) => numbered(text, (turn) => set({ turn }))}
                                />
                            </>
                        )}
                    </>
                )}
                .
            </Sentence>
            <Sentence>
                <Choice
                    label="How they are spaced"
                    value={battens.by}
                    options={[
                        { value: 'fit', label: 'As many as fit, clear of each other by at least' },
                        { value: 'gap', label: 'Clear of each other by' },
                        { value: 'pitch', label: 'One every' },
                        { value: 'count', label: 'So many:' },
                    ]}
                    disabled={fixed}
                    onChange={(by) => choose({ battens: { by, ...(by === 'count' && said ? { count: said.count } : {}) } })}
                />{' '}
                {battens.by === 'count' ? (
                    <Figure
                        label="Count"
                        shown={String(battens.count)}
                        disabled={fixed}
                        onSend={(text) =>
                            /^\s*\d+\s*$/.test(text)
                                ? set({ battens: { count: Number(text) } })
                                : Promise.resolve(`“${text}” is no whole number.`)
                        }
                    />
                ) : (
                    <Figure
                        label="Spacing"
                        shown={data.length(battens.size)}
                        disabled={fixed}
                        onSend={(text) => set({ battens: { size: text } })}
                    />
                )}
                , with{' '}
                <Choice
                    label="At both ends"
                    value={battens.ends ? 'batten' : 'gap'}
                    options={[
                        { value: 'gap', label: 'a gap' },
                        { value: 'batten', label: 'a batten' },
                    ]}
                    disabled={fixed}
                    onChange={(to) => choose({ battens: { ends: to === 'batten' } })}
                />{' '}
                at both ends
                {battens.by !== 'count' && (
                    <>
                        ; what is left over{' '}
                        <Choice
                            label="What is left over"
                            value={battens.left}
                            options={[
                                { value: 'shared', label: 'is shared by the gaps' },
                                { value: 'start', label: 'lies at the start' },
                                { value: 'end', label: 'lies at the end' },
                                { value: 'both', label: 'lies half at both' },
                            ]}
                            disabled={fixed}
                            onChange={(left) => choose({ battens: { left } })}
                        />
                    </>
                )}
                .
            </Sentence>
            <Sentence>
                Their backs lie <Figure label="Out" shown={data.length(field.out)} disabled={fixed} onSend={typed('out')} /> outside the
                wall’s face (a minus: in the opening or behind it), finished in{' '}
                <FinishChoice finish={field.finish} onChange={(finish) => choose({ finish })} />.
            </Sentence>
            <Sentence>
                {field.frameWide === 0 ? (
                    <>
                        No frame round them; one{' '}
                        <Figure label="Width of the frame" shown="so wide" disabled={fixed} onSend={typed('frameWide')} />
                    </>
                ) : (
                    <>
                        A frame{' '}
                        <Figure
                            label="Width of the frame"
                            shown={data.length(field.frameWide)}
                            disabled={fixed}
                            onSend={typed('frameWide')}
                        />{' '}
                        wide and{' '}
                        <Figure
                            label="Depth of the frame"
                            shown={data.length(field.frameDeep)}
                            disabled={fixed}
                            onSend={typed('frameDeep')}
                        />{' '}
                        deep round them
                    </>
                )}
                .
            </Sentence>
            <p className="text-xs text-quiet">
                {field.shape !== 'flat' || field.turn !== 0
                    ? 'Cut square, as far as all of their width lies within the region.'
                    : 'Cut to the region, also where it slopes or arches.'}
            </p>
            {said && (
                <Facts
                    rows={[
                        ['Clear between two', data.length(Math.round(said.gap * 10) / 10)],
                        ['Shortest, longest', `${data.length(Math.round(said.least))} · ${data.length(Math.round(said.most))}`],
                        ['Together', data.length(Math.round(said.total))],
                        ['Region', formatArea(said.region, data.project.settings.units)],
                        ['Clear of it', `${Math.round(said.clear * 100)} %`],
                    ]}
                />
            )}
            {opening && (
                <button type="button" className="mt-2 min-h-6 text-tide underline" onClick={() => useDesk.getState().choose([opening.id])}>
                    To the opening it fills
                </button>
            )}
            {screen && (
                <button
                    type="button"
                    className="mt-2 min-h-6 text-tide underline"
                    onClick={() => {
                        useDesk.getState().choose([screen.id]);
                        useDesk.setState({ fins: field.cut === null ? [] : [field.cut] });
                    }}
                >
                    {field.cut === null ? 'To the screen it lies over' : 'To the cut-out it fills'}
                </button>
            )}
            <FillMore key={field.id} field={field} />
            <BandFoot id={field.id} name={field.name} what="field" edit="field.remove" onName={(text) => set({ name: text })} />
        </>
    );
}

function filledWords(data: ReturnType<typeof useData>, field: Field): string {
    const opening = data.openings.get(field.opening ?? '');
    if (field.cell !== null) return 'fills a cell of curtain wall';
    if (field.screen !== null) {
        const name = data.project.screens.find((s) => s.id === field.screen)?.name ?? 'a screen';
        return field.cut === null ? `lies over all of ${name}` : `fills cut-out ${field.cut} of ${name}`;
    }
    return field.opening === null ? 'fills a drawn region' : opening ? `fills ${opening.label}` : 'fills an opening';
}
