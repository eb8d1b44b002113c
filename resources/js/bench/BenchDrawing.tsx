import { useLayoutEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { BenchDivider, BenchLight, Shape } from '../api/client';
import { svgPath } from '../desk/drawing/svgPath';
import { useData } from '../desk/data';
import { Between, DimensionField, fieldOf } from './DimensionField';
import { choose, step, useBench } from './draft';
import { boundsOf, dimensionLine, layOut, type Layout } from './layout';

/** Line weight and fill of each layer. */
const pens: Record<string, { fill: string; weight: number; stroke?: string }> = {
    opening: { fill: 'var(--opening)', weight: 1.4 },
    glass: { fill: 'var(--glass)', weight: 0.35 },
    frame: { fill: 'var(--frame)', weight: 0.8 },
    infill: { fill: 'var(--wall)', weight: 0.7 },
    sash: { fill: 'var(--frame)', weight: 0.7 },
    bar: { fill: 'var(--frame)', weight: 0.4 },
    operation: { fill: 'none', weight: 0.7, stroke: 'var(--quiet)' },
    swing: { fill: 'none', weight: 0.7, stroke: 'var(--quiet)' },
    reveal: { fill: 'none', weight: 0.35 },
};

type Drag = { divider: BenchDivider; to: number; caught: string | null };

/** The unit large, with every dimension a field; its section beside it and its plan under it, cut through the chosen light. */
export function BenchDrawing() {
    const data = useData();
    const view = useBench((b) => b.view);
    const chosen = useBench((b) => b.chosen);
    const inside = useBench((b) => b.inside);
    const wrong = useBench((b) => b.wrong);
    const host = useRef<HTMLDivElement>(null);
    const [size, setSize] = useState<[number, number]>([0, 0]);
    const [drag, setDrag] = useState<Drag | null>(null);

    useLayoutEffect(() => {
        const observer = new ResizeObserver(([entry]) => setSize([entry!.contentRect.width, entry!.contentRect.height]));
        observer.observe(host.current!);
        return () => observer.disconnect();
    }, []);

    // the scale changes when the size of the unit or of the window does, or when something would have no room
    const [held, setHeld] = useState<{ of: string; layout: Layout } | null>(null);
    const of = view ? `${view.width} ${view.height} ${size[0]} ${size[1]}` : '';
    const before = held?.of === of ? held.layout : null;
    const layout = useMemo(
        () => (view && size[0] > 0 ? layOut(view, size[0], size[1], (d) => data.length(d.value), before) : null),
        [view, size, data, before],
    );
    if (layout && (before === null || before.k !== layout.k || before.elevation.join() !== layout.elevation.join()))
        setHeld({ of, layout });
    if (!view || !layout) return <div ref={host} className="h-full w-full" />;

    const flip = (x: number) => (inside ? view.width - x : x);
    const { dimensions } = view;
    const lines = dimensions.map((d) => dimensionLine(d, view, layout, inside));
    const [px, py] = layout.plan;
    const planBox = boundsOf(view.plan, [0, 0, view.width, view.depth]);

    const toMm = (event: PointerEvent): [number, number] => {
        const r = host.current!.getBoundingClientRect();
        return [
            flip((event.clientX - r.left - layout.elevation[0]) / layout.k),
            (layout.elevation[1] - (event.clientY - r.top)) / layout.k,
        ];
    };
    const startDrag = (event: PointerEvent, divider: BenchDivider) => {
        if (!data.mayEdit || event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        event.stopPropagation();
        setDrag({ divider, to: divider.at, caught: null });
    };
    const onDrag = (event: PointerEvent) => {
        if (!drag) return;
        const [x, y] = toMm(event);
        setDrag({ ...drag, ...catchOn(drag.divider, drag.divider.axis === 'x' ? x : y, view.dividers, 6 / layout.k) });
    };
    const drop = () => {
        if (drag && Math.abs(drag.to - drag.divider.at) > 0.01)
            void step('move', { path: drag.divider.path, index: drag.divider.index, to: drag.to }, 'divider');
        setDrag(null);
    };

    return (
        <div
            ref={host}
            className="relative h-full w-full overflow-hidden bg-sheet"
            onClick={() => choose(null)}
            role="group"
            aria-label="Drawing of the unit"
        >
            <svg
                width={size[0]}
                height={size[1]}
                className="absolute inset-0"
                onPointerMove={onDrag}
                onPointerUp={drop}
                onPointerCancel={() => setDrag(null)}
            >
                <Shapes shapes={view.elevation} at={layout.elevation} k={layout.k} />
                <Cuts layout={layout} x={flip(view.cuts.x)} y={view.cuts.y} width={view.width} height={view.height} />
                <Shapes shapes={view.section} at={layout.section} k={layout.k} />
                <Shapes shapes={view.plan} at={[px, py]} k={layout.k} flip={inside ? view.width : undefined} />
                <g
                    transform={`translate(${layout.elevation[0]} ${layout.elevation[1]}) scale(${inside ? -layout.k : layout.k} ${layout.k})${inside ? ` translate(${-view.width} 0)` : ''}`}
                >
                    {view.lights.map((light) => (
                        <LightFace
                            key={`${light.path} ${light.box.join()}`}
                            light={light}
                            on={chosen.includes(light.path)}
                            wrong={wrong?.path === light.path}
                        />
                    ))}
                    {data.mayEdit &&
                        view.dividers.map((d) => {
                            const w = Math.max(d.face, 9 / layout.k);
                            const box =
                                d.axis === 'x'
                                    ? { x: d.at - w / 2, y: -d.to, width: w, height: d.to - d.from }
                                    : { x: d.from, y: -d.at - w / 2, width: d.to - d.from, height: w };
                            return (
                                <rect
                                    key={`${d.path} ${d.index}`}
                                    {...box}
                                    data-divider={`${d.path} ${d.index}`}
                                    fill="transparent"
                                    className={`${d.axis === 'x' ? 'cursor-ew-resize' : 'cursor-ns-resize'} hover:fill-tide/25`}
                                    onPointerDown={(e) => startDrag(e, d)}
                                    onClick={(e) => e.stopPropagation()}
                                >
                                    <title>{d.axis === 'x' ? 'Mullion: drag it' : 'Transom: drag it'}</title>
                                </rect>
                            );
                        })}
                </g>
                {lines.map((l, i) => (
                    <DimensionMark key={i} line={l} tone={dimensions[i]!.kind === 'overall' ? 'var(--ink)' : 'var(--tide)'} />
                ))}
                {drag && <Dragged drag={drag} layout={layout} flip={flip} length={data.length} />}
                <text x={layout.section[0] - 2} y={layout.section[1] + 15} fontSize={11} fill="var(--quiet)" textAnchor="end">
                    outside
                </text>
                <text x={layout.section[0] + view.depth * layout.k + 2} y={layout.section[1] + 15} fontSize={11} fill="var(--quiet)">
                    inside
                </text>
                <text x={px - 8} y={py + 4 - planBox[1] * layout.k} fontSize={11} fill="var(--quiet)" textAnchor="end">
                    outside
                </text>
                <text x={px - 8} y={py - view.depth * layout.k + 4} fontSize={11} fill="var(--quiet)" textAnchor="end">
                    inside
                </text>
            </svg>
            <div onClick={(e) => e.stopPropagation()}>
                {dimensions.map((d, i) =>
                    d.kind === 'between' ? (
                        <Between key={`${d.side} ${d.row} ${d.from}`} dimension={d} line={lines[i]!} />
                    ) : (
                        <DimensionField key={fieldOf(d) + d.side} dimension={d} line={lines[i]!} />
                    ),
                )}
            </div>
        </div>
    );
}

function Shapes({ shapes, at, k, flip }: { shapes: Shape[]; at: [number, number]; k: number; flip?: number }) {
    return (
        <g
            transform={`translate(${at[0]} ${at[1]}) scale(${flip === undefined ? k : -k} ${k})${flip === undefined ? '' : ` translate(${-flip} 0)`}`}
            aria-hidden="true"
        >
            {shapes.map((s, i) => {
                const pen = pens[s.layer] ?? { fill: 'none', weight: 0.5 };
                return (
                    <path
                        key={i}
                        d={svgPath(s)}
                        fill={s.kind === 'area' ? pen.fill : 'none'}
                        fillRule="evenodd"
                        stroke={pen.stroke ?? 'var(--ink)'}
                        strokeWidth={pen.weight}
                        vectorEffect="non-scaling-stroke"
                        strokeDasharray={s.dashed ? '5 4' : undefined}
                    />
                );
            })}
        </g>
    );
}

/** A light to choose: with the mouse, or with Tab and Space. */
function LightFace({ light, on, wrong }: { light: BenchLight; on: boolean; wrong: boolean }) {
    let d = '';
    for (let i = 0; i < light.ring.length; i += 2) d += `${i === 0 ? 'M' : 'L'}${light.ring[i]} ${-light.ring[i + 1]!}`;
    return (
        <path
            d={`${d}Z`}
            role="button"
            tabIndex={0}
            aria-pressed={on}
            aria-label={`Light ${light.path || 'whole'}: ${light.label}`}
            data-light={light.path}
            fill={on ? 'var(--tide)' : 'transparent'}
            fillOpacity={on ? 0.14 : 1}
            stroke={wrong ? 'var(--buoy)' : on ? 'var(--tide)' : 'none'}
            strokeWidth={2.5}
            vectorEffect="non-scaling-stroke"
            className="cursor-pointer outline-none hover:fill-tide/10 focus-visible:stroke-tide focus-visible:stroke-2"
            onClick={(e) => {
                e.stopPropagation();
                choose(light.path, e.shiftKey || e.ctrlKey);
            }}
            onKeyDown={(e: KeyboardEvent) => {
                if (e.key === ' ' || e.key === 'Enter') {
                    e.preventDefault();
                    e.stopPropagation();
                    choose(light.path, e.shiftKey);
                }
            }}
        />
    );
}

function DimensionMark({
    line: { from, to, upright },
    tone,
}: {
    line: { from: [number, number]; to: [number, number]; upright: boolean };
    tone: string;
}) {
    if (from[0] === to[0] && from[1] === to[1]) return null;
    const tick = ([x, y]: [number, number]) => `M${x - 4} ${y + 4}l8 -8`;
    const cross = ([x, y]: [number, number]) => (upright ? `M${x - 6} ${y}h12` : `M${x} ${y - 6}v12`);
    return (
        <g stroke={tone} fill="none" aria-hidden="true">
            <path d={`M${from[0]} ${from[1]}L${to[0]} ${to[1]}`} strokeWidth={0.8} />
            <path d={tick(from) + tick(to)} strokeWidth={1.3} />
            <path d={cross(from) + cross(to)} strokeWidth={0.5} />
        </g>
    );
}

/** Where plan and section are cut. */
function Cuts({ layout: l, x, y, width, height }: { layout: Layout; x: number; y: number; width: number; height: number }) {
    const [ex, ey] = l.elevation;
    const [cx, cy] = [ex + x * l.k, ey - y * l.k];
    return (
        <g stroke="var(--quiet)" strokeWidth={0.8} strokeDasharray="10 3 2 3" aria-hidden="true">
            <path
                d={`M${cx} ${ey + 6}v8M${cx} ${ey - height * l.k - 6}v-8M${ex - 6} ${cy}h-8M${ex + width * l.k + 6} ${cy}h8`}
                strokeDasharray="none"
                strokeWidth={2}
            />
        </g>
    );
}

/** A divider on its way, with what it leaves on both sides. */
function Dragged({
    drag,
    layout: l,
    flip,
    length,
}: {
    drag: Drag;
    layout: Layout;
    flip: (x: number) => number;
    length: (mm: number) => string;
}) {
    const { divider: d, to } = drag;
    const [ex, ey] = l.elevation;
    const before = to - d.face / 2 - (d.least - d.face / 2 - 1);
    const after = d.most + d.face / 2 + 1 - (to + d.face / 2);
    const text = `${length(Math.max(0, before))} | ${length(Math.max(0, after))}${drag.caught ? ` · ${drag.caught}` : ''}`;
    const line =
        d.axis === 'x'
            ? [ex + flip(to) * l.k, ey - d.from * l.k, ex + flip(to) * l.k, ey - d.to * l.k]
            : [ex + flip(d.from) * l.k, ey - to * l.k, ex + flip(d.to) * l.k, ey - to * l.k];
    const [mx, my] = [(line[0]! + line[2]!) / 2, (line[1]! + line[3]!) / 2];
    return (
        <g pointerEvents="none">
            <path
                d={`M${line[0]} ${line[1]}L${line[2]} ${line[3]}`}
                stroke="var(--buoy)"
                strokeWidth={Math.max(2, d.face * l.k)}
                strokeOpacity={0.55}
            />
            <rect x={mx - text.length * 3.4 - 6} y={my - 10} width={text.length * 6.8 + 12} height={20} rx={3} fill="var(--buoy)" />
            <text x={mx} y={my + 4} textAnchor="middle" fontSize={11.5} fontWeight={650} fill="var(--sheet)">
                {text}
            </text>
        </g>
    );
}

/** The nearest of: in line with another divider, the middle, whole tens; else whole millimetres. Never further than there is room. */
function catchOn(d: BenchDivider, to: number, all: BenchDivider[], reach: number): { to: number; caught: string | null } {
    const offers: [number, string][] = [
        [(d.least + d.most) / 2, 'middle'],
        ...all.filter((o) => o.axis === d.axis && o !== d).map((o): [number, string] => [o.at, 'in line']),
    ];
    const within = Math.max(d.least, Math.min(d.most, to));
    const near = offers
        .filter(([at]) => at >= d.least && at <= d.most && Math.abs(at - within) <= reach)
        .sort((a, b) => Math.abs(a[0] - within) - Math.abs(b[0] - within))[0];
    if (near) return { to: near[0], caught: near[1] };
    const ten = Math.round(within / 10) * 10;
    return { to: Math.max(d.least, Math.min(d.most, Math.abs(ten - within) <= reach ? ten : Math.round(within))), caught: null };
}
