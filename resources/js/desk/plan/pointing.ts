import type { Pointer, Ways } from '../modes';
import { placeLight } from '../roofs/lights';
import { keepSection } from '../section/cutting';
import { pointingOf, useDesk, type Pointing, type Spot } from '../store';

/** How many points a purpose takes before something is to be said or done. */
const enough: Record<Pointing['what'], number> = { section: 2, scale: 2, put: 4, marks: 2, rooflight: 1 };

/** Begins to pick points in plan. */
export function startPointing(pointing: Pointing): void {
    useDesk.getState().enter({ is: 'pointing', ...pointing });
    useDesk.setState((s) => (s.main === 'plan' ? {} : { side: 'plan' as const }));
    window.setTimeout(() => document.querySelector<HTMLElement>('[data-pane=plan]')?.focus({ preventScroll: true }), 50);
}

/** Of a tracing first where it is a tracing that is scaled, put in place or read; else of the walls first. */
function spotOf({ what, points }: Pointing, pointer: Pointer): Spot {
    if (what === 'rooflight') return { x: pointer.at.x, y: pointer.at.y, name: '' };
    const [own, traced] = [pointer.spot(), pointer.traced()];
    if (what === 'marks') return traced ?? own;
    if (what === 'scale' || (what === 'put' && points.length % 2 === 0)) return traced ?? { x: pointer.at.x, y: pointer.at.y, name: '' };
    return own.name !== '' ? own : (traced ?? own);
}

/** Points are picked in plan; for a section the second does it, for the rest the bar over the plan asks on. */
export const pointing: Ways = {
    hover: (_, pointer) => {
        const going = pointingOf(useDesk.getState());
        if (going && pointer?.pane === 'plan' && going.points.length < enough[going.what])
            useDesk.setState({ mode: { ...going, over: spotOf(going, pointer) } });
    },
    click: (data, pointer) => {
        const going = pointingOf(useDesk.getState());
        if (!going || pointer.pane !== 'plan' || going.points.length >= enough[going.what]) return;
        if (!pointer.known) return;
        if (going.what === 'rooflight') return void placeLight(data, going.roof!, going.type!, pointer.at);
        const points = [...going.points, spotOf(going, pointer)];
        if (going.what === 'section' && points.length === 2) {
            useDesk.getState().leave();
            void keepSection(data, points[0]!, points[1]!);
        } else useDesk.setState({ mode: { ...going, points, over: null } });
    },
};
