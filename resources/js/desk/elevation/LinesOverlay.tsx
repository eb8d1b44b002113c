import { useData, type FoundLine } from '../data';
import { useClickable } from '../drawing/useClickable';
import { toScreen, type Size } from '../drawing/view';
import { useShowing } from '../showing';
import { useDesk, type View } from '../store';

type Props = { view: View; size: Size };

/** Below this scale, px to the mm, the names would cover the drawing. */
const SMALL = 0.015;

/** A setting-out line that is being dragged: how far it has come, mm. */
export type DraggedLine = { id: string; by: number };

/** Setting-out lines in brass, each with its name on a tag that is taken to choose it. */
export function LinesOverlay({ view, size, dragged }: Props & { dragged: DraggedLine | null }) {
    const data = useData();
    const showing = useShowing();
    const chosen = useDesk((s) => s.chosen);
    if (!showing.lines) return null;
    const seen = new Set(showing.frontages.map((f) => f.id));
    const lines = [...data.lines.values()].filter((l) => seen.has(l.frontage.id));
    const rows = rowsOf(lines, view, size);
    return (
        <g data-lines>
            {lines.map((l) => (
                <Line
                    key={l.id}
                    line={l}
                    row={rows.get(l.id) ?? 0}
                    by={dragged?.id === l.id ? dragged.by : 0}
                    on={chosen.includes(l.id)}
                    view={view}
                    size={size}
                />
            ))}
        </g>
    );
}

const widthOf = (line: FoundLine) => line.name.length * 6.4 + 10;

/** Tags of upright lines that would meet stand in rows under each other. */
function rowsOf(lines: FoundLine[], view: View, size: Size): Map<string, number> {
    const placed = lines
        .flatMap((l) =>
            l.u === null ? [] : [{ id: l.id, x: toScreen(view, size, l.frontage.offset + l.u, 0).x, half: widthOf(l) / 2 + 3 }],
        )
        .sort((a, b) => a.x - b.x);
    const ends: number[] = [];
    const rows = new Map<string, number>();
    for (const p of placed) {
        let row = ends.findIndex((end) => end <= p.x - p.half);
        if (row < 0) row = ends.length;
        ends[row] = p.x + p.half;
        rows.set(p.id, row);
    }
    return rows;
}

function Line({ line, row, by, on, view, size }: Props & { line: FoundLine; row: number; by: number; on: boolean }) {
    const f = line.frontage;
    const choose = (event: { shiftKey: boolean }) => useDesk.getState().choose([line.id], event.shiftKey);
    const clickable = useClickable();
    const width = widthOf(line);
    const tag = (x: number, y: number) =>
        view.k > SMALL && (
            <g className={clickable} data-line={line.name} onPointerDown={(e) => e.stopPropagation()} onClick={choose}>
                <title>{`Setting-out line ${line.name}`}</title>
                <rect
                    x={x - width / 2}
                    y={y - 8}
                    width={width}
                    height={16}
                    rx={3}
                    fill={on ? 'var(--brass)' : 'var(--sheet)'}
                    stroke="var(--brass)"
                />
                <text x={x} y={y + 4} textAnchor="middle" fontSize={11} fontWeight={650} fill={on ? 'var(--sheet)' : 'var(--brass)'}>
                    {line.name}
                </text>
            </g>
        );
    const stroke = { stroke: 'var(--brass)', strokeWidth: on || by !== 0 ? 2 : 1.2, strokeDasharray: '10 3 2 3' };
    if (line.u !== null) {
        const x = toScreen(view, size, f.offset + line.u + by, 0).x;
        if (x < -40 || x > size.width + 40) return null;
        const top = Math.max(toScreen(view, size, 0, f.head).y - 26, 22) + row * 18;
        const foot = Math.min(toScreen(view, size, 0, f.foot).y + 8, size.height);
        return (
            <g>
                <path d={`M${x} ${top + 8}V${foot}`} {...stroke} />
                {tag(x, top)}
            </g>
        );
    }
    const a = toScreen(view, size, f.offset, 0).x;
    const b = toScreen(view, size, f.offset + f.width, 0).x;
    const [x0, x1] = [Math.max(Math.min(a, b), 0), Math.min(Math.max(a, b), size.width)];
    if (x1 - x0 < 8) return null;
    return (
        <g>
            {line.levels.map((l, i) => {
                const y = toScreen(view, size, 0, l.level + by).y;
                if (y < -10 || y > size.height + 10) return null;
                return (
                    <g key={i}>
                        <path d={`M${x0} ${y}H${x1}`} {...stroke} />
                        {tag(Math.min(x0 + width / 2 + 3, x1), y)}
                    </g>
                );
            })}
        </g>
    );
}

/** The line under a point, when it is near enough to be taken; developed x and level. */
export function lineAt(lines: Iterable<FoundLine>, shown: Set<string>, x: number, y: number, k: number): FoundLine | null {
    const reach = 4 / k;
    for (const l of lines) {
        const f = l.frontage;
        if (!shown.has(f.id) || x < f.offset - reach || x > f.offset + f.width + reach) continue;
        if (l.u !== null ? Math.abs(f.offset + l.u - x) <= reach : l.levels.some((v) => Math.abs(v.level - y) <= reach)) return l;
    }
    return null;
}
