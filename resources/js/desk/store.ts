import { create } from 'zustand';
import type { Finding } from '../api/client';

export type Pane = 'elevation' | 'plan' | 'solid';
export type Dimension = 'left' | 'right' | 'sill' | 'head' | 'width' | 'height';
export const dimensions: Dimension[] = ['left', 'right', 'sill', 'head', 'width', 'height'];

/** What the next opening is made of: a type from the rack, or a bare opening, with the size and sill used last. */
export type InHand = { type: string | null; label: string; width: number; height: number; sill: number };

/** An opening that is being placed or moved and is not there yet. Lengths in mm; left from the wall's left end, sill as a level. */
export type Ghost = {
    /** the opening that is being moved, or null for a new one */
    moving: string | null;
    wall: string;
    storey: string;
    left: number;
    sill: number;
    width: number;
    height: number;
    /** what the caught line is called, sideways and upright */
    caught: { along: string | null; up: string | null; alongAt?: number; upAt?: number };
    /** whether the middle of the wall holds its centre */
    centred: boolean;
    typed: Partial<Record<Dimension, string>>;
    lit: Dimension;
    refusal: string | null;
    findings: Finding[];
};

/** Drawing an outline in plan: the corners so far, and what is typed for the next side. */
export type OutlineInHand = { corners: [number, number][]; length: string; angle: string; lit: 'length' | 'angle' };

export type View = { x: number; y: number; k: number };

type Desk = {
    chosen: string[];
    storey: string | null;
    inHand: InHand | null;
    ghost: Ghost | null;
    outline: OutlineInHand | null;
    main: Pane;
    side: Pane;
    schedules: boolean;
    commands: boolean;
    listFindings: boolean;
    settings: boolean;
    views: Record<'elevation' | 'plan', View | null>;
    sizes: Record<'elevation' | 'plan', { width: number; height: number }>;
    /** a request to bring something into view: everything, or these elements */
    goTo: { what: 'all' | string[]; count: number };
    set: (part: Partial<Desk>) => void;
    choose: (ids: string[], add?: boolean) => void;
    look: (pane: 'elevation' | 'plan', view: View | null) => void;
    show: (what: 'all' | string[]) => void;
    enlarge: (pane: Pane) => void;
    letGo: () => void;
};

/** What the desk shows and holds; nothing of the design itself. */
export const useDesk = create<Desk>((set) => ({
    chosen: [],
    storey: null,
    inHand: null,
    ghost: null,
    outline: null,
    main: 'elevation',
    side: 'solid',
    schedules: false,
    commands: false,
    listFindings: false,
    settings: false,
    views: { elevation: null, plan: null },
    sizes: { elevation: { width: 0, height: 0 }, plan: { width: 0, height: 0 } },
    goTo: { what: 'all', count: 0 },
    set: (part) => set(part),
    choose: (ids, add = false) =>
        set((s) => {
            if (!add) return { chosen: ids, listFindings: false };
            const kept = s.chosen.filter((id) => !ids.includes(id));
            return { chosen: kept.length === s.chosen.length ? [...s.chosen, ...ids] : kept };
        }),
    look: (pane, view) => set((s) => ({ views: { ...s.views, [pane]: view } })),
    show: (what) => set((s) => ({ goTo: { what, count: s.goTo.count + 1 } })),
    enlarge: (pane) => set((s) => (s.main === pane ? {} : { views: { elevation: null, plan: null }, main: pane, side: s.main === 'elevation' || s.side === pane ? s.main : s.side })),
    letGo: () => set({ inHand: null, ghost: null }),
}));

export const resetDesk = () =>
    useDesk.setState({ chosen: [], storey: null, inHand: null, ghost: null, outline: null, main: 'elevation', side: 'solid', schedules: false, listFindings: false, settings: false, views: { elevation: null, plan: null } });
