// Reads cases {a, b} of rings (chords of curved outlines) and answers with the areas of both together, in common and of the first
// less the second.
import { readFileSync } from 'node:fs';
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js';
import OverlayOp from 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js';
import polygonClipping from 'polygon-clipping';

const factory = new GeometryFactory();
const ring = (flat) => {
    const points = [];
    for (let i = 0; i < flat.length; i += 2) points.push([flat[i], flat[i + 1]]);
    return [...points, points[0]];
};
const shoelace = (points) => points.slice(1).reduce((sum, [x, y], i) => sum + points[i][0] * y - x * points[i][1], 0) / 2;
const area = (multi) =>
    multi.reduce((sum, polygon) => sum + polygon.reduce((s, r, i) => s + (i === 0 ? 1 : -1) * Math.abs(shoelace(r)), 0), 0);
const jts = (flat) => factory.createPolygon(factory.createLinearRing(ring(flat).map(([x, y]) => new Coordinate(x, y))));

const cases = JSON.parse(readFileSync(process.argv[2], 'utf8'));
console.log(
    JSON.stringify(
        cases.map(({ a, b }) => ({
            polygonClipping: ['union', 'intersection', 'difference'].map((how) => area(polygonClipping[how]([ring(a)], [ring(b)]))),
            jsts: ['union', 'intersection', 'difference'].map((how) => OverlayOp[how](jts(a), jts(b)).getArea()),
        })),
    ),
);
