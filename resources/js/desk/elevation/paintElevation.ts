import type { Elevation, Frontage, Project } from '../../api/client';
import type { Showing } from '../showing';
import { colour } from '../../ui/theme';
import { paintBands } from '../bands/paintBands';
import { paintStrokes, pens, place, strokes, type Stroke } from '../drawing/paint';
import { hiddenRings } from '../curtain/parts';
import { boxOnScreen, toScreen, type Size } from '../drawing/view';
import type { View } from '../store';
import { withoutParts } from './withoutParts';

/** A symbol narrower than this on screen is drawn as a plain outline, px. */
const PLAIN = 13;
/** Below this the lines of its operation are left out, px. */
const COARSE = 26;
/** A symbol larger than this is drawn line by line; smaller ones are drawn once for a frame and stamped wherever they stand, px. */
const LARGE = 160;
/** Room round a stamp for its lines, px. */
const MARGIN = 2;

const symbolStrokes = new WeakMap<Elevation, Map<string, Stroke[]>>();
const faceStrokes = new WeakMap<Elevation, Stroke[]>();

function facesOf(elevation: Elevation): Stroke[] {
    let made = faceStrokes.get(elevation);
    if (!made) faceStrokes.set(elevation, (made = strokes(elevation.drawing.shapes)));
    return made;
}

function symbolsOf(elevation: Elevation): Map<string, Stroke[]> {
    let made = symbolStrokes.get(elevation);
    if (!made) {
        made = new Map(Object.entries(elevation.drawing.symbols).map(([key, shapes]) => [key, strokes(shapes)]));
        symbolStrokes.set(elevation, made);
    }
    return made;
}

/** Below this scale, px for a mm, members are thinner than their own outlines would be. */
const FINE = 0.035;

/** Curtain walls seen from afar: what fills the cells without outlines, members as thin lines. */
const finePens = () => ({
    glass: { fill: colour('glass'), weight: 0 },
    spandrel: { fill: colour('spandrel'), weight: 0 },
    member: { fill: colour('quiet'), stroke: colour('quiet'), weight: 0.3 },
});

/** Faces of more rings than this are drawn once for a scale, and put down while the drawing is panned. */
const MANY = 400;
/** A picture of faces is no larger than this, px. */
const MOST = 5_000_000;

const facePictures = new WeakMap<Elevation, { key: string; canvas: HTMLCanvasElement }>();
const ringCounts = new WeakMap<Elevation, number>();

