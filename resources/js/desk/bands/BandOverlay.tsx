import { useRef, useState } from 'react';
import type { Band, LawCurve } from '../../api/client';
import { useData } from '../data';
import { boxOnScreen, toScreen, type Size } from '../drawing/view';
import { complain } from '../../ui/notices';
import { useDesk, type View } from '../store';
import { dropTried, showTried } from '../tried';
import { BOX, placedBands, shareAt, type FoundBand } from './placed';
import { drives, said } from './words';

type Props = { band: Band; view: View; size: Size };

/** Where a point of a curve is being dragged: which, and to where. */
type Dragged = { name: string; host: string; u: number; value: number };

/** How long a drag rests before it is tried, ms. */
const PAUSE = 60;

/** The band that is chosen: its pieces, and over the neighbouring storey the curve of one of its laws, whose points are dragged there. */
export function BandOverlay({ band, view, size }: Props) {
    const data = useData();
    const driven = useDesk((s) => s.driven);
    const fins = useDesk((s) => s.fins);
    const atRest = useDesk((s) => s.mode.is === 'nothing');
    const tried = useDesk((s) => s.tried);
    const inner = useDesk((s) => s.face) === 'inner';
    const [dragged, setDragged] = useState<Dragged | null>(null);
    const timer = useRef(0);
    const standing = placedBands(data, band.id).filter((b) => b.inner === inner);
    const now: FoundBand[] = tried?.bands.some((p) => p.element === band.id)
        ? tried.bands
              .filter((p) => p.element === band.id)
              .flatMap((placed) => {
                  const f = data.frontageOf.get(placed.host);
                  return f && f.inner === inner ? [{ placed, from: f.offset + (f.walls[placed.host] ?? 0), inner }] : [];
              })
        : standing;
    const law = band.laws[driven] as { kind: string };

    const drag = (to: Dragged, along: number[], done: boolean) => {
        window.clearTimeout(timer.current);
        const args = { id: band.id, of: driven, handle: to.name, at: shareAt(along, to.u), value: to.value };
        if (!done) {
            setDragged(to);
            timer.current = window.setTimeout(() => void showTried(data.tryEdit('band.draw', args)), PAUSE);
            return;
        }
        void data.edit('band.draw', args).then(() => {
            setDragged(null);
            dropTried();
        });
    };
    const add = (host: FoundBand, u: number, value: number) => {
        if (law.kind === 'drawn')
            void data.edit('band.draw', { id: band.id, of: driven, at: shareAt(host.placed.along, u), value }).catch(complain);
    };

    return (
        <g data-band={band.id}>
            {now.map((found) => {
                const { placed, from } = found;
                const [u0, v0, u1, v1] = placed.bounds as [number, number, number, number];
                return (
                    <g key={placed.host}>
                        <rect
                            data-chosen={band.id}
                            {...boxOnScreen(view, size, from + u0, v0, u1 - u0, v1 - v0)}
                            fill="none"
                            stroke="var(--tide)"
                            strokeWidth={2}
                        />
                        {tried && <Pieces found={found} only={null} view={view} size={size} className="fill-tide/70" />}
                        {fins.length > 0 && <Pieces found={found} only={fins} view={view} size={size} className="fill-buoy" />}
                    </g>
                );
            })}
            {now.map((found) => {
                const drawn = found.placed.curves.find((c) => c.of === driven);
                const held = standing.find((s) => s.placed.host === found.placed.host)?.placed.curves.find((c) => c.of === driven);
                // the scale stays while a point is dragged over it
                const curve = drawn && dragged && held ? { ...drawn, least: held.least, most: held.most } : drawn;
                return curve ? (
                    <Graph
                        key={found.placed.host}
                        found={found}
                        curve={curve}
                        view={view}
                        size={size}
                        mayDrag={data.mayEdit && atRest}
                        dragged={dragged?.host === found.placed.host ? dragged : null}
                        onDrag={(to, done) => drag({ ...to, host: found.placed.host }, found.placed.along, done)}
                        onAdd={(u, value) => add(found, u, value)}
                        onRemove={(name) =>
                            law.kind === 'drawn' && void data.edit('band.draw', { id: band.id, of: driven, handle: name, remove: true })
                        }
                    />
                ) : null;
            })}
        </g>
    );
}

type PiecesProps = { found: FoundBand; only: number[] | null; view: View; size: Size; className: string };

function Pieces({ found: { placed, from }, only, view, size, className }: PiecesProps) {
    let d = '';
    const corner = (x: number, y: number) => {
        const p = toScreen(view, size, from + x, y);
        return `${p.x.toFixed(1)} ${p.y.toFixed(1)}`;
    };
    const { boxes } = placed;
    for (let i = 0; i < boxes.length; i += BOX) {
        if (only && !only.includes(boxes[i]!)) continue;
        const [x0, y0, x1, y1] = boxes.slice(i + 1, i + BOX) as [number, number, number, number];
        d += `M${corner(x0, y0)}L${corner(x1, y0)}L${corner(x1, y1)}L${corner(x0, y1)}Z`;
    }
    for (const [piece, ...ring] of placed.rings) {
        if (only && !only.includes(piece!)) continue;
        for (let i = 0; i < ring.length; i += 2) d += `${i === 0 ? 'M' : 'L'}${corner(ring[i]!, ring[i + 1]!)}`;
        d += 'Z';
    }
    return <path d={d} className={className} data-pieces={only ? 'chosen' : 'tried'} />;
}

