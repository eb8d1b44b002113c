// The npm package “straight-skeleton” on the outlines that bench/roof.php wrote: median of several runs, ms.
import { readFileSync } from 'node:fs';

// its build wants a browser
globalThis.self = globalThis.window = globalThis;
Object.defineProperty(process.versions, 'node', { value: undefined });
const { SkeletonBuilder } = (await import('straight-skeleton')).default;
await SkeletonBuilder.init();
const polygons = JSON.parse(readFileSync(process.argv[2], 'utf8')).map((rings) => rings.map((ring) => [...ring, ring[0]]));
const times = [];
for (let round = 0; round < 6; round++)
    for (const polygon of polygons) {
        const start = performance.now();
        if (!SkeletonBuilder.buildFromPolygon(polygon)) throw new Error('none');
        if (round > 1) times.push(performance.now() - start);
    }
console.log(JSON.stringify({ ms: times.sort((a, b) => a - b)[Math.floor(times.length / 2)] }));
