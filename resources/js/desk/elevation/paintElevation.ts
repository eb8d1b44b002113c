import type { Elevation, Frontage, Project } from '../../api/client';
import { colour } from '../../ui/theme';
import { paintStrokes, pens, place, strokes, type Stroke } from '../drawing/paint';
import type { Size } from '../drawing/view';
import type { View } from '../store';

/** A symbol narrower than this on screen is drawn as a plain outline, px. */
const PLAIN = 13;
/** Below this the lines of its operation are left out, px. */
const COARSE = 26;

const symbolStrokes = new WeakMap<Elevation, Map<string, Stroke[]>>();

function symbolsOf(elevation: Elevation): Map<string, Stroke[]> {
    let made = symbolStrokes.get(elevation);
    if (!made) {
        made = new Map(Object.entries(elevation.drawing.symbols).map(([key, shapes]) => [key, strokes(shapes)]));
        symbolStrokes.set(elevation, made);
    }
    return made;
}

/** Paints the developed elevation: only what is in view, one path a symbol, plain outlines when small. */
export function paintElevation(
    ctx: CanvasRenderingContext2D,
    view: View,
    size: Size,
    project: Project,
    elevations: Map<string, Elevation>,
    hidden: string | null,
    activeStorey: string | null,
): void {
    const all = pens();
    const x0 = view.x - size.width / 2 / view.k;
    const x1 = view.x + size.width / 2 / view.k;
    const y0 = view.y - size.height / 2 / view.k;
    const y1 = view.y + size.height / 2 / view.k;
    for (const frontage of project.frontages) {
        const elevation = elevations.get(frontage.id);
        if (!elevation || frontage.offset > x1 || frontage.offset + frontage.width < x0) continue;
        place(ctx, view, size, frontage.offset, 0);
        paintStrokes(ctx, strokes(elevation.drawing.shapes), all, view.k);
    }
    levels(ctx, view, size, project, activeStorey);
    for (const [i, frontage] of project.frontages.entries()) {
        const elevation = elevations.get(frontage.id);
        const before = project.frontages[i - 1];
        if (!elevation || frontage.offset > x1 || frontage.offset + frontage.width < x0) continue;
        openings(ctx, view, size, frontage, elevation, hidden, { x0, x1, y0, y1 }, all);
        if (frontage.folds) fold(ctx, view, size, frontage, before);
    }
}

function openings(
    ctx: CanvasRenderingContext2D,
    view: View,
    size: Size,
    frontage: Frontage,
    elevation: Elevation,
    hidden: string | null,
    seen: { x0: number; x1: number; y0: number; y1: number },
    all: ReturnType<typeof pens>,
): void {
    const symbols = symbolsOf(elevation);
    const dpr = window.devicePixelRatio;
    const plain = new Path2D();
    let anyPlain = false;
    for (const o of elevation.openings) {
        const x = frontage.offset + o.u;
        if (o.id === hidden || x > seen.x1 || x + o.width < seen.x0 || o.sillLevel > seen.y1 || o.headLevel < seen.y0) continue;
        if (Math.min(o.width, o.height) * view.k < PLAIN) {
            plain.rect((x - view.x) * view.k + size.width / 2, size.height / 2 - (o.headLevel - view.y) * view.k, o.width * view.k, o.height * view.k);
            anyPlain = true;
            continue;
        }
        place(ctx, view, size, x, o.sillLevel);
        paintStrokes(ctx, symbols.get(o.symbol) ?? [], all, view.k, Math.min(o.width, o.height) * view.k < COARSE);
    }
    if (anyPlain) {
        ctx.setTransform(dpr, 0, 0, dpr, 0, 0);
        ctx.fillStyle = all.glass!.fill!;
        ctx.fill(plain);
        ctx.strokeStyle = all.frame!.stroke!;
        ctx.lineWidth = 0.7;
        ctx.stroke(plain);
    }
}

function levels(ctx: CanvasRenderingContext2D, view: View, size: Size, project: Project, active: string | null): void {
    const dpr = window.devicePixelRatio;
    ctx.setTransform(dpr, 0, 0, dpr, 0, 0);
    for (const storey of project.storeys) {
        const y = size.height / 2 - (storey.floor - view.y) * view.k;
        ctx.strokeStyle = colour(storey.id === active ? 'tide' : 'hairline');
        ctx.lineWidth = storey.position === 0 ? 1.4 : 0.8;
        if (storey.position === 0) ctx.strokeStyle = colour('ink');
        ctx.setLineDash(storey.position === 0 ? [] : [2, 3]);
        ctx.beginPath();
        ctx.moveTo(0, y);
        ctx.lineTo(size.width, y);
        ctx.stroke();
    }
    ctx.setLineDash([]);
}

function fold(ctx: CanvasRenderingContext2D, view: View, size: Size, frontage: Frontage, before: Frontage | undefined): void {
    const dpr = window.devicePixelRatio;
    ctx.setTransform(dpr, 0, 0, dpr, 0, 0);
    const x = (frontage.offset - view.x) * view.k + size.width / 2;
    const top = Math.max(frontage.head, before?.head ?? 0);
    const bottom = Math.min(frontage.foot, before?.foot ?? frontage.foot);
    const y = (level: number) => size.height / 2 - (level - view.y) * view.k;
    ctx.strokeStyle = colour('quiet');
    ctx.lineWidth = 1;
    ctx.setLineDash([8, 3, 2, 3]);
    ctx.beginPath();
    ctx.moveTo(x, y(top) - 16);
    ctx.lineTo(x, y(bottom) + 10);
    ctx.stroke();
    ctx.setLineDash([]);
}