/** Puts the faces of thousands of cells down as a picture made once for the scale; false where they are few, or the picture too large. */
function stampFaces(
    ctx: CanvasRenderingContext2D,
    view: View,
    size: Size,
    frontage: Frontage,
    elevation: Elevation,
    all: ReturnType<typeof pens>,
): boolean {
    let rings = ringCounts.get(elevation);
    if (rings === undefined) ringCounts.set(elevation, (rings = elevation.drawing.shapes.reduce((n, s) => n + s.rings.length, 0)));
    const dpr = window.devicePixelRatio;
    const k = view.k * dpr;
    const [x0, y0, x1, y1] = elevation.drawing.bounds as [number, number, number, number];
    const [width, height] = [Math.ceil((x1 - x0) * k) + 2 * MARGIN, Math.ceil((y1 - y0) * k) + 2 * MARGIN];
    if (rings < MANY || width * height > MOST) return false;
    const key = `${k} ${all.glass!.fill}`;
    let made = facePictures.get(elevation);
    if (made?.key !== key) {
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [width, height];
        const own = canvas.getContext('2d')!;
        own.setTransform(k, 0, 0, -k, MARGIN - x0 * k, MARGIN + y1 * k);
        paintStrokes(own, facesOf(elevation), all, view.k);
        facePictures.set(elevation, (made = { key, canvas }));
    }
    const at = toScreen(view, size, frontage.offset + x0, y1);
    const [px, py] = [Math.round(at.x * dpr), Math.round(at.y * dpr) - MARGIN];
    ctx.setTransform(view.flip ? -1 : 1, 0, 0, 1, view.flip ? px + MARGIN : px - MARGIN, 0);
    ctx.drawImage(made.canvas, 0, py);
    return true;
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
    showing: Showing,
    chosen: string[],
    tried: string[],
): void {
    const all = view.k < FINE ? { ...pens(), ...finePens() } : pens();
    const x0 = view.x - size.width / 2 / view.k;
    const x1 = view.x + size.width / 2 / view.k;
    const y0 = view.y - size.height / 2 / view.k;
    const y1 = view.y + size.height / 2 / view.k;
    for (const frontage of showing.frontages) {
        const elevation = elevations.get(frontage.id);
        if (!elevation || frontage.offset > x1 || frontage.offset + frontage.width < x0) continue;
        const whole = !showing.partial || Object.keys(frontage.walls).every(showing.wall);
        const holes = hiddenRings(elevation, showing);
        const there = (on: CanvasRenderingContext2D) => place(on, view, size, frontage.offset, 0);
        withoutParts(ctx, holes, there, (on) => {
            if (whole && stampFaces(on, view, size, frontage, elevation, all)) return;
            there(on);
            const faces = whole
                ? facesOf(elevation)
                : strokes(elevation.drawing.shapes.filter((_, i) => showing.wall(elevation.hosts[i] ?? '')));
            paintStrokes(on, faces, all, view.k);
        });
    }
    levels(ctx, view, size, project, activeStorey);
    for (const [i, frontage] of showing.frontages.entries()) {
        const elevation = elevations.get(frontage.id);
        const before = showing.frontages[i - 1];
        if (!elevation || frontage.offset > x1 || frontage.offset + frontage.width < x0) continue;
        openings(ctx, view, size, frontage, elevation, hidden, { x0, x1, y0, y1 }, all, showing);
        paintBands(ctx, view, size, frontage, elevation, { x0, x1, y0, y1 }, showing, chosen, tried);
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
    showing: Showing,
): void {
    const symbols = symbolsOf(elevation);
    const dpr = window.devicePixelRatio;
    const plain: number[] = [];
    const stamps = new Map<string, HTMLCanvasElement>();
    const marks: [string, number, number][] = [];
    for (const o of elevation.openings) {
        // a unit that stands flat in an arc is narrower than its opening there
        const x = frontage.offset + o.u + (o.span - o.width) / 2;
        if (o.id === hidden || x > seen.x1 || x + o.span < seen.x0 || o.sillLevel > seen.y1 || o.headLevel < seen.y0) continue;
        if (showing.partial && !showing.opening(o)) continue;
        const box = boxOnScreen(view, size, x, o.sillLevel, o.width, o.height);
        if (Math.min(o.width, o.height) * view.k < PLAIN) {
            plain.push(box.x, box.y, box.width, box.height);
            continue;
        }
        if (showing.marks && box.width > 22)
            marks.push([o.mark ?? (o.type === null ? '' : o.label), box.x + box.width / 2, box.y + box.height + 11]);
        const whole = symbols.get(o.symbol) ?? [];
        const list = showing.units ? whole : whole.filter((s) => s.layer === 'opening');
        const coarse = Math.min(o.width, o.height) * view.k < COARSE;
        const holes = o.curtain === null ? [] : hiddenRings(elevation, showing, o.id);
        if (holes.length > 0 || Math.max(o.width, o.height) * view.k > LARGE) {
            const there = (on: CanvasRenderingContext2D) => place(on, view, size, frontage.offset, 0);
            withoutParts(ctx, holes, there, (on) => {
                place(on, view, size, x, o.sillLevel);
                paintStrokes(on, list, all, view.k, coarse);
            });
            continue;
        }
        let stamp = stamps.get(o.symbol);
        if (!stamp) stamps.set(o.symbol, (stamp = stampOf(list, o.width, o.height, view.k * dpr, all, coarse, dpr)));
        const [px, py] = [Math.round(box.x * dpr) - MARGIN, Math.round(box.y * dpr) - MARGIN];
        // seen from behind, a unit is its own mirror image
        ctx.setTransform(view.flip ? -1 : 1, 0, 0, 1, view.flip ? 2 * px + stamp.width : 0, 0);
        ctx.drawImage(stamp, px, py);
    }
    if (marks.length > 0) {
        ctx.setTransform(dpr, 0, 0, dpr, 0, 0);
        ctx.font = "10px 'Archivo Variable', sans-serif";
        ctx.textAlign = 'center';
        ctx.fillStyle = colour('ink');
        for (const [text, x, y] of marks) ctx.fillText(text, x, y);
    }
    if (plain.length === 0) return;
    // Filled rectangles in two colours: an outline that is no path, which thousands of would be slow.
    ctx.setTransform(dpr, 0, 0, dpr, 0, 0);
    ctx.fillStyle = all.frame!.stroke!;
    for (let i = 0; i < plain.length; i += 4) ctx.fillRect(plain[i]!, plain[i + 1]!, plain[i + 2]!, plain[i + 3]!);
    ctx.fillStyle = all.glass!.fill!;
    for (let i = 0; i < plain.length; i += 4) {
        if (plain[i + 2]! < 3) continue;
        const pen = Math.min(0.7, plain[i + 2]! / 5);
        ctx.fillRect(plain[i]! + pen, plain[i + 1]! + pen, plain[i + 2]! - 2 * pen, plain[i + 3]! - 2 * pen);
    }
}

/** A symbol drawn once, to be put down many times. */
function stampOf(
    list: Stroke[],
    width: number,
    height: number,
    k: number,
    all: ReturnType<typeof pens>,
    coarse: boolean,
    dpr: number,
): HTMLCanvasElement {
    const canvas = document.createElement('canvas');
    canvas.width = Math.ceil(width * k) + 2 * MARGIN;
    canvas.height = Math.ceil(height * k) + 2 * MARGIN;
    const ctx = canvas.getContext('2d', { willReadFrequently: true })!;
    ctx.setTransform(k, 0, 0, -k, MARGIN, MARGIN + height * k);
    paintStrokes(ctx, list, all, k / dpr, coarse);
    return canvas;
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
    const x = toScreen(view, size, frontage.offset, 0).x;
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
