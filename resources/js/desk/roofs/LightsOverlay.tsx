import { pointsOf } from '../curtain/grids';
import { useData } from '../data';
import type { Size } from '../drawing/view';
import { useDesk, type View } from '../store';
import { lightsSeen } from './lights';

/** Of a chosen roof the rooflights that are chosen by themselves. */
export function LightsOverlay({ roof, view, size }: { roof: string; view: View; size: Size }) {
    const data = useData();
    const inner = useDesk((s) => s.face) === 'inner';
    const chosen = useDesk((s) => s.fins);
    return (
        <g data-rooflights={chosen.join(' ')}>
            {lightsSeen(data, inner)
                .filter((light) => light.roof === roof && chosen.includes(light.n))
                .map((light, i) => (
                    <polygon
                        key={i}
                        points={pointsOf(view, size, 0, light.ring)}
                        fill="var(--tide)"
                        fillOpacity={0.15}
                        stroke="var(--tide)"
                        strokeWidth={2}
                    />
                ))}
        </g>
    );
}
