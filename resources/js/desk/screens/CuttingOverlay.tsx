import { useData } from '../data';
import { toScreen, type Size } from '../drawing/view';
import { useDesk, type View } from '../store';

/** A shape that is being drawn on a screen: its corners, what it would be, and what is typed of it. */
export function CuttingOverlay({ view, size }: { view: View; size: Size }) {
    const data = useData();
    const mode = useDesk((s) => s.mode);
    if (mode.is !== 'cutting' || !mode.over) return null;
    const wall = mode.wall ?? mode.over.wall;
    const frontage = data.frontageOf.get(wall);
    if (!frontage) return null;
    const from = frontage.offset + (frontage.walls[wall] ?? 0);
    const on = ([u, y]: number[]) => toScreen(view, size, from + u!, y!);
    const points = [...mode.points, mode.over.at];
    const [a, b] = [points[0]!, points.at(-1)!];
    const [p, q] = [on(a), on(b)];
    const drawn = mode.points.length > 0;
    const style = { fill: 'var(--tide)', fillOpacity: 0.12, stroke: 'var(--tide)', strokeWidth: 2 };
    const [width, height] = [Math.abs(b[0]! - a[0]!), Math.abs(b[1]! - a[1]!)];
    const radius = Math.hypot(width, height);
    const says =
        mode.typed !== ''
            ? mode.typed
            : mode.form === 'round'
              ? data.length(Math.round(2 * radius))
              : mode.form === 'polygon'
                ? data.length(Math.round(Math.hypot(b[0]! - (points.at(-2)?.[0] ?? 0), b[1]! - (points.at(-2)?.[1] ?? 0))))
                : `${data.length(Math.round(width))} × ${data.length(Math.round(height))}`;
    return (
        <g data-cutting={mode.points.length}>
            {drawn && mode.form === 'round' && <circle cx={p.x} cy={p.y} r={radius * view.k} {...style} />}
            {drawn && (mode.form === 'rectangle' || mode.form === 'slot') && (
                <rect
                    x={Math.min(p.x, q.x)}
                    y={Math.min(p.y, q.y)}
                    width={Math.abs(q.x - p.x)}
                    height={Math.abs(q.y - p.y)}
                    rx={mode.form === 'slot' ? Math.min(Math.abs(q.x - p.x), Math.abs(q.y - p.y)) / 2 : 0}
                    {...style}
                />
            )}
            {drawn && mode.form === 'polygon' && <polygon points={points.map((c) => `${on(c).x},${on(c).y}`).join(' ')} {...style} />}
            {mode.points.map((c, i) => (
                <circle key={i} cx={on(c).x} cy={on(c).y} r={4} fill="var(--sheet)" stroke="var(--buoy)" strokeWidth={2} />
            ))}
            <path d={`M${q.x - 7} ${q.y}h14M${q.x} ${q.y - 7}v14`} stroke="var(--buoy)" strokeWidth={1.4} />
            {drawn && (
                <text
                    x={q.x + 10}
                    y={q.y - 10}
                    fontSize={12}
                    fontWeight={600}
                    fill="var(--tide)"
                    stroke="var(--sheet)"
                    strokeWidth={3}
                    paintOrder="stroke"
                >
                    {says}
                </text>
            )}
        </g>
    );
}
