// polygon-clipping doing what the solver does with the same unit's regions: each one's rectangle cut by the outline. Prints the
// median of several runs, ms.
import { readFileSync } from 'node:fs';
import polygonClipping from 'polygon-clipping';

const { outline, regions } = JSON.parse(readFileSync(process.argv[2], 'utf8'));
const ring = [];
for (let i = 0; i < outline.length; i += 2) ring.push([outline[i], outline[i + 1]]);
const times = [];
for (let run = 0; run < 400; run++) {
    const start = performance.now();
    let pieces = 0;
    for (const [x0, y0, x1, y1] of regions)
        pieces += polygonClipping.intersection(
            [ring],
            [
                [
                    [x0, y0],
                    [x1, y0],
                    [x1, y1],
                    [x0, y1],
                ],
            ],
        ).length;
    if (pieces < regions.length) throw new Error('too few pieces');
    times.push(performance.now() - start);
}
console.log(JSON.stringify({ ms: times.slice(100).sort((a, b) => a - b)[150] }));
