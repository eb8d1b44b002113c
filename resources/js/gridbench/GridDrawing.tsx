import { useLayoutEffect, useRef, useState } from 'react';
import type { Shape } from '../api/client';
import { svgPath } from '../desk/drawing/svgPath';
import { Figure } from '../desk/card/Figure';
import { useData } from '../desk/data';
import { ChainField, fieldWidth } from '../ui/ChainField';
import { lookOn, seenOf, set, useGridBench } from './draft';

const pens: Record<string, { fill: string; weight: number }> = {
    opening: { fill: 'var(--sheet)', weight: 0.7 },
    glass: { fill: 'var(--glass)', weight: 0.35 },
    spandrel: { fill: 'var(--spandrel)', weight: 0.35 },
    infill: { fill: 'var(--wall)', weight: 0.35 },
    member: { fill: 'var(--frame)', weight: 0.8 },
    frame: { fill: 'var(--frame)', weight: 0.7 },
    sash: { fill: 'var(--frame)', weight: 0.7 },
    bar: { fill: 'var(--frame)', weight: 0.4 },
    'wall-cut': { fill: 'var(--cut)', weight: 0.8 },
    operation: { fill: 'none', weight: 0.7 },
    swing: { fill: 'none', weight: 0.7 },
    reveal: { fill: 'none', weight: 0.35 },
};

const MARGIN = { left: 76, right: 132, top: 78, bottom: 24 };
/** The details under the stretch are so high, px. */
const DETAILS = 196;

