import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo, useRef, useState } from 'react';
import { api, type Wall } from '../../api/client';
import { Button } from '../../ui/Button';
import { useData } from '../data';
import { DrawingPane, type At } from '../drawing/DrawingPane';
import { paintStrokes, paintTexts, pens, place, strokes } from '../drawing/paint';
import { type Bounds, type Size } from '../drawing/view';
import { holdGhost, movedGhost } from '../ghost';
import { caughtPosition, inquire } from '../placing';
import { MeasureBar } from '../MeasureBar';
import { spotInPlan } from '../measuring';
import { waysOf, type Pointer } from '../modes';
import { chooseLight, lightInPlan } from '../roofs/lights';
import { useShowing, type Showing } from '../showing';
import { onWall, stretch } from '../surface';
import { TracingLayer } from '../tracing/layer';
import { catchTracing } from '../tracing/lines';
import { useTracings } from '../tracing/useTracings';
import { colour } from '../../ui/theme';
import { ghostOf, useDesk, type View } from '../store';
import { OutlineBar } from './OutlineBar';
import { PointingBar } from './PointingBar';
import { PlanOverlay } from './PlanOverlay';

/** Height of the letters beside openings in the drawing, mm. */
const SILL_LETTERS = 125;

/** A storey in plan. Openings are placed, chosen and moved here too, and outlines are drawn. */
export function PlanPane() {
    const data = useData();
    const active = useDesk((s) => s.storey);
    const outlining = useDesk((s) => s.mode.is === 'outlining');
    const storey = data.storeys.get(active ?? '') ?? data.project.storeys[0]!;
    const plan = useQuery({
        queryKey: ['project', data.id, 'plan', storey.id],
        queryFn: () => api.plan(data.id, storey.id),
        placeholderData: (old) => old,
    });
    // another storey's plan, shown until this one's comes, is not what one points at
    const known = plan.isError || (plan.data !== undefined && !plan.isPlaceholderData);
    const showing = useShowing();
    const drag = useRef<{ id: string; grip: number } | null>(null);

    const bounds = useMemo<Bounds>(() => {
        const walls = data.project.walls;
        if (walls.length === 0) return [-2000, -2000, 20000, 14000];
        const points = walls.flatMap((w) => stretch(w, 0, w.length, 0));
        const xs = points.map((p) => p.x);
        const ys = points.map((p) => p.y);
        return [Math.min(...xs) - 1200, Math.min(...ys) - 1200, Math.max(...xs) + 1200, Math.max(...ys) + 1200];
    }, [data.project.walls]);

    const lines = useMemo(() => {
        if (!plan.data) return [];
        const { drawing, walls, openings } = plan.data;
        const shown = Object.entries(openings).filter(([id]) => isShown(data, showing, id));
        return [
            ...strokes(drawing.shapes.filter((_, i) => showing.wall(walls[i] ?? ''))),
            ...strokes(
                shown.flatMap(([id, shapes]) =>
                    shapes.filter((s) => (showing.units || s.layer === 'reveal') && !(s.part && showing.parts.get(id)?.has(s.part))),
                ),
            ),
        ];
    }, [plan.data, data, showing]);

    const texts = useMemo(
        () =>
            Object.entries(plan.data?.openings ?? {})
                .filter(([id]) => isShown(data, showing, id))
                .flatMap(([, shapes]) => shapes.filter((s) => s.kind === 'text')),
        [plan.data, data, showing],
    );

    const traced = useTracings(storey.id, showing.tracings);
    const [tick, repaint] = useState(0);
    const [layer] = useState(() => new TracingLayer(() => repaint((n) => n + 1)));
    const paint = useCallback(
        (ctx: CanvasRenderingContext2D, view: View, size: Size) => {
            layer.paint(ctx, view, size, traced, colour('ink'));
            place(ctx, view, size, 0, 0);
            // walls are seen through over a tracing
            ctx.globalAlpha = traced.length > 0 ? 0.62 : 1;
            paintStrokes(ctx, lines, pens(), view.k);
            ctx.globalAlpha = 1;
            // sills and heads, where there is room for them
            if (view.k * SILL_LETTERS > 8) paintTexts(ctx, texts, view, size);
        },
        // drawn again when the wheel rests
        // eslint-disable-next-line react-hooks/exhaustive-deps
        [lines, texts, traced, layer, tick],
    );

    const wallAt = (at: At, reach: number) =>
        nearestWall(
            data.project.walls.filter((w) => showing.wall(w.id) && w.foot < storey.ceiling - 1 && w.head > storey.floor + 1),
            at,
            reach,
        );
    const scale = () => useDesk.getState().views.plan?.k ?? 0.05;

    const openingAt = (at: At) => {
        const found = wallAt(at, 4 / scale());
        if (!found) return null;
        return (
            [...data.openings.values()].find(
                (o) =>
                    showing.opening(o) &&
                    o.host === found.wall.id &&
                    o.storey === storey.id &&
                    found.along >= o.left - 30 &&
                    found.along <= o.left + o.span + 30,
            ) ?? null
        );
    };

    const pointerAt = (at: At): Pointer => ({
        pane: 'plan',
        at,
        k: scale(),
        known,
        spot: () => spotInPlan(data, showing, plan.data?.spots ?? [], at.x, at.y, scale()),
        traced: () => catchTracing(at.x, at.y, 9 / scale()),
        stand: () => {
            const found = wallAt(at, 40 / scale());
            return found && { wall: found.wall, storey, along: found.along, level: null };
        },
    });
    const hover = (at: At | null) => waysOf(useDesk.getState().mode)?.hover?.(data, at && pointerAt(at));

    return (
        <div className="relative h-full">
            <DrawingPane
                pane="plan"
                label={outlining ? 'Plan. Click corners, or type a length, Tab, an angle, Enter.' : `Plan of ${storey.name}`}
                bounds={bounds}
                busy={!known}
                paint={paint}
                overlay={(view, size) => <PlanOverlay view={view} size={size} storey={storey} />}
                onHover={hover}
                onPress={(at) => {
                    const { mode, sheet } = useDesk.getState();
                    if (mode.is !== 'nothing' || sheet || !data.mayEdit) return false;
                    const opening = openingAt(at);
                    const wall = opening && data.walls.get(opening.host);
                    if (!opening || !wall) return false;
                    drag.current = { id: opening.id, grip: onWall(wall, at).along - opening.left };
                    return true;
                }}
                onDrag={(at) => {
                    const d = drag.current;
                    const opening = d && data.openings.get(d.id);
                    const wall = opening && data.walls.get(opening.host);
                    if (!d || !opening || !wall) return;
                    holdGhost(d.id, movedGhost(data, opening, onWall(wall, at).along - d.grip, opening.sillLevel, scale()));
                    inquire(data);
                }}
                onDrop={async (_, moved) => {
                    const d = drag.current;
                    drag.current = null;
                    const ghost = ghostOf(useDesk.getState());
                    if (!d || !moved || !ghost) return;
                    await data.edit('opening.change', { id: d.id, ...(caughtPosition(ghost) ?? { leftJamb: ghost.left }) });
                    useDesk.getState().leaveStill('moving');
                }}
                onClick={(at) => {
                    const state = useDesk.getState();
                    const ways = waysOf(state.mode);
                    if (ways) return ways.click?.(data, pointerAt(at));
                    const opening = openingAt(at);
                    const found = wallAt(at, 6 / scale());
                    const light = opening || state.sheet ? null : lightInPlan(data, storey.id, at.x, at.y, showing);
                    if (light) chooseLight(light, at.event.shiftKey);
                    else if (opening) state.choose([opening.id], at.event.shiftKey);
                    else state.choose(found ? [found.wall.id] : []);
                }}
                onKey={(event) => waysOf(useDesk.getState().mode)?.key?.(data, event) ?? false}
            />
            {outlining && <OutlineBar />}
            {!outlining && (
                <div className="absolute top-2 right-3 flex gap-2">
                    <Button small onClick={() => useDesk.getState().open('tracings')}>
                        {data.project.tracings.some((t) => t.storeys.includes(storey.id)) ? 'Tracings' : 'Lay a drawing under'}
                    </Button>
                </div>
            )}
            <MeasureBar pane="plan" />
            <PointingBar />
            <p className="pointer-events-none absolute bottom-2 left-3 rounded bg-sheet/80 px-1 text-xs text-quiet">
                Plan · {storey.name}
                {showing.said.length > 0 && ` · hidden: ${showing.said.join(', ')}`}
                {plan.isError && <span className="text-buoy"> · {plan.error.message}</span>}
            </p>
        </div>
    );
}

/** Whether what a plan has of something is shown: an opening, a wall of its own kind, or what stands before walls and over them. */
function isShown(data: ReturnType<typeof useData>, showing: Showing, id: string): boolean {
    const opening = data.openings.get(id);
    return opening ? showing.opening(opening) : data.walls.has(id) ? showing.wall(id) : showing.band(id);
}

function nearestWall(walls: Wall[], at: { x: number; y: number }, reach: number): { wall: Wall; along: number } | null {
    let best: { wall: Wall; along: number; off: number } | null = null;
    for (const wall of walls) {
        const { along, depth } = onWall(wall, at);
        if (along < -reach || along > wall.length + reach) continue;
        const off = Math.max(0, depth - wall.thickness, -depth);
        if (off <= reach && (!best || off < best.off)) best = { wall, along, off };
    }
    return best;
}
