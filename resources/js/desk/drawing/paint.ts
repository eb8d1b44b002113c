import type { Shape } from '../../api/client';
import { colour } from '../../ui/theme';
import type { View } from '../store';
import { toScreen, type Size } from './view';

type Pen = { fill?: string; stroke?: string; weight: number };

/** Fills and line weights (px) by layer, from the theme. */
export function pens(): Record<string, Pen> {
    const ink = colour('ink');
    return {
        'wall-face': { fill: colour('wall'), stroke: ink, weight: 1.4 },
        beyond: { fill: colour('sheet'), stroke: colour('quiet'), weight: 0.6 },
        level: { stroke: colour('quiet'), weight: 0.7 },
        'wall-cut': { fill: colour('cut'), stroke: ink, weight: 1.4 },
        opening: { fill: colour('opening'), stroke: ink, weight: 0.7 },
        reveal: { stroke: ink, weight: 0.35 },
        glass: { fill: colour('glass'), stroke: ink, weight: 0.35 },
        spandrel: { fill: colour('spandrel'), stroke: ink, weight: 0.35 },
        member: { fill: colour('frame'), stroke: ink, weight: 0.7 },
        frame: { fill: colour('frame'), stroke: ink, weight: 0.7 },
        infill: { fill: colour('wall'), stroke: ink, weight: 0.7 },
        sash: { fill: colour('frame'), stroke: ink, weight: 0.7 },
        bar: { fill: colour('frame'), stroke: ink, weight: 0.35 },
        operation: { stroke: colour('quiet'), weight: 0.7 },
        roof: { fill: colour('roof'), stroke: ink, weight: 0.9 },
        floor: { stroke: ink, weight: 0.7 },
        screen: { fill: colour('screen'), stroke: ink, weight: 0.7 },
        fin: { fill: colour('fin'), stroke: ink, weight: 0.7 },
        swing: { stroke: colour('quiet'), weight: 0.7 },
    };
}

/** One layer of a group of shapes as a path in mm, y up. */
export type Stroke = { layer: string; dashed: boolean; path: Path2D };

/** Shapes gathered into one path a layer, in drawing order. */
export function strokes(shapes: Shape[]): Stroke[] {
    const out = new Map<string, Stroke>();
    for (const shape of shapes) {
        const dashed = shape.dashed === true;
        const key = shape.layer + (dashed ? '-' : '');
        let stroke = out.get(key);
        if (!stroke) out.set(key, (stroke = { layer: shape.layer, dashed, path: new Path2D() }));
        trace(stroke.path, shape);
    }
    return [...out.values()];
}

function trace(path: Path2D, shape: Shape): void {
    for (const [r, ring] of shape.rings.entries()) {
        if (shape.kind === 'arc') {
            const [x, y, r, start, sweep] = ring as [number, number, number, number, number];
            path.moveTo(x + r * Math.cos(start), y + r * Math.sin(start));
            path.arc(x, y, r, start, start + sweep, sweep < 0);
            continue;
        }
        if (shape.kind === 'text') continue;
        path.moveTo(ring[0]!, ring[1]!);
        const curves = new Map(shape.curves?.[r]?.map((c) => [c[0], c]));
        for (let i = 0; i < ring.length; i += 2) {
            const curve = curves.get(i / 2);
            if (curve) {
                const [, cx, cy, rx, ry, start, sweep, tilt = 0] = curve as [
                    number,
                    number,
                    number,
                    number,
                    number,
                    number,
                    number,
                    number?,
                ];
                path.ellipse(cx, cy, rx, ry, tilt, start, start + sweep, sweep < 0);
            } else if (i + 2 < ring.length) path.lineTo(ring[i + 2]!, ring[i + 3]!);
        }
        if (shape.kind === 'area') path.closePath();
    }
}

/** Sets the canvas so that mm, y up, fall where the view puts them, with (x, y) as the origin. */
export function place(ctx: CanvasRenderingContext2D, view: View, size: Size, x: number, y: number): void {
    const dpr = window.devicePixelRatio;
    const k = view.k * dpr;
    const at = toScreen(view, size, x, y);
    ctx.setTransform(view.flip ? -k : k, 0, 0, -k, at.x * dpr, at.y * dpr);
}

/** Shapes one by one in the order they come, each over the one before. */
export function inOrder(shapes: Shape[]): Stroke[] {
    const out: Stroke[] = [];
    for (const shape of shapes) {
        if (shape.kind === 'text') continue;
        const path = new Path2D();
        trace(path, shape);
        out.push({ layer: shape.layer, dashed: shape.dashed === true, path });
    }
    return out;
}

/** Texts at their places, as high as the drawing says, and of the same letters as the page. */
export function paintTexts(ctx: CanvasRenderingContext2D, shapes: Shape[], view: View, size: Size): void {
    const dpr = window.devicePixelRatio;
    ctx.setTransform(dpr, 0, 0, dpr, 0, 0);
    ctx.textAlign = 'center';
    ctx.textBaseline = 'middle';
    ctx.lineJoin = 'round';
    for (const shape of shapes) {
        if (shape.kind !== 'text') continue;
        const [x, y, height] = shape.rings[0] as [number, number, number];
        const px = height * view.k;
        if (px < 5) continue;
        const at = toScreen(view, size, x, y);
        ctx.font = `${px * 1.15}px 'Archivo Variable', sans-serif`;
        ctx.strokeStyle = colour('sheet');
        ctx.lineWidth = px * 0.3;
        ctx.strokeText(shape.text ?? '', at.x, at.y);
        ctx.fillStyle = colour('ink');
        ctx.fillText(shape.text ?? '', at.x, at.y);
    }
}

export function paintStrokes(ctx: CanvasRenderingContext2D, list: Stroke[], all: Record<string, Pen>, k: number, coarse = false): void {
    for (const stroke of list) {
        const pen = all[stroke.layer];
        if (!pen || (coarse && !pen.fill)) continue;
        // what is dashed lies over or under what is drawn, and hides nothing of it
        if (pen.fill && !stroke.dashed) {
            ctx.fillStyle = pen.fill;
            ctx.fill(stroke.path, 'evenodd');
        }
        if (pen.stroke) {
            ctx.strokeStyle = pen.stroke;
            ctx.lineWidth = pen.weight / k;
            ctx.setLineDash(stroke.dashed ? [4 / k, 3 / k] : []);
            ctx.stroke(stroke.path);
        }
    }
    ctx.setLineDash([]);
}
