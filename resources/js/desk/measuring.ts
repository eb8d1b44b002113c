import type { Storey } from '../api/client';
import type { useData } from './data';
import type { Showing } from './showing';
import { inPlan } from './surface';
import type { Ways } from './modes';
import { measuringOf, useDesk, type Spot } from './store';
import { catchTracing } from './tracing/lines';

type Data = ReturnType<typeof useData>;

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
        if (!going) return;
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

/** The point of a plan that a pointer catches on: walls' corners and openings' jambs, on both faces. */
export function spotInPlan(data: Data, showing: Showing, storey: Storey, x: number, y: number, k: number): Spot {
    let best: Spot & { off: number } = { x: Math.round(x), y: Math.round(y), name: '', off: REACH / k };
    for (const wall of data.project.walls) {
        if (!showing.wall(wall.id) || wall.foot > storey.ceiling - 1 || wall.head < storey.floor + 1) continue;
        const offerAt = (u: number, depth: number, name: string) => {
            const p = inPlan(wall, u, depth);
            const off = Math.hypot(p.x - x, p.y - y);
            if (off <= best.off) best = { ...p, name, off, on: wall.arc ? { wall: wall.id, u, depth } : undefined };
        };
        const outer = (u: number, name: string) => offerAt(u, 0, `${name}, outer face`);
        const inner = (u: number, name: string) => offerAt(u, wall.thickness, `${name}, inner face`);
        outer(wall.start, 'corner');
        outer(wall.end, 'corner');
        inner(wall.innerStart, 'corner');
        inner(wall.innerEnd, 'corner');
        const frontage = data.frontageOf.get(wall.id);
        for (const o of (frontage && data.elevations.get(frontage.id)?.openings) ?? []) {
            if (o.host !== wall.id || o.storey !== storey.id || !showing.opening(o)) continue;
            for (const u of [o.left, o.left + o.span]) {
                outer(u, `jamb of ${o.label}`);
                inner(u, `jamb of ${o.label}`);
            }
        }
    }
    // where no corner or jamb is caught, a tracing's lines may be
    return best.name === ''
        ? (catchTracing(x, y, REACH / k) ?? { x: best.x, y: best.y, name: '' })
        : { x: best.x, y: best.y, name: best.name, on: best.on };
}
