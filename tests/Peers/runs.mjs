// Reads runs as lists of solids {positions, triangles} and answers what manifold-3d says of each, and of all of them united.
import { readFileSync } from 'node:fs';
import Module from 'manifold-3d';

const wasm = await Module();
wasm.setup();
const { Manifold, Mesh } = wasm;

const runs = JSON.parse(readFileSync(process.argv[2], 'utf8'));
console.log(
    JSON.stringify(
        runs.map((solids) => {
            const all = solids.map(({ positions, triangles }) => {
                const mesh = new Mesh({ numProp: 3, vertProperties: Float32Array.from(positions), triVerts: Uint32Array.from(triangles) });
                mesh.merge();
                return new Manifold(mesh);
            });
            return {
                status: [...new Set(all.map((m) => m.status()))],
                volumes: all.map((m) => m.volume()),
                union: Manifold.union(all).volume(),
            };
        }),
    ),
);
