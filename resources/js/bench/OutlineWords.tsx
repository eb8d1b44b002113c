import { useState } from 'react';
import type { Args } from '../api/client';
import { Choice } from '../ui/Choice';
import { Figure } from '../desk/card/Figure';
import { Sentence } from '../desk/card/parts';
import { useData } from '../desk/data';
import { useBench } from './draft';
import { send } from './LightCard';
import { outlines } from './words';

type Stretch = { length?: number; share?: number; rise?: number; angle?: number };
export type Outline = {
    kind: string;
    form?: string;
    rise?: number;
    riseShare?: number;
    head?: Stretch[];
    sill?: Stretch[];
    corners?: Args[];
};

/** What a unit's outline is, its stretches, rise or corners as figures. */
export function OutlineWords({ outline, fixed }: { outline: Outline; fixed: boolean }) {
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
                    onSend={(t) =>
                        send(
                            'stretch',
                            /^rest$|^$/i.test(t.trim()) ? { side: name, index: i, share: 1 } : { side: name, index: i, length: t },
                            'stretch',
                        )
                    }
                />{' '}
                long, rising{' '}
                <Figure
                    label={`Rise of ${name} stretch ${i + 1}`}
                    shown={s.angle !== undefined ? `${s.angle}°` : data.length(s.rise ?? 0)}
                    disabled={fixed}
                    onSend={(t) =>
                        send('stretch', t.includes('°') ? { side: name, index: i, angle: t } : { side: name, index: i, rise: t }, 'stretch')
                    }
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
                            shown={
                                outline.rise !== undefined ? data.length(outline.rise) : `${+((outline.riseShare ?? 0) * 100).toFixed(2)} %`
                            }
                            disabled={fixed}
                            onSend={(t) =>
                                set({
                                    kind: 'arch',
                                    form: outline.form,
                                    ...(t.includes('%')
                                        ? { riseShare: Number(t.replace('%', '').replace(',', '.')) / 100 }
                                        : { rise: t as unknown as number }),
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
                            <button
                                type="button"
                                className="text-tide underline"
                                onClick={() => void set({ ...outline, head: [...side('head'), { share: 1, rise: 0 }] })}
                            >
                                Add to the head
                            </button>
                            <button
                                type="button"
                                className="text-tide underline"
                                onClick={() =>
                                    void set({
                                        ...outline,
                                        sill: [...side('sill'), { share: 1, rise: side('sill').length === 0 ? 0 : 100 }],
                                    })
                                }
                            >
                                Add to the sill
                            </button>
                        </p>
                    )}
                    <p className="mt-1 text-xs text-quiet">
                        Type a rise, or an angle with its °. A length of 0 is a step; “rest” takes what is left.
                    </p>
                </div>
            )}
            {outline.kind === 'polygon' && <Corners outline={outline} fixed={fixed} set={set} />}
        </>
    );
}

const isGable = (head: Stretch[]) =>
    head.length === 2 &&
    head[0]!.length === undefined &&
    head[1]!.length === undefined &&
    (head[0]!.rise ?? head[0]!.angle ?? 0) === -(head[1]!.rise ?? head[1]!.angle ?? 0);

/** Corners of a free polygon, each by its share of the width and the height. */
function Corners({ outline, fixed, set }: { outline: Outline; fixed: boolean; set: (o: Outline) => Promise<string | null> }) {
    const corners = (outline.corners ?? []) as { x: number; y: number; xFrom?: string; yFrom?: string }[];
    const data = useData();
    const shown = (value: number, from: string | undefined) =>
        from === undefined || from === 'share' ? `${+(value * 100).toFixed(2)} %` : data.length(value);
    const change = (i: number, axis: 'x' | 'y', text: string) => {
        const share = text.includes('%') ? Number(text.replace('%', '').replace(',', '.')) / 100 : null;
        const from = axis === 'x' ? 'xFrom' : 'yFrom';
        const was = corners[i]![from];
        const kept = was === undefined || was === 'share' ? (axis === 'x' ? 'left' : 'sill') : was;
        return set({
            kind: 'polygon',
            corners: corners.map((c, j) => (j === i ? { ...c, [axis]: share ?? text, [from]: share === null ? kept : 'share' } : c)),
        });
    };
    return (
        <ol className="mb-2 space-y-1 border-l-2 border-hairline pl-2">
            {corners.map((c, i) => (
                <li key={i} className="flex items-baseline gap-1.5">
                    <span className="w-4 text-quiet">{i + 1}</span>
                    <Figure
                        label={`Corner ${i + 1} across`}
                        shown={shown(c.x, c.xFrom)}
                        disabled={fixed}
                        onSend={(t) => change(i, 'x', t)}
                    />{' '}
                    across,{' '}
                    <Figure label={`Corner ${i + 1} up`} shown={shown(c.y, c.yFrom)} disabled={fixed} onSend={(t) => change(i, 'y', t)} />{' '}
                    up
                    {!fixed && (
                        <>
                            <button
                                type="button"
                                aria-label={`Add a corner after ${i + 1}`}
                                className="px-1 text-quiet hover:text-tide"
                                onClick={() => {
                                    const next = corners[(i + 1) % corners.length]!;
                                    void set({
                                        kind: 'polygon',
                                        corners: [
                                            ...corners.slice(0, i + 1),
                                            { x: (c.x + next.x) / 2, y: (c.y + next.y) / 2 },
                                            ...corners.slice(i + 1),
                                        ],
                                    });
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
