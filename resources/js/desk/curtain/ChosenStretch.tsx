import { useData } from '../data';
import type { Size } from '../drawing/view';
import type { View } from '../store';
import { gridsOf, pointsOf } from './grids';

type Props = { view: View; size: Size };

/** The face of a chosen stretch, as it is: a leaning one is no rectangle. */
export function ChosenStretch({ wall, view, size }: Props & { wall: string }) {
    const data = useData();
    return (
        <>
            {gridsOf(data, wall).map(({ grid, frontage }) => (
                <polygon
                    key={`${grid.u}`}
                    data-chosen={wall}
                    points={pointsOf(view, size, frontage.offset, grid.face)}
                    fill="var(--tide)"
                    fillOpacity={0.07}
                    stroke="var(--tide)"
                    strokeWidth={2}
                />
            ))}
        </>
    );
}
