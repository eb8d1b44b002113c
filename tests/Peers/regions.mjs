// Reads cases of steps [cut, ring] in order (chords of curved outlines) and answers with the areas of what is left.
import { readFileSync } from 'node:fs';
import polygonClipping from 'polygon-clipping';

const ring = (flat) => {
    const points = [];
    for (let i = 0; i < flat.length; i += 2) points.push([flat[i], flat[i + 1]]);
    return [...points, points[0]];
};
const shoelace = (points) => points.slice(1).reduce((sum, [x, y], i) => sum + points[i][0] * y - x * points[i][1], 0) / 2;
const area = (multi) =>
    multi.reduce((sum, polygon) => sum + polygon.reduce((s, r, i) => s + (i === 0 ? 1 : -1) * Math.abs(shoelace(r)), 0), 0);

const cases = JSON.parse(readFileSync(process.argv[2], 'utf8'));
console.log(
    JSON.stringify(
        cases.map(({ steps }) =>
            area(
                steps.reduce(
                    (left, [cut, flat]) =>
                        cut ? polygonClipping.difference(left, [ring(flat)]) : polygonClipping.union(left, [ring(flat)]),
                    [],
                ),
            ),
        ),
    ),
);
