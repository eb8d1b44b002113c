import { create } from 'zustand';
import { api } from '../../api/client';
import { complain } from '../../ui/notices';
import type { useData } from '../data';
import { useDesk, type OutlineInHand } from '../store';

type Data = ReturnType<typeof useData>;

/** How near a pointer must come to a corner or a right angle to catch on it, px. */
const REACH = 9;

/** What the outline's walls will be, and where the pointer is. */
export const useOutlining = create<{ thickness: string; base: string | null; top: string | null; next: { x: number; y: number; caught: string | null } | null }>(() => ({
    thickness: '300',
    base: null,
    top: null,
    next: null,
}));

export function startOutline(data: Data): void {
    const { storeys, settings } = data.project;
    useOutlining.setState({ thickness: settings.units === 'mm' ? '300' : settings.units === 'm' ? '0.3' : '12"', base: storeys[0]!.id, top: storeys.at(-1)!.id, next: null });
    useDesk.setState((s) => ({ outline: { corners: [], length: '', angle: '', lit: 'length' }, inHand: null, ghost: null, chosen: [], main: 'plan', side: s.main === 'plan' ? s.side : 'elevation' }));
    window.setTimeout(() => document.querySelector<HTMLElement>('[data-pane=plan]')?.focus({ preventScroll: true }), 50);
}

/** Follows the pointer, catching on the first corner, on other walls' ends, and on right angles to what is there. */
export function pointer(at: { x: number; y: number } | null, k: number): void {
    const outline = useDesk.getState().outline;
    if (!at || !outline) return;
    const reach = REACH / k;
    const first = outline.corners[0];
    const last = outline.corners.at(-1);
    if (first && outline.corners.length > 2 && Math.hypot(at.x - first[0], at.y - first[1]) < reach * 1.4) {
        useOutlining.setState({ next: { x: first[0], y: first[1], caught: 'close here' } });
        return;
    }
    const next = { x: Math.round(at.x / 10) * 10, y: Math.round(at.y / 10) * 10, caught: null as string | null };
    for (const [x, y] of outline.corners) {
        if (Math.abs(at.x - x) < reach) Object.assign(next, { x, caught: 'in line' });
        if (Math.abs(at.y - y) < reach) Object.assign(next, { y, caught: 'in line' });
    }
    if (last && (next.x === last[0] || next.y === last[1])) next.caught = 'square';
    useOutlining.setState({ next });
}

/** A click puts a corner where the pointer caught; on the first corner it closes the outline. */
export async function outlineClick(data: Data): Promise<void> {
    const outline = useDesk.getState().outline;
    const next = useOutlining.getState().next;
    if (!outline || !next) return;
    if (next.caught === 'close here') return finishOutline(data, true);
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
        const angle = outline.angle.trim() !== '' ? Number(outline.angle.replace(',', '.').replace('°', '')) : next ? (Math.atan2(next.y - last[1], next.x - last[0]) * 180) / Math.PI : 0;
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
    const { thickness, base, top } = useOutlining.getState();
    if (!outline) return;
    const outcome = await data.edit('outline.draw', { points: outline.corners, closed, thickness, base, top });
    if (!outcome) return;
    useDesk.setState({ outline: null, main: 'elevation', side: 'plan', chosen: [] });
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
