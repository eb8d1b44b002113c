import { create } from 'zustand';
import { api, type EditArgs } from '../../api/client';
import { complain } from '../../ui/notices';
import type { useData } from '../data';
import type { Pressed, Ways } from '../modes';
import { outlineOf, useDesk, type Corner, type OutlineInHand, type StretchFigure, type Stretch, type StretchKind } from '../store';
import { inPlan, onWall, riseTangent, riseThrough, standing, tangent } from '../surface';
import { catchTracing } from '../tracing/lines';

type Data = ReturnType<typeof useData>;
type Point = { x: number; y: number };

/** How near a pointer must come to a corner or a right angle to catch on it, px. */
const REACH = 9;

/** What the outline's walls will be, and where the pointer is. */
export const useOutlining = create<{
    thickness: string;
    base: string | null;
    top: string | null;
    inner: boolean;
    line: 'face' | 'centre';
    /** the grid type of a run of curtain wall; null for walls */
    grid: string | null;
    /** what is drawn is the line of a band of fins */
    band: boolean;
    /** the slab that what is drawn is an opening in; “new” for a slab by itself */
    slab: string | null;
    /** how many chains of inner walls have been built since they began to be drawn */
    built: number;
    next: { x: number; y: number; caught: string | null; closes?: boolean } | null;
}>(() => ({
    thickness: '300',
    base: null,
    top: null,
    inner: false,
    line: 'centre',
    grid: null,
    band: false,
    slab: null,
    built: 0,
    next: null,
}));

const fresh = (corners: Corner[], kind: StretchKind): OutlineInHand => ({
    corners,
    kind: corners.length < 2 && kind === 'on' ? 'straight' : kind,
    end: null,
    typed: {},
    lit: kind === 'on' && corners.length > 1 ? 'radius' : 'length',
    refusal: null,
});

const hold = (outline: OutlineInHand | null) =>
    outline ? useDesk.setState({ mode: { is: 'outlining', outline } }) : useDesk.getState().leave();

/** Starts to draw walls by their outer face, or inner walls of one storey by their centre line. */
export function startOutline(data: Data, inner = false, grid: string | null = null, band = false): void {
    const { storeys, settings } = data.project;
    const thickness = { mm: ['300', '100'], m: ['0.3', '0.1'], 'ft-in': ['12"', '4"'] }[settings.units][inner ? 1 : 0]!;
    const active = data.storeys.get(useDesk.getState().storey ?? '') ?? storeys[0]!;
    useOutlining.setState({
        thickness,
        base: inner || grid || band ? active.id : storeys[0]!.id,
        top: inner || grid ? active.id : storeys.at(-1)!.id,
        inner,
        line: 'centre',
        grid,
        band,
        slab: null,
        built: 0,
        next: null,
    });
    if (inner) useDesk.setState({ storey: active.id });
    useDesk.getState().enter({ is: 'outlining', outline: fresh([], 'straight') });
    useDesk.setState((s) => ({
        chosen: [],
        main: 'plan',
        side: s.main === 'plan' ? s.side : 'elevation',
    }));
    window.setTimeout(() => document.querySelector<HTMLElement>('[data-pane=plan]')?.focus({ preventScroll: true }), 50);
}

/** Starts to draw an opening in a slab, in the plan of the storey it is the floor of. */
export function startHole(data: Data, slab: string, storey: string): void {
    useDesk.setState({ storey });
    startOutline(data, false, null, true);
    useOutlining.setState({ slab });
}

/** Starts to draw a slab in the plan of the storey that it is the floor of. */
export function startSlab(data: Data): void {
    startOutline(data, false, null, true);
    useOutlining.setState({ slab: 'new' });
}

/** The stretch drawn last, as a wall would stand there. */
export function lastStretch(outline: OutlineInHand) {
    const [a, b] = outline.corners.slice(-2);
    return a && b ? standing({ fromX: a.x, fromY: a.y, toX: b.x, toY: b.y, rise: b.rise ?? 0, thickness: 0 }) : null;
}

