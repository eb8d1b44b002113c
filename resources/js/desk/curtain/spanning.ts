import type { Data, Ways } from '../modes';
import { useDesk } from '../store';
import { gridsOf, onGrid, type FoundGrid } from './grids';

/** How near a pointer must come to a crossing or a line to catch on it, px. */
const REACH = 9;

/** The curtain wall that a free member is drawn on. Facets have none. */
const hostOf = (data: Data): FoundGrid | undefined => {
    const { mode } = useDesk.getState();
    return mode.is === 'spanning' ? gridsOf(data, mode.element)[0] : undefined;
};

/** A place on its face, caught on crossings of lines, or on one line. */
function caught(found: FoundGrid, x: number, y: number, k: number): [number, number] {
    const [u, v] = onGrid(found, x, y);
    const near = (lines: { at: number }[], at: number) => {
        const best = [...lines].sort((a, b) => Math.abs(a.at - at) - Math.abs(b.at - at))[0];
        return best && Math.abs(best.at - at) < REACH / k ? best.at : Math.round(at / 10) * 10;
    };
    return [
        Math.min(Math.max(near(found.grid.bays, u), 0), found.grid.width),
        Math.min(Math.max(near(found.grid.rows, v), 0), found.grid.height),
    ];
}

/** Begins to draw a free member across the cells of a curtain wall. */
export function startSpanning(element: string): void {
    useDesk.getState().enter({ is: 'spanning', element, from: null, to: null });
    window.setTimeout(() => document.querySelector<HTMLElement>('[data-pane=elevation]')?.focus({ preventScroll: true }), 50);
}

/** A free member is drawn: a click where it begins, a click where it ends. */
export const spanning: Ways = {
    sentence: 'Click where the member begins, then where it ends: on a line, a crossing or an edge',
    hover: (data, pointer) => {
        const found = hostOf(data);
        if (found && pointer?.pane === 'elevation')
            useDesk.setState(({ mode }) =>
                mode.is === 'spanning' ? { mode: { ...mode, to: caught(found, pointer.at.x, pointer.at.y, pointer.k) } } : {},
            );
    },
    click: (data, pointer) => {
        const found = hostOf(data);
        const { mode } = useDesk.getState();
        if (!found || mode.is !== 'spanning' || pointer.pane !== 'elevation') return;
        const at = caught(found, pointer.at.x, pointer.at.y, pointer.k);
        if (mode.from === null) return useDesk.setState({ mode: { ...mode, from: at } });
        const from = mode.from;
        const free = [{ fromU: from[0], fromV: from[1], toU: at[0], toV: at[1] }];
        // the next click begins another one; of one that is refused the beginning stays, unless another was begun meanwhile
        useDesk.setState({ mode: { ...mode, from: null } });
        void data.edit('curtain.hand', { ids: [mode.element], free }).then((outcome) => {
            if (!outcome)
                useDesk.setState(({ mode: now }) =>
                    now.is === 'spanning' && now.element === mode.element && now.from === null ? { mode: { ...now, from } } : {},
                );
        });
    },
};
