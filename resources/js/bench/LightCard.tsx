import { useState } from 'react';
import type { Args, BenchLight } from '../api/client';
import { Choice } from '../ui/Choice';
import { Figure } from '../desk/card/Figure';
import { Facts, Heading, Sentence } from '../desk/card/parts';
import { useData } from '../desk/data';
import { formatArea } from '../measure/format';
import { Dividing } from './Dividing';
import { step, useBench } from './draft';
import { operations, sides, styles, ways } from './words';

type Values = Record<string, unknown>;

/** A step for a figure: the reason comes back, to stand at the figure. */
export async function send(name: string, args: Args, field: string): Promise<string | null> {
    if (await step(name, args, `card ${field}`)) return null;
    const message = useBench.getState().wrong?.message ?? 'That cannot be done.';
    useBench.setState({ wrong: null });
    return message;
}

export function LightCard({ lights }: { lights: BenchLight[] }) {
    const data = useData();
    const light = lights[0]!;
    const v = light.values as Values;
    const units = data.project.settings.units;
    const paths = lights.map((l) => l.path);
    const set = (values: Values, field: string) => send('light', { paths, values }, field);
    const fixed = !data.mayEdit;
    const op = light.operation;
    const moves = v.sashFace !== undefined;
    const length = (name: string) => data.length(v[name] as number);
    const figure = (label: string, name: string) => (
        <Figure label={label} shown={length(name)} disabled={fixed} onSend={(text) => set({ [name]: text }, name)} />
    );
    const choice = (label: string, name: string, options: typeof sides, value = v[name] as string) => (
        <Choice
            label={label}
            value={value}
            options={options}
            disabled={fixed}
            onChange={(to) => void step('light', { paths, values: { [name]: to } }, `card ${name}`)}
        />
    );

    return (
        <>
            <Heading
                title={lights.length > 1 ? `${lights.length} lights` : light.label[0]!.toUpperCase() + light.label.slice(1)}
                note={
                    lights.length > 1
                        ? 'What is set here is set in all of them.'
                        : `${data.length(light.box[2]! - light.box[0]!)} × ${data.length(light.box[3]! - light.box[1]!)} between frame and dividers`
                }
            />
            {!fixed && <Dividing paths={paths} lights={lights} />}
            <Sentence>
                It is {choice('Operation', 'operation', operations, op)}
                {v.hinge !== undefined && (
                    <>
                        ,{' '}
                        {op === 'side-hung-pair' || op === 'door-pair'
                            ? 'active leaf on the'
                            : op === 'folding'
                              ? 'folding to the'
                              : 'hung'}{' '}
                        {choice('Hinge side', 'hinge', sides)}
                    </>
                )}
                {v.opens !== undefined && <>, opening</>}
                {v.opens !== undefined && <span className="whitespace-nowrap"> {choice('Opening', 'opens', ways)}.</span>}
                {v.opens === undefined && '.'}
            </Sentence>
            <Moves values={v} op={op} set={set} fixed={fixed} choose={(values) => void step('light', { paths, values }, 'card leaves')} />
            {moves && (
                <Sentence>
                    Stiles {figure('Stiles', 'sashFace')}, top rail {figure('Top rail', 'topRail')}, bottom rail{' '}
                    {figure('Bottom rail', 'bottomRail')}, {figure('Sash depth', 'sashDepth')} deep;{' '}
                    {choice('Leaf style', 'style', styles, (v.style as string) ?? 'glazed')}
                    {v.style === 'panelled' && (
                        <>
                            ,{' '}
                            <Figure
                                label="Panels across"
                                shown={String(v.columns)}
                                disabled={fixed}
                                onSend={(t) => set({ columns: t }, 'columns')}
                            />{' '}
                            × <Figure label="Panels up" shown={String(v.rows)} disabled={fixed} onSend={(t) => set({ rows: t }, 'rows')} />{' '}
                            panels with rails of {figure('Rails between panels', 'innerRail')}
                        </>
                    )}
                    {v.style === 'part-glazed' && (
                        <>
                            , glass from {figure('Glass begins at', 'glazedFrom')} up over a rail of {figure('Middle rail', 'innerRail')}
                        </>
                    )}
                    .
                </Sentence>
            )}
            {op === 'louvre' ? (
                <LouvreWords values={(v.louvre as Values) ?? {}} light={light} set={set} fixed={fixed} />
            ) : (
                op !== 'open' && <Filling values={v} set={set} fixed={fixed} />
            )}
            {lights.length === 1 && (
                <Facts
                    rows={[
                        ['Light', formatArea(light.area, units)],
                        ...light.leaves.map((l, i): [string, string] => [
                            light.leaves.length > 1 ? `Leaf ${i + 1}` : 'Leaf',
                            `${data.length(l.width)} × ${data.length(l.height)} · ${l.weight.toFixed(1)} kg`,
                        ]),
                        ...(light.free.area > 0 && op !== 'louvre'
                            ? ([
                                  ['Clear opening', `${data.length(light.free.width)} × ${data.length(light.free.height)}`],
                                  ['its area · air', `${formatArea(light.free.area, units)} · ${formatArea(light.free.air, units)}`],
                              ] as [string, string][])
                            : []),
                        ...(light.louvre
                            ? ([
                                  ['Blades', `${light.louvre.count} at ${data.length(light.louvre.pitch)}`],
                                  ['Clear gap · free area', `${data.length(light.louvre.gap)} · ${formatArea(light.louvre.free, units)}`],
                              ] as [string, string][])
                            : []),
                    ]}
                />
            )}
        </>
    );
}

