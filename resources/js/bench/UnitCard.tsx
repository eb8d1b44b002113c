import { useState } from 'react';
import { api, type Args } from '../api/client';
import { Choice } from '../ui/Choice';
import { Figure } from '../desk/card/Figure';
import { Heading, Sentence } from '../desk/card/parts';
import { useData } from '../desk/data';
import { rename, step, useBench } from './draft';
import { Finishes } from './Finishes';
import { send } from './LightCard';
import { outlines } from './words';

type Stretch = { length?: number; share?: number; rise?: number; angle?: number };
type Outline = { kind: string; form?: string; rise?: number; riseShare?: number; head?: Stretch[]; sill?: Stretch[]; corners?: Args[] };
type Frame = {
    jamb?: number;
    left?: number;
    right?: number;
    head: number;
    sill: number;
    depth: number;
    mitred?: boolean;
    cill?: { projection: number; height: number; horns: number };
    trim?: { face: number; proud: number; outside: boolean; inside: boolean };
};

/** The unit as a whole: outline, frame, cill and trim, finishes, how it is measured and how far it may be stretched. */
export function UnitCard() {
    const data = useData();
    const draft = useBench((b) => b.draft)!;
    const tree = draft.tree as { outline?: Outline; frame: Frame; measure?: string; setback?: number; limits?: Record<string, number> };
    const frame = tree.frame;
    const fixed = !data.mayEdit;
    const jamb = frame.jamb ?? frame.left ?? 0;
    const split = frame.jamb === undefined;
    const face = (label: string, name: string, value: number) => (
        <Figure label={label} shown={data.length(value)} disabled={fixed} onSend={(t) => send('frame', { values: { [name]: t } }, name)} />
    );
    return (
        <>
            <Heading title="The unit" note="Choose a light in the drawing to divide it or say how it opens." />
            <OutlineWords outline={tree.outline ?? { kind: 'rectangle' }} fixed={fixed} />
            <Sentence>
                Frame{' '}
                {split ? (
                    <>
                        {face('Left jamb', 'left', frame.left ?? 0)} left, {face('Right jamb', 'right', frame.right ?? 0)} right
                    </>
                ) : (
                    <>{face('Jambs', 'jamb', jamb)} at the jambs</>
                )}
                , {face('Head', 'head', frame.head)} at the head, {face('Sill', 'sill', frame.sill)} at the sill (0 for none), {face('Frame depth', 'depth', frame.depth)} deep;{' '}
                <span className="whitespace-nowrap">
                    <Choice
                        label="Corners"
                        value={frame.mitred ? 'mitred' : 'through'}
                        disabled={fixed}
                        options={[
                            { value: 'through', label: 'jambs run through' },
                            { value: 'mitred', label: 'corners mitred' },
                        ]}
                        onChange={(to) => void step('frame', { values: { mitred: to === 'mitred' } }, 'card mitred')}
                    />
                    .
                </span>{' '}
                {!fixed && (
                    <button
                        type="button"
                        className="text-tide underline"
                        onClick={() => void step('frame', { values: split ? { jamb } : { left: jamb, right: jamb } }, 'card jamb')}
                    >
                        {split ? 'Jambs alike' : 'Jambs of their own'}
                    </button>
                )}
            </Sentence>
            <Sentence>
                Sizes of parts run{' '}
                <Choice
                    label="Sizes run"
                    value={tree.measure ?? 'faces'}
                    disabled={fixed}
                    options={[
                        { value: 'centres', label: 'to centre lines' },
                        { value: 'faces', label: 'clear between faces' },
                    ]}
                    onChange={(to) => void step('measure', { to }, 'card measure')}
                />
                . In a wall it stands{' '}
                <Figure
                    label="Behind the outer face"
                    shown={tree.setback === undefined ? 'as is usual' : data.length(tree.setback)}
                    disabled={fixed}
                    onSend={(t) => send('frame', { values: { setback: /^(as|usual)?/i.exec(t.trim())?.[0] || t.trim() === '' ? null : t } }, 'setback')}
                />{' '}
                behind the outer face, its sill{' '}
                <Figure
                    label="Usual sill"
                    shown={data.length(draft.sill)}
                    disabled={fixed}
                    onSend={async (t) => {
                        const read = await readLength(data.project.settings.units, t);
                        if (typeof read === 'string') return read;
                        rename({ sill: read });
                        return null;
                    }}
                />{' '}
                over the floor.
            </Sentence>
            <Cill frame={frame} fixed={fixed} />
            <Trim frame={frame} fixed={fixed} />
            <Limits limits={tree.limits ?? {}} fixed={fixed} />
            <Finishes />
        </>
    );
}

