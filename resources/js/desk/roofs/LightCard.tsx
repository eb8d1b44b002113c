import type { EditArgs, Roof, Rooflight } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { Facts, Heading, Sentence, useAsk, useSend } from '../card/parts';
import { PartsFoot } from '../curtain/PartsFoot';
import { useData } from '../data';
import { useDesk } from '../store';
import { lightParts, nextOf, removeLights } from './lights';

/** Rooflights that are chosen of a roof: the figures of one, and what is done to all of them. */
export function LightCard({ roof, lights }: { roof: Roof; lights: Rooflight[] }) {
    const data = useData();
    const ask = useAsk();
    const one = lights.length === 1 ? lights[0]! : null;
    const over = one ? (data.frontageOf.get(one.wall)?.name ?? 'a wall') : '';
    const again = () => {
        const n = nextOf(data, roof.id);
        void ask('roof.light', { id: roof.id, copy: one!.n }).then((done) => done && useDesk.setState({ chosen: [roof.id], fins: [n] }));
    };
    return (
        <>
            <Heading
                title={one ? `Rooflight ${one.n} of ${roof.name}` : `${lights.length} rooflights of ${roof.name}`}
                note={one ? `in the face over ${over}` : 'Click with Shift for one more or one less'}
            />
            {one && one.rings.length === 0 && (
                <p role="alert" className="my-2 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-buoy">
                    It cannot stand as it is: its finding says why.
                </p>
            )}
            {one && <Words roof={roof} light={one} />}
            {data.mayEdit && (
                <div className="mt-3 flex flex-wrap gap-1.5 border-t border-hairline pt-2">
                    {one && (
                        <Button small onClick={again}>
                            {one.count === 1 ? 'One more beside it' : 'The row once more beside it'}
                        </Button>
                    )}
                    <Button
                        small
                        look="danger"
                        onClick={() =>
                            removeLights(
                                data,
                                roof.id,
                                lights.map((l) => l.n),
                            )
                        }
                    >
                        {one ? 'Remove' : 'Remove them'} <kbd className="font-sans text-[11px]">Delete</kbd>
                    </Button>
                </div>
            )}
            <PartsFoot
                parts={lightParts(
                    roof.id,
                    lights.map((l) => l.n),
                )}
                what={one ? `rooflight ${one.n} of ${roof.name}` : `${lights.length} rooflights of ${roof.name}`}
            />
            <button type="button" className="mt-3 min-h-6 text-tide underline" onClick={() => useDesk.setState({ fins: [] })}>
                The whole roof
            </button>
        </>
    );
}

function Words({ roof, light }: { roof: Roof; light: Rooflight }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const fixed = !data.mayEdit;
    type Args = Omit<EditArgs<'roof.light'>, 'id' | 'n'>;
    const set = (args: Args) => send('roof.light', { id: roof.id, n: light.n, ...args });
    const typed = (key: 'width' | 'height' | 'along' | 'rise' | 'gap' | 'proud') => (text: string) => set({ [key]: text });
    const many = (text: string) =>
        /^\s*\d+\s*$/.test(text) ? set({ count: Number(text) }) : Promise.resolve('How many is a whole number.');
    const choose = (args: Args) => void ask('roof.light', { id: roof.id, n: light.n, ...args });
    return (
        <>
            <Sentence>
                <Choice
                    label="Unit of the rooflight"
                    value={light.type}
                    options={data.project.types.filter((t) => !t.door).map((t) => ({ value: t.id, label: `${t.mark} ${t.name}` }))}
                    disabled={fixed}
                    onChange={(type) => choose({ type })}
                />
                , <Figure label="Width" shown={data.length(light.width)} disabled={fixed} onSend={typed('width')} /> wide and{' '}
                <Figure label="Height" shown={data.length(light.height)} disabled={fixed} onSend={typed('height')} /> high up the slope,{' '}
                <Figure label="How many" shown={String(light.count)} disabled={fixed} onSend={many} /> in a row
                {light.count > 1 && (
                    <>
                        , <Figure label="Gap" shown={data.length(light.gap)} disabled={fixed} onSend={typed('gap')} /> apart
                    </>
                )}
                .
            </Sentence>
            <Sentence>
                <Figure label="Along" shown={data.length(light.along)} disabled={fixed} onSend={typed('along')} />{' '}
                {light.from === 'middle' ? 'right of' : 'from'}{' '}
                <Choice
                    label="Along, from"
                    value={light.from}
                    options={[
                        { value: 'left', label: 'the left end of the eaves' },
                        { value: 'middle', label: 'the middle of the eaves' },
                        { value: 'right', label: 'the right end of the eaves' },
                    ]}
                    disabled={fixed}
                    onChange={(from) => choose({ from })}
                />
                {light.from === 'middle' ? '; a minus is left of it.' : ', as seen from outside.'}
            </Sentence>
            <Sentence>
                <Figure label="Up" shown={data.length(light.rise)} disabled={fixed} onSend={typed('rise')} />{' '}
                <Choice
                    label="Up, measured"
                    value={light.level ? 'level' : 'slope'}
                    options={[
                        { value: 'slope', label: 'along the slope' },
                        { value: 'level', label: 'level' },
                    ]}
                    disabled={fixed}
                    onChange={(to) => choose({ level: to === 'level' })}
                />{' '}
                <Choice
                    label="Up, from"
                    value={light.up}
                    options={[
                        { value: 'eaves', label: 'from the eaves up to its foot' },
                        { value: 'middle', label: 'over the middle of the slope' },
                        { value: 'ridge', label: 'from the highest line down to its head' },
                    ]}
                    disabled={fixed}
                    onChange={(up) => choose({ up })}
                />
                .
            </Sentence>
            <Sentence>
                Its outer side stands <Figure label="Proud" shown={data.length(light.proud)} disabled={fixed} onSend={typed('proud')} /> out
                of the roof’s upper side.
            </Sentence>
            {light.foot !== null && (
                <Facts
                    rows={[
                        ['Level of its foot', data.length(light.foot)],
                        ['Level of its head', data.length(light.head!)],
                    ]}
                />
            )}
        </>
    );
}