type Part = { values: Values; set: (values: Values, field: string) => Promise<string | null>; fixed: boolean };

/** How its leaves move, where there is more to say than the operation. */
function Moves({ values: v, op, set, fixed, choose }: Part & { op: string; choose: (values: Values) => void }) {
    const ajar = (
        <>
            shown{' '}
            <Figure
                label="Shown open"
                shown={`${Math.round(((v.ajar as number) ?? 0) * 100)} %`}
                disabled={fixed}
                onSend={(t) => {
                    const share = Number(t.replace('%', '').replace(',', '.').trim()) / 100;
                    return Number.isFinite(share) ? set({ ajar: share }, 'ajar') : Promise.resolve(`“${t}” is no share: give per cent.`);
                }}
            />{' '}
            open
        </>
    );
    if (v.sashFace === undefined) return null;
    const leaves = v.leaves as string[] | undefined;
    const said: Record<string, string> = { fixed: 'stands', left: 'slides left', right: 'slides right' };
    return (
        <Sentence>
            {leaves && (
                <>
                    Seen from outside,{' '}
                    {leaves.map((leaf, i) => (
                        <span key={i}>
                            leaf {i + 1}{' '}
                            <Choice
                                label={`Leaf ${i + 1}`}
                                value={leaf}
                                disabled={fixed}
                                options={Object.entries(said).map(([value, label]) => ({ value, label }))}
                                onChange={(to) => choose({ leaves: leaves.map((l, j) => (j === i ? to : l)) })}
                            />
                            {i < leaves.length - 1 ? ', ' : ''}
                        </span>
                    ))}
                    ;{' '}
                    <Figure
                        label="Number of leaves"
                        shown={String(leaves.length)}
                        disabled={fixed}
                        onSend={(t) => {
                            const n = Math.round(Number(t));
                            return n >= 1 && n <= 8
                                ? set({ leaves: Array.from({ length: n }, (_, i) => leaves[i] ?? 'left') }, 'leaves')
                                : Promise.resolve('A sliding light has one to eight leaves.');
                        }}
                    />{' '}
                    leaves on{' '}
                    <Figure label="Tracks" shown={String(v.tracks)} disabled={fixed} onSend={(t) => set({ tracks: t }, 'tracks')} />{' '}
                    tracks,{' '}
                </>
            )}
            {op === 'folding' && (
                <>
                    <Figure label="Number of leaves" shown={String(v.folds)} disabled={fixed} onSend={(t) => set({ folds: t }, 'folds')} />{' '}
                    leaves,{' '}
                </>
            )}
            {op === 'vertical-sliding' && (
                <>
                    <Choice
                        label="What moves"
                        value={v.moving as string}
                        disabled={fixed}
                        options={[
                            { value: 'both', label: 'both sashes slide' },
                            { value: 'lower', label: 'the lower sash slides' },
                            { value: 'upper', label: 'the upper sash slides' },
                        ]}
                        onChange={(moving) => choose({ moving })}
                    />
                    , meeting at{' '}
                    <Figure
                        label="Meeting rail at"
                        shown={`${+((v.split as number) * 100).toFixed(1)} %`}
                        disabled={fixed}
                        onSend={(t) => {
                            const share = Number(t.replace('%', '').replace(',', '.').trim()) / 100;
                            return Number.isFinite(share)
                                ? set({ split: share }, 'split')
                                : Promise.resolve(`“${t}” is no share: give per cent.`);
                        }}
                    />{' '}
                    of the height,{' '}
                </>
            )}
            {!leaves && op !== 'vertical-sliding' && (
                <>
                    {op === 'folding' ? 'each turning ' : 'Opens '}
                    <Figure
                        label="Opens to"
                        shown={`${(v.reach as number) ?? { 'top-hung': 45, 'bottom-hung': 30, folding: 85 }[op] ?? 90}°`}
                        disabled={fixed}
                        onSend={(t) => {
                            const degrees = Number(t.replace('°', '').replace(',', '.').trim());
                            return Number.isFinite(degrees) ? set({ reach: degrees }, 'reach') : Promise.resolve(`“${t}” is no angle.`);
                        }}
                    />{' '}
                    at most,{' '}
                </>
            )}
            {ajar}.
        </Sentence>
    );
}

