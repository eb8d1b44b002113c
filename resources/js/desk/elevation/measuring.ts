import type { useData } from '../data';
import type { Showing } from '../showing';
import { useDesk, type Spot } from '../store';

type Data = ReturnType<typeof useData>;

/** How near a pointer must come to a line to catch on it, px. */
const REACH = 9;

export function startMeasuring(): void {
    useDesk.setState({
        measuring: { from: null, to: null, over: null },
        inHand: null,
        ghost: null,
        sheet: null,
        preview: null,
        picking: null,
        main: 'elevation',
    });
}

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
