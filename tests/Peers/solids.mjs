// Reads walls {positions, triangles, box, holes} and answers with what manifold-3d says of the mesh, and of doing the same cut itself.
import { readFileSync } from 'node:fs';
import Module from 'manifold-3d';

const wasm = await Module();
wasm.setup();
const { Manifold, Mesh, CrossSection } = wasm;

function ours({ positions, triangles, unwelded }) {
    const mesh = new Mesh({ numProp: 3, vertProperties: Float32Array.from(positions), triVerts: Uint32Array.from(triangles) });
    // a mesh that is closed by its own numbers needs no bringing together
    if (!unwelded) mesh.merge();
    const solid = new Manifold(mesh);
    return { status: solid.status(), volume: solid.volume(), genus: solid.genus() };
}

function theirs({ box: [x0, y0, x1, y1, t], holes }) {
    const flat = (h) => {
        const points = [];
        for (let i = 0; i < h.length; i += 2) points.push([h[i], h[i + 1]]);
        return points;
    };
    const wall = Manifold.cube([x1 - x0, y1 - y0, t]).translate([x0, y0, -t]);
    const tools = holes.map((h) => new CrossSection([flat(h)]).extrude(t + 2).translate([0, 0, -t - 1]));
    return tools.length === 0 ? wall.volume() : wall.subtract(Manifold.union(tools)).volume();
}

const walls = JSON.parse(readFileSync(process.argv[2], 'utf8'));
console.log(JSON.stringify(walls.map((w) => ({ ...ours(w), theirs: w.box ? theirs(w) : null }))));
