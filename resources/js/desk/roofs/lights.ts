import type { EditArgs, PlacedBand, Roof, Rooflight } from '../../api/client';
import { complain } from '../../ui/notices';
import type { useData } from '../data';
import { strokes, type Stroke } from '../drawing/paint';
import { isWithin } from '../drawing/view';
import type { Showing } from '../showing';
import { useDesk, type PartName } from '../store';

type Data = ReturnType<typeof useData>;
export type LightKey = { roof: string; n: number };
type Seen = NonNullable<PlacedBand['lights']>;

const drawn = new WeakMap<object, Stroke[]>();

/** What stands in the faces of a roof over one wall, as it is drawn. */
export function lightsOf(seen: Seen, hidden?: Set<string>): Stroke[] {
    if (hidden) return strokes(seen.filter(({ n }) => !hidden.has(lightPart(n))).flatMap((light) => light.shapes));
    let made = drawn.get(seen);
    if (!made) drawn.set(seen, (made = strokes(seen.flatMap((light) => light.shapes))));
    return made;
}

const lightPart = (n: number) => `light ${n}`;

/** What is chosen of a roof, by name: as sets keep it and panes hide it. */
export const lightParts = (roof: string, ns: number[]): PartName[] => ns.map((n) => ({ element: roof, part: lightPart(n) }));

type Shown = Pick<Showing, 'band' | 'parts'>;
const shown = ({ band, parts }: Shown, roof: string, n: number) => band(roof) && !parts.get(roof)?.has(lightPart(n));

/** The rooflights that are seen over the walls of the frontages that have come: rings on the developed elevation. */
export function lightsSeen(data: Data, inner: boolean): (LightKey & { ring: number[] })[] {
    return data.project.frontages.flatMap((f) =>
        (f.inner === inner ? (data.elevations.get(f.id)?.bands ?? []) : []).flatMap((band) =>
            (band.lights ?? []).map(({ n, ring }) => ({
                roof: band.element,
                n,
                ring: ring.map((c, i) => (i % 2 === 0 ? c + f.offset + (f.walls[band.host] ?? 0) : c)),
            })),
        ),
    );
}

/** The rooflight at a point of the developed elevation. */
export function lightAt(data: Data, inner: boolean, x: number, y: number, showing: Shown): LightKey | null {
    return lightsSeen(data, inner).findLast((light) => shown(showing, light.roof, light.n) && isWithin(light.ring, x, y)) ?? null;
}

/** The rooflight at a point of a storey's plan. */
export function lightInPlan(data: Data, storey: string, x: number, y: number, showing: Shown): LightKey | null {
    for (const roof of data.project.roofs.filter((r) => r.storey === storey))
        for (const light of roof.lights)
            if (shown(showing, roof.id, light.n) && light.rings.some((ring) => isWithin(ring, x, y))) return { roof: roof.id, n: light.n };
    return null;
}

/** Chooses a rooflight, or with Shift one more of its roof, or one less. */
export function chooseLight({ roof, n }: LightKey, add: boolean): void {
    const { chosen, fins, choose } = useDesk.getState();
    const own = chosen.length === 1 && chosen[0] === roof;
    if (!own) choose([roof]);
    const rest = fins.filter((f) => f !== n);
    useDesk.setState({ fins: own && add ? (rest.length < fins.length ? rest : [...fins, n]) : [n] });
}

/** The roof of which rooflights are chosen by themselves, and those. */
export function chosenLights(data: Data): { roof: Roof; lights: Rooflight[] } | null {
    const { chosen, fins } = useDesk.getState();
    const roof = chosen.length === 1 ? data.project.roofs.find((r) => r.id === chosen[0]) : undefined;
    const lights = roof?.lights.filter((l) => fins.includes(l.n)) ?? [];
    return roof && lights.length > 0 ? { roof, lights } : null;
}

export const removeLights = (data: Data, roof: string, ns: number[]) =>
    void data.edit('roof.light-remove', { id: roof, ns }).then((done) => done && useDesk.setState({ fins: [] }));

/** Moves a rooflight along its eaves and up its slope, in the figures that it is placed by. */
export function moveLight(data: Data, roof: string, light: Rooflight, by: [number, number]): void {
    const along = light.along + (light.from === 'right' ? -by[0] : by[0]);
    const rise = light.rise + (light.up === 'ridge' ? -by[1] : by[1]);
    const mm = (length: number) => `${length} mm`;
    void data.edit('roof.light', { id: roof, n: light.n, ...(by[0] !== 0 ? { along: mm(along) } : { rise: mm(rise) }) });
}

/** Of a point in plan the face of a roof there, and what a unit takes of it whose middle lies over that point. */
export function standingAt(
    roof: Roof,
    x: number,
    y: number,
    width: number,
    height: number,
): { face: Roof['faces'][number]; ring: number[]; fits: boolean } | null {
    const face = roof.faces.find((f) => isWithin(f.ring, x, y));
    if (!face) return null;
    const [ax, ay, bx, by] = face.ring as [number, number, number, number];
    const long = Math.hypot(bx - ax, by - ay);
    const [u, v] = [[(bx - ax) / long, (by - ay) / long] as const, [-(by - ay) / long, (bx - ax) / long] as const];
    const up = (height / 2) * Math.cos((face.pitch * Math.PI) / 180);
    const ring = [
        [-1, -1],
        [1, -1],
        [1, 1],
        [-1, 1],
    ].flatMap(([i, j]) => [x + u[0] * ((i! * width) / 2) + v[0] * up * j!, y + u[1] * ((i! * width) / 2) + v[1] * up * j!]);
    const within = [0, 2, 4, 6].every((i) => isWithin(face.room, ring[i]!, ring[i + 1]!));
    return { face, ring, fits: within && face.flat };
}

/** The number that the next rooflight of a roof gets. */
export const nextOf = (data: Data, roof: string) =>
    Math.max(0, ...(data.project.roofs.find((r) => r.id === roof)?.lights.map((l) => l.n) ?? [])) + 1;

/** Places a rooflight where its middle lies over a point in plan, and chooses it. */
export async function placeLight(data: Data, roof: string, type: string, at: { x: number; y: number }): Promise<void> {
    try {
        const args: EditArgs<'roof.light'> = { id: roof, type, at: { x: at.x, y: at.y } };
        const n = nextOf(data, roof);
        const done = await data.edit('roof.light', args, { quiet: true, choose: () => [roof] });
        if (done) useDesk.setState((s) => (s.chosen.length === 1 && s.chosen[0] === roof ? { fins: [n] } : {}));
    } catch (problem) {
        complain(problem);
    }
}
