import type { Schemas } from '../../api/client';
import type { Spot } from '../store';

type Placed = Pick<Schemas['Tracing'], 'x' | 'y' | 'scale' | 'angle'>;

/** Coordinates x0, y0, x1, y1 … of a tracing as they lie in plan, mm. */
export function inPlan(lines: number[], t: Placed): Float64Array {
    const c = Math.cos((t.angle * Math.PI) / 180) * t.scale;
    const s = Math.sin((t.angle * Math.PI) / 180) * t.scale;
    const out = new Float64Array(lines.length);
    for (let i = 0; i < lines.length; i += 2) {
        const x = lines[i]!;
        const y = lines[i + 1]!;
        out[i] = t.x + x * c - y * s;
        out[i + 1] = t.y + x * s + y * c;
    }
    return out;
}

/** Lines gathered by squares of the plan, so that those near a point are found at once. */
export class LineGrid {
    private readonly cells = new Map<number, number[]>();
    private readonly size: number;

    /** @param straight how many of the coordinates are of straight lines, whose ends are caught on; the rest are chords of curves */
    constructor(
        readonly lines: Float64Array,
        readonly straight: number,
    ) {
        let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
        for (let i = 0; i < lines.length; i += 2) {
            x0 = Math.min(x0, lines[i]!);
            x1 = Math.max(x1, lines[i]!);
            y0 = Math.min(y0, lines[i + 1]!);
            y1 = Math.max(y1, lines[i + 1]!);
        }
        this.size = Math.max(
            1,
            Math.sqrt(((x1 - x0) * (y1 - y0)) / Math.max(1, lines.length / 16)) || 1,
            (x1 - x0) / 2000,
            (y1 - y0) / 2000,
        );
        for (let i = 0; i < lines.length; i += 4) this.put(i);
    }

    private key(x: number, y: number): number {
        return Math.floor(x / this.size) * 100003 + Math.floor(y / this.size);
    }

    private put(i: number): void {
        const [ax, ay, bx, by] = [this.lines[i]!, this.lines[i + 1]!, this.lines[i + 2]!, this.lines[i + 3]!];
        const steps = Math.max(1, Math.ceil((Math.hypot(bx - ax, by - ay) / this.size) * 2));
        let last = NaN;
        for (let n = 0; n <= steps; n++) {
            const key = this.key(ax + ((bx - ax) * n) / steps, ay + ((by - ay) * n) / steps);
            if (key === last) continue;
            last = key;
            const cell = this.cells.get(key);
            if (cell) cell.push(i);
            else this.cells.set(key, [i]);
        }
    }

    /** Lines that come within reach of a point, the nearest first. */
    private near(x: number, y: number, reach: number): { i: number; off: number; px: number; py: number }[] {
        const found = new Map<number, { i: number; off: number; px: number; py: number }>();
        const span = Math.min(12, Math.ceil(reach / this.size));
        for (let dx = -span; dx <= span; dx++) {
            for (let dy = -span; dy <= span; dy++) {
                for (const i of this.cells.get(this.key(x + dx * this.size, y + dy * this.size)) ?? []) {
                    if (found.has(i)) continue;
                    const [ax, ay, bx, by] = [this.lines[i]!, this.lines[i + 1]!, this.lines[i + 2]!, this.lines[i + 3]!];
                    const length = (bx - ax) ** 2 + (by - ay) ** 2;
                    const t = length === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / length));
                    const [px, py] = [ax + (bx - ax) * t, ay + (by - ay) * t];
                    const off = Math.hypot(px - x, py - y);
                    if (off <= reach) found.set(i, { i, off, px, py });
                }
            }
        }
        return [...found.values()].sort((a, b) => a.off - b.off).slice(0, 24);
    }

    /** What a pointer catches on: an end or a crossing in reach before the nearest point of a line. */
    catchAt(x: number, y: number, reach: number): Spot | null {
        const near = this.near(x, y, reach);
        if (near.length === 0) return null;
        let best: (Spot & { off: number }) | null = null;
        const offer = (px: number, py: number, name: string) => {
            const off = Math.hypot(px - x, py - y);
            if (off <= reach && (!best || off < best.off)) best = { x: px, y: py, name, off };
        };
        for (const { i } of near) {
            if (i >= this.straight) continue;
            offer(this.lines[i]!, this.lines[i + 1]!, 'end of a line');
            offer(this.lines[i + 2]!, this.lines[i + 3]!, 'end of a line');
        }
        for (let a = 0; a < near.length; a++) for (let b = a + 1; b < near.length; b++) this.crossing(near[a]!.i, near[b]!.i, offer);
        const point: Spot = best ?? { x: near[0]!.px, y: near[0]!.py, name: 'on a line' };
        return { x: Math.round(point.x * 100) / 100, y: Math.round(point.y * 100) / 100, name: point.name };
    }

    private crossing(i: number, j: number, offer: (x: number, y: number, name: string) => void): void {
        const l = this.lines;
        const [ax, ay, bx, by, cx, cy, dx, dy] = [l[i]!, l[i + 1]!, l[i + 2]!, l[i + 3]!, l[j]!, l[j + 1]!, l[j + 2]!, l[j + 3]!];
        const det = (bx - ax) * (dy - cy) - (by - ay) * (dx - cx);
        if (Math.abs(det) < 1e-9) return;
        const t = ((cx - ax) * (dy - cy) - (cy - ay) * (dx - cx)) / det;
        const u = ((cx - ax) * (by - ay) - (cy - ay) * (bx - ax)) / det;
        if (t >= -1e-9 && t <= 1 + 1e-9 && u >= -1e-9 && u <= 1 + 1e-9) offer(ax + (bx - ax) * t, ay + (by - ay) * t, 'crossing');
    }
}

let grids: LineGrid[] = [];

/** The vector tracings that are seen under the plan now. */
export function setCaughtOn(next: LineGrid[]): void {
    grids = next;
}

/** The point of a tracing that a pointer catches on, or null. */
export function catchTracing(x: number, y: number, reach: number): Spot | null {
    let best: (Spot & { off: number; rank: number }) | null = null;
    for (const grid of grids) {
        const spot = grid.catchAt(x, y, reach);
        if (!spot) continue;
        const off = Math.hypot(spot.x - x, spot.y - y);
        const rank = spot.name === 'on a line' ? 1 : 0;
        if (!best || rank < best.rank || (rank === best.rank && off < best.off)) best = { ...spot, off, rank };
    }
    return best && { x: best.x, y: best.y, name: best.name };
}
