import { useState } from 'react';
import type { Screen } from '../../api/client';
import { pointsOf } from '../curtain/grids';
import { useData } from '../data';
import type { Size } from '../drawing/view';
import { useDesk, type View } from '../store';
import { placedScreens } from './placed';

type Drag = { n: number; x: number; y: number; du: number; dv: number; moved: boolean };

/** Of a chosen screen its pieces and cut-outs; those that are chosen are dragged. */
export function ScreenOverlay({ screen, view, size }: { screen: Screen; view: View; size: Size }) {
    const data = useData();
    const inner = useDesk((s) => s.face) === 'inner';
    const chosen = useDesk((s) => s.fins);
    const cutting = useDesk((s) => s.mode.is === 'cutting');
    const [drag, setDrag] = useState<Drag | null>(null);
    const across = view.flip ? -1 : 1;
    // whole tens while it is dragged; the card takes exact figures
    const tens = (px: number) => Math.round(px / view.k / 10) * 10;
    return (
        <g data-screen={screen.id}>
            {placedScreens(data, screen.id)
                .filter((s) => s.inner === inner)
                .flatMap(({ placed, seen, from }) =>
                    seen.parts.map((part, i) => {
                        const lit = chosen.includes(part.n);
                        const mine = drag !== null && lit;
                        const wall = screen.parts.find((p) => p.n === part.n)?.wall;
                        return (
                            <polygon
                                key={`${placed.host} ${part.n} ${i}`}
                                data-part={part.n}
                                points={pointsOf(
                                    view,
                                    size,
                                    from + (mine ? drag.du : 0),
                                    part.ring.map((c, k) => (k % 2 && mine ? c + drag.dv : c)),
                                )}
                                fill={lit ? 'var(--tide)' : 'none'}
                                fillOpacity={0.2}
                                stroke="var(--tide)"
                                strokeWidth={lit ? 2.2 : 1.2}
                                strokeDasharray={part.cut || lit ? undefined : '6 4'}
                                style={{
                                    pointerEvents: lit && wall && data.mayEdit && !cutting ? 'all' : 'none',
                                    cursor: lit ? 'move' : undefined,
                                }}
                                onPointerDown={(e) => {
                                    e.stopPropagation();
                                    (e.target as Element).setPointerCapture(e.pointerId);
                                    setDrag({ n: part.n, x: e.clientX, y: e.clientY, du: 0, dv: 0, moved: false });
                                }}
                                onPointerMove={(e) => {
                                    if (!drag) return;
                                    const [px, py] = [e.clientX - drag.x, e.clientY - drag.y];
                                    setDrag({
                                        ...drag,
                                        du: across * tens(px),
                                        dv: -tens(py),
                                        moved: drag.moved || Math.hypot(px, py) > 4,
                                    });
                                }}
                                onPointerUp={(e) => {
                                    if (!drag) return;
                                    const { du, dv, moved, n } = drag;
                                    if (moved && (du !== 0 || dv !== 0))
                                        void data
                                            .edit('screen.move', { id: screen.id, parts: chosen, du, dv })
                                            .finally(() => setDrag(null));
                                    else {
                                        setDrag(null);
                                        const rest = chosen.filter((c) => c !== n);
                                        useDesk.setState({ fins: e.shiftKey ? rest : [n] });
                                    }
                                }}
                            />
                        );
                    }),
                )}
        </g>
    );
}
