import { useEffect, useState } from 'react';
import type { Band, EditArgs } from '../../api/client';
import { formatArea } from '../../measure/format';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { Facts, Heading, Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';
import { BandFoot, FinishChoice, ProfileFigure } from './shared';
import { useDesk, type Driven } from '../store';
import { ArrangeBands } from './ArrangeBands';
import { CarryWords } from './CarryWords';
import { ChosenPieces } from './ChosenPieces';
import { LawSentence } from './LawSentence';
import { layersOf } from './placed';
import { SpacedWords } from './SpacedWords';
import { drives, said } from './words';

const order: Driven[] = ['reach', 'thickness', 'length', 'turn', 'lean'];

/** A band of fins or tubes: where it runs, how far apart its pieces stand, and the law of each of their sizes. */
export function BandCard({ band }: { band: Band }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const fins = useDesk((s) => s.fins);
    const fixed = !data.mayEdit;
    const set = (args: Omit<EditArgs<'band.change'>, 'ids'>) => send('band.change', { ids: [band.id], ...args });
    const choose = (args: Omit<EditArgs<'band.change'>, 'ids'>) => void ask('band.change', { ids: [band.id], ...args });
    const outline = data.project.outlines.find((o) => o.id === band.outline);
    const driven = useDesk((s) => s.driven);
    // a tube is as deep as it is thick
    const sizes = order.filter((of) => of !== 'reach' || band.shape !== 'round' || band.stand === 'reaching');
    const varied = sizes.find((of) => band.laws[of]?.kind !== 'constant') ?? sizes[0]!;
    const [begun, setBegun] = useState(false);
    // the curve that is looked at first is of what a law drives
    useEffect(() => {
        if (begun && sizes.includes(driven)) return;
        setBegun(true);
        useDesk.setState({ driven: varied });
    }, [begun, sizes, driven, varied]);
    const spread = band.spread[driven] ?? [0, 0];
    return (
        <>
            <Heading
                title={band.name}
                note={
                    `${band.count} ${band.count === 1 ? 'piece' : 'pieces'}` +
                    (outline ? ` · along ${outline.name}` : ' · along a line of its own') +
                    `, ${data.length(band.run)} ${outline?.closed && band.walls.length === 0 ? 'round' : 'long'}`
                }
            />
            {band.why && (
                <p role="alert" className="my-2 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-buoy">
                    {band.why}
                </p>
            )}
            {fins.length > 0 && <ChosenPieces band={band} pieces={fins} />}
            <Sentence>
                <Choice
                    label="What its pieces are"
                    value={band.shape}
                    options={[
                        { value: 'flat', label: 'Flat fins' },
                        { value: 'round', label: 'Round tubes' },
                        { value: 'ellipse', label: 'Elliptical fins' },
                        { value: 'drawn', label: 'Fins of a drawn section' },
                    ]}
                    disabled={fixed}
                    // a drawn one begins as a blade with its point in front
                    onChange={(shape) => choose({ shape, ...(shape === 'drawn' && band.profile.length === 0 ? { profile: BLADE } : {}) })}
                />
                ,{' '}
                <Choice
                    label="Which way they run"
                    value={band.stand}
                    options={[
                        { value: 'standing', label: 'standing' },
                        { value: 'lying', label: 'lying along the line' },
                        { value: 'reaching', label: 'reaching out' },
                    ]}
                    disabled={fixed}
                    onChange={(stand) => choose({ stand })}
                />
                , <SpacedWords band={band} />
            </Sentence>
            {band.shape === 'drawn' && (
                <Sentence>
                    Its corners, in % of thickness and reach:{' '}
                    <ProfileFigure label="Corners of the section" profile={band.profile} onSend={(profile) => set({ profile })} />
                </Sentence>
            )}
            <Sentence>
                Their backs stand{' '}
                <Figure label="Gap" shown={data.length(band.gap)} disabled={fixed} onSend={(text) => set({ gap: text })} /> before the{' '}
                {outline ? 'wall' : 'line'}, their feet{' '}
                <Figure label="Foot" shown={data.length(band.foot)} disabled={fixed} onSend={(text) => set({ foot: text })} /> over the
                floor of{' '}
                <Choice
                    label="Storey"
                    value={band.storey}
                    options={data.project.storeys.map((s) => ({ value: s.id, label: s.name }))}
                    disabled={fixed}
                    onChange={(storey) => choose({ storey })}
                />
                .
            </Sentence>
            {sizes.map((of) => (
                <LawSentence key={of} band={band} of={of} />
            ))}
            <Sentence>
                Finished in <FinishChoice finish={band.finish} onChange={(finish) => choose({ finish })} />.
            </Sentence>
            {outline && <WallsWords band={band} />}
            {!outline && !fixed && (
                <Button small onClick={() => choose({ turned: true })}>
                    Turn its outside round
                </Button>
            )}
            <Facts
                rows={[
                    ['Together', `${data.length(Math.round(band.total))} · ${formatArea(band.area, data.project.settings.units)}`],
                    [`Least, greatest ${drives[driven].name}`, `${said(data, driven, spread[0]!)} · ${said(data, driven, spread[1]!)}`],
                    ['Pinned or left out by hand', band.pinned.length],
                ]}
            />
            {data.mayEdit && <CarryWords band={band} />}
            <ArrangeBands bands={layersOf(data).filter((l) => l.id === band.id)} />
            <BandFoot id={band.id} name={band.name} what="band" edit="band.remove" onName={(text) => set({ name: text })} />
        </>
    );
}

const BLADE = [
    [0, 0],
    [1, 0],
    [0.6, 1],
    [0.4, 1],
];

/** Before which walls of its outline it runs. */
function WallsWords({ band }: { band: Band }) {
    const data = useData();
    const ask = useAsk();
    const walls = data.project.walls.filter((w) => w.outline === band.outline);
    const all = band.walls.length === 0;
    const on = new Set(all ? walls.map((w) => w.id) : band.walls);
    const toggle = (id: string) => {
        const next = walls.map((w) => w.id).filter((w) => (w === id ? !on.has(w) : on.has(w)));
        if (next.length > 0) void ask('band.change', { ids: [band.id], walls: next.length === walls.length ? [] : next });
    };
    return (
        <fieldset className="my-2">
            <legend className="text-quiet">It runs before</legend>
            <div className="flex flex-wrap gap-x-3 gap-y-1">
                {walls.map((w, i) => (
                    <label key={w.id} className="inline-flex min-h-6 items-center gap-1">
                        <input type="checkbox" checked={on.has(w.id)} disabled={!data.mayEdit} onChange={() => toggle(w.id)} />
                        {data.frontageOf.get(w.id)?.name ?? `wall ${i + 1}`}
                    </label>
                ))}
            </div>
        </fieldset>
    );
}
