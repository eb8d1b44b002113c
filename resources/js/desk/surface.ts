import type { Wall } from '../api/client';

type Point = { x: number; y: number };
type Arc = Omit<NonNullable<Wall['arc']>, 'centreLine' | 'innerFace'>;
type Placed = Pick<Wall, 'fromX' | 'fromY' | 'toX' | 'toY' | 'length' | 'thickness'> & { arc: Arc | null };

/** Curved walls are drawn on the screen in steps of so much at the most, radians. */
const STEP = Math.PI / 60;

/** The point in plan at u along a wall's outer face, so far behind it. */
export function inPlan(wall: Placed, u: number, depth = 0): Point {
    if (wall.arc) {
        const { x, y, radius, start } = wall.arc;
        const angle = start + u / radius;
        const r = Math.abs(radius) - Math.sign(radius) * depth;
        return { x: x + r * Math.cos(angle), y: y + r * Math.sin(angle) };
    }
    const { x: dx, y: dy } = tangent(wall, u);
    return { x: wall.fromX + dx * u - dy * depth, y: wall.fromY + dy * u + dx * depth };
}

/** Direction of u in plan. */
export function tangent(wall: Placed, u: number): Point {
    if (wall.arc) {
        const angle = wall.arc.start + u / wall.arc.radius;
        const way = Math.sign(wall.arc.radius);
        return { x: -Math.sin(angle) * way, y: Math.cos(angle) * way };
    }
    return { x: (wall.toX - wall.fromX) / wall.length, y: (wall.toY - wall.fromY) / wall.length };
}

/** A point's foot on a wall's outer face, and how far behind that face it lies. */
export function onWall(wall: Placed, at: Point): { along: number; depth: number } {
    if (wall.arc) {
        const { x, y, radius, start, turn } = wall.arc;
        // of the turns a point may be at, the one nearest to the middle of the wall
        let angle = Math.atan2(at.y - y, at.x - x) - (start + turn / 2);
        angle -= 2 * Math.PI * Math.round(angle / (2 * Math.PI));
        return { along: wall.length / 2 + angle * radius, depth: Math.sign(radius) * (Math.abs(radius) - Math.hypot(at.x - x, at.y - y)) };
    }
    const { x: dx, y: dy } = tangent(wall, 0);
    const [px, py] = [at.x - wall.fromX, at.y - wall.fromY];
    return { along: px * dx + py * dy, depth: py * dx - px * dy };
}

/** Points from one place along a wall to another, at a depth: the two, and on an arc enough between them to look round. */
export function stretch(wall: Placed, from: number, to: number, depth: number): Point[] {
    const steps = wall.arc ? Math.max(1, Math.ceil(Math.abs((to - from) / wall.arc.radius) / STEP)) : 1;
    return Array.from({ length: steps + 1 }, (_, i) => inPlan(wall, from + ((to - from) * i) / steps, depth));
}

/** The band of a wall between two places along it, through its whole thickness. */
export function band(wall: Placed, from: number, to: number): Point[] {
    return [...stretch(wall, from, to, 0), ...stretch(wall, to, from, wall.thickness)];
}

/** A stretch between two points that rises over its chord, positive to the right: as a wall would stand there. */
export function standing(s: { fromX: number; fromY: number; toX: number; toY: number; rise: number; thickness: number }): Placed {
    const chord = Math.hypot(s.toX - s.fromX, s.toY - s.fromY);
    if (Math.abs(s.rise) < 0.1 || chord < 0.01) return { ...s, length: Math.max(chord, 1e-6), arc: null };
    const h = Math.abs(s.rise);
    const radius = (chord * chord) / (8 * h) + h / 2;
    const side = Math.sign(s.rise);
    const off = side * (h - radius);
    const x = (s.fromX + s.toX) / 2 + ((s.toY - s.fromY) / chord) * off;
    const y = (s.fromY + s.toY) / 2 - ((s.toX - s.fromX) / chord) * off;
    const turn = 4 * Math.atan2(2 * h, chord) * side;
    const arc: Arc = { x, y, radius: radius * side, start: Math.atan2(s.fromY - y, s.fromX - x), turn, chord };
    return { ...s, length: Math.abs(turn) * radius, arc };
}

/** The rise of the arc from one point to another through a third, positive on the right; 0 when they lie in line. */
export function riseThrough(from: Point, to: Point, point: Point): number {
    const [ax, ay] = [from.x - point.x, from.y - point.y];
    const [bx, by] = [to.x - point.x, to.y - point.y];
    const seen = Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by));
    const right = (point.x - from.x) * (to.y - from.y) - (point.y - from.y) * (to.x - from.x);
    return Math.sign(right) * (Math.hypot(to.x - from.x, to.y - from.y) / 2) * Math.tan((Math.PI - seen) / 2);
}

/** The rise of the arc that leaves a point in a direction and ends at another. */
export function riseTangent(from: Point, direction: Point, to: Point): number {
    const [cx, cy] = [to.x - from.x, to.y - from.y];
    const off = Math.atan2(cx * direction.y - cy * direction.x, cx * direction.x + cy * direction.y);
    return -(Math.hypot(cx, cy) / 2) * Math.tan(off / 2);
}
