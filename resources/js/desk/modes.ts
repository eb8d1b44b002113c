import type { useData } from './data';
import type { Storey, Wall } from '../api/client';
import type { At } from './drawing/DrawingPane';
import { measuring } from './measuring';
import { picking } from './picking';
import { placing } from './placing';
import { outlining } from './plan/outlining';
import { pointing } from './plan/pointing';
import { spanning } from './curtain/spanning';
import { cutting } from './screens/cutting';
import type { Mode, Spot } from './store';

export type Data = ReturnType<typeof useData>;
export type Pressed = { key: string; shiftKey: boolean; ctrlKey: boolean; metaKey: boolean };

/** What a drawing tells of the pointer over it. */
export type Pointer = {
    pane: 'elevation' | 'plan';
    at: At;
    /** pixels a mm */
    k: number;
    /** whether what it may catch on has come: until then no point is taken, since it would be a plain one where a corner was meant */
    known: boolean;
    /** the named point it catches on, or the plain one */
    spot: () => Spot;
    /** the point of a tracing it catches on */
    traced: () => Spot | null;
    /** the wall under it, how far along, and the level where that is seen */
    stand: () => { wall: Wall; storey: Storey; along: number; level: number | null } | null;
};

/** What keys and the pointer do while something is going on; what is left out does nothing then. */
export type Ways = {
    /** true when the key was meant for it; Escape leaves unless it is */
    key?: (data: Data, event: Pressed) => boolean;
    hover?: (data: Data, pointer: Pointer | null) => void;
    click?: (data: Data, pointer: Pointer) => void;
    /** said over the elevation */
    sentence?: string;
};

/** One file each. Nothing going on is not among them: then a click chooses and a drag moves, as the drawing itself knows. */
const ways: Record<Exclude<Mode['is'], 'nothing'>, Ways> = {
    placing,
    moving: {},
    outlining,
    measuring,
    framing: { sentence: 'Drag a frame round what is to be chosen' },
    picking,
    pointing,
    spanning,
    cutting,
};

export const waysOf = (mode: Mode): Ways | null => (mode.is === 'nothing' ? null : ways[mode.is]);
