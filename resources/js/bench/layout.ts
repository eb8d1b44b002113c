import type { BenchDimension, BenchView, Shape } from '../api/client';
import { fieldWidth } from '../ui/ChainField';

export type Layout = {
    /** px for a mm */
    k: number;
    /** where the elevation's lower left corner, the section's and the plan's lie, px */
    elevation: [number, number];
    section: [number, number];
    plan: [number, number];
    width: number;
    height: number;
    /** how far apart upright chains stand, px: as wide as their figures are */
    row: number;
};

const ROW = { below: 27, above: 27 };
const GAP = 26;
/** room for “inside” right of the section's foot, and left of the plan */
const NAME = 46;

type Box = [number, number, number, number];

/** Bounds of shapes, arcs by their ends and middle. */
export function boundsOf(shapes: Shape[], least: Box): Box {
    let [x0, y0, x1, y1] = least;
    const add = (x: number, y: number) => {
        x0 = Math.min(x0, x);
        y0 = Math.min(y0, y);
        x1 = Math.max(x1, x);
        y1 = Math.max(y1, y);
    };
    for (const s of shapes)
        for (const ring of s.rings) {
            if (s.kind === 'arc') {
                const [x, y, r, start, sweep] = ring as [number, number, number, number, number];
                for (const share of [0, 0.5, 1]) add(x + r * Math.cos(start + share * sweep), y + r * Math.sin(start + share * sweep));
            } else if (s.kind !== 'text') for (let i = 0; i < ring.length; i += 2) add(ring[i]!, ring[i + 1]!);
        }
    return [x0, y0, x1, y1];
}

/**
 * Elevation with its chains, section to its right at the same heights, plan under it at the same widths: as large as fits. What is
 * held stays
 * where it is and as large as it is for as long as all of it has room there, so that nothing moves from under the pointer.
 */
export function layOut(
    view: BenchView,
    width: number,
    height: number,
    figures: (d: BenchDimension) => string,
    held: Layout | null = null,
): Layout {
    const rows = (side: BenchDimension['side']) =>
        view.dimensions.filter((d) => d.side === side).reduce((n, d) => Math.max(n, d.row + 1), 0);
    const plan = boundsOf(view.plan, [0, 0, view.width, view.depth]);
    const section = boundsOf(view.section, [0, 0, view.depth, view.height]);
    const row = Math.max(
        46,
        ...view.dimensions
            .filter((d) => (d.side === 'left' || d.side === 'right') && d.kind !== 'between')
            .map((d) => fieldWidth(figures(d)) + 6),
    );
    const margin = {
        left: Math.max(rows('left') * row + 18, NAME + 14),
        right: rows('right') * row + GAP + 20,
        above: rows('above') * ROW.above + 20,
        below: rows('below') * ROW.below + GAP,
    };
    const slopes = view.dimensions.some((d) => d.side === 'slope') ? 18 : 0;
    const across = plan[2] - plan[0] + section[2] - section[0];
    const up = view.height + plan[3] - plan[1];
    let k = Math.max(
        0.01,
        Math.min((width - margin.left - margin.right - NAME) / across, (height - margin.above - margin.below - slopes - GAP) / up),
    );
    let x = margin.left - Math.min(0, plan[0]) * k + Math.max(0, (width - margin.left - margin.right - NAME - across * k) / 2);
    let y = margin.above + slopes + view.height * k + Math.max(0, (height - margin.above - margin.below - slopes - GAP - up * k) / 2);
    if (held) {
        const [hx, hy] = held.elevation;
        const slack = 6;
        const fits =
            hx + Math.min(0, plan[0]) * held.k - margin.left >= -slack &&
            hy - view.height * held.k - margin.above - slopes >= -slack &&
            hx + view.width * held.k + margin.right + (section[2] - Math.min(0, section[0])) * held.k <= width + slack &&
            hy + margin.below + (plan[3] - plan[1]) * held.k <= height + slack;
        if (fits) [k, x, y] = [held.k, hx, hy];
    }
    return {
        k,
        elevation: [x, y],
        section: [x + view.width * k + margin.right - Math.min(0, section[0]) * k, y],
        // the outside at the foot, as one stands before the elevation
        plan: [x, y + margin.below + plan[3] * k],
        width,
        height,
        row,
    };
}

export type Line = { from: [number, number]; to: [number, number]; label: [number, number]; upright: boolean };

/** Where a dimension's line and figure stand, px. */
export function dimensionLine(d: BenchDimension, view: BenchView, l: Layout, mirrored: boolean): Line {
    const [ex, ey] = l.elevation;
    const flip = (x: number) => (mirrored ? view.width - x : x);
    const x = (mm: number) => ex + flip(mm) * l.k;
    const y = (mm: number) => ey - mm * l.k;
    const middle = (d.from + d.to) / 2;
    if (d.axis === 'angle') {
        // beside the slope, square to it
        const slope = ((mirrored ? -d.value : d.value) * Math.PI) / 180;
        const at: [number, number] = [x(middle) - 19 * Math.sin(slope), y(d.at!) - 19 * Math.cos(slope) * Math.sign(Math.cos(slope))];
        return { from: at, to: at, label: at, upright: false };
    }
    if (d.axis === 'x') {
        const at = d.side === 'above' ? ey - view.height * l.k - 16 - d.row * ROW.above : ey + 17 + d.row * ROW.below;
        return { from: [x(d.from), at], to: [x(d.to), at], label: [x(middle), at], upright: false };
    }
    const side = mirrored ? (d.side === 'left' ? 'right' : d.side === 'right' ? 'left' : d.side) : d.side;
    const at = side === 'left' ? ex - 22 - d.row * l.row : side === 'right' ? ex + view.width * l.k + 22 + d.row * l.row : x(d.at ?? 0);
    return {
        from: [at, y(d.from)],
        to: [at, y(d.to)],
        label: [side === 'left' ? at - 4 : at + (side === 'right' ? 4 : 0), y(middle)],
        upright: true,
    };
}