async function readLength(units: 'mm' | 'm' | 'ft-in', text: string): Promise<number | string> {
    try {
        return (await api.readLength(text, units)).mm;
    } catch (problem) {
        return (problem as Error).message;
    }
}

function OutlineWords({ outline, fixed }: { outline: Outline; fixed: boolean }) {
    const data = useData();
    const { width, height } = useBench((b) => b.draft)!;
    const kind =
        outline.kind === 'arch'
            ? outline.form!
            : outline.kind === 'profile' && (outline.sill ?? []).length === 0
              ? outline.head!.length === 1
                  ? 'sloped'
                  : isGable(outline.head!)
                    ? 'gable'
                    : 'profile'
              : outline.kind;
    const [shown, setShown] = useState(kind);
    const rise = Math.round(Math.min(height * 0.15, width * 0.3) / 10) * 10;
    const made: Record<string, Outline> = {
        rectangle: { kind: 'rectangle' },
        sloped: { kind: 'profile', head: [{ share: 1, rise }], sill: [] },
        gable: {
            kind: 'profile',
            head: [
                { share: 1, rise },
                { share: 1, rise: -rise },
            ],
            sill: [],
        },
        profile: {
            kind: 'profile',
            head: [
                { share: 1, rise: 0 },
                { share: 1, rise },
                { share: 1, rise: 0 },
            ],
            sill: [],
        },
        segmental: { kind: 'arch', form: 'segmental', riseShare: 0.2 },
        semicircular: { kind: 'arch', form: 'semicircular' },
        pointed: { kind: 'arch', form: 'pointed' },
        elliptical: { kind: 'arch', form: 'elliptical', riseShare: 0.3 },
        round: { kind: 'round' },
        polygon: {
            kind: 'polygon',
            corners: [
                { x: 0.25, y: 0 },
                { x: 0.75, y: 0 },
                { x: 1, y: 0.5 },
                { x: 0.75, y: 1 },
                { x: 0.25, y: 1 },
                { x: 0, y: 0.5 },
            ],
        },
    };
    const set = (o: Outline) => send('outline', { outline: o }, 'outline');
    const side = (name: 'head' | 'sill') => (outline[name] ?? []) as Stretch[];
    const stretches = (name: 'head' | 'sill') =>
        side(name).map((s, i) => (
            <li key={`${name} ${i}`} className="flex items-baseline gap-1.5">
                <span className="w-12 shrink-0 text-quiet">
                    {name} {i + 1}
                </span>
                <Figure
                    label={`Length of ${name} stretch ${i + 1}`}
                    shown={s.length === undefined ? 'rest' : data.length(s.length)}
                    disabled={fixed}
                    onSend={(t) => send('stretch', /^rest$|^$/i.test(t.trim()) ? { side: name, index: i, share: 1 } : { side: name, index: i, length: t }, 'stretch')}
                />{' '}
                long, rising{' '}
                <Figure
                    label={`Rise of ${name} stretch ${i + 1}`}
                    shown={s.angle !== undefined ? `${s.angle}°` : data.length(s.rise ?? 0)}
                    disabled={fixed}
                    onSend={(t) => send('stretch', t.includes('°') ? { side: name, index: i, angle: t } : { side: name, index: i, rise: t }, 'stretch')}
                />
                {!fixed && side(name).length > 1 && (
                    <button
                        type="button"
                        aria-label={`Remove ${name} stretch ${i + 1}`}
                        className="px-1 text-quiet hover:text-buoy"
                        onClick={() => void set({ ...outline, [name]: side(name).filter((_, j) => j !== i) })}
                    >
                        ×
                    </button>
                )}
            </li>
        ));
    return (
        <>
            <Sentence>
                Its outline is{' '}
                <Choice
                    label="Outline"
                    value={shown === kind || kind === 'profile' ? kind : shown}
                    disabled={fixed}
                    options={outlines}
                    onChange={(to) => {
                        setShown(to);
                        void send('outline', { outline: made[to], ...(to === 'round' ? { height: width } : {}) }, 'outline').then((why) => {
                            if (why) useBench.setState({ wrong: { field: 'card outline', message: why, path: null } });
                        });
                    }}
                />
                {outline.kind === 'arch' && outline.form !== 'semicircular' && (
                    <>
                        {' '}
                        that rises{' '}
                        <Figure
                            label="Rise of the arch"
                            shown={outline.rise !== undefined ? data.length(outline.rise) : `${+((outline.riseShare ?? 0) * 100).toFixed(2)} %`}
                            disabled={fixed}
                            onSend={(t) =>
                                set({
                                    kind: 'arch',
                                    form: outline.form,
                                    ...(t.includes('%') ? { riseShare: Number(t.replace('%', '').replace(',', '.')) / 100 } : { rise: t as unknown as number }),
                                })
                            }
                        />
                        {outline.rise !== undefined ? ', whatever its width' : ' of its width'}
                    </>
                )}
                .
            </Sentence>
            {outline.kind === 'profile' && (
                <div className="mb-2 border-l-2 border-hairline pl-2">
                    <ul className="space-y-1">
                        {stretches('head')}
                        {stretches('sill')}
                    </ul>
                    {!fixed && (
                        <p className="mt-1 flex gap-3 text-xs">
                            <button type="button" className="text-tide underline" onClick={() => void set({ ...outline, head: [...side('head'), { share: 1, rise: 0 }] })}>
                                Add to the head
                            </button>
                            <button
                                type="button"
                                className="text-tide underline"
                                onClick={() => void set({ ...outline, sill: [...side('sill'), { share: 1, rise: side('sill').length === 0 ? 0 : 100 }] })}
                            >
                                Add to the sill
                            </button>
                        </p>
                    )}
                    <p className="mt-1 text-xs text-quiet">Type a rise, or an angle with its °. A length of 0 is a step; “rest” takes what is left.</p>
                </div>
            )}
            {outline.kind === 'polygon' && <Corners outline={outline} fixed={fixed} set={set} />}
        </>
    );
}

