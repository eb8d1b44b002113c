// manifold-3d doing the same subtraction: a wall 40 m × 14 m × 300 less the union of boxes. Prints the median of several runs, ms.
import Module from 'manifold-3d';

const wasm = await Module();
wasm.setup();
const { Manifold } = wasm;

function holes(count) {
    const columns = Math.ceil(Math.sqrt((count * 40) / 14));
    const rows = Math.ceil(count / columns);
    const [pw, ph] = [40000 / columns, 14000 / rows];
    return Array.from({ length: count }, (_, i) => [
        (i % columns) * pw + pw * 0.2,
        Math.floor(i / columns) * ph + ph * 0.2,
        pw * 0.6,
        ph * 0.6,
    ]);
}

const out = {};
for (const count of [100, 1000, 4000]) {
    const list = holes(count);
    const times = [];
    for (let run = 0; run < 7; run++) {
        const start = performance.now();
        const boxes = list.map(([x, y, w, h]) => Manifold.cube([w, h, 302]).translate([x, y, -301]));
        const cut = Manifold.cube([40000, 14000, 300]).translate([0, 0, -300]).subtract(Manifold.union(boxes));
        const mesh = cut.getMesh();
        if (mesh.triVerts.length < count) throw new Error('too few triangles');
        times.push(performance.now() - start);
        boxes.forEach((b) => b.delete());
        cut.delete();
    }
    out[count] = times.sort((a, b) => a - b)[3];
}
console.log(JSON.stringify(out));
