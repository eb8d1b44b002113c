import type { EditArgs, Outcome } from '../../api/client';
import type { useData } from '../data';
import type { Ghost, InHand } from '../store';
import { boxOf } from './placed';

type Data = ReturnType<typeof useData>;
type Into = NonNullable<InHand['screen']>;

/** The screen that what is taken in hand goes into: one that is chosen alone. */
export function screenInHand(data: Data, chosen: string[]): Into | null {
    const screen = chosen.length === 1 ? data.project.screens.find((s) => s.id === chosen[0]) : undefined;
    return screen ? { id: screen.id, name: screen.name, floor: data.storeys.get(screen.storey)?.floor ?? 0 } : null;
}

/** What is sent to place in a screen what would be placed in the wall behind it: a cut-out by the same rules, with the unit in it. */
export function intoScreen(data: Data, into: Into, ghost: Ghost, placed: EditArgs<'opening.place'>): EditArgs<'screen.draw'> {
    // levels over a floor are over that of the screen's storey
    const up = (data.storeys.get(ghost.storey)?.floor ?? 0) - into.floor;
    const over = (text: string | number) => (typeof text === 'number' ? text + up : up === 0 ? text : `${up} mm + (${text})`);
    const { sill } = placed;
    return {
        id: into.id,
        cut: true,
        wall: ghost.host,
        type: placed.type ?? null,
        shape: { form: 'rectangle', width: placed.width, height: placed.height },
        position: placed.position,
        sill:
            placed.headAt !== undefined
                ? { from: 'floor', height: over(placed.headAt), edge: 'head' }
                : sill && sill.from === 'floor'
                  ? { ...sill, height: over(sill.height ?? 0) }
                  : sill,
    };
}

/** Where the newest cut-out of a screen lies, or would. */
export function newest(
    outcome: Outcome,
    into: Into,
    host: string,
): { n: number; left: number; sill: number; width: number; height: number } | null {
    const parts = outcome.bands.find((b) => b.element === into.id && b.host === host)?.screen?.parts ?? [];
    const last = parts.reduce<(typeof parts)[number] | null>((a, b) => (a === null || b.n > a.n ? b : a), null);
    if (!last) return null;
    const [x0, y0, x1, y1] = boxOf(last.ring);
    return { n: last.n, left: x0, sill: y0, width: x1 - x0, height: y1 - y0 };
}
