// Reads cases {outline, holes, result} and answers with the areas that polygon-clipping, jsts and earcut find.
import { readFileSync } from 'node:fs';
import earcut, { deviation, flatten } from 'earcut';
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js';
import OverlayOp from 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js';
import UnaryUnionOp from 'jsts/org/locationtech/jts/operation/union/UnaryUnionOp.js';
import ArrayList from 'jsts/java/util/ArrayList.js';
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

function jstsArea(outline, holes) {
    if (holes.length === 0) return jts(outline).getArea();
    const list = new ArrayList();
    holes.forEach((h) => list.add(jts(h)));
    return OverlayOp.difference(jts(outline), UnaryUnionOp.union(list)).getArea();
}

/** Our result's rings put together by polygon-clipping (an island may lie in a hole, so by exclusive or), triangulated by earcut; null where earcut says itself that it lost some of it. */
function earcutArea(rings) {
    if (rings.length === 0) return 0;
    const whole = polygonClipping.xor(...rings.map((r) => [ring(r)]));
    let lost = false;
    const sum = whole.reduce((sum, polygon) => {
        const { vertices, holes } = flatten(polygon.map((r) => r.slice(0, -1)));
        const t = earcut(vertices, holes);
        lost ||= deviation(vertices, holes, 2, t) > 1e-9;
        let s = 0;
        for (let i = 0; i < t.length; i += 3) {
            const [a, b, c] = [t[i], t[i + 1], t[i + 2]].map((k) => [vertices[2 * k], vertices[2 * k + 1]]);
            s += Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) / 2;
        }
        return sum + s;
    }, 0);
    return lost ? null : sum;
}

const cases = JSON.parse(readFileSync(process.argv[2], 'utf8'));
console.log(
    JSON.stringify(
        cases.map(({ outline, holes, result }) => ({
            polygonClipping: area(
                holes.length > 0 ? polygonClipping.difference([ring(outline)], ...holes.map((h) => [ring(h)])) : [[ring(outline)]],
            ),
            jsts: jstsArea(outline, holes),
            earcut: earcutArea(result),
        })),
    ),
);
