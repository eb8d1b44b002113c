import type { Shape } from '../../api/client';

/** A shape's outline as the "d" of an SVG path, y down. */
export function svgPath(shape: Shape): string {
    return shape.rings
        .map((ring, r) => {
            if (shape.kind === 'arc') {
                const [x, y, radius, start, sweep] = ring as [number, number, number, number, number];
                return `M${x + radius * Math.cos(start)} ${-y - radius * Math.sin(start)}${arc(x, y, radius, radius, start, sweep)}`;
            }
            if (shape.kind === 'text') return '';
            const curves = new Map(shape.curves?.[r]?.map((c) => [c[0], c]));
            let d = `M${ring[0]} ${-ring[1]!}`;
            for (let i = 0; i < ring.length; i += 2) {
                const curve = curves.get(i / 2);
                if (curve) {
                    const [, cx, cy, rx, ry, start, sweep, tilt = 0] = curve as [
                        number,
                        number,
                        number,
                        number,
                        number,
                        number,
                        number,
                        number?,
                    ];
                    d += arc(cx, cy, rx, ry, start, sweep, tilt);
                } else if (i + 2 < ring.length) d += `L${ring[i + 2]} ${-ring[i + 3]!}`;
            }
            return shape.kind === 'area' ? `${d}Z` : d;
        })
        .join('');
}

/** In two halves: SVG draws no whole turn from a point to itself. */
function arc(cx: number, cy: number, rx: number, ry: number, start: number, sweep: number, tilt = 0): string {
    const [cos, sin] = [Math.cos(tilt), Math.sin(tilt)];
    return [0.5, 1]
        .map((share) => {
            const t = start + share * sweep;
            const [x, y] = [rx * Math.cos(t), ry * Math.sin(t)];
            return `A${rx} ${ry} ${(-tilt * 180) / Math.PI} 0 ${sweep > 0 ? 0 : 1} ${cx + x * cos - y * sin} ${-cy - x * sin - y * cos}`;
        })
        .join('');
}
