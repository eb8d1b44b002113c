// Reads units {outline, regions, pieces} as rings and answers with areas that polygon-clipping finds: of the regions' union, of what
// they leave
// of the outline, and of what they share; and reads units {solids: [{positions, triangles}]} and answers with what manifold-3d says
// of them.
import { readFileSync } from 'node:fs';
import Module from 'manifold-3d';
import polygonClipping from 'polygon-clipping';

const wasm = await Module();
wasm.setup();
const { Manifold, Mesh } = wasm;

const ring = (flat) => {
    const points = [];
    for (let i = 0; i < flat.length; i += 2) points.push([flat[i], flat[i + 1]]);
    return [...points, points[0]];
};
const shoelace = (points) => points.slice(1).reduce((sum, [x, y], i) => sum + points[i][0] * y - x * points[i][1], 0) / 2;
const area = (multi) =>
    multi.reduce((sum, polygon) => sum + polygon.reduce((s, r, i) => s + (i === 0 ? 1 : -1) * Math.abs(shoelace(r)), 0), 0);

function flat({ outline, pieces }) {
    const rings = pieces.map((p) => [ring(p)]);
    const union = polygonClipping.union(...rings);
    return {
        union: area(union),
        each: rings.map((r) => Math.abs(shoelace(r[0]))),
        beyond: area(polygonClipping.difference(union, [ring(outline)])),
        missing: area(polygonClipping.difference([ring(outline)], union)),
    };
}

function solid(solids) {
    const parts = solids.map(({ positions, triangles }) => {
        const mesh = new Mesh({ numProp: 3, vertProperties: Float32Array.from(positions), triVerts: Uint32Array.from(triangles) });
        mesh.merge();
        return new Manifold(mesh);
    });
    return {
        states: [...new Set(parts.map((p) => p.status()))],
        sum: parts.reduce((s, p) => s + p.volume(), 0),
        union: Manifold.union(parts).volume(),
    };
}

const units = JSON.parse(readFileSync(process.argv[2], 'utf8'));
console.log(JSON.stringify(units.map((u) => ('solids' in u ? solid(u.solids) : flat(u)))));
