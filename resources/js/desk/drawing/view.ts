import type { View } from '../store';

export type Size = { width: number; height: number };
/** x0, y0, x1, y1 in mm, y up */
export type Bounds = [number, number, number, number];

/** −1 where the drawing is seen from behind, its x running to the left. */
const way = (view: View) => (view.flip ? -1 : 1);

export const toScreen = (view: View, size: Size, x: number, y: number) => ({
    x: way(view) * (x - view.x) * view.k + size.width / 2,
    y: size.height / 2 - (y - view.y) * view.k,
});

export const toModel = (view: View, size: Size, x: number, y: number) => ({
    x: (way(view) * (x - size.width / 2)) / view.k + view.x,
    y: (size.height / 2 - y) / view.k + view.y,
});

/** A rectangle on screen, whichever way x runs: (x, y) its lower left corner in the model. */
export function boxOnScreen(
    view: View,
    size: Size,
    x: number,
    y: number,
    width: number,
    height: number,
): { x: number; y: number; width: number; height: number } {
    const corner = toScreen(view, size, view.flip ? x + width : x, y + height);
    return { ...corner, width: width * view.k, height: height * view.k };
}

/** The view that shows bounds whole, with room round them in px. */
export function fit([x0, y0, x1, y1]: Bounds, size: Size, room = { x: 44, top: 40, bottom: 56 }): View {
    const width = Math.max(size.width - 2 * room.x, 40);
    const height = Math.max(size.height - room.top - room.bottom, 40);
    const k = Math.min(width / Math.max(x1 - x0, 100), height / Math.max(y1 - y0, 100), 2);
    return { x: (x0 + x1) / 2, y: (y0 + y1) / 2 + (room.top - room.bottom) / 2 / k, k };
}

/** The view a drawing opens with: as high as it is, from its left end, so that one works at once rather than zooming in first. */
export function fitHeight(bounds: Bounds, size: Size, flip = false): View {
    const whole = fit(bounds, size);
    const [x0, y0, , y1] = bounds;
    const k = Math.max(whole.k, Math.min((size.height - 110) / Math.max(y1 - y0, 3000), 0.12));
    if (k <= whole.k) return whole;
    return { x: flip ? bounds[2] - (size.width / 2 - 36) / k : x0 + (size.width / 2 - 36) / k, y: (y0 + y1) / 2 - 14 / k, k };
}

/** Zooms so that the point under the pointer stays there. */
export function zoomAt(view: View, size: Size, px: number, py: number, factor: number): View {
    const k = Math.min(Math.max(view.k * factor, 0.0005), 4);
    const at = toModel(view, size, px, py);
    return { ...view, x: at.x - (way(view) * (px - size.width / 2)) / k, y: at.y - (size.height / 2 - py) / k, k };
}

/** A ring of coordinates in twos, so far along, as a polygon's points. */
export function pointsOnScreen(view: View, size: Size, ring: number[], left = 0): string {
    const points: string[] = [];
    for (let i = 0; i < ring.length; i += 2) {
        const p = toScreen(view, size, left + ring[i]!, ring[i + 1]!);
        points.push(`${p.x},${p.y}`);
    }
    return points.join(' ');
}

/** Whether a point lies within a ring of coordinates in twos. */
export function isWithin(ring: number[], x: number, y: number): boolean {
    let inside = false;
    for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
        const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[j]!, ring[j + 1]!];
        if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
    }
    return inside;
}
