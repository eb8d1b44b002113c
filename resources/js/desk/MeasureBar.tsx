import { Button } from '../ui/Button';
import { tell } from '../ui/notices';
import { useData } from './data';
import { CaughtName, Cross } from './drawing/Caught';
import { toScreen, type Size } from './drawing/view';
import { measuringOf, useDesk, type Spot, type View } from './store';

/** The points measured between, and the line that joins them. */
export function MeasureOverlay({ pane, view, size }: { pane: 'elevation' | 'plan'; view: View; size: Size }) {
    const measuring = useDesk(measuringOf);
    if (measuring?.pane !== pane) return null;
    const a = measuring.from && toScreen(view, size, measuring.from.x, measuring.from.y);
    const to = measuring.to ?? measuring.over;
    const b = to && toScreen(view, size, to.x, to.y);
    return (
        <g data-measure>
            {a && b && (
                <path
                    d={`M${a.x} ${a.y}L${b.x} ${a.y}L${b.x} ${b.y}`}
                    fill="none"
                    stroke="var(--buoy)"
                    strokeWidth={0.9}
                    strokeDasharray="4 3"
                />
            )}
            {a && b && <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke="var(--buoy)" strokeWidth={1.5} />}
            {[a, b].map((p, i) => p && <Cross key={i} {...p} />)}
            {b && !measuring.to && <CaughtName {...b} name={to.name} />}
        </g>
    );
}

/** What was measured: straight, sideways, upright; each can be copied. */
export function MeasureBar({ pane }: { pane: 'elevation' | 'plan' }) {
    const data = useData();
    const measuring = useDesk(measuringOf);
    const chain = useDesk((s) => s.dimensions);
    if (measuring?.pane !== pane) return null;
    const { from, to, over } = measuring;
    const end = to ?? over;
    const figures: [string, number][] =
        from && end
            ? [
                  ['straight', Math.hypot(end.x - from.x, end.y - from.y)],
                  ...alongArc(data, from, end),
                  [pane === 'plan' ? 'across the sheet' : 'horizontal', Math.abs(end.x - from.x)],
                  [pane === 'plan' ? 'up the sheet' : 'vertical', Math.abs(end.y - from.y)],
              ]
            : [];
    const copy = (mm: number) => {
        const text = data.length(mm);
        void navigator.clipboard
            .writeText(text.replace(/\u202f/g, ''))
            .then(() => tell(`Copied ${text}.`))
            .catch(() => tell(`The browser does not let it be copied: ${text}`));
    };
    return (
        <div
            className={`absolute ${chain && pane === 'elevation' ? 'bottom-16' : pane === 'plan' ? 'bottom-8' : 'bottom-2'} left-3 flex flex-wrap items-center gap-x-4 gap-y-1 rounded-md border border-hairline bg-paper px-3 py-1.5`}
            data-measured={figures.map((f) => data.length(f[1])).join(' · ')}
        >
            <span className="font-semibold">Measure</span>
            {figures.length === 0 && (
                <span className="text-quiet">
                    {pane === 'plan'
                        ? 'Click a point: corners and jambs are caught.'
                        : 'Click a point: corners, jambs, heads, floors and lines are caught.'}
                </span>
            )}
            {figures.map(([name, mm]) => (
                <span key={name}>
                    <span className="text-quiet">{name}</span> <b>{data.length(mm)}</b>{' '}
                    {to && (
                        <button
                            type="button"
                            className="min-h-6 text-xs text-tide underline"
                            aria-label={`Copy ${name}`}
                            onClick={() => copy(mm)}
                        >
                            copy
                        </button>
                    )}
                </span>
            ))}
            <Button small look="plain" title="Esc" onClick={() => useDesk.getState().leave()}>
                Done
            </Button>
        </div>
    );
}

/** Along the face of a curved wall that both points lie on. */
function alongArc(data: ReturnType<typeof useData>, from: Spot, to: Spot): [string, number][] {
    for (const a of from.on ?? []) {
        const b = (data.walls.get(a.host)?.arc ?? null) && to.on?.find((s) => s.host === a.host && s.depth === a.depth);
        if (b) return [['along the arc ⌒', Math.abs(b.run - a.run)]];
    }
    return [];
}
