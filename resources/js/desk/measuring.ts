import type { Schemas } from '../api/client';
import type { useData } from './data';
import type { Showing } from './showing';
import type { Ways } from './modes';
import { measuringOf, useDesk, type Spot } from './store';
import { catchTracing } from './tracing/lines';

type Data = ReturnType<typeof useData>;
type PlanSpot = Schemas['PlanSpot'];

/** How near a pointer must come to a line to catch on it, px. */
const REACH = 9;

/** Measuring begins in whichever drawing is enlarged; a click in the other begins anew there. */
export function startMeasuring(): void {
    const { main, enter } = useDesk.getState();
    enter({ is: 'measuring', pane: main === 'plan' ? 'plan' : 'elevation', from: null, to: null, over: null });
    if (main === 'solid') useDesk.setState({ main: 'elevation' });
}

/** Two points, one after the other; then the first of the next. */
export const measuring: Ways = {
    hover: (_, pointer) => {
        const going = measuringOf(useDesk.getState());
        if (pointer && going && going.pane === pointer.pane && !going.to) useDesk.setState({ mode: { ...going, over: pointer.spot() } });
    },
    click: (_, pointer) => {
        const going = measuringOf(useDesk.getState());
        if (!going || !pointer.known) return;
        const spot = pointer.spot();
        const again = going.pane !== pointer.pane || !going.from || going.to !== null;
        useDesk.setState({
            mode: again ? { is: 'measuring', pane: pointer.pane, from: spot, to: null, over: spot } : { ...going, to: spot, over: null },
        });
    },
};

/** The point a pointer catches on: sideways on jambs, ends and lines, upright on sills, heads, floors and lines. */
export function spotAt(data: Data, showing: Showing, x: number, y: number, k: number): Spot {
    const reach = REACH / k;
    const across: [number, string][] = [];
    const up: [number, string][] = data.project.storeys.flatMap((s) => [
        [s.floor, `floor of ${s.name}`] as [number, string],
        [s.ceiling, `head of ${s.name}`] as [number, string],
    ]);
    for (const f of showing.frontages) {
        if (x < f.offset - reach || x > f.offset + f.width + reach) continue;
        for (const [wall, start] of Object.entries(f.walls)) {
            for (const c of data.elevations.get(f.id)?.catches[wall]?.upright ?? []) across.push([f.offset + start + c.at, c.name]);
            for (const c of data.elevations.get(f.id)?.catches[wall]?.level ?? []) up.push([c.at, c.name]);
        }
    }
    const near = (all: [number, string][], at: number) =>
        all.filter(([a]) => Math.abs(a - at) <= reach).sort((a, b) => Math.abs(a[0] - at) - Math.abs(b[0] - at))[0];
    const sideways = near(across, x);
    const upright = near(up, y);
    return {
        x: sideways?.[0] ?? Math.round(x),
        y: upright?.[0] ?? Math.round(y),
        name: [sideways?.[1], upright?.[1]].filter(Boolean).join(', '),
    };
}

/** The point of a plan that a pointer catches on: the nearest of the corners and jambs that the core named, else a tracing's lines. */
export function spotInPlan(data: Data, showing: Showing, spots: PlanSpot[], x: number, y: number, k: number): Spot {
    let [best, least]: [PlanSpot | null, number] = [null, REACH / k];
    for (const spot of spots) {
        const off = Math.hypot(spot.x - x, spot.y - y);
        const opening = spot.opening === null ? undefined : data.openings.get(spot.opening);
        if (off <= least && showing.wall(spot.host) && (!opening || showing.opening(opening))) [best, least] = [spot, off];
    }
    if (!best) return catchTracing(x, y, REACH / k) ?? { x: Math.round(x), y: Math.round(y), name: '' };
    // a corner is one of each wall that meets there
    const { x: bx, y: by, name } = best;
    return { x: bx, y: by, name, on: spots.filter((s) => Math.hypot(s.x - bx, s.y - by) < 0.01) };
}
