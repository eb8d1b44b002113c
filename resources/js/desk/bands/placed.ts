import type { PlacedBand } from '../../api/client';
import type { useData } from '../data';

type Data = ReturnType<typeof useData>;

/** All that stands before walls, by what its card, its schedule and its removal need. */
export const layersOf = (data: Pick<Data, 'project'>) => [
    ...data.project.bands.map((b) => ({ id: b.id, name: b.name, before: b.before, storey: b.storey, remove: 'band.remove' as const })),
    ...data.project.floorBands.map((b) => ({
        id: b.id,
        name: b.name,
        before: b.before,
        storey: b.storey,
        remove: 'floor-band.remove' as const,
    })),
    ...data.project.roofs.map((r) => ({ id: r.id, name: r.name, before: r.before, storey: r.storey, remove: 'roof.remove' as const })),
    ...data.project.screens.map((s) => ({ id: s.id, name: s.name, before: s.before, storey: s.storey, remove: 'screen.remove' as const })),
    ...data.project.fields.map((f) => ({ id: f.id, name: f.name, before: [f.wall], storey: f.storey, remove: 'field.remove' as const })),
];

/** A band before a wall, and where that wall's left end lies on the developed elevation. */
export type FoundBand = { placed: PlacedBand; from: number; inner: boolean };

/** Numbers a piece seen as a rectangle takes in `boxes`. */
export const BOX = 5;

/** Bands before the walls of the frontages that have come: all, or one. */
export function placedBands(data: Data, element?: string): FoundBand[] {
    return data.project.frontages.flatMap((f) =>
        (data.elevations.get(f.id)?.bands ?? [])
            .filter((placed) => element === undefined || placed.element === element)
            .map((placed) => ({ placed, from: f.offset + (f.walls[placed.host] ?? 0), inner: f.inner })),
    );
}

/** The piece of a band at a point of the developed elevation; within the slack of a thin one. */
export function pieceAt(
    data: Data,
    inner: boolean,
    x: number,
    y: number,
    k: number,
    shown: (band: string) => boolean,
): { band: string; piece: number } | null {
    const slack = 4 / k;
    let found: { band: string; piece: number } | null = null;
    for (const { placed, from, inner: within } of placedBands(data)) {
        const u = x - from;
        const [x0, y0, x1, y1] = placed.bounds as [number, number, number, number];
        if (within !== inner || !shown(placed.element) || u < x0 - slack || u > x1 + slack || y < y0 || y > y1) continue;
        const { boxes } = placed;
        for (let i = 0; i < boxes.length; i += BOX) {
            const middle = (boxes[i + 1]! + boxes[i + 3]!) / 2;
            const half = Math.max((boxes[i + 3]! - boxes[i + 1]!) / 2, slack / 2);
            if (Math.abs(u - middle) <= half && y >= boxes[i + 2]! && y <= boxes[i + 4]!)
                found = { band: placed.element, piece: boxes[i]! };
        }
        for (const [piece, ...ring] of placed.rings) if (inside(ring, u, y)) found = { band: placed.element, piece: piece! };
    }
    return found;
}

function inside(ring: number[], x: number, y: number): boolean {
    let within = false;
    for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
        const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[j]!, ring[j + 1]!];
        if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) within = !within;
    }
    return within;
}

/** The share of the run at u before a wall, between the places the core gave; null off it. */
export function shareAt(along: number[], u: number): number {
    const last = along.length - 2;
    for (let i = 0; i < last; i += 2) {
        const [t0, u0, t1, u1] = [along[i]!, along[i + 1]!, along[i + 2]!, along[i + 3]!];
        if (u <= Math.max(u0, u1) || i + 2 === last)
            return Math.min(1, Math.max(0, Math.abs(u1 - u0) < 1e-9 ? t0 : t0 + ((t1 - t0) * (u - u0)) / (u1 - u0)));
    }
    return along[0] ?? 0;
}
