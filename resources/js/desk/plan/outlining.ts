import { create } from 'zustand';
import { api } from '../../api/client';
import { complain } from '../../ui/notices';
import type { useData } from '../data';
import { useDesk, type OutlineInHand } from '../store';
import { catchTracing } from '../tracing/lines';

type Data = ReturnType<typeof useData>;

/** How near a pointer must come to a corner or a right angle to catch on it, px. */
const REACH = 9;

/** What the outline's walls will be, and where the pointer is. */
export const useOutlining = create<{
    thickness: string;
    base: string | null;
    top: string | null;
    inner: boolean;
    line: string;
    next: { x: number; y: number; caught: string | null; closes?: boolean } | null;
}>(() => ({
    thickness: '300',
    base: null,
    top: null,
    inner: false,
    line: 'centre',
    next: null,
}));

/** Starts to draw walls by their outer face, or inner walls of one storey by their centre line. */
export function startOutline(data: Data, inner = false): void {
    const { storeys, settings } = data.project;
    const thickness = { mm: ['300', '100'], m: ['0.3', '0.1'], 'ft-in': ['12"', '4"'] }[settings.units][inner ? 1 : 0]!;
    const active = data.storeys.get(useDesk.getState().storey ?? '') ?? storeys[0]!;
    useOutlining.setState({
        thickness,
        base: inner ? active.id : storeys[0]!.id,
        top: inner ? active.id : storeys.at(-1)!.id,
        inner,
        line: 'centre',
        next: null,
    });
    if (inner) useDesk.setState({ storey: active.id });
    useDesk.setState((s) => ({
        outline: { corners: [], length: '', angle: '', lit: 'length' },
        inHand: null,
        ghost: null,
        chosen: [],
        main: 'plan',
        side: s.main === 'plan' ? s.side : 'elevation',
    }));
    window.setTimeout(() => document.querySelector<HTMLElement>('[data-pane=plan]')?.focus({ preventScroll: true }), 50);
}

/** Follows the pointer, catching on the first corner, on other walls' ends, and on right angles to what is there. */
export function pointer(data: Data, at: { x: number; y: number } | null, k: number): void {
    const outline = useDesk.getState().outline;
    if (!at || !outline) return;
    const reach = REACH / k;
    const first = outline.corners[0];
    const last = outline.corners.at(-1);
    if (first && outline.corners.length > 2 && Math.hypot(at.x - first[0], at.y - first[1]) < reach * 1.4) {
        useOutlining.setState({ next: { x: first[0], y: first[1], caught: 'close here', closes: true } });
        return;
    }
    const next = { x: Math.round(at.x / 10) * 10, y: Math.round(at.y / 10) * 10, caught: null as string | null };
    for (const [x, y] of outline.corners) {
        if (Math.abs(at.x - x) < reach) Object.assign(next, { x, caught: 'in line' });
        if (Math.abs(at.y - y) < reach) Object.assign(next, { y, caught: 'in line' });
    }
    if (last && (next.x === last[0] || next.y === last[1])) next.caught = 'square';
    const face = useOutlining.getState().inner ? faceNear(data, at, reach, last) : null;
    const traced = face ? null : catchTracing(at.x, at.y, reach);
    if (face) Object.assign(next, face);
    else if (traced) Object.assign(next, { x: traced.x, y: traced.y, caught: traced.name });
    useOutlining.setState({ next });
}

/** An inner wall ends on the face of a wall, square to it from the corner before when that is near. */
function faceNear(
    data: Data,
    at: { x: number; y: number },
    reach: number,
    last: [number, number] | undefined,
): { x: number; y: number; caught: string } | null {
    const storey = data.storeys.get(useDesk.getState().storey ?? '');
    let best: { x: number; y: number; caught: string; off: number } | null = null;
    for (const wall of data.project.walls) {
        if (storey && (wall.foot > storey.floor + 1 || wall.head < storey.ceiling - 1)) continue;
        const dx = (wall.toX - wall.fromX) / wall.length;
        const dy = (wall.toY - wall.fromY) / wall.length;
        for (const depth of [0, wall.thickness]) {
            const fx = wall.fromX - dy * depth;
            const fy = wall.fromY + dx * depth;
            const along = (p: { x: number; y: number }) => (p.x - fx) * dx + (p.y - fy) * dy;
            const off = Math.abs((at.x - fx) * dy - (at.y - fy) * dx);
            let u = along(at);
            if (off > reach || u < -reach || u > wall.length + reach || (best && best.off <= off)) continue;
            const square = last && along({ x: last[0], y: last[1] });
            if (square !== undefined && Math.abs(square - u) < reach * 1.5) u = square;
            else u = Math.round(u / 10) * 10;
            best = { x: fx + dx * u, y: fy + dy * u, caught: square === u ? 'square on the wall' : 'on the wall', off };
        }
    }
    return best && { x: best.x, y: best.y, caught: best.caught };
}