const isGable = (head: Stretch[]) =>
    head.length === 2 && head[0]!.length === undefined && head[1]!.length === undefined && (head[0]!.rise ?? head[0]!.angle ?? 0) === -(head[1]!.rise ?? head[1]!.angle ?? 0);

/** Corners of a free polygon, each by its share of the width and the height. */
function Corners({ outline, fixed, set }: { outline: Outline; fixed: boolean; set: (o: Outline) => Promise<string | null> }) {
    const corners = (outline.corners ?? []) as { x: number; y: number; xFrom?: string; yFrom?: string }[];
    const data = useData();
    const shown = (value: number, from: string | undefined) => (from === undefined || from === 'share' ? `${+(value * 100).toFixed(2)} %` : data.length(value));
    const change = (i: number, axis: 'x' | 'y', text: string) => {
        const share = text.includes('%') ? Number(text.replace('%', '').replace(',', '.')) / 100 : null;
        const from = axis === 'x' ? 'xFrom' : 'yFrom';
        const was = corners[i]![from];
        const kept = was === undefined || was === 'share' ? (axis === 'x' ? 'left' : 'sill') : was;
        return set({ kind: 'polygon', corners: corners.map((c, j) => (j === i ? { ...c, [axis]: share ?? text, [from]: share === null ? kept : 'share' } : c)) });
    };
    return (
        <ol className="mb-2 space-y-1 border-l-2 border-hairline pl-2">
            {corners.map((c, i) => (
                <li key={i} className="flex items-baseline gap-1.5">
                    <span className="w-4 text-quiet">{i + 1}</span>
                    <Figure label={`Corner ${i + 1} across`} shown={shown(c.x, c.xFrom)} disabled={fixed} onSend={(t) => change(i, 'x', t)} /> across,{' '}
                    <Figure label={`Corner ${i + 1} up`} shown={shown(c.y, c.yFrom)} disabled={fixed} onSend={(t) => change(i, 'y', t)} /> up
                    {!fixed && (
                        <>
                            <button
                                type="button"
                                aria-label={`Add a corner after ${i + 1}`}
                                className="px-1 text-quiet hover:text-tide"
                                onClick={() => {
                                    const next = corners[(i + 1) % corners.length]!;
                                    void set({ kind: 'polygon', corners: [...corners.slice(0, i + 1), { x: (c.x + next.x) / 2, y: (c.y + next.y) / 2 }, ...corners.slice(i + 1)] });
                                }}
                            >
                                +
                            </button>
                            {corners.length > 3 && (
                                <button
                                    type="button"
                                    aria-label={`Remove corner ${i + 1}`}
                                    className="px-1 text-quiet hover:text-buoy"
                                    onClick={() => void set({ kind: 'polygon', corners: corners.filter((_, j) => j !== i) })}
                                >
                                    ×
                                </button>
                            )}
                        </>
                    )}
                </li>
            ))}
        </ol>
    );
}

