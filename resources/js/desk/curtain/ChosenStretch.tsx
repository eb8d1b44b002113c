import { useData } from '../data';
import type { Size } from '../drawing/view';
import type { View } from '../store';
import { gridsOf, pointsOf, type FoundGrid } from './grids';

type Props = { view: View; size: Size };

/** The face of a chosen stretch, as it is: a leaning one is no rectangle, and facets of an arc are one face together. */
export function ChosenStretch({ wall, view, size }: Props & { wall: string }) {
    const data = useData();
    const found = gridsOf(data, wall);
    const first = found[0];
    if (!first) return null;
    return (
        <polygon
            data-chosen={wall}
            points={pointsOf(view, size, first.frontage.offset, found.length === 1 ? first.grid.face : around(found))}
            fill="var(--tide)"
            fillOpacity={0.07}
            stroke="var(--tide)"
            strokeWidth={2}
        />
    );
}

/** The rectangle about facets, which are upright. */
function around(found: FoundGrid[]): number[] {
    const xs = found.flatMap(({ grid }) => grid.face.filter((_, i) => i % 2 === 0));
    const ys = found.flatMap(({ grid }) => grid.face.filter((_, i) => i % 2 === 1));
    const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    return [x0, y0, x1, y0, x1, y1, x0, y1];
}
