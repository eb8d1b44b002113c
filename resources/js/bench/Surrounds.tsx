import type { Args } from '../api/client';
import { Choice } from '../ui/Choice';
import { Figure } from '../desk/card/Figure';
import { Sentence } from '../desk/card/parts';
import { useData } from '../desk/data';
import { step } from './draft';
import { send } from './LightCard';

export type Frame = {
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

export function Cill({ frame, fixed }: { frame: Frame; fixed: boolean }) {
    const data = useData();
    const c = frame.cill;
    const set = (change: Args) => send('frame', { values: { cill: { ...c, ...change } } }, 'cill');
    return (
        <Sentence>
            {c ? (
                <>
                    A cill <Figure label="Cill height" shown={data.length(c.height)} disabled={fixed} onSend={(t) => set({ height: t })} />{' '}
                    high stands{' '}
                    <Figure
                        label="Cill projection"
                        shown={data.length(c.projection)}
                        disabled={fixed}
                        onSend={(t) => set({ projection: t })}
                    />{' '}
                    out of the wall, with horns of{' '}
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
                    set={(on) =>
                        void step('frame', { values: { cill: on ? { projection: 40, height: 30, horns: 0 } : null } }, 'card cill')
                    }
                />
            )}
        </Sentence>
    );
}

export function Trim({ frame, fixed }: { frame: Frame; fixed: boolean }) {
    const data = useData();
    const t = frame.trim;
    const set = (change: Args) => send('frame', { values: { trim: { ...t, ...change } } }, 'trim');
    return (
        <Sentence>
            {t ? (
                <>
                    A trim <Figure label="Trim face" shown={data.length(t.face)} disabled={fixed} onSend={(text) => set({ face: text })} />{' '}
                    wide stands{' '}
                    <Figure label="Trim proud" shown={data.length(t.proud)} disabled={fixed} onSend={(text) => set({ proud: text })} />{' '}
                    proud of the wall{' '}
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
                    set={(on) =>
                        void step(
                            'frame',
                            { values: { trim: on ? { face: 60, proud: 15, outside: true, inside: false } : null } },
                            'card trim',
                        )
                    }
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

export function Limits({ limits, fixed }: { limits: Record<string, number>; fixed: boolean }) {
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