/** A click puts a corner where the pointer caught; on the first corner it closes the outline. */
export async function outlineClick(data: Data): Promise<void> {
    const outline = useDesk.getState().outline;
    const next = useOutlining.getState().next;
    if (!outline || !next) return;
    if (next.closes) return finishOutline(data, true);
    addCorner(outline, next.x, next.y);
}

function addCorner(outline: OutlineInHand, x: number, y: number): void {
    useDesk.setState({ outline: { corners: [...outline.corners, [x, y]], length: '', angle: '', lit: 'length' } });
}

/** A typed side: its length, and its direction typed (degrees, counter-clockwise from east) or taken from the pointer. */
async function typedSide(data: Data, outline: OutlineInHand): Promise<void> {
    const last = outline.corners.at(-1);
    if (!last) return;
    try {
        const { mm } = await api.readLength(outline.length, data.project.settings.units);
        const next = useOutlining.getState().next;
        const angle =
            outline.angle.trim() !== ''
                ? Number(outline.angle.replace(',', '.').replace('°', ''))
                : next
                  ? (Math.atan2(next.y - last[1], next.x - last[0]) * 180) / Math.PI
                  : 0;
        if (!Number.isFinite(angle)) throw new Error(`“${outline.angle}” is not an angle: give degrees, counter-clockwise from east.`);
        const radians = (angle * Math.PI) / 180;
        const round = (v: number) => Math.round(v * 1e6) / 1e6;
        addCorner(outline, round(last[0] + mm * Math.cos(radians)), round(last[1] + mm * Math.sin(radians)));
    } catch (problem) {
        complain(problem);
    }
}

/** Draws the walls; the outline in hand stays when it is refused. */
export async function finishOutline(data: Data, closed: boolean): Promise<void> {
    const outline = useDesk.getState().outline;
    const { thickness, base, top, inner, line } = useOutlining.getState();
    if (!outline) return;
    const outcome = await data.edit('outline.draw', {
        points: outline.corners,
        closed,
        thickness,
        base,
        top,
        ...(inner ? { inner: true, line } : {}),
    });
    if (!outcome) return;
    useDesk.setState((s) => ({
        outline: null,
        main: 'elevation',
        side: 'plan',
        chosen: [],
        face: inner ? 'inner' : 'outer',
        views: { ...s.views, elevation: null },
    }));
    useDesk.getState().show('all');
}

/** Keys while an outline is being drawn; true when one was meant for it. */
export function outlineKey(data: Data, event: { key: string; ctrlKey: boolean; metaKey: boolean }): boolean {
    const outline = useDesk.getState().outline;
    if (!outline || event.ctrlKey || event.metaKey) return false;
    const set = (part: Partial<OutlineInHand>) => useDesk.setState({ outline: { ...outline, ...part } });
    if (event.key === 'Escape') {
        if (outline.length || outline.angle) set({ length: '', angle: '', lit: 'length' });
        else useDesk.setState({ outline: null });
        return true;
    }
    if (event.key === 'Tab') {
        set({ lit: outline.lit === 'length' ? 'angle' : 'length' });
        return true;
    }
    if (event.key === 'Enter') {
        if (outline.length) void typedSide(data, outline);
        else if (outline.corners.length === 0) addCorner(outline, 0, 0);
        else if (outline.corners.length > 1 && useOutlining.getState().inner) void finishOutline(data, false);
        else if (outline.corners.length > 2) void finishOutline(data, true);
        return true;
    }
    if (event.key === 'Backspace') {
        const text = outline[outline.lit];
        if (text) set({ [outline.lit]: text.slice(0, -1) });
        else set({ corners: outline.corners.slice(0, -1) });
        return true;
    }
    if (/^[0-9.,+\-*/()'" mcftin°]$/.test(event.key)) {
        set({ [outline.lit]: outline[outline.lit] + event.key });
        return true;
    }
    return false;
}
