import type { Catch, Frontage, PlacedOpening, Storey, Wall } from '../api/client';
import type { useData } from './data';
import { isWithin } from './drawing/view';
import { boxOf, placedScreens } from './screens/placed';
import { inHandOf, useDesk, type Ghost, type InHand } from './store';

type Data = ReturnType<typeof useData>;

/** How near a pointer must come to a line to catch on it, px. */
const REACH = 8;
/** The sill used last holds from further away. */
const SILL_REACH = 16;

export type Gap = { from: number; name: string };

/**
 * What an opening's left and right gaps are measured to: the neighbour or the wall that meets its own at its height, else the wall's
 * end. u on the wall.
 */
export function gaps(data: Data, ghost: Pick<Ghost, 'host' | 'left' | 'span' | 'sill' | 'height' | 'moving'>): { left: Gap; right: Gap } {
    const wall = data.walls.get(ghost.host);
    const left: Gap = { from: wall?.start ?? 0, name: 'left end' };
    const right: Gap = { from: wall?.end ?? 0, name: 'right end' };
    const middle = ghost.left + ghost.span / 2;
    const stands = (near: number, far: number, low: number, high: number, name: string) => {
        if (low >= ghost.sill + ghost.height - 0.01 || high <= ghost.sill + 0.01) return;
        if ((near + far) / 2 < middle && far > left.from) Object.assign(left, { from: far, name });
        if ((near + far) / 2 >= middle && near < right.from) Object.assign(right, { from: near, name });
    };
    const screen = inHandOf(useDesk.getState())?.screen;
    if (screen) {
        // in a screen other cut-outs are its neighbours, not what lies behind it
        for (const { placed, seen } of placedScreens(data, screen.id))
            for (const { n, cut, ring } of placed.host === ghost.host ? seen.parts : []) {
                const [x0, y0, x1, y1] = boxOf(ring);
                if (cut) stands(x0, x1, y0, y1, `cut-out ${n}`);
            }
        return { left, right };
    }
    for (const o of neighbours(data, ghost.host))
        if (o.id !== ghost.moving) stands(o.left, o.left + o.span, o.sillLevel, o.headLevel, o.label);
    const frontage = data.frontageOf.get(ghost.host);
    for (const m of (frontage && data.elevations.get(frontage.id)?.meets[ghost.host]) ?? []) stands(m.from, m.to, m.foot, m.head, m.name);
    return { left, right };
}

export function neighbours(data: Data, wall: string): PlacedOpening[] {
    const frontage = data.frontageOf.get(wall);
    return (frontage && data.elevations.get(frontage.id)?.openings.filter((o) => o.host === wall)) ?? [];
}

const isThrough = (data: Data, wall: Wall, storey: Storey) =>
    storey.floor >= data.storeys.get(wall.base)!.floor - 0.01 && storey.ceiling <= data.storeys.get(wall.top)!.ceiling + 0.01;

const endOf = (data: Data, wall: Wall, v: number) => data.storeys.get(v >= data.storeys.get(wall.top)!.ceiling ? wall.top : wall.base);

/** The wall and storey at a point of a frontage. */
export function wallAt(data: Data, frontage: Frontage, u: number, v: number): { wall: Wall; start: number; storey: Storey } | null {
    for (const [id, start] of Object.entries(frontage.walls)) {
        const wall = data.walls.get(id);
        if (!wall || u < start || u > start + wall.length || v < wall.foot || v > wall.head) continue;
        if (wall.ring && !isWithin(wall.ring, u - start, v)) continue;
        // over the ceiling of its last storey a wall belongs to that still, as in a gable
        const storey = data.project.storeys.find((s) => v >= s.floor && v < s.ceiling && isThrough(data, wall, s)) ?? endOf(data, wall, v);
        if (storey) return { wall, start, storey };
    }
    return null;
}

/** What belongs on the floor: doors, and fronts that go down to it. It stays there unless it is meant to leave it. */
export function isOnFloor(data: Data, inHand: InHand): boolean {
    return (
        Math.abs(inHand.sill) < 0.01 &&
        (inHand.type === null || data.project.types.some((t) => t.id === inHand.type && (t.door || Math.abs(t.sill) < 0.01)))
    );
}

/** A new opening's ghost with its middle at (u, v) of a wall, caught on what is near. Typed figures stay. */
export function ghostAt(
    data: Data,
    inHand: InHand,
    wall: Wall,
    storey: Storey,
    u: number,
    v: number | null,
    k: number,
    before: Ghost | null,
    loose = false,
): Ghost {
    const same = before?.moving === null ? before : null;
    const typed = same?.typed ?? {};
    const width = same && typed.width !== undefined ? same.width : inHand.width;
    // on an arc it takes a little more of the face than it is wide: as much as the core said last
    const span = same && same.host === wall.id && same.width === width ? same.span : width;
    const height = same && typed.height !== undefined ? same.height : inHand.height;
    const usual = storey.floor + inHand.sill;
    const holds = v === null || (!loose && isOnFloor(data, inHand)) || Math.abs(v - height / 2 - usual) * k < SILL_REACH;
    const free = holds ? usual : v - height / 2;
    const ghost: Ghost = {
        moving: null,
        host: wall.id,
        storey: storey.id,
        left: u - span / 2,
        sill: free,
        width,
        span,
        height,
        caught: {
            along: null,
            up:
                free === usual && typed.sill === undefined && typed.head === undefined
                    ? isOnFloor(data, inHand)
                        ? `on the floor of ${storey.name}`
                        : `sill ${data.length(inHand.sill)} as before`
                    : null,
            upAt: usual,
        },
        centred: false,
        typed,
        lit: same?.lit ?? 'left',
        refusal: null,
        findings: [],
    };
    settle(data, ghost, k, v !== null && free !== usual);
    if (same && same.host === ghost.host) {
        if (typed.left !== undefined || typed.right !== undefined)
            Object.assign(ghost, { left: same.left, centred: false, caught: { ...ghost.caught, along: null } });
        if (typed.sill !== undefined || typed.head !== undefined) Object.assign(ghost, { sill: same.sill, storey: same.storey });
    }
    return ghost;
}

