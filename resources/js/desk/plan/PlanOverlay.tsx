import type { Storey, Wall } from '../../api/client';
import { useData } from '../data';
import { MeasureOverlay } from '../MeasureBar';
import { DimensionLine } from '../drawing/DimensionLine';
import { useClickable } from '../drawing/useClickable';
import { toScreen, type Size } from '../drawing/view';
import { gaps } from '../ghost';
import { band, inPlan, tangent } from '../surface';
import { ghostOf, useDesk, type Ghost, type View } from '../store';
import { SectionLines } from '../section/SectionLines';
import { PointsOverlay } from './PointingBar';
import { LightsInPlan } from '../roofs/LightsInPlan';
import { OutlineInHand } from './OutlineInHand';
import { PlanLines, PreviewWalls } from './PlanLines';

type Props = { view: View; size: Size };

/** What lives over the plan: which side is outside, what is chosen, the ghost, the outline being drawn. */
export function PlanOverlay({ view, size, storey }: Props & { storey: Storey }) {
    const data = useData();
    const chosen = useDesk((s) => s.chosen);
    const ghost = useDesk(ghostOf);
    const screen = (p: { x: number; y: number }) => toScreen(view, size, p.x, p.y);
    const spot = (wall: Wall, along: number, depth: number) => screen(inPlan(wall, along, depth));
    const quad = (wall: Wall, from: number, to: number) =>
        band(wall, from, to)
            .map(screen)
            .map((p) => `${p.x},${p.y}`)
            .join(' ');
    const here = data.project.walls.filter((w) => w.foot < storey.ceiling - 1 && w.head > storey.floor + 1);
    const candidates = useDesk((s) => s.candidates);
    const clickable = useClickable();
    const differing = useDesk((s) => s.differing);
    const preview = useDesk((s) => (s.sheet ? s.preview : null));
    const wanted = (list: { host: string; storey: string; left: number; span: number }[]) =>
        list.flatMap((p, i) => {
            const wall = here.find((w) => w.id === p.host);
            return wall && p.storey === storey.id ? [{ key: `${p.host} ${p.left} ${i}`, points: quad(wall, p.left, p.left + p.span) }] : [];
        });
    const fit = wanted(preview?.placed ?? []);
    const unfit = wanted((preview?.misfits ?? []).flatMap((m) => (m.place ? [m.place] : [])));
    const places = (which: 'then' | 'now') =>
        differing.flatMap((d) => {
            const p = d[which];
            const wall = p && here.find((w) => w.id === p.host);
            return p && wall && p.storey === storey.id
                ? [{ key: `${which} ${d.element}`, points: quad(wall, p.left, p.left + p.span) }]
                : [];
        });
    return (
        <>
            <g data-preview-plan={fit.length}>
                {fit.map((p) => (
                    <polygon key={p.key} points={p.points} fill="var(--tide)" fillOpacity={0.3} stroke="var(--tide)" strokeWidth={1.6} />
                ))}
                {unfit.map((p) => (
                    <polygon
                        key={p.key}
                        points={p.points}
                        fill="var(--buoy)"
                        fillOpacity={0.15}
                        stroke="var(--buoy)"
                        strokeWidth={1.6}
                        strokeDasharray="5 3"
                    />
                ))}
            </g>
            <LightsInPlan view={view} size={size} storey={storey.id} />
            {places('now').map((p) => (
                <polygon key={p.key} points={p.points} fill="var(--tide)" fillOpacity={0.3} stroke="var(--tide)" strokeWidth={2} />
            ))}
            {places('then').map((p) => (
                <polygon key={p.key} points={p.points} fill="none" stroke="var(--buoy)" strokeWidth={1.8} strokeDasharray="5 3" />
            ))}
            {here.map((w) => {
                const on = chosen.includes(w.id) || chosen.includes(w.outline);
                const arrow = spot(w, w.length / 2, -16 / view.k);
                const foot = spot(w, w.length / 2, -5 / view.k);
                return (
                    <g key={w.id}>
                        {on && (
                            <polygon
                                data-chosen={w.id}
                                points={quad(w, 0, w.length)}
                                fill="var(--tide)"
                                fillOpacity={0.35}
                                stroke="var(--tide)"
                                strokeWidth={2}
                            />
                        )}
                        {w.length * view.k > 60 && (
                            <path
                                d={`M${foot.x} ${foot.y}L${arrow.x} ${arrow.y}`}
                                stroke="var(--tide)"
                                strokeWidth={1.4}
                                markerEnd="url(#outside)"
                            />
                        )}
                    </g>
                );
            })}
            <defs>
                <marker id="outside" viewBox="0 0 8 8" refX={6} refY={4} markerWidth={7} markerHeight={7} orient="auto">
                    <path d="M0 0L8 4L0 8z" fill="var(--tide)" />
                </marker>
            </defs>
            {chosen.map((id) => {
                const o = data.openings.get(id);
                const wall = o && data.walls.get(o.host);
                return o && wall && o.storey === storey.id && ghost?.moving !== id ? (
                    <polygon
                        key={id}
                        data-chosen={id}
                        points={quad(wall, o.left, o.left + o.span)}
                        fill="var(--tide)"
                        fillOpacity={0.25}
                        stroke="var(--tide)"
                        strokeWidth={2}
                    />
                ) : null;
            })}
            <FrontageNames view={view} size={size} here={new Set(here.map((w) => w.id))} />
            {ghost && ghost.storey === storey.id && <PlanGhost ghost={ghost} spot={spot} quad={quad} width={size.width} />}
            <PlanLines here={here} spot={spot} />
            <PreviewWalls view={view} size={size} storey={storey} />
            <OutlineInHand view={view} size={size} />
            <SectionLines view={view} size={size} />
            {candidates.map((c) => {
                const wall = here.find((w) => w.id === c.host);
                return wall ? (
                    <polygon
                        key={`${c.host} ${c.from}`}
                        points={quad(wall, c.from, c.to)}
                        className={clickable}
                        fill="var(--moss)"
                        fillOpacity={0.18}
                        stroke="var(--moss)"
                        strokeWidth={1.8}
                        strokeDasharray="5 3"
                        data-candidate={c.width}
                        onPointerDown={(e) => e.stopPropagation()}
                        onClick={() => useDesk.setState({ taking: c })}
                    >
                        <title>{`Take an opening ${data.length(c.width)} wide here`}</title>
                    </polygon>
                ) : null;
            })}
            <PointsOverlay view={view} size={size} />
            <MeasureOverlay pane="plan" view={view} size={size} />
        </>
    );
}

