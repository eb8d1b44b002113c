// Builds curved walls from cylinders, boxes and half-spaces in a general solid kernel, and answers with their volumes.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);
const kernel = require('replicad-opencascadejs');
const wasmBinary = readFileSync(require.resolve('replicad-opencascadejs/wasm'));
const oc = await (kernel.default ?? kernel)({ wasmBinary });

const point = (x, y, z) => new oc.gp_Pnt(x, y, z);
const up = new oc.gp_Dir(0, 0, 1);
const range = () => new oc.Message_ProgressRange();
const cut = (a, b) => new oc.BRepAlgoAPI_Cut(a, b, range()).Shape();
const common = (a, b) => new oc.BRepAlgoAPI_Common(a, b, range()).Shape();
const cylinder = (x, y, z, r, h) => new oc.BRepPrimAPI_MakeCylinder(new oc.gp_Ax2(point(x, y, z), up), r, h).Shape();

/** A box whose x runs in a direction in plan from an origin, y to its left. */
function box(x, y, z, angle, length, width, height) {
    const axes = new oc.gp_Ax2(point(x, y, z), up, new oc.gp_Dir(Math.cos(angle), Math.sin(angle), 0));
    return new oc.BRepPrimAPI_MakeBox(axes, length, width, height).Shape();
}

/** All within a turn of less than half about an upright axis: what one half-space leaves of another. */
function wedge(x, y, z, from, to, reach, height) {
    const back = (angle) => [x - reach * Math.cos(angle), y - reach * Math.sin(angle)];
    return cut(box(...back(from), z, from, 2 * reach, reach, height), box(...back(to), z - 1, to, 2 * reach, reach, height + 2));
}

function volume(shape) {
    const props = new oc.GProp_GProps();
    oc.BRepGProp.VolumeProperties(shape, props, true, false, false);
    return props.Mass();
}

/** An arc of wall about the origin with openings through it. */
function arc({ outer, inner, from, to, height, openings }) {
    const reach = 4 * outer;
    let wall = cut(cylinder(0, 0, 0, Math.max(outer, inner), height), cylinder(0, 0, -1, Math.min(outer, inner), height + 2));
    wall = common(wall, wedge(0, 0, -1, from, to, reach, height + 2));
    for (const o of openings) {
        const half = o.width / 2;
        const [c, s] = [Math.cos(o.middle), Math.sin(o.middle)];
        const tool =
            o.jambs === 'parallel'
                ? box(s * half, -c * half, o.sill, o.middle, reach, o.width, o.height)
                : wedge(0, 0, o.sill, o.middle - o.half, o.middle + o.half, reach, o.height);
        wall = cut(wall, tool);
    }
    return volume(wall);
}

/** What stands between a closed outline of an arc under a straight side on y = 0, and the same so much farther in. */
function segment({ chord, radius, centre, thickness, height }) {
    const big = 10 * radius;
    const below = (y, z, h) => box(-big, y - big, z, 0, 2 * big, big, h);
    const disc = (r, z, h) => cylinder(chord / 2, centre, z, r, h);
    const outer = common(disc(radius, 0, height), below(0, -1, height + 2));
    return volume(cut(outer, common(disc(radius - thickness, -1, height + 2), below(-thickness, -2, height + 4))));
}

/** What lies between two radii about the origin within upright half-spaces [x, y, c]: where x·px + y·py is no more than c. */
function ring({ near, far, height, within }) {
    const reach = 5 * Math.max(near, far);
    let solid = cut(cylinder(0, 0, 0, Math.max(near, far), height), cylinder(0, 0, -1, Math.min(near, far), height + 2));
    for (const [x, y, c] of within) {
        const [tx, ty] = [-y, x];
        solid = common(solid, box(c * x - reach * tx, c * y - reach * ty, -1, Math.atan2(ty, tx), 2 * reach, reach, height + 2));
    }
    return volume(solid);
}

const kinds = { arc, segment, ring };
const cases = JSON.parse(readFileSync(process.argv[2], 'utf8'));
console.log(JSON.stringify(cases.map((c) => kinds[c.kind](c))));
