import { useState } from 'react';
import type { Screen } from '../../api/client';
import { pointsOf } from '../curtain/grids';
import { useData } from '../data';
import { toModel, toScreen, type Size } from '../drawing/view';
import { useDesk, type View } from '../store';
import { caught, cornerOf, placedScreens } from './placed';

type Drag = { n: number; x: number; y: number; du: number; dv: number; moved: boolean };

/** Of a chosen screen its pieces and cut-outs; those that are chosen are dragged. */
export function ScreenOverlay({ screen, view, size }: { screen: Screen; view: View; size: Size }) {
    const data = useData();
    const inner = useDesk((s) => s.face) === 'inner';
    const chosen = useDesk((s) => s.fins);
    const atRest = useDesk((s) => s.mode.is === 'nothing');
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
                                    pointerEvents: lit && wall && data.mayEdit && atRest ? 'all' : 'none',
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
            {chosen.length === 1 && atRest && data.mayEdit && (
                <Corners key={chosen[0]} screen={screen} n={chosen[0]!} view={view} size={size} />
            )}
        </g>
    );
}

/** The corners of a cut-out or piece that was drawn, each dragged by itself: of a rectangle the opposite one stays. */
function Corners({ screen, n, view, size }: { screen: Screen; n: number; view: View; size: Size }) {
    const data = useData();
    const [drag, setDrag] = useState<{ i: number; at: [number, number] } | null>(null);
    const part = screen.parts.find((p) => p.n === n);
    const frontage = data.frontageOf.get(part?.wall ?? '');
    if (!part?.wall || !frontage || (part.shape.form !== 'polygon' && part.shape.form !== 'rectangle')) return null;
    const wall = part.wall;
    const from = frontage.offset + (frontage.walls[wall] ?? 0);
    const floor = data.storeys.get(screen.storey)?.floor ?? 0;
    const { width = 0, height = 0, points = [] } = part.shape;
    const [u, v] = cornerOf(data, screen, part, floor);
    const corners: number[][] =
        part.shape.form === 'polygon'
            ? points
            : [
                  [u, v],
                  [u + width, v],
                  [u + width, v + height],
                  [u, v + height],
              ];
    const moved = (i: number, [x, y]: [number, number]) => {
        if (part.shape.form === 'polygon')
            return { form: 'polygon' as const, points: points.map((p, k) => (k === i ? [x, y - floor, ...p.slice(2)] : p)) };
        const [ox, oy] = corners[(i + 2) % 4] as [number, number];
        return {
            form: 'rectangle' as const,
            u: Math.min(x, ox),
            v: Math.min(y - floor, oy),
            width: Math.abs(x - ox),
            height: Math.abs(y - floor - oy),
        };
    };
    return (
        <>
            {corners.map(([x, y], i) => {
                const at =
                    drag?.i === i ? toScreen(view, size, from + drag.at[0], drag.at[1]) : toScreen(view, size, from + x!, floor + y!);
                return (
                    <circle
                        key={i}
                        data-corner={i}
                        cx={at.x}
                        cy={at.y}
                        r={5}
                        fill="var(--sheet)"
                        stroke="var(--tide)"
                        strokeWidth={2}
                        style={{ pointerEvents: 'all', cursor: 'crosshair' }}
                        onPointerDown={(e) => {
                            e.stopPropagation();
                            (e.target as Element).setPointerCapture(e.pointerId);
                            setDrag({ i, at: [x!, floor + y!] });
                        }}
                        onPointerMove={(e) => {
                            if (drag?.i !== i) return;
                            const box = (e.target as SVGElement).ownerSVGElement!.getBoundingClientRect();
                            const on = toModel(view, size, e.clientX - box.left, e.clientY - box.top);
                            setDrag({ i, at: caught(data, screen.id, wall, on.x, on.y, view.k, [n]) });
                        }}
                        onPointerUp={() => {
                            if (drag?.i !== i) return;
                            void data.edit('screen.draw', { id: screen.id, n, shape: moved(i, drag.at) }).finally(() => setDrag(null));
                        }}
                    />
                );
            })}
        </>
    );
}
