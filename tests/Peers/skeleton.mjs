// Reads polygons (outer ring counter-clockwise, holes clockwise) and answers with the nodes of their straight skeletons: [x, y, time].
import { readFileSync } from 'node:fs';

// its build wants a browser
globalThis.self = globalThis.window = globalThis;
Object.defineProperty(process.versions, 'node', { value: undefined });
const { SkeletonBuilder } = (await import('straight-skeleton')).default;
await SkeletonBuilder.init();
const closed = (ring) => [...ring, ring[0]];
console.log(
    JSON.stringify(
        JSON.parse(readFileSync(process.argv[2], 'utf8')).map((rings) => {
            const found = SkeletonBuilder.buildFromPolygon(rings.map(closed));
            return found && found.vertices.filter(([, , when]) => when > 0);
        }),
    ),
);
