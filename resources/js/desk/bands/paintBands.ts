import type { Elevation, Frontage } from '../../api/client';
import { colour } from '../../ui/theme';
import { paintStrokes, pens, place } from '../drawing/paint';
import { toScreen, type Size } from '../drawing/view';
import type { Showing } from '../showing';
import type { View } from '../store';
import { pathOf, unitsOf } from '../screens/placed';
import { lightsOf } from '../roofs/lights';
import { BOX } from './placed';

type Seen = { x0: number; x1: number; y0: number; y1: number };

/** More pieces than this are drawn once for a scale, and put down while the drawing is panned. */
const MANY = 300;
/** A picture of them is no larger than this, px. */
const MOST = 6_000_000;
/** Room round it for lines, px. */
const MARGIN = 3;

type Picture = { k: number; made: { key: unknown[]; canvas: HTMLCanvasElement; bounds: number[] } | null };

const pictures = new WeakMap<Elevation, Picture>();

/** Bands, screens, roofs and floor bands over what they stand before; thousands of pieces as a picture where the scale stays. */
export function paintBands(
    ctx: CanvasRenderingContext2D,
    view: View,
    size: Size,
    frontage: Frontage,
    elevation: Elevation,
    seen: Seen,
    showing: Showing,
    chosen: string[],
    tried: string[],
): void {
    const direct = (on: CanvasRenderingContext2D, as: View, within: Size, part: Seen) =>
        paintDirectly(on, as, within, frontage, elevation, part, showing, chosen, tried);
    const dpr = window.devicePixelRatio;
    const last = pictures.get(elevation);
    // at a scale of its own, as while it is zoomed, a picture would be made for one frame
    if (last?.k !== view.k) {
        pictures.set(elevation, { k: view.k, made: null });
        return direct(ctx, view, size, seen);
    }
    const key = [showing, chosen, tried.join(), view.flip, dpr, colour('fin'), frontage];
    if (!last.made || last.made.key.some((one, i) => one !== key[i])) {
        const bounds = boundsOf(frontage, elevation);
        const [width, height] = bounds ? [bounds[2]! - bounds[0]!, bounds[3]! - bounds[1]!].map((mm) => mm * view.k + 2 * MARGIN) : [0, 0];
        if (!bounds || width! * height! * dpr * dpr > MOST) return direct(ctx, view, size, seen);
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [Math.ceil(width! * dpr), Math.ceil(height! * dpr)];
        const [x0, y0, x1, y1] = bounds as [number, number, number, number];
        const whole = { ...view, x: (x0 + x1) / 2, y: (y0 + y1) / 2 };
        direct(canvas.getContext('2d')!, whole, { width: canvas.width / dpr, height: canvas.height / dpr }, { x0, x1, y0, y1 });
        last.made = { key, canvas, bounds };
    }
    const { canvas, bounds } = last.made;
    const at = toScreen(view, size, (bounds[0]! + bounds[2]!) / 2, (bounds[1]! + bounds[3]!) / 2);
    ctx.setTransform(1, 0, 0, 1, 0, 0);
    ctx.drawImage(canvas, Math.round(at.x * dpr - canvas.width / 2), Math.round(at.y * dpr - canvas.height / 2));
}

/** What pieces of a frontage take of the developed elevation; null where they are few. */
function boundsOf(frontage: Frontage, elevation: Elevation): number[] | null {
    if (elevation.bands.reduce((n, band) => n + band.boxes.length / BOX, 0) < MANY) return null;
    const all = elevation.bands.map(({ host, bounds: [x0, y0, x1, y1] }) => {
        const from = frontage.offset + (frontage.walls[host] ?? 0);
        return [from + x0!, y0!, from + x1!, y1!];
    });
    const of = (i: number) => all.map((b) => b[i]!);
    return [Math.min(...of(0)), Math.min(...of(1)), Math.max(...of(2)), Math.max(...of(3))];
}

/** Filled rectangles, which thousands of are quick. */
function paintDirectly(
    ctx: CanvasRenderingContext2D,
    view: View,
    size: Size,
    frontage: Frontage,
    elevation: Elevation,
    seen: Seen,
    showing: Showing,
    chosen: string[],
    tried: string[],
): void {
    const dpr = window.devicePixelRatio;
    for (const band of elevation.bands) {
        // what is being dragged or typed is drawn over the elevation as it would be
        if (tried.includes(band.element) || !showing.band(band.element) || !showing.wall(band.host)) continue;
        const from = frontage.offset + (frontage.walls[band.host] ?? 0);
        const [x0, y0, x1, y1] = band.bounds as [number, number, number, number];
        if (from + x0 > seen.x1 || from + x1 < seen.x0 || y0 > seen.y1 || y1 < seen.y0) continue;
        const lit = chosen.includes(band.element);
        const broad = band.what === 'floor' || band.what === 'roof';
        ctx.fillStyle = colour(broad ? (lit ? 'tide-wash' : band.what === 'roof' ? 'roof' : 'sheet') : lit ? 'tide' : 'fin');
        ctx.strokeStyle = colour('ink');
        ctx.globalAlpha = showing.dimmed ? 0.35 : 1;
        ctx.setTransform(dpr, 0, 0, dpr, 0, 0);
        if (band.screen) {
            place(ctx, view, size, from, 0);
            ctx.fillStyle = colour(lit ? 'tide-wash' : 'screen');
            ctx.fill(pathOf(band.screen), 'evenodd');
            ctx.lineWidth = (lit ? 1.6 : 1) / view.k;
            ctx.stroke(pathOf(band.screen));
            if (showing.units) paintStrokes(ctx, unitsOf(band.screen), pens(), view.k);
        }
        const { boxes } = band;
        const { k } = view;
        const across = view.flip ? -1 : 1;
        for (let i = 0; i < boxes.length; i += BOX) {
            const [u0, y0, u1, y1] = [from + boxes[i + 1]!, boxes[i + 2]!, from + boxes[i + 3]!, boxes[i + 4]!];
            if (u0 > seen.x1 || u1 < seen.x0) continue;
            const width = (u1 - u0) * k;
            const x = size.width / 2 + across * ((across > 0 ? u0 : u1) - view.x) * k;
            const y = size.height / 2 - (y1 - view.y) * k;
            ctx.fillRect(x, y, width > 0.7 ? width : 0.7, (y1 - y0) * k);
            if (width > 4) {
                ctx.lineWidth = band.what === 'floor' ? (lit ? 2 : 1) : 0.7;
                ctx.strokeRect(x, y, width, (y1 - y0) * k);
            }
        }
        if (band.rings.length > 0) {
            place(ctx, view, size, from, 0);
            const path = new Path2D();
            for (const ring of band.rings) {
                path.moveTo(ring[1]!, ring[2]!);
                for (let i = 3; i < ring.length; i += 2) path.lineTo(ring[i]!, ring[i + 1]!);
                path.closePath();
            }
            ctx.fill(path);
            ctx.lineWidth = (broad && lit ? 1.6 : 0.7) / view.k;
            ctx.stroke(path);
            if (band.lights?.length && showing.units)
                paintStrokes(ctx, lightsOf(band.lights, showing.parts.get(band.element)), pens(), view.k);
        }
        ctx.globalAlpha = 1;
    }
}