type GraphProps = {
    found: FoundBand;
    curve: LawCurve;
    view: View;
    size: Size;
    mayDrag: boolean;
    dragged: Dragged | null;
    onDrag: (to: Omit<Dragged, 'host'>, done: boolean) => void;
    onAdd: (u: number, value: number) => void;
    onRemove: (name: string) => void;
};

/** Room over and under a curve within its storey, mm. */
const ROOM = 0.06;

function Graph({ found: { placed, from }, curve, view, size, mayDrag, dragged, onDrag, onAdd, onRemove }: GraphProps) {
    const data = useData();
    const holding = useRef<string | null>(null);
    const [foot, head] = placed.graph as [number, number];
    const [low, high] = [foot + (head - foot) * ROOM, head - (head - foot) * ROOM];
    const level = (value: number) => low + ((high - low) * (value - curve.least)) / (curve.most - curve.least);
    const valueAt = (y: number) => {
        const value = curve.least + ((curve.most - curve.least) * (y - low)) / (high - low);
        return (
            Math.round(value / (curve.of === 'turn' || curve.of === 'lean' ? 1 : 5)) * (curve.of === 'turn' || curve.of === 'lean' ? 1 : 5)
        );
    };
    const { points } = curve;
    const us = points.filter((_, i) => i % 2 === 0);
    const [u0, u1] = [
        Math.min(...us, ...placed.along.filter((_, i) => i % 2 === 1)),
        Math.max(...us, ...placed.along.filter((_, i) => i % 2 === 1)),
    ];
    const box = boxOnScreen(view, size, from + u0, foot, u1 - u0, head - foot);
    const at = (u: number, value: number) => toScreen(view, size, from + u, level(value));
    let d = '';
    for (let i = 0; i < points.length; i += 2) {
        const p = at(points[i]!, points[i + 1]!);
        d += `${i === 0 ? 'M' : 'L'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`;
    }
    const world = (event: React.PointerEvent | React.MouseEvent) => {
        const svg = (event.currentTarget as SVGElement).ownerSVGElement!.getBoundingClientRect();
        const x = view.x + ((event.clientX - svg.left - size.width / 2) / view.k) * (view.flip ? -1 : 1);
        return { u: x - from, value: valueAt(view.y - (event.clientY - svg.top - size.height / 2) / view.k) };
    };
    const ticks = [curve.least, (curve.least + curve.most) / 2, curve.most];
    return (
        <g data-graph={curve.of}>
            <rect
                {...box}
                fill="var(--sheet)"
                fillOpacity={0.93}
                stroke="var(--tide)"
                strokeWidth={0.8}
                style={{ pointerEvents: mayDrag ? 'auto' : 'none' }}
                onPointerDown={(e) => e.stopPropagation()}
                onDoubleClick={(e) => {
                    const to = world(e);
                    onAdd(to.u, to.value);
                }}
            />
            {ticks.map((value) => {
                const p = at(u0, value);
                return (
                    <g key={value}>
                        <path d={`M${box.x} ${p.y}h${box.width}`} stroke="var(--hairline)" strokeDasharray="2 3" />
                        {box.width > 120 && (
                            <text x={box.x + 4} y={p.y - 3} fontSize={11} fill="var(--quiet)">
                                {said(data, curve.of, value)}
                            </text>
                        )}
                    </g>
                );
            })}
            {box.width > 220 && (
                <text x={box.x + box.width - 6} y={box.y + 13} fontSize={11} textAnchor="end" fill="var(--quiet)">
                    {drives[curve.of].graph}
                </text>
            )}
            <path d={d} fill="none" stroke="var(--tide)" strokeWidth={1.8} data-curve />
            {curve.handles.map((h) => {
                const held = dragged?.name === h.name ? dragged : h;
                const p = at(held.u, Math.min(curve.most, Math.max(curve.least, held.value)));
                return (
                    <circle
                        key={h.name}
                        data-handle={h.name}
                        cx={p.x}
                        cy={p.y}
                        r={5.5}
                        fill="var(--sheet)"
                        stroke={dragged?.name === h.name ? 'var(--buoy)' : 'var(--tide)'}
                        strokeWidth={2}
                        style={{ pointerEvents: mayDrag ? 'auto' : 'none', cursor: h.slides ? 'move' : 'ns-resize' }}
                        onPointerDown={(e) => {
                            e.stopPropagation();
                            e.currentTarget.setPointerCapture(e.pointerId);
                            holding.current = h.name;
                        }}
                        onPointerMove={(e) => {
                            if (holding.current !== h.name) return;
                            const to = world(e);
                            onDrag({ name: h.name, u: h.slides ? to.u : h.u, value: to.value }, false);
                        }}
                        onPointerUp={(e) => {
                            e.stopPropagation();
                            if (holding.current !== h.name) return;
                            holding.current = null;
                            const to = world(e);
                            if (dragged) onDrag({ name: h.name, u: h.slides ? to.u : h.u, value: to.value }, true);
                        }}
                        onDoubleClick={(e) => {
                            e.stopPropagation();
                            onRemove(h.name);
                        }}
                    />
                );
            })}
            {dragged && (
                <text
                    x={at(dragged.u, dragged.value).x + 10}
                    y={at(dragged.u, dragged.value).y + 18}
                    fontSize={11}
                    fontWeight={600}
                    fill="var(--buoy)"
                >
                    {said(data, curve.of, dragged.value)} at {data.length(Math.round(dragged.u))}
                </text>
            )}
        </g>
    );
}
