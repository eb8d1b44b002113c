import type { Schemas, Tracing } from '../../api/client';
import { toScreen, type Size } from '../drawing/view';
import type { View } from '../store';
import { inPlan } from './lines';

export type Loaded = { tracing: Tracing; image: HTMLImageElement | null; traced: Schemas['TracedLines'] | null };

/** A tracing's lines as a path in plan, mm. */
function path(coordinates: Float64Array): Path2D {
    const out = new Path2D();
    for (let i = 0; i < coordinates.length; i += 4) {
        if (i === 0 || coordinates[i] !== coordinates[i - 2] || coordinates[i + 1] !== coordinates[i - 1])
            out.moveTo(coordinates[i]!, coordinates[i + 1]!);
        out.lineTo(coordinates[i + 2]!, coordinates[i + 3]!);
    }
    return out;
}

/** How much farther than the pane the kept picture reaches on each side, as a share of it. */
const MARGIN = 0.35;

/**
 * Draws tracings under the plan. What was drawn is kept as a picture: while the plan is panned it is only put elsewhere, while it is
 * zoomed it is stretched until the wheel rests.
 */
export class TracingLayer {
    private readonly canvas = document.createElement('canvas');
    private key = '';
    private at: View = { x: 0, y: 0, k: 0 };
    private reach = { width: 0, height: 0 };
    private paths = new Map<string, { lines: Path2D; letters: Path2D }>();
    private timer = 0;

    constructor(private readonly again: () => void) {}

    paint(ctx: CanvasRenderingContext2D, view: View, size: Size, all: Loaded[], ink: string): void {
        if (all.length === 0) return;
        const key = JSON.stringify([all.map((l) => [l.tracing, l.image !== null, l.traced !== null]), ink, size.width, size.height]);
        const inside =
            Math.abs(view.x - this.at.x) * view.k <= (this.reach.width - size.width) / 2 &&
            Math.abs(view.y - this.at.y) * view.k <= (this.reach.height - size.height) / 2;
        const stretched = view.k !== this.at.k;
        if (key !== this.key || (!stretched && !inside)) this.render(key, view, size, all, ink);
        else if (stretched) {
            if (view.k / this.at.k > 3 || this.at.k / view.k > 3) this.render(key, view, size, all, ink);
            else {
                window.clearTimeout(this.timer);
                this.timer = window.setTimeout(() => {
                    this.key = '';
                    this.again();
                }, 160);
            }
        }
        const f = view.k / this.at.k;
        const middle = toScreen(view, size, this.at.x, this.at.y);
        const dpr = window.devicePixelRatio;
        ctx.setTransform(dpr, 0, 0, dpr, 0, 0);
        ctx.drawImage(
            this.canvas,
            middle.x - (this.reach.width * f) / 2,
            middle.y - (this.reach.height * f) / 2,
            this.reach.width * f,
            this.reach.height * f,
        );
    }

    private render(key: string, view: View, size: Size, all: Loaded[], ink: string): void {
        const dpr = window.devicePixelRatio;
        this.key = key;
        this.at = { x: view.x, y: view.y, k: view.k };
        this.reach = { width: Math.ceil(size.width * (1 + 2 * MARGIN)), height: Math.ceil(size.height * (1 + 2 * MARGIN)) };
        this.canvas.width = this.reach.width * dpr;
        this.canvas.height = this.reach.height * dpr;
        const ctx = this.canvas.getContext('2d')!;
        for (const { tracing, image, traced } of all) {
            ctx.globalAlpha = tracing.opacity;
            const place = (scale: number, turned: boolean) => {
                const at = turned ? toScreen(view, this.reach, tracing.x, tracing.y) : toScreen(view, this.reach, 0, 0);
                const angle = turned ? (-tracing.angle * Math.PI) / 180 : 0;
                const k = view.k * scale * dpr;
                ctx.setTransform(
                    k * Math.cos(angle),
                    k * Math.sin(angle),
                    k * Math.sin(angle),
                    -k * Math.cos(angle),
                    at.x * dpr,
                    at.y * dpr,
                );
            };
            if (image) {
                place(tracing.scale, true);
                ctx.transform(1, 0, 0, -1, 0, tracing.height);
                ctx.drawImage(image, 0, 0, tracing.width, tracing.height);
            }
            if (traced) {
                const paths = this.pathsOf(tracing, traced);
                place(1, false);
                ctx.strokeStyle = ink;
                ctx.lineWidth = 0.9 / view.k;
                ctx.stroke(paths.lines);
                ctx.lineWidth = 0.6 / view.k;
                ctx.stroke(paths.letters);
                ctx.fillStyle = ink;
                for (const t of traced.texts) {
                    const px = t.size * tracing.scale * view.k;
                    if (px < 4) continue;
                    place(tracing.scale, true);
                    ctx.translate(t.x, t.y);
                    ctx.rotate((t.angle * Math.PI) / 180);
                    ctx.scale(1, -1);
                    ctx.font = `${t.size}px 'Archivo Variable', sans-serif`;
                    ctx.fillText(t.text, 0, 0);
                }
            }
        }
    }

    private pathsOf(tracing: Tracing, traced: Schemas['TracedLines']): { lines: Path2D; letters: Path2D } {
        const key = `${tracing.file} ${tracing.x} ${tracing.y} ${tracing.scale} ${tracing.angle}`;
        let found = this.paths.get(key);
        if (!found) {
            if (this.paths.size > 8) this.paths.clear();
            found = { lines: path(inPlan([...traced.lines, ...traced.curves], tracing)), letters: path(inPlan(traced.lettering, tracing)) };
            this.paths.set(key, found);
        }
        return found;
    }
}