/** The stretch from the last corner to where the pointer is: as it would be drawn by a click there. */
export function coming(outline: OutlineInHand, next: Point | null) {
    const last = outline.corners.at(-1);
    const to = outline.end ?? next;
    if (!last || !to || !next || Math.hypot(to.x - last.x, to.y - last.y) < 1) return null;
    const before = lastStretch(outline);
    const most = Math.hypot(to.x - last.x, to.y - last.y) * 11;
    const rise = outline.end
        ? riseThrough(last, to, next)
        : outline.kind === 'on' && before
          ? riseTangent(last, tangent(before, before.length), to)
          : 0;
    const bounded = Number.isFinite(rise) && Math.abs(rise) < most ? rise : 0;
    return standing({ fromX: last.x, fromY: last.y, toX: to.x, toY: to.y, rise: bounded, thickness: 0 });
}

/** How the next stretch is drawn. */
export function drawAs(kind: StretchKind): void {
    const outline = outlineOf(useDesk.getState());
    if (outline) hold({ ...fresh(outline.corners, kind), refusal: null });
    document.querySelector<HTMLElement>('[data-pane=plan]')?.focus({ preventScroll: true });
}

/** Follows the pointer, catching on the first corner, on other walls' ends, and on right angles to what is there. */
function follow(data: Data, at: Point, k: number): void {
    const outline = outlineOf(useDesk.getState());
    if (!outline) return;
    const reach = REACH / k;
    const first = outline.corners[0];
    const last = outline.corners.at(-1);
    const closable = outline.corners.length > (outline.corners.some((c) => c.rise) || outline.kind !== 'straight' ? 1 : 2);
    if (outline.end) {
        const traced = catchTracing(at.x, at.y, reach);
        const next = traced
            ? { x: traced.x, y: traced.y, caught: traced.name }
            : { x: Math.round(at.x / 10) * 10, y: Math.round(at.y / 10) * 10, caught: null };
        return useOutlining.setState({ next });
    }
    if (first && closable && Math.hypot(at.x - first.x, at.y - first.y) < reach * 1.4) {
        useOutlining.setState({ next: { x: first.x, y: first.y, caught: 'close here', closes: true } });
        return;
    }
    const next = { x: Math.round(at.x / 10) * 10, y: Math.round(at.y / 10) * 10, caught: null as string | null };
    for (const { x, y } of outline.corners) {
        if (Math.abs(at.x - x) < reach) Object.assign(next, { x, caught: 'in line' });
        if (Math.abs(at.y - y) < reach) Object.assign(next, { y, caught: 'in line' });
    }
    if (last && (next.x === last.x || next.y === last.y)) next.caught = 'square';
    const face = useOutlining.getState().inner || useOutlining.getState().grid ? faceNear(data, at, reach, last) : null;
    const traced = face ? null : catchTracing(at.x, at.y, reach);
    if (face) Object.assign(next, face);
    else if (traced) Object.assign(next, { x: traced.x, y: traced.y, caught: traced.name });
    useOutlining.setState({ next });
}

/** An inner wall ends on the face of a wall, square to it from the corner before when that is near. */
function faceNear(data: Data, at: Point, reach: number, last: Point | undefined): { x: number; y: number; caught: string } | null {
    const storey = data.storeys.get(useDesk.getState().storey ?? '');
    let best: { x: number; y: number; caught: string; off: number } | null = null;
    for (const wall of data.project.walls) {
        if (storey && (wall.foot > storey.floor + 1 || wall.head < storey.ceiling - 1)) continue;
        const { along, depth } = onWall(wall, at);
        for (const face of [0, wall.thickness]) {
            const off = Math.abs(depth - face);
            let u = along;
            if (off > reach || u < -reach || u > wall.length + reach || (best && best.off <= off)) continue;
            const square = last && onWall(wall, last).along;
            if (square !== undefined && Math.abs(square - u) < reach * 1.5) u = square;
            else u = Math.round(u / 10) * 10;
            best = { ...inPlan(wall, u, face), caught: square === u ? 'square on the wall' : 'on the wall', off };
        }
    }
    return best && { x: best.x, y: best.y, caught: best.caught };
}