function FrontageNames({ view, size, here }: Props & { here: Set<string> }) {
    const { project, walls } = useData();
    return (
        <>
            {project.frontages.map((f) => {
                const wall = walls.get(Object.keys(f.walls).find((id) => here.has(id)) ?? '');
                if (!wall || wall.length * view.k < 50) return null;
                const { y: dy } = tangent(wall, wall.length / 2);
                // beyond the sills and heads that are written beside openings, where they are
                const middle = inPlan(wall, wall.length / 2, -26 / view.k - (view.k * 125 > 8 ? 560 : 0));
                const p = toScreen(view, size, middle.x, middle.y);
                return (
                    <text
                        key={f.id}
                        x={p.x}
                        y={p.y + 4}
                        textAnchor={dy > 0.5 ? 'start' : dy < -0.5 ? 'end' : 'middle'}
                        fontSize={11}
                        fill="var(--quiet)"
                        stroke="var(--sheet)"
                        strokeWidth={3}
                        paintOrder="stroke"
                    >
                        {f.name}
                    </text>
                );
            })}
        </>
    );
}

type Spot = (wall: Wall, along: number, depth: number) => { x: number; y: number };

function PlanGhost({
    ghost,
    spot,
    quad,
    width,
}: {
    ghost: Ghost;
    width: number;
    spot: Spot;
    quad: (wall: Wall, from: number, to: number) => string;
}) {
    const data = useData();
    const wall = data.walls.get(ghost.host);
    if (!wall) return null;
    const { left, right } = gaps(data, ghost);
    const doubtful = ghost.refusal !== null || ghost.findings.length > 0;
    const out = -420;
    const p = (along: number): [number, number] => {
        const at = spot(wall, along, out);
        return [at.x, at.y];
    };
    const placing = ghost.moving === null;
    const runsRight = tangent(wall, ghost.left).x >= 0;
    const text = (d: 'left' | 'right', mm: number) => (placing && ghost.typed[d] !== undefined ? `${ghost.typed[d]}▏` : data.length(mm));
    const far = ghost.left + ghost.span;
    const said = ghost.refusal ?? ghost.findings[0]?.sentence ?? ghost.caught.along;
    const head = spot(wall, ghost.left + ghost.span / 2, wall.thickness + 700);
    const half = (said?.length ?? 0) * 3.1 + 8;
    const saidX = Math.min(Math.max(head.x, half), Math.max(half, width - half));
    return (
        <g data-ghost={ghost.moving ?? 'new'}>
            <polygon
                points={quad(wall, ghost.left, far)}
                fill="var(--glass)"
                stroke={doubtful ? 'var(--buoy)' : 'var(--tide)'}
                strokeWidth={2}
            />
            <DimensionLine
                from={p(left.from)}
                to={p(ghost.left)}
                text={text('left', ghost.left - left.from)}
                tone="buoy"
                lit={placing && ghost.lit === 'left'}
                overflow={runsRight ? 'before' : 'after'}
            />
            <DimensionLine
                from={p(far)}
                to={p(right.from)}
                text={text('right', right.from - far)}
                tone="buoy"
                lit={placing && ghost.lit === 'right'}
                overflow={runsRight ? 'after' : 'before'}
            />
            {said && (
                <text
                    x={saidX}
                    y={head.y}
                    textAnchor="middle"
                    stroke="var(--sheet)"
                    strokeWidth={4}
                    paintOrder="stroke"
                    fontSize={11.5}
                    fill={doubtful ? 'var(--buoy)' : 'var(--brass)'}
                >
                    {said}
                </text>
            )}
        </g>
    );
}
