import { useData } from '../data';
import { toScreen, type Size } from '../drawing/view';
import { useShowing } from '../showing';
import { useDesk, type View } from '../store';

type Props = { view: View; size: Size };

/** Height of the band, and of a row of figures in it, px. */
const BAND = 58;
const ROW = 13;
/** Width of a figure's letter, px. */
const LETTER = 6.1;

/**
 * A chain of dimensions along the storey that is worked on, in a band of its own under the drawing: jambs and ends of every
 * wall in view. A figure stands in its gap, else on a lower row where nothing else stands; where there is no row left it
 * waits until one comes nearer.
 */
export function DimensionChain({ view, size }: Props) {
    const data = useData();
    const showing = useShowing();
    const chosen = useDesk((s) => s.chosen);
    const active = useDesk((s) => s.storey);
    const on = useDesk((s) => s.dimensions);
    if (!on) return null;
    const storey = data.storeys.get(data.openings.get(chosen[0] ?? '')?.storey ?? active ?? '') ?? data.project.storeys[0];
    if (!storey) return null;
    const y0 = size.height - BAND;
    const ends = [-1e9, -1e9, -1e9]; // how far each row is taken
    let left = 0;
    const marks: number[] = [];
    const figures: { x: number; y: number; text: string; lead: number | null }[] = [];
    for (const f of showing.frontages) {
        const here = Object.entries(f.walls).filter(([id]) => {
            const w = data.walls.get(id);
            return w && w.foot < storey.ceiling - 1 && w.head > storey.floor + 1;
        });
        const stops = new Set<number>();
        for (const [id, start] of here) {
            const w = data.walls.get(id)!;
            stops.add(f.offset + start + w.start).add(f.offset + start + w.end);
        }
        for (const o of data.elevations.get(f.id)?.openings ?? []) {
            if (o.storey !== storey.id || !showing.opening(o)) continue;
            stops.add(f.offset + o.u).add(f.offset + o.u + o.span);
        }
        const sorted = [...stops].sort((a, b) => a - b).filter((v, i, all) => i === 0 || v - all[i - 1]! > 0.5);
        const screen = sorted.map((v) => toScreen(view, size, v, 0).x);
        if (screen.length < 2 || Math.max(...screen) < 0 || Math.min(...screen) > size.width) continue;
        marks.push(...screen.filter((x) => x >= 0 && x <= size.width));
        const gaps = sorted
            .slice(1)
            .map((v, i) => ({ mm: v - sorted[i]!, a: Math.min(screen[i]!, screen[i + 1]!), b: Math.max(screen[i]!, screen[i + 1]!) }));
        const row = rowOf(
            gaps.map((g) => g.mm),
            (mm) => `${f.bearings ? '⌒' : ''}${data.length(mm)}`,
        );
        const [from, to] = [Math.max(Math.min(...screen), 0), Math.min(Math.max(...screen), size.width)];
        const crowded = gaps.some((g) => g.b >= 0 && g.a <= size.width && g.b - g.a < LETTER * 3);
        if (crowded && row && row.length * LETTER + 8 < to - from) {
            figures.push({ x: (from + to) / 2, y: y0 + 14 + ROW, text: row, lead: null });
            continue;
        }
        if (view.flip) gaps.reverse();
        for (const g of gaps) {
            const middle = (Math.max(g.a, 0) + Math.min(g.b, size.width)) / 2;
            if (g.b < 0 || g.a > size.width) continue;
            const text = `${f.bearings ? '⌒' : ''}${data.length(g.mm)}`;
            const half = (text.length * LETTER) / 2 + 3;
            const fits = g.b - g.a > 2 * half;
            const row = fits && ends[0]! <= middle - half ? 0 : ends.findIndex((end, r) => r > 0 && end <= middle - half);
            if (row < 0 || middle - half < 0 || middle + half > size.width) {
                left++;
                continue;
            }
            ends[row] = middle + half;
            figures.push({ x: middle, y: y0 + 14 + row * ROW, text, lead: row > 0 ? y0 + 8 + (row - 1) * ROW + 8 : null });
        }
    }
    return (
        <g data-chain={storey.name}>
            <rect x={0} y={y0} width={size.width} height={BAND} fill="var(--sheet)" />
            <path d={`M0 ${y0}H${size.width}`} stroke="var(--hairline)" />
            <path d={marks.map((x) => `M${x} ${y0 + 1}v7m-3 -2l6 -6`).join('')} stroke="var(--tide)" fill="none" />
            <path d={figures.map((f) => (f.lead === null ? '' : `M${f.x} ${y0 + 7}V${f.lead - 1}`)).join('')} stroke="var(--hairline)" />
            {figures.map((f, i) => (
                <text key={i} x={f.x} y={f.y + 4} textAnchor="middle" fontSize={11} fontWeight={600} fill="var(--tide)">
                    {f.text}
                </text>
            ))}
            <text x={8} y={size.height - 5} fontSize={11} fill="var(--quiet)">
                {`Along ${storey.name}${left > 0 ? ` · ${left} more figures when nearer` : ''}`}
            </text>
        </g>
    );
}

/** A row of like openings at like gaps in one line: "600 · 20 × 1 200 at gaps of 850 · 1 250"; null when they are not alike. */
function rowOf(gaps: number[], length: (mm: number) => string): string | null {
    const openings = gaps.filter((_, i) => i % 2 === 1);
    const piers = gaps.filter((_, i) => i % 2 === 0).slice(1, -1);
    const alike = (all: number[]) => all.every((mm) => Math.abs(mm - all[0]!) < 0.05);
    if (gaps.length < 7 || gaps.length % 2 === 0 || !alike(openings) || !alike(piers)) return null;
    return `${length(gaps[0]!)} · ${openings.length} × ${length(openings[0]!)} at gaps of ${length(piers[0]!)} · ${length(gaps.at(-1)!)}`;
}