/** A click puts a corner where the pointer caught; of an arc first its end, then a point on it. On the first corner it closes. */
async function outlineClick(data: Data): Promise<void> {
    const outline = outlineOf(useDesk.getState());
    const next = useOutlining.getState().next;
    if (!outline || !next) return;
    if (outline.end) return addArc(data, outline, { through: [next.x, next.y] });
    if (outline.corners.length > 0 && outline.kind === 'arc') {
        return hold({ ...outline, end: { x: next.x, y: next.y, closes: next.closes === true }, typed: {}, lit: 'rise', refusal: null });
    }
    if (outline.corners.length > 1 && outline.kind === 'on') {
        const end = { x: next.x, y: next.y, closes: next.closes === true };
        return addArc(data, { ...outline, end }, { tangent: true });
    }
    if (next.closes) return finishOutline(data, true);
    hold(fresh([...outline.corners, { x: next.x, y: next.y }], outline.kind));
}

/** As the core takes them: an arc that says its own end has no other. */
type Drawn = NonNullable<EditArgs<'outline.draw'>['points']>;
type Closing = EditArgs<'outline.draw'>['closing'];

export const asSent = (corners: Corner[]) =>
    corners.map(({ x, y, how }): Drawn[number] =>
        how === undefined ? [x, y] : how.tangent && how.radius !== undefined ? how : { x, y, ...how },
    );

/**
 * Adds an arc as it was said, when the core can make it: it says what rise it has and where it ends. One that ends in the first corner
 * closes the outline.
 */
async function addArc(data: Data, outline: OutlineInHand, how: Stretch): Promise<void> {
    const { thickness, base, top } = useOutlining.getState();
    if (base === null || top === null) return;
    if (outline.end?.closes) return finishOutline(data, true, how);
    const corner: Corner = { x: outline.end?.x ?? 0, y: outline.end?.y ?? 0, how };
    try {
        const tried = await data.tryEdit('outline.draw', {
            points: asSent([...outline.corners, corner]),
            closed: false,
            thickness,
            base,
            top,
        });
        const wall = tried.walls.at(-1)!;
        const { x, y, rise } = { x: wall.toX, y: wall.toY, rise: wall.rise };
        hold(fresh([...outline.corners, { x, y, rise, how }], outline.kind));
    } catch (problem) {
        const now = outlineOf(useDesk.getState());
        if (now) hold({ ...now, refusal: (problem as Error).message });
    }
}

/** A typed straight side: its length, and its direction typed (degrees, counter-clockwise from east) or taken from the pointer. */
async function typedSide(data: Data, outline: OutlineInHand): Promise<void> {
    const last = outline.corners.at(-1);
    if (!last) return;
    try {
        const { mm } = await api.readLength(outline.typed.length ?? '', data.project.settings.units);
        const next = useOutlining.getState().next;
        const angle =
            (outline.typed.angle ?? '').trim() !== ''
                ? degrees(outline.typed.angle!)
                : next
                  ? (Math.atan2(next.y - last.y, next.x - last.x) * 180) / Math.PI
                  : 0;
        if (!Number.isFinite(angle))
            throw new Error(`“${outline.typed.angle}” is not an angle: give degrees, counter-clockwise from east.`);
        const radians = (angle * Math.PI) / 180;
        const round = (v: number) => Math.round(v * 1e6) / 1e6;
        const end = { x: round(last.x + mm * Math.cos(radians)), y: round(last.y + mm * Math.sin(radians)) };
        if (outline.kind === 'arc') hold({ ...outline, end: { ...end, closes: false }, typed: {}, lit: 'rise', refusal: null });
        else hold(fresh([...outline.corners, end], outline.kind));
    } catch (problem) {
        complain(problem);
    }
}