/** Glass and its bars, or a solid infill. */
function Filling({ values: v, set, fixed }: Part) {
    const data = useData();
    const [typed, setTyped] = useState(false);
    const bars = (v.bars as { upright: number; level: number; width: number; onPane?: boolean } | undefined) ?? {
        upright: 0,
        level: 0,
        width: 22,
    };
    const solid = v.solid === true;
    const glazing = (v.glazing as number[] | undefined)?.map((n) => +n.toFixed(2)).join('-') ?? '';
    const setBars = (change: Partial<typeof bars> | Record<string, unknown>) => set({ bars: { ...bars, ...change } }, 'bars');
    return (
        <>
            <Sentence>
                Filled with{' '}
                <Choice
                    label="Filling"
                    value={solid ? 'solid' : 'glass'}
                    disabled={fixed}
                    options={[
                        { value: 'glass', label: 'glass' },
                        { value: 'solid', label: 'a solid infill' },
                    ]}
                    onChange={(to) => void set({ solid: to === 'solid' }, 'solid')}
                />{' '}
                {solid ? (
                    <Figure
                        label="Thickness"
                        shown={data.length(v.glass as number)}
                        disabled={fixed}
                        onSend={(t) => set({ glass: t }, 'glass')}
                    />
                ) : (
                    <Figure
                        label="Panes and gaps"
                        shown={glazing}
                        disabled={fixed}
                        onSend={(t) => set({ glazing: t.split(/[-–/,;\s]+/).filter(Boolean) }, 'glazing')}
                    />
                )}
                {solid ? ' thick' : ' (pane, gap, pane)'}, its outer face{' '}
                {v.glassAt !== undefined || typed ? (
                    <>
                        <Figure
                            label="Glass behind the outer side"
                            shown={v.glassAt === undefined ? 'middle' : data.length(v.glassAt as number)}
                            disabled={fixed}
                            onSend={(t) => {
                                setTyped(false);
                                return set({ glassAt: /^mid/i.test(t.trim()) || t.trim() === '' ? null : t }, 'glassAt');
                            }}
                        />{' '}
                        behind the unit’s
                    </>
                ) : (
                    <button
                        type="button"
                        disabled={fixed}
                        className="rounded-sm border-b border-tide bg-tide-wash px-1 font-semibold hover:text-tide"
                        onClick={() => setTyped(true)}
                    >
                        in the middle
                    </button>
                )}
                .
            </Sentence>
            {!solid && (
                <Sentence>
                    <Figure label="Upright bars" shown={String(bars.upright)} disabled={fixed} onSend={(t) => setBars({ upright: t })} />{' '}
                    upright and{' '}
                    <Figure label="Level bars" shown={String(bars.level)} disabled={fixed} onSend={(t) => setBars({ level: t })} /> level
                    bars
                    {bars.upright + bars.level > 0 && (
                        <>
                            ,{' '}
                            <Figure
                                label="Width of bars"
                                shown={data.length(bars.width)}
                                disabled={fixed}
                                onSend={(t) => setBars({ width: t })}
                            />{' '}
                            wide,{' '}
                            <Choice
                                label="Bars"
                                value={bars.onPane ? 'on' : 'in'}
                                disabled={fixed}
                                options={[
                                    { value: 'in', label: 'dividing the glass' },
                                    { value: 'on', label: 'on the pane' },
                                ]}
                                onChange={(to) => void setBars({ onPane: to === 'on' })}
                            />
                        </>
                    )}
                    .
                </Sentence>
            )}
        </>
    );
}

function LouvreWords({ values: l, light, set, fixed }: Part & { light: BenchLight }) {
    const data = useData();
    const change = (values: Values, field: string) => set({ louvre: values }, field);
    const length = (label: string, name: string) => (
        <Figure label={label} shown={data.length(l[name] as number)} disabled={fixed} onSend={(t) => change({ [name]: t }, name)} />
    );
    return (
        <Sentence>
            <Choice
                label="Blade profile"
                value={l.profile as string}
                disabled={fixed}
                options={[
                    { value: 'flat', label: 'Flat' },
                    { value: 'z', label: 'Slanted Z' },
                    { value: 'ellipse', label: 'Elliptical' },
                ]}
                onChange={(profile) => void change({ profile }, 'profile')}
            />{' '}
            blades {length('Blade depth', 'chord')} deep and {length('Blade thickness', 'thickness')} thick at{' '}
            <Figure
                label="Blade angle"
                shown={`${l.angle as number}°`}
                disabled={fixed}
                onSend={(t) => change({ angle: Number(t.replace('°', '').replace(',', '.')) }, 'angle')}
            />
            ,{' '}
            {l.count !== undefined ? (
                <>
                    <Figure
                        label="Number of blades"
                        shown={String(l.count)}
                        disabled={fixed}
                        onSend={(t) => change({ count: t }, 'count')}
                    />{' '}
                    of them evenly
                </>
            ) : (
                <>as many as fit at {length('Pitch', 'pitch')}</>
            )}{' '}
            <Choice
                label="Blades by"
                value={l.count !== undefined ? 'count' : 'pitch'}
                disabled={fixed}
                options={[
                    { value: 'pitch', label: '(by pitch)' },
                    { value: 'count', label: '(by number)' },
                ]}
                onChange={(to) =>
                    void change(to === 'count' ? { count: light.louvre?.count ?? 5 } : { pitch: light.louvre?.pitch ?? 75 }, 'pitch')
                }
            />
            , in a frame of {length('Louvre frame', 'face')}.
        </Sentence>
    );
}