/** A typical stretch large, its storeys at the left, every figure of its chains a field; under it the details at one scale. */
export function GridDrawing() {
    const data = useData();
    const view = useGridBench((b) => b.view);
    const seen = useGridBench(seenOf);
    const cell = useGridBench((b) => b.cell);
    const host = useRef<HTMLDivElement>(null);
    const [size, setSize] = useState<[number, number]>([0, 0]);
    useLayoutEffect(() => {
        const observer = new ResizeObserver(([entry]) => setSize([entry!.contentRect.width, entry!.contentRect.height]));
        observer.observe(host.current!);
        return () => observer.disconnect();
    }, []);
    if (!view || !seen || size[0] === 0) return <div ref={host} className="h-full w-full" />;
    const [w, h] = [size[0] - MARGIN.left - MARGIN.right, size[1] - MARGIN.top - MARGIN.bottom - DETAILS];
    // what is typed is seen whole, while the fields stay where they are typed in
    const [wide, high] = [Math.max(view.width, seen.width), Math.max(view.height, seen.height)];
    const k = Math.max(0.005, Math.min(w / wide, h / high));
    const x0 = MARGIN.left + (w - wide * k) / 2;
    const y0 = MARGIN.top + high * k + (h - high * k) / 2;
    const X = (mm: number) => x0 + mm * k;
    const Y = (mm: number) => y0 - mm * k;
    const top = Y(high);
    const right = X(wide);
    const length = (mm: number) => data.length(mm);
    return (
        <div
            ref={host}
            className={
                'relative h-full w-full overflow-hidden bg-sheet ' +
                // figures of what is stored stand back while what is typed is shown
                (seen === view ? '' : '[&_input:not(:focus)]:opacity-25')
            }
            data-trying={seen !== view}
            role="group"
            aria-label="Drawing of the grid type"
        >
            <svg width={size[0]} height={size[1]} className="absolute inset-0" onClick={() => useGridBench.setState({ cell: null })}>
                {seen.floors.map((floor) => (
                    <g key={floor}>
                        <path d={`M${MARGIN.left - 10} ${Y(floor)}H${right + 14}`} stroke="var(--hairline)" strokeDasharray="2 3" />
                        <path d={`M24 ${Y(floor)}h42`} stroke="var(--ink)" strokeWidth={1.2} />
                        <text x={66} y={Y(floor) - 4} textAnchor="end" fontSize={10.5} fill="var(--quiet)">
                            {floor === 0 ? '±0' : `+${length(floor)}`}
                        </text>
                    </g>
                ))}
                <g transform={`translate(${x0} ${y0}) scale(${k})`}>
                    <Shapes shapes={seen.shapes} />
                </g>
                {seen.cells.map((c) => {
                    const on = cell !== null && c.bay === cell[0] && c.row === cell[1];
                    const points = [];
                    for (let i = 0; i < c.ring.length; i += 2) points.push(`${X(c.ring[i]!)},${Y(c.ring[i + 1]!)}`);
                    return (
                        <polygon
                            key={`${c.bay} ${c.row} ${c.box.join()}`}
                            points={points.join(' ')}
                            data-cell={c.name}
                            role="button"
                            tabIndex={-1}
                            aria-label={`${c.name}: ${c.says}`}
                            aria-pressed={on}
                            fill="var(--tide)"
                            fillOpacity={on ? 0.22 : 0}
                            stroke={on ? 'var(--tide)' : 'none'}
                            strokeWidth={2}
                            className="cursor-pointer hover:fill-tide hover:[fill-opacity:0.1]"
                            onClick={(event) => {
                                event.stopPropagation();
                                useGridBench.setState({ cell: [c.bay, c.row] });
                            }}
                        >
                            <title>{`${c.name}: ${c.says}`}</title>
                        </polygon>
                    );
                })}
                <Chain points={seen.bays.map((at) => [X(at), top - 22])} />
                <Chain
                    points={[
                        [X(0), top - 52],
                        [right, top - 52],
                    ]}
                />
                <Chain points={seen.rows.map((at) => [right + 26, Y(at)])} />
                <Chain points={seen.floors.map((at) => [right + 88, Y(at)])} />
            </svg>
            <Field
                label="Width of the typical stretch"
                shown={length(view.width)}
                look="overall"
                x={(X(0) + right) / 2}
                y={top - 52}
                looks
                onSend={(text) => lookOn({ width: text })}
            />
            {spread(view.chains.bays, k, true).map(({ d, first }) => (
                <Field
                    key={`bay ${d.from}`}
                    label={d.path ? 'Bay' : 'Bay: what is left'}
                    shown={length(d.size)}
                    look={d.path ? 'typed' : 'left'}
                    x={X((d.from + d.to) / 2)}
                    y={top - 22}
                    room={(d.to - d.from) * k}
                    first={first}
                    onSend={d.path ? (text) => set(d.path!, text) : undefined}
                />
            ))}
            {spread(view.chains.rows, k, false).map(({ d, first }) => (
                <Field
                    key={`row ${d.from}`}
                    label={d.path ? 'Row' : 'Row: what is left'}
                    shown={length(d.size)}
                    look={d.path ? 'typed' : 'left'}
                    x={right + 26}
                    y={Y((d.from + d.to) / 2)}
                    first={first}
                    onSend={d.path ? (text) => set(d.path!, text) : undefined}
                />
            ))}
            {view.floors.slice(1).map((floor, i) => (
                <Field
                    key={`storey ${floor}`}
                    label="Height of a storey"
                    shown={length(view.storey)}
                    look="overall"
                    x={right + 88}
                    y={Y(floor - view.storey / 2)}
                    first={i === 0}
                    looks
                    onSend={(text) => lookOn({ storey: text })}
                />
            ))}
            <div className="absolute left-3 z-30 max-w-52 text-xs text-quiet" style={{ top: MARGIN.top - 62 }}>
                Storeys{' '}
                <Figure label="Storeys of the typical stretch" shown={String(view.storeys)} onSend={(text) => lookOn({ storeys: text })} />
            </div>
            <Details />
        </div>
    );
}

type Dimension = { from: number; to: number; size: number; path: string | null };

/** Those that have room for their figure; of each value that can be typed at least the first. */
function spread(chain: Dimension[], k: number, across: boolean): { d: Dimension; first: boolean }[] {
    const seen = new Set<string>();
    return chain.flatMap((d) => {
        const key = d.path ?? `left ${d.size.toFixed(1)}`;
        const first = !seen.has(key);
        const fits = (d.to - d.from) * k >= (across ? 40 : 15);
        if (!fits && !first) return [];
        seen.add(key);
        return [{ d, first }];
    });
}