/** An angle that was typed; NaN where it is none. */
export const degrees = (text: string) => (text.trim() === '' ? NaN : Number(text.replace(',', '.').replace('°', '')));

/** A typed arc: one figure of it when both ends are given, bulging to where the pointer is; else its radius and the angle it turns by. */
async function typedArc(data: Data, outline: OutlineInHand): Promise<void> {
    const { typed, lit, end } = outline;
    const arc = coming(outline, useOutlining.getState().next);
    const left = arc?.arc ? arc.arc.radius < 0 : false;
    const signed = (text: string) => (left ? `-(${text})` : text);
    const fail = (refusal: string) => hold({ ...outline, refusal });
    if (end) {
        const text = typed[lit];
        if (!text) return;
        if (lit !== 'angle') return addArc(data, outline, { [lit === 'arc' ? 'length' : lit]: signed(text) });
        const angle = degrees(text);
        if (!Number.isFinite(angle)) return fail(`“${text}” is not an angle: give degrees.`);
        return addArc(data, outline, { angle: left ? -angle : angle });
    }
    if (!typed.radius || !typed.angle) return fail('Type the radius, Tab, and the angle it turns by; or click where it ends.');
    const angle = degrees(typed.angle);
    if (!Number.isFinite(angle)) return fail(`“${typed.angle}” is not an angle: give degrees.`);
    return addArc(data, outline, { tangent: true, radius: signed(typed.radius), angle });
}

/** Draws the walls; the outline in hand stays when it is refused. */
export async function finishOutline(data: Data, closed: boolean, closing?: Closing): Promise<void> {
    const outline = outlineOf(useDesk.getState());
    if (!outline) return;
    await build(data, { points: asSent(outline.corners), closed, ...(closing ? { closing } : {}) });
}

/** Draws the walls of an outline as it is said. */
export async function build(
    data: Data,
    shape: Pick<EditArgs<'outline.draw'>, 'points' | 'closing' | 'closed' | 'rectangle' | 'circle'>,
): Promise<boolean> {
    const { thickness, base, top, inner, line, grid, band, slab } = useOutlining.getState();
    if (slab === 'new' && base) return standSlab(data, { ...shape, closed: true, storey: base });
    if (slab !== null) return cutHole(data, slab, shape);
    if (base === null || top === null) return false;
    if (band) return standBand(data, { ...shape, storey: base });
    const { chosen } = useDesk.getState();
    const outcome = await data.edit('outline.draw', {
        ...shape,
        ...(grid ? { grid } : { thickness }),
        base,
        top,
        ...(inner ? { inner: true, line } : {}),
    });
    if (!outcome) return false;
    if (inner && !grid) {
        // the view stays, and the next is drawn
        useOutlining.setState((s) => ({ built: s.built + 1, next: null }));
        hold(fresh([], 'straight'));
        return true;
    }
    if (!useDesk.getState().leaveStill('outlining') || useDesk.getState().chosen !== chosen) return true;
    useDesk.setState((s) => ({
        main: 'elevation',
        side: 'plan',
        chosen: grid ? outcome.chosen.slice(0, 1) : [],
        face: 'outer',
        views: { ...s.views, elevation: null },
    }));
    useDesk.getState().show(grid ? outcome.chosen : 'all');
    return true;
}

/** Cuts an opening in a slab; drawn open it is closed. */
async function cutHole(data: Data, slab: string, shape: Parameters<typeof build>[1]): Promise<boolean> {
    const { points, closing, rectangle, circle } = shape;
    const hole = { ...(points && { points }), ...(closing && { closing }), ...(rectangle && { rectangle }), ...(circle && { circle }) };
    if (!(await data.edit('floor-band.change', { id: slab, hole }, { choose: () => [slab] }))) return false;
    useDesk.getState().leaveStill('outlining');
    return true;
}

/** Makes a slab as thick as the settings say, its top on the floor. */
async function standSlab(data: Data, args: EditArgs<'floor-band.add'>): Promise<boolean> {
    if (!(await data.edit('floor-band.add', { ...args, depth: null }, { choose: (o) => o.chosen }))) return false;
    useDesk.getState().leaveStill('outlining');
    return true;
}

