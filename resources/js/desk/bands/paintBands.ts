import type { Elevation, Frontage } from '../../api/client';
import { colour } from '../../ui/theme';
import { paintStrokes, pens, place } from '../drawing/paint';
import type { Size } from '../drawing/view';
import type { Showing } from '../showing';
import type { View } from '../store';
import { pathOf, unitsOf } from '../screens/placed';
import { lightsOf } from '../roofs/lights';
import { BOX } from './placed';

/** Fins and tubes over what they stand before: filled rectangles, which thousands of are quick. */
export function paintBands(
    ctx: CanvasRenderingContext2D,
    view: View,
    size: Size,
    frontage: Frontage,
    elevation: Elevation,
    seen: { x0: number; x1: number; y0: number; y1: number },
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
            if (band.lights?.length && showing.units) paintStrokes(ctx, lightsOf(band.lights), pens(), view.k);
        }
        ctx.globalAlpha = 1;
    }
}