/**
 * An opening that is being dragged, its left jamb and sill near (left, sill); one that stands on its floor stays there unless it is
 * loose.
 */
export function movedGhost(data: Data, opening: PlacedOpening, left: number, sill: number, k: number, loose = false): Ghost {
    const ghost: Ghost = {
        moving: opening.id,
        host: opening.host,
        storey: opening.storey,
        left,
        sill,
        width: opening.width,
        span: opening.span,
        height: opening.height,
        caught: { along: null, up: null },
        centred: false,
        typed: {},
        lit: 'left',
        refusal: null,
        findings: [],
    };
    const floor = data.storeys.get(opening.storey)?.floor ?? NaN;
    const held = Math.abs(sill - opening.sillLevel) * k < SILL_REACH || (!loose && Math.abs(opening.sillLevel - floor) < 0.01);
    if (held) ghost.sill = opening.sillLevel;
    settle(data, ghost, k, !held);
    return ghost;
}

/** Shows where a dragged opening is; choosing it again each time would have the solid model drawn again each time. */
export function holdGhost(id: string, ghost: Ghost): void {
    useDesk.setState((s) => ({ mode: { is: 'moving', ghost }, chosen: s.chosen.length === 1 && s.chosen[0] === id ? s.chosen : [id] }));
}

/** Catches the ghost on the nearest named line, sideways and, if it is free to, upright; else rounds to a whole figure. */
function settle(data: Data, ghost: Ghost, k: number, upright: boolean): void {
    const frontage = data.frontageOf.get(ghost.host);
    const catches = frontage && data.elevations.get(frontage.id)?.catches[ghost.host];
    const step = data.project.settings.units === 'ft-in' ? 25.4 : k > 0.2 ? 1 : k > 0.05 ? 5 : 10;
    const along = nearest(
        catches?.upright ?? [],
        [
            [ghost.left, 0, 'jamb'],
            [ghost.left + ghost.span, ghost.span, 'jamb'],
            [ghost.left + ghost.span / 2, ghost.span / 2, 'centre'],
        ],
        REACH / k,
    );
    if (along) {
        ghost.left = along.at - along.offset;
        ghost.caught = {
            ...ghost.caught,
            along: along.name,
            alongAt: along.at,
            line: lineOf(along),
            point: along.offset === 0 ? 'near' : along.point === 'centre' ? 'centre' : 'far',
        };
        ghost.centred = along.point === 'centre' && along.kind === 'middle';
    } else ghost.left = Math.round(ghost.left / step) * step;
    if (!upright) return;
    const up = nearest(
        catches?.level ?? [],
        [
            [ghost.sill, 0, 'sill'],
            [ghost.sill + ghost.height, ghost.height, 'head'],
        ],
        REACH / k,
    );
    // under a head that slopes an opening catches where a corner of it meets the slope
    const slope = lowestHead(data.walls.get(ghost.host)?.ring ?? null, ghost.left, ghost.left + ghost.span);
    const off = slope === null ? Infinity : Math.abs(slope - ghost.sill - ghost.height);
    if (slope !== null && off <= REACH / k && off < (up?.off ?? Infinity)) {
        ghost.sill = slope - ghost.height;
        ghost.caught = { ...ghost.caught, up: 'under the slope', upAt: slope, level: null, edge: 'head' };
    } else if (up) {
        ghost.sill = up.at - up.offset;
        ghost.caught = { ...ghost.caught, up: up.name, upAt: up.at, level: lineOf(up), edge: up.offset === 0 ? 'sill' : 'head' };
    } else ghost.sill = Math.round(ghost.sill / step) * step;
}

/** The lowest level of a face's head between two places along it; null where it is level, or they are not both on it. */
function lowestHead(ring: number[] | null, from: number, to: number): number | null {
    if (!ring) return null;
    const top = (at: number) => {
        let best = -Infinity;
        for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
            const [ax, ay, bx, by] = [ring[j]!, ring[j + 1]!, ring[i]!, ring[i + 1]!];
            if (ax === bx || at < Math.min(ax, bx) || at > Math.max(ax, bx)) continue;
            best = Math.max(best, ay + ((by - ay) * (at - ax)) / (bx - ax));
        }
        return best;
    };
    // of a step the lower side counts: it is asked for just beside it
    const turns = ring.filter((at, i) => i % 2 === 0 && at > from && at < to).flatMap((at) => [at - 0.01, at + 0.01]);
    const lowest = Math.min(...[from, ...turns, to].map(top));
    return Number.isFinite(lowest) ? lowest : null;
}

/** The setting-out line that was caught on, if it is one. */
function lineOf(caught: Catch): string | null {
    return caught.kind === 'line' ? caught.element : null;
}

function nearest(lines: Catch[], points: [number, number, string][], reach: number) {
    let best: (Catch & { offset: number; point: string; off: number }) | null = null;
    for (const line of lines)
        for (const [at, offset, point] of points) {
            // a setting-out line is caught by a jamb or by the centre
            const middling = line.kind === 'middle' || line.kind === 'centre';
            if (line.kind !== 'line' && middling !== (point === 'centre')) continue;
            const off = Math.abs(line.at - at);
            if (off <= reach && (!best || off < best.off)) best = { ...line, offset, point, off };
        }
    return best;
}