/** Stands a band of fins, and shows it. */
export async function standBand(data: Data, args: EditArgs<'band.add'>): Promise<boolean> {
    const outcome = await data.edit('band.add', args, { choose: (o) => o.chosen });
    if (!outcome) return false;
    if (!useDesk.getState().leaveStill('outlining') || useDesk.getState().chosen !== outcome.chosen) return true;
    useDesk.setState((s) => ({ main: 'elevation', side: s.side === 'elevation' ? 'solid' : s.side, face: 'outer', driven: 'reach' }));
    useDesk.getState().show(outcome.chosen);
    return true;
}

/** The figures that can be typed now, in the order that Tab goes through. */
export function figuresOf(outline: OutlineInHand): StretchFigure[] {
    if (outline.end) return ['rise', 'radius', 'arc', 'angle'];
    return outline.kind === 'on' && outline.corners.length > 1 ? ['radius', 'angle'] : ['length', 'angle'];
}

/** Whether what is drawn ends where it ends, unless it is said to close. */
const isOpen = () => {
    const { inner, grid, band } = useOutlining.getState();
    return inner || grid !== null || band;
};

/** Keys while an outline is being drawn; true when one was meant for it. */
function outlineKey(data: Data, event: Pressed): boolean {
    const outline = outlineOf(useDesk.getState());
    if (!outline || event.ctrlKey || event.metaKey) return false;
    const set = (part: Partial<OutlineInHand>) => hold({ ...outline, refusal: null, ...part });
    const figures = figuresOf(outline);
    const typed = Object.values(outline.typed).some(Boolean);
    if (event.key === 'Escape') {
        if (typed || outline.refusal) set({ typed: {}, lit: figures[0]! });
        else if (outline.end) set({ end: null, lit: 'length' });
        else hold(null);
        return true;
    }
    if (event.key === 'Tab') {
        set({ lit: figures[(figures.indexOf(outline.lit) + (event.shiftKey ? figures.length - 1 : 1)) % figures.length]! });
        return true;
    }
    if (event.key === 'Enter') {
        if (outline.end || (outline.kind === 'on' && outline.corners.length > 1 && typed)) void typedArc(data, outline);
        else if (outline.typed.length) void typedSide(data, outline);
        else if (outline.corners.length === 0 && useOutlining.getState().built > 0) hold(null);
        else if (outline.corners.length === 0) hold(fresh([{ x: 0, y: 0 }], outline.kind));
        else if (outline.corners.length > 1 && isOpen()) void finishOutline(data, false);
        else if (outline.corners.length > 2) void finishOutline(data, true);
        return true;
    }
    if (event.key === 'Backspace') {
        const text = outline.typed[outline.lit];
        if (text) set({ typed: { ...outline.typed, [outline.lit]: text.slice(0, -1) } });
        else if (outline.end) set({ end: null, lit: 'length' });
        else hold(fresh(outline.corners.slice(0, -1), outline.kind));
        return true;
    }
    if (event.key === 'a' && !typed) {
        const kinds: StretchKind[] = outline.corners.length > 1 ? ['straight', 'arc', 'on'] : ['straight', 'arc'];
        drawAs(kinds[(kinds.indexOf(outline.kind) + 1) % kinds.length]!);
        return true;
    }
    if (/^[0-9.,+\-*/()'" mcftin°]$/.test(event.key)) {
        set({ typed: { ...outline.typed, [outline.lit]: (outline.typed[outline.lit] ?? '') + event.key } });
        return true;
    }
    return false;
}

/** An outline of walls is drawn in plan. */
export const outlining: Ways = {
    key: outlineKey,
    hover: (data, pointer) => {
        if (pointer?.pane === 'plan') follow(data, { x: pointer.at.x, y: pointer.at.y }, pointer.k);
    },
    click: (data, pointer) => {
        if (pointer.pane === 'plan') void outlineClick(data);
    },
};
