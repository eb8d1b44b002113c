import type { EditArgs, Screen, ScreenPart } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { cutOutActions } from '../actions';
import { Figure } from '../card/Figure';
import { ActionRow, Heading, Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';
import { useDesk } from '../store';
import { Arranging } from './Arranging';
import { PartPlace } from './PartPlace';

type Shape = NonNullable<EditArgs<'screen.draw'>['shape']>;

/** Cut-outs and pieces that are chosen of a screen: figures of one, and what is done to all of them. */
export function ChosenParts({ screen, parts }: { screen: Screen; parts: ScreenPart[] }) {
    const data = useData();
    const ask = useAsk();
    const one = parts.length === 1 ? parts[0]! : null;
    const numbers = parts.map((p) => p.n);
    const words = one ? (one.cut ? 'Cut-out' : 'Piece') : parts.every((p) => p.cut) ? 'cut-outs' : 'pieces and cut-outs';
    return (
        <>
            <Heading
                title={one ? `${words} ${one.n} of ${screen.name}` : `${parts.length} ${words} of ${screen.name}`}
                note={one?.says ?? 'Click with Shift for one more or one less'}
            />
            <ActionRow actions={cutOutActions(data)} />
            {one && <PartFigures screen={screen} part={one} />}
            {one?.cut && one.shape.form === 'rectangle' && !one.shape.radius && <UnitIn screen={screen} part={one} />}
            {data.mayEdit && (
                <>
                    <Arranging screen={screen} parts={parts} />
                    <div className="mt-3 flex flex-wrap gap-1.5 border-t border-hairline pt-2">
                        {one?.cut && one.shape.form !== 'whole' && <FillCut screen={screen} part={one} />}
                        <Button
                            small
                            look="danger"
                            onClick={() =>
                                void ask('screen.take-out', { id: screen.id, parts: numbers }).then(
                                    (done) => done && useDesk.setState({ fins: [] }),
                                )
                            }
                        >
                            {one ? (one.cut ? 'Close the cut-out' : 'Remove the piece') : 'Take them out'}
                        </Button>
                    </div>
                </>
            )}
            <button type="button" className="mt-3 min-h-6 text-tide underline" onClick={() => useDesk.setState({ fins: [] })}>
                The whole screen
            </button>
        </>
    );
}

/** What of a shape is a figure, each a field. */
function PartFigures({ screen, part }: { screen: Screen; part: ScreenPart }) {
    const data = useData();
    const send = useSend();
    const fixed = !data.mayEdit;
    const { shape } = part;
    const set = (to: Shape) => send('screen.draw', { id: screen.id, n: part.n, shape: to });
    const figure = (label: string, key: 'u' | 'v' | 'width' | 'height' | 'radius' | 'grow') => (
        <Figure
            label={label}
            shown={data.length(shape[key] ?? 0)}
            disabled={fixed}
            onSend={(text) => set({ form: shape.form, [key]: text } as Shape)}
        />
    );
    const grown = <>; its sides moved outward by {figure('Moved outward', 'grow')}</>;
    const storey = data.storeys.get(screen.storey)?.name ?? 'its storey';
    if (shape.form === 'openings')
        return (
            <Sentence>
                Round {shape.around?.length ?? 0} {shape.around?.length === 1 ? 'opening' : 'openings'} and with them, clear of them by{' '}
                {figure('Clear of them', 'grow')}.
            </Sentence>
        );
    if (shape.form === 'whole')
        return (
            <Sentence>
                Over the whole width, its foot {figure('Foot', 'v')} over {storey}, {figure('Height', 'height')} high.
            </Sentence>
        );
    if (shape.form === 'polygon')
        return (
            <>
                <Sentence>
                    Its corners lie at{' '}
                    <Figure
                        label="Corners"
                        shown={(shape.points ?? []).map((p) => p.filter((c, i) => i < 2 || c !== 0).join(' ')).join('; ')}
                        disabled={fixed}
                        onSend={(text) =>
                            set({
                                form: 'polygon',
                                points: text.split(';').map((p) => p.trim().split(/\s+/)),
                            } as Shape)
                        }
                    />
                    , rounded by {figure('Radius of its corners', 'radius')}
                    {grown}.
                </Sentence>
                <p className="text-xs text-quiet">
                    Along the wall from its left end and up from {storey}; a third figure is how far the side from there bulges.
                </p>
            </>
        );
    return (
        <Sentence>
            <PartPlace screen={screen} part={part} />;{' '}
            {shape.form === 'round' ? (
                <>round, {figure('Diameter', 'width')} across</>
            ) : (
                <>
                    {figure('Width', 'width')} wide and {figure('Height', 'height')} high, its corners rounded by{' '}
                    {figure('Radius of its corners', 'radius')}
                </>
            )}
            {grown}.
        </Sentence>
    );
}

/** The unit of the rack that fills a cut-out, or none. */
function UnitIn({ screen, part }: { screen: Screen; part: ScreenPart }) {
    const data = useData();
    const ask = useAsk();
    const fill = (to: { type: string | null; mirrored?: boolean }) => void ask('screen.draw', { id: screen.id, n: part.n, ...to });
    return (
        <Sentence>
            Filled with{' '}
            <Choice
                label="Unit in it"
                value={part.type ?? 'none'}
                options={[
                    { value: 'none', label: 'no unit' },
                    ...data.project.types.map((t) => ({ value: t.id, label: `${t.mark} ${t.name}` })),
                ]}
                disabled={!data.mayEdit}
                onChange={(to) => fill({ type: to === 'none' ? null : to })}
            />
            {part.type !== null && (
                <>
                    ,{' '}
                    <Choice
                        label="Which way round"
                        value={part.mirrored ? 'mirrored' : 'plain'}
                        options={[
                            { value: 'plain', label: 'as at the bench' },
                            { value: 'mirrored', label: 'mirrored' },
                        ]}
                        disabled={!data.mayEdit}
                        onChange={(to) => fill({ type: part.type, mirrored: to === 'mirrored' })}
                    />
                </>
            )}
            .
        </Sentence>
    );
}

/** The field of battens that fills a cut-out, or a first one. */
function FillCut({ screen, part }: { screen: Screen; part: ScreenPart }) {
    const data = useData();
    const field = data.project.fields.find((f) => f.screen === screen.id && f.cut === part.n);
    if (field)
        return (
            <Button small onClick={() => useDesk.getState().choose([field.id])}>
                To {field.name}, which fills it
            </Button>
        );
    return (
        <Button
            small
            onClick={() =>
                void data.edit(
                    'field.fill',
                    {
                        screen: screen.id,
                        cut: part.n,
                        angle: 90,
                        wide: '40 mm',
                        deep: '20 mm',
                        battens: { by: 'fit', size: '40 mm' },
                    },
                    { choose: (o) => o.chosen },
                )
            }
        >
            Slats in it
        </Button>
    );
}
