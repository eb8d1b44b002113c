import type { PlacedBand, Screen, ScreenPart } from '../../api/client';
import type { useData } from '../data';
import { strokes, type Stroke } from '../drawing/paint';
import { isWithin } from '../drawing/view';
import { useDesk } from '../store';

type Data = ReturnType<typeof useData>;

/** A screen before one wall, and where that wall's left end lies on the developed elevation. */
export type FoundScreen = { placed: PlacedBand; seen: NonNullable<PlacedBand['screen']>; from: number; inner: boolean };

/** Screens before the walls of the frontages that have come, the nearest to their walls first: all, or one. */
export function placedScreens(data: Data, element?: string): FoundScreen[] {
    return data.project.frontages.flatMap((f) =>
        (data.elevations.get(f.id)?.bands ?? []).flatMap((placed) =>
            placed.screen && (element === undefined || placed.element === element)
                ? [{ placed, seen: placed.screen, from: f.offset + (f.walls[placed.host] ?? 0), inner: f.inner }]
                : [],
        ),
    );
}

/** The screen of which cut-outs or pieces are chosen by themselves, and their numbers. */
export function chosenOf(data: Data): { screen: Screen; parts: number[] } | null {
    const { chosen, fins } = useDesk.getState();
    const screen = chosen.length === 1 ? data.project.screens.find((s) => s.id === chosen[0]) : undefined;
    const parts = screen?.parts.map((p) => p.n).filter((n) => fins.includes(n)) ?? [];
    return screen && parts.length > 0 ? { screen, parts } : null;
}

const paths = new WeakMap<object, Path2D>();

/** What is seen of a screen as one path, x from its wall's left end, y the level; its curves are curves. */
export function pathOf(seen: FoundScreen['seen']): Path2D {
    let path = paths.get(seen);
    if (!path) paths.set(seen, (path = strokes(seen.shapes)[0]?.path ?? new Path2D()));
    return path;
}

const drawn = new WeakMap<object, Stroke[]>();

/** The units in its cut-outs, as they are drawn. */
export function unitsOf(seen: FoundScreen['seen']): Stroke[] {
    let made = drawn.get(seen);
    if (!made) drawn.set(seen, (made = strokes(seen.units)));
    return made;
}

let asking: CanvasRenderingContext2D | null = null;

/** The screen at a point of the developed elevation, the foremost of several; its cut-outs are none of it. */
export function screenAt(data: Data, inner: boolean, x: number, y: number, shown: (id: string) => boolean): string | null {
    asking ??= document.createElement('canvas').getContext('2d')!;
    let found: string | null = null;
    for (const { placed, seen, from, inner: within } of placedScreens(data)) {
        const [x0, y0, x1, y1] = placed.bounds as [number, number, number, number];
        if (within !== inner || !shown(placed.element) || x - from < x0 || x - from > x1 || y < y0 || y > y1) continue;
        if (asking.isPointInPath(pathOf(seen), x - from, y, 'evenodd')) found = placed.element;
    }
    return found;
}

/** The cut-out or piece of a screen at a point: the smallest of several; null where the whole screen is meant. */
export function partAt(data: Data, screen: string, x: number, y: number): number | null {
    let found: { n: number; size: number } | null = null;
    for (const { seen, from } of placedScreens(data, screen))
        for (const { n, ring } of seen.parts) {
            if (!isWithin(ring, x - from, y)) continue;
            const [x0, y0, x1, y1] = boxOf(ring);
            const size = (x1 - x0) * (y1 - y0);
            if (!found || size < found.size) found = { n, size };
        }
    return found?.n ?? null;
}

export function boxOf(ring: number[]): [number, number, number, number] {
    let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
    for (let i = 0; i < ring.length; i += 2) {
        [x0, x1] = [Math.min(x0, ring[i]!), Math.max(x1, ring[i]!)];
        [y0, y1] = [Math.min(y0, ring[i + 1]!), Math.max(y1, ring[i + 1]!)];
    }
    return [x0, y0, x1, y1];
}

/** The left and the foot of a part that is a rectangle or round: as its shape says, or where its rules have put it. */
export function cornerOf(data: Data, screen: Screen, part: ScreenPart, floor: number): [number, number] {
    const { u = 0, v = 0, grow = 0 } = part.shape;
    const ring =
        part.position === null && part.sill === null
            ? undefined
            : placedScreens(data, screen.id)
                  .find((s) => s.placed.host === part.wall)
                  ?.seen.parts.find((p) => p.n === part.n)?.ring;
    if (!ring) return [u, v];
    const [x0, y0] = boxOf(ring);
    return [x0 + grow, y0 + grow - floor];
}

/** How near a pointer must come to a line to catch on it, px. */
const REACH = 8;

/** Of places before a wall the nearest line each way, of those the core named, floors, and edges of other cut-outs; else whole tens. */
export function caught(
    data: Data,
    screen: string | null,
    wall: string,
    x: number,
    y: number,
    k: number,
    less: number[] = [],
): [number, number] {
    const frontage = data.frontageOf.get(wall);
    const from = frontage ? frontage.offset + (frontage.walls[wall] ?? 0) : 0;
    const named = frontage && data.elevations.get(frontage.id)?.catches[wall];
    const rings = placedScreens(data, screen ?? 'none')
        .filter((s) => s.placed.host === wall)
        .flatMap((s) => s.seen.parts.filter((p) => !less.includes(p.n)).map((p) => boxOf(p.ring)));
    const across = [...(named?.upright ?? []).map((c) => c.at), ...rings.flatMap(([a, , b]) => [a, b])];
    const up = [
        ...(named?.level ?? []).map((c) => c.at),
        ...data.project.storeys.flatMap((s) => [s.floor, s.ceiling]),
        ...rings.flatMap(([, a, , b]) => [a, b]),
    ];
    const near = (at: number, lines: number[]) => {
        const best = lines.reduce((a, b) => (Math.abs(b - at) < Math.abs(a - at) ? b : a), Infinity);
        return Math.abs(best - at) < REACH / k ? best : Math.round(at / 10) * 10;
    };
    return [near(x - from, across), near(y, up)];
}

/** The wall before which a screen is at a place of the developed elevation: the nearest of its walls. */
export function wallUnder(data: Data, screen: Screen, x: number): string | null {
    let best: { wall: string; off: number } | null = null;
    for (const id of screen.before) {
        const [frontage, wall] = [data.frontageOf.get(id), data.walls.get(id)];
        if (!frontage || !wall) continue;
        const u = x - frontage.offset - (frontage.walls[id] ?? 0);
        const off = Math.max(0, -u, u - wall.length);
        if (!best || off < best.off) best = { wall: id, off };
    }
    return best?.wall ?? null;
}