function Chain({ points }: { points: number[][] }) {
    const a = points[0]!;
    const b = points.at(-1)!;
    return (
        <g stroke="var(--ink)" strokeWidth={0.8}>
            <path d={`M${a[0]} ${a[1]}L${b[0]} ${b[1]}`} />
            {points.map(([x, y], i) => (
                <path key={i} d={`M${x! - 4} ${y! + 4}L${x! + 4} ${y! - 4}`} strokeWidth={1.2} />
            ))}
        </g>
    );
}

type FieldProps = {
    label: string;
    shown: string;
    look: 'typed' | 'left' | 'overall';
    x: number;
    y: number;
    room?: number;
    first?: boolean;
    /** it says what the type is looked at on, and changes nothing of it: whoever is here to look may type it */
    looks?: boolean;
    onSend?: (text: string) => Promise<string | null>;
};

/** A figure of a chain: typed ones and overall ones are fields, what is left is told. */
function Field({ label, shown, look, x, y, room, looks = false, onSend }: FieldProps) {
    const data = useData();
    const [why, setWhy] = useState<string | null>(null);
    const lift = (width: number) => (room !== undefined && room < width - 4 ? 14 : 0);
    if (!onSend || !(data.mayEdit || looks))
        return (
            <span
                title={label}
                className="absolute -translate-x-1/2 -translate-y-1/2 bg-sheet px-0.5 text-[11px] text-quiet italic"
                style={{ left: x, top: y - lift(fieldWidth(shown)) }}
            >
                {shown}
            </span>
        );
    return (
        <ChainField
            label={label}
            title={label}
            shown={shown}
            look={look}
            wrong={why}
            place={(width) => [x, y - lift(width)]}
            onSend={async (text) => {
                const answer = await onSend(text);
                setWhy(answer);
                return answer === null;
            }}
            onClear={() => setWhy(null)}
        />
    );
}

/** The details at one scale, the outside below or at the left. */
function Details() {
    const view = useGridBench(seenOf)!;
    const most = Math.max(...view.details.map((d) => Math.max(d.bounds[2]! - d.bounds[0]!, d.bounds[3]! - d.bounds[1]!)), 1);
    const side = DETAILS - 44;
    return (
        <div className="absolute right-0 bottom-0 left-0 flex border-t border-hairline bg-sheet" style={{ height: DETAILS }}>
            {view.details.map((d) => {
                const [cx, cy] = [(d.bounds[0]! + d.bounds[2]!) / 2, (d.bounds[1]! + d.bounds[3]!) / 2];
                return (
                    <figure key={d.name} className="flex min-w-0 flex-1 flex-col items-center pt-2">
                        <figcaption className="text-xs text-quiet">
                            {d.name} · outside {d.name.startsWith('Transom') ? 'at the left' : 'below'}
                        </figcaption>
                        <svg
                            width="100%"
                            height={side}
                            viewBox={`${cx - most / 2} ${-cy - most / 2} ${most} ${most}`}
                            role="img"
                            aria-label={d.name}
                        >
                            <Shapes shapes={d.shapes} />
                        </svg>
                    </figure>
                );
            })}
        </div>
    );
}

/** Shapes in mm, y up. */
function Shapes({ shapes }: { shapes: Shape[] }) {
    return (
        <>
            {shapes.map((s, i) => {
                const pen = pens[s.layer] ?? { fill: 'none', weight: 0.5 };
                return (
                    <path
                        key={i}
                        d={svgPath(s)}
                        fillRule="evenodd"
                        vectorEffect="non-scaling-stroke"
                        stroke="var(--ink)"
                        strokeWidth={pen.weight}
                        strokeDasharray={s.dashed ? '4 3' : undefined}
                        fill={s.kind === 'area' ? pen.fill : 'none'}
                    />
                );
            })}
        </>
    );
}