function Cill({ frame, fixed }: { frame: Frame; fixed: boolean }) {
    const data = useData();
    const c = frame.cill;
    const set = (change: Args) => send('frame', { values: { cill: { ...c, ...change } } }, 'cill');
    return (
        <Sentence>
            {c ? (
                <>
                    A cill <Figure label="Cill height" shown={data.length(c.height)} disabled={fixed} onSend={(t) => set({ height: t })} /> high stands{' '}
                    <Figure label="Cill projection" shown={data.length(c.projection)} disabled={fixed} onSend={(t) => set({ projection: t })} /> out of the wall, with horns of{' '}
                    <Figure label="Cill horns" shown={data.length(c.horns)} disabled={fixed} onSend={(t) => set({ horns: t })} />.{' '}
                </>
            ) : (
                'No cill. '
            )}
            {!fixed && (
                <Toggle
                    on={c !== undefined}
                    add="Add a cill"
                    remove="Without"
                    set={(on) => void step('frame', { values: { cill: on ? { projection: 40, height: 30, horns: 0 } : null } }, 'card cill')}
                />
            )}
        </Sentence>
    );
}

function Trim({ frame, fixed }: { frame: Frame; fixed: boolean }) {
    const data = useData();
    const t = frame.trim;
    const set = (change: Args) => send('frame', { values: { trim: { ...t, ...change } } }, 'trim');
    return (
        <Sentence>
            {t ? (
                <>
                    A trim <Figure label="Trim face" shown={data.length(t.face)} disabled={fixed} onSend={(text) => set({ face: text })} /> wide stands{' '}
                    <Figure label="Trim proud" shown={data.length(t.proud)} disabled={fixed} onSend={(text) => set({ proud: text })} /> proud of the wall{' '}
                    <Choice
                        label="Trim side"
                        value={t.outside && t.inside ? 'both' : t.inside ? 'inside' : 'outside'}
                        disabled={fixed}
                        options={[
                            { value: 'outside', label: 'outside' },
                            { value: 'inside', label: 'inside' },
                            { value: 'both', label: 'on both sides' },
                        ]}
                        onChange={(to) => void set({ outside: to !== 'inside', inside: to !== 'outside' })}
                    />
                    .{' '}
                </>
            ) : (
                'No trim. '
            )}
            {!fixed && (
                <Toggle
                    on={t !== undefined}
                    add="Add a trim"
                    remove="Without"
                    set={(on) => void step('frame', { values: { trim: on ? { face: 60, proud: 15, outside: true, inside: false } : null } }, 'card trim')}
                />
            )}
        </Sentence>
    );
}

const limitNames: [string, string][] = [
    ['minWidth', 'least width'],
    ['maxWidth', 'greatest width'],
    ['minHeight', 'least height'],
    ['maxHeight', 'greatest height'],
];

function Limits({ limits, fixed }: { limits: Record<string, number>; fixed: boolean }) {
    const data = useData();
    return (
        <Sentence>
            Made for sizes of{' '}
            {limitNames.map(([name, label], i) => (
                <span key={name}>
                    {label}{' '}
                    <Figure
                        label={`Its ${label}`}
                        shown={limits[name] === undefined ? 'any' : data.length(limits[name])}
                        disabled={fixed}
                        onSend={(t) => send('limits', { limits: { ...limits, [name]: /^any$|^$/i.test(t.trim()) ? null : t } }, 'limits')}
                    />
                    {i < 3 ? ', ' : '.'}
                </span>
            ))}
        </Sentence>
    );
}

function Toggle({ on, add, remove, set }: { on: boolean; add: string; remove: string; set: (on: boolean) => void }) {
    return (
        <button type="button" className="text-tide underline" onClick={() => set(!on)}>
            {on ? remove : add}
        </button>
    );
}
