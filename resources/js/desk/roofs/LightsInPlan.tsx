import { pointsOf } from '../curtain/grids';
import { useData } from '../data';
import { toScreen, type Size } from '../drawing/view';
import { pointingOf, useDesk, type View } from '../store';
import { standingAt } from './lights';

/** In plan: the rooflights that are chosen, and the one that a click would place. */
export function LightsInPlan({ view, size, storey }: { view: View; size: Size; storey: string }) {
    const data = useData();
    const chosen = useDesk((s) => s.chosen);
    const numbers = useDesk((s) => s.fins);
    const pointing = useDesk(pointingOf);
    const one = chosen.length === 1 ? data.project.roofs.find((r) => r.id === chosen[0] && r.storey === storey) : undefined;
    const roof = pointing?.what === 'rooflight' ? data.project.roofs.find((r) => r.id === pointing.roof) : undefined;
    const type = data.project.types.find((t) => t.id === pointing?.type);
    const at = pointing?.over;
    const coming = roof && type && at ? standingAt(roof, at.x, at.y, type.width, type.height) : null;
    const tip = at && toScreen(view, size, at.x, at.y);
    const says = !coming
        ? `outside ${roof?.name}`
        : !coming.face.flat
          ? 'a facet over an arc'
          : coming.fits
            ? ''
            : 'past the edge of the face';
    return (
        <>
            {one?.lights
                .filter((l) => numbers.includes(l.n))
                .flatMap((l) => l.rings)
                .map((ring, i) => (
                    <polygon
                        key={i}
                        points={pointsOf(view, size, 0, ring)}
                        fill="var(--tide)"
                        fillOpacity={0.15}
                        stroke="var(--tide)"
                        strokeWidth={2}
                    />
                ))}
            {roof && tip && (
                <g data-coming={coming?.fits ? 'fits' : 'not'}>
                    {coming && (
                        <polygon
                            points={pointsOf(view, size, 0, coming.ring)}
                            fill={coming.fits ? 'var(--tide)' : 'var(--buoy)'}
                            fillOpacity={0.2}
                            stroke={coming.fits ? 'var(--tide)' : 'var(--buoy)'}
                            strokeWidth={1.6}
                            strokeDasharray={coming.fits ? undefined : '5 3'}
                        />
                    )}
                    {says !== '' && (
                        <text x={tip.x + 12} y={tip.y - 8} fontSize={12} fill="var(--buoy)">
                            {says}
                        </text>
                    )}
                </g>
            )}
        </>
    );
}
