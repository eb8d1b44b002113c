import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { tell } from '../../ui/notices';
import { useData } from '../data';
import { DrawingPane, type At } from '../drawing/DrawingPane';
import { fit, toScreen, type Bounds } from '../drawing/view';
import { holdGhost, movedGhost, wallAt } from '../ghost';
import { caughtPosition, caughtSill, inquire, placeGhost, spread } from '../placing';
import { layersOf, pieceAt, placedBands } from '../bands/placed';
import { choosePart, partAt } from '../curtain/grids';
import { partAt as cutAt, screenAt } from '../screens/placed';
import { MeasureBar } from '../MeasureBar';
import { spotAt } from '../measuring';
import { waysOf, type Pointer } from '../modes';
import { chooseLight, lightAt } from '../roofs/lights';
import { later } from '../../ui/later';
import { useShowing } from '../showing';
import { ghostOf, useDesk } from '../store';
import { ElevationOverlay } from './ElevationOverlay';
import { lineAt, type DraggedLine } from './LinesOverlay';
import { paintElevation } from './paintElevation';

/** Marked in the browser's timeline when the first frontage stands on the page. */
const ShowMenu = later('The menu of what is shown', () => import('./ShowMenu').then((m) => m.ShowMenu), null);

const DRAWN = 'first frontage drawn';

/** The developed elevation: every frontage unfolded side by side. Openings are placed, chosen and moved here. */
export function ElevationPane() {
    const data = useData();
    const storey = useDesk((s) => s.storey);
    const moving = useDesk((s) => ghostOf(s)?.moving ?? null);
    const goTo = useDesk((s) => s.goTo);
    const inside = useDesk((s) => s.inside);
    const face = useDesk((s) => s.face);
    const showing = useShowing();
    const chosen = useDesk((s) => s.chosen);
    const tried = useDesk((s) => s.tried);
    const drag = useRef<{ id: string; dx: number; dy: number; add: boolean } | null>(null);
    /** where a rectangle for curtain wall was begun */
    const rectangle = useRef<{ x: number; y: number } | null>(null);
    const dragLine = useRef<{ id: string; x: number; y: number; upright: boolean } | null>(null);
    const [dragged, setDragged] = useState<DraggedLine | null>(null);

    const bounds = useMemo<Bounds>(() => {
        const all = data.project.frontages.filter((f) => f.inner === (face === 'inner'));
        if (all.length === 0) return [-1000, 0, 12000, Math.max(3000, data.project.storeys.at(-1)?.ceiling ?? 3000)];
        return [
            0,
            Math.min(...all.map((f) => f.foot)),
            Math.max(...all.map((f) => f.offset + f.width)),
            Math.max(...all.map((f) => f.head), ...(face === 'inner' ? [] : data.project.roofs.map((r) => r.top ?? -Infinity))),
        ];
    }, [data.project, face]);

    const paint = useCallback(
        (ctx: CanvasRenderingContext2D, view: Parameters<typeof toScreen>[0], size: { width: number; height: number }) => {
            paintElevation(
                ctx,
                view,
                size,
                data.project,
                data.elevations,
                moving,
                storey,
                showing,
                chosen,
                tried?.bands.map((b) => b.element) ?? [],
            );
            if (!data.begun || useDesk.getState().drawn) return;
            performance.mark(DRAWN);
            useDesk.setState({ drawn: true });
        },
        [data.project, data.elevations, data.begun, moving, storey, showing, chosen, tried],
    );

    // Bring what was asked for into view.
    const shown = useRef(0);
    useEffect(() => {
        if (goTo.what === 'all' || goTo.count === shown.current) return;
        shown.current = goTo.count;
        // what lies on the face that is looked at; when nothing does, the other face is turned to
        const inner = useDesk.getState().face === 'inner';
        const here = goTo.what.filter((id) => frontageOfElement(data, id)?.inner === inner);
        const boxes = (here.length > 0 ? here : goTo.what).map((id) => boxOf(data, id)).filter((b): b is Bounds => b !== null);
        if (boxes.length === 0) return;
        if (here.length === 0) useDesk.setState({ face: inner ? 'outer' : 'inner' });
        const box: Bounds = [
            Math.min(...boxes.map((b) => b[0])),
            Math.min(...boxes.map((b) => b[1])),
            Math.max(...boxes.map((b) => b[2])),
            Math.max(...boxes.map((b) => b[3])),
        ];
        const pad = Math.max(2000, (box[2] - box[0]) * 0.3);
        useDesk
            .getState()
            .look('elevation', fit([box[0] - pad, box[1] - 1500, box[2] + pad, box[3] + 1500], useDesk.getState().sizes.elevation));
    }, [goTo, data]);

    const frontageAt = (x: number) => showing.frontages.find((f) => x >= f.offset && x <= f.offset + f.width);

    const openingAt = ({ x, y }: At) => {
        const frontage = frontageAt(x);
        const k = useDesk.getState().views.elevation?.k ?? 1;
        const slack = 3 / k;
        const here = (frontage && data.elevations.get(frontage.id)?.openings) ?? [];
        return here
            .filter(showing.opening)
            .filter(
                (o) =>
                    x >= frontage!.offset + o.u - slack &&
                    x <= frontage!.offset + o.u + o.span + slack &&
                    y >= o.sillLevel - slack &&
                    y <= o.headLevel + slack,
            )
            .sort((a, b) => a.width * a.height - b.width * b.height)[0];
    };

    const pointerAt = (at: At): Pointer => {
        const k = useDesk.getState().views.elevation?.k ?? 1;
        return {
            pane: 'elevation',
            at,
            k,
            known: data.elevations.has(frontageAt(at.x)?.id ?? '') || !frontageAt(at.x),
            spot: () => spotAt(data, showing, at.x, at.y, k),
            traced: () => null,
            stand: () => {
                const frontage = frontageAt(at.x);
                const found = frontage && wallAt(data, frontage, at.x - frontage.offset, at.y);
                return found ? { wall: found.wall, storey: found.storey, along: at.x - frontage.offset - found.start, level: at.y } : null;
            },
        };
    };
    const hover = (at: At | null) => waysOf(useDesk.getState().mode)?.hover?.(data, at && pointerAt(at));

    const shownIds = useMemo(() => new Set(showing.lines ? showing.frontages.map((f) => f.id) : []), [showing]);

    return (
        <div className="relative h-full">
            <DrawingPane
                pane="elevation"
                label="Developed elevation. Arrow keys move what is chosen; square brackets choose the opening before or after."
                bounds={bounds}
                opensWide
                flip={inside}
                busy={!data.whole}
                paint={paint}
                overlay={(view, size) => <ElevationOverlay view={view} size={size} dragged={dragged} />}
                onHover={hover}
                onPress={(at) => {
                    const { mode, sheet, views } = useDesk.getState();
                    if (mode.is === 'placing' && mode.inHand.grid) {
                        rectangle.current = { x: at.x, y: at.y };
                        return true;
                    }
                    if (mode.is !== 'nothing' || sheet || !data.mayEdit) return false;
                    if (pieceAt(data, face === 'inner', at.x, at.y, views.elevation?.k ?? 1, showing.band)) return false;
                    const opening = openingAt(at);
                    const line = opening ? null : lineAt(data.lines.values(), shownIds, at.x, at.y, views.elevation?.k ?? 1);
                    if (line && (line.rule as { from: string }).from !== 'across') {
                        dragLine.current = { id: line.id, x: at.x, y: at.y, upright: line.u !== null };
                        return true;
                    }
                    if (!opening) return false;
                    const frontage = data.frontageOf.get(opening.host)!;
                    drag.current = {
                        id: opening.id,
                        dx: at.x - frontage.offset - (frontage.walls[opening.host] ?? 0) - opening.left,
                        dy: at.y - opening.sillLevel,
                        add: at.event.shiftKey,
                    };
                    return true;
                }}
                onDrag={(at) => {
                    if (rectangle.current) return spread(data, rectangle.current, at);
                    const l = dragLine.current;
                    if (l) {
                        const step = 10;
                        setDragged({ id: l.id, by: Math.round((l.upright ? at.x - l.x : at.y - l.y) / step) * step });
                        return;
                    }
                    const d = drag.current;
                    const opening = d && data.openings.get(d.id);
                    const k = useDesk.getState().views.elevation?.k;
                    if (!d || !opening || !k) return;
                    const start = opening.frontage.offset + (opening.frontage.walls[opening.host] ?? 0);
                    holdGhost(d.id, movedGhost(data, opening, at.x - start - d.dx, at.y - d.dy, k, at.event.altKey));
                    inquire(data);
                }}
                onDrop={async (_, moved) => {
                    if (rectangle.current) {
                        rectangle.current = null;
                        if (moved) await placeGhost(data);
                        return;
                    }
                    const l = dragLine.current;
                    dragLine.current = null;
                    if (l) {
                        if (moved && dragged && dragged.by !== 0) {
                            useDesk.getState().choose([l.id]);
                            await data.edit('line.change', { id: l.id, by: dragged.by });
                        }
                        setDragged(null);
                        return;
                    }
                    const d = drag.current;
                    drag.current = null;
                    const ghost = ghostOf(useDesk.getState());
                    if (!d || !moved || !ghost) return;
                    await data.edit('opening.change', {
                        id: d.id,
                        ...(caughtPosition(ghost) ?? { leftJamb: ghost.left }),
                        ...(caughtSill(data, ghost) ?? { sillLevel: ghost.sill }),
                    });
                    useDesk.getState().leaveStill('moving');
                }}
                onClick={(at) => {
                    const state = useDesk.getState();
                    const k = state.views.elevation?.k ?? 1;
                    const ways = waysOf(state.mode);
                    if (ways) return ways.click?.(data, pointerAt(at));
                    const light = state.sheet ? null : lightAt(data, state.face === 'inner', at.x, at.y, showing);
                    if (light) return chooseLight(light, at.event.shiftKey);
                    const fin = state.sheet ? null : pieceAt(data, state.face === 'inner', at.x, at.y, k, showing.band);
                    if (fin) {
                        // a piece of the band that is chosen already; with Shift one more
                        if (!state.chosen.includes(fin.band)) return state.choose([fin.band], at.event.shiftKey);
                        if (!data.project.bands.some((b) => b.id === fin.band)) return;
                        const rest = state.fins.filter((n) => n !== fin.piece);
                        const more = rest.length < state.fins.length ? rest : [...state.fins, fin.piece];
                        return useDesk.setState({ fins: at.event.shiftKey ? more : [fin.piece] });
                    }
                    // a screen stands before what it covers, unless it is seen through; of one that is chosen its cut-outs are meant
                    const own = data.project.screens.find((s) => state.chosen.length === 1 && s.id === state.chosen[0]);
                    const cut = own && !state.sheet ? cutAt(data, own.id, at.x, at.y) : null;
                    if (cut !== null) {
                        const rest = state.fins.filter((n) => n !== cut);
                        const more = rest.length < state.fins.length ? rest : [...state.fins, cut];
                        return useDesk.setState({ fins: at.event.shiftKey ? more : [cut] });
                    }
                    const before = state.sheet || showing.dimmed ? null : screenAt(data, state.face === 'inner', at.x, at.y, showing.band);
                    if (before && before !== own?.id) return state.choose([before], at.event.shiftKey);
                    if (before) return useDesk.setState({ fins: [] });
                    const opening = openingAt(at);
                    const frontage = frontageAt(at.x);
                    const found = frontage && wallAt(data, frontage, at.x - frontage.offset, at.y);
                    // a part of the curtain wall that is chosen already
                    const whole = opening?.curtain ? opening.id : found?.wall.curtain ? found.wall.id : null;
                    const part =
                        whole && state.chosen.includes(whole) && !state.sheet ? partAt(data, whole, at.x, at.y, k, showing.parts) : null;
                    if (part) return choosePart(part, at.event.shiftKey);
                    const toggled = (id: string) =>
                        state.targets.includes(id) ? state.targets.filter((t) => t !== id) : [...state.targets, id];
                    if (state.sheet === 'copy' && found && !opening) return useDesk.setState({ targets: toggled(found.wall.id) });
                    if (state.sheet === 'carry') {
                        const source = data.openings.get(state.source ?? '');
                        if (!opening || !source || opening.id === source.id) return;
                        if ((opening.type === null) !== (source.type === null))
                            tell(
                                `Only like ones get them: ${source.label} is ${source.type === null ? 'bare' : 'filled'}, this is ${opening.type === null ? 'bare' : 'filled'}.`,
                            );
                        else useDesk.setState({ targets: toggled(opening.id) });
                        return;
                    }
                    const line = opening ? null : lineAt(data.lines.values(), shownIds, at.x, at.y, k);
                    if (opening) state.choose([opening.id], at.event.shiftKey);
                    else if (line) state.choose([line.id], at.event.shiftKey);
                    else if (found && at.event.shiftKey) state.choose([found.wall.id], true);
                    else state.choose(found ? [found.wall.id] : []);
                    if (found) state.set({ storey: found.storey.id });
                }}
                onKey={(event) => waysOf(useDesk.getState().mode)?.key?.(data, event) ?? false}
                onFrame={([x0, y0, x1, y1]) => {
                    const inFrame = showing.frontages.flatMap((f) =>
                        (data.elevations.get(f.id)?.openings ?? [])
                            .filter(
                                (o) =>
                                    showing.opening(o) &&
                                    f.offset + o.u >= x0 &&
                                    f.offset + o.u + o.span <= x1 &&
                                    o.sillLevel >= y0 &&
                                    o.headLevel <= y1,
                            )
                            .map((o) => o.id),
                    );
                    const kept = useDesk.getState().chosen.filter((id) => data.openings.has(id));
                    useDesk.getState().choose([...new Set([...kept, ...inFrame])]);
                }}
            />
            <MeasureBar pane="elevation" />
            <ShowMenu />
        </div>
    );
}

function frontageOfElement(data: ReturnType<typeof useData>, id: string) {
    return (
        data.openings.get(id)?.frontage ??
        data.lines.get(id)?.frontage ??
        data.frontageOf.get(id) ??
        data.frontageOf.get(bandOf(data, id)?.before[0] ?? '') ??
        data.project.frontages.find((f) => f.id === id)
    );
}

const bandOf = (data: ReturnType<typeof useData>, id: string) => layersOf(data).find((b) => b.id === id);

/** Where an element lies on the developed elevation. */
export function boxOf(data: ReturnType<typeof useData>, id: string): Bounds | null {
    const opening = data.openings.get(id);
    if (opening)
        return [
            opening.frontage.offset + opening.u,
            opening.sillLevel,
            opening.frontage.offset + opening.u + opening.span,
            opening.headLevel,
        ];
    const line = data.lines.get(id);
    if (line) {
        const f = line.frontage;
        const levels = line.levels.map((l) => l.level);
        return line.u !== null
            ? [f.offset + line.u - 2000, f.foot, f.offset + line.u + 2000, f.head]
            : [f.offset, Math.min(...levels) - 500, f.offset + f.width, Math.max(...levels) + 500];
    }
    const wall = data.walls.get(id);
    const frontage = wall && data.frontageOf.get(id);
    if (wall && frontage) {
        const x = frontage.offset + (frontage.walls[id] ?? 0);
        return [x, wall.foot, x + wall.length, wall.head];
    }
    const bands = placedBands(data, id);
    if (bands.length > 0)
        return [
            Math.min(...bands.map((b) => b.from + b.placed.bounds[0]!)),
            Math.min(...bands.map((b) => b.placed.bounds[1]!)),
            Math.max(...bands.map((b) => b.from + b.placed.bounds[2]!)),
            Math.max(...bands.map((b) => b.placed.bounds[3]!)),
        ];
    // of one whose frontages have not come yet, the walls it stands before
    const band = bandOf(data, id);
    if (band) {
        const boxes = band.before.map((w) => boxOf(data, w)).filter((b): b is Bounds => b !== null);
        // one along a line of its own is seen in plan
        if (boxes.length === 0) return null;
        const floor = data.storeys.get(band.storey)?.floor ?? 0;
        return [Math.min(...boxes.map((b) => b[0])), floor, Math.max(...boxes.map((b) => b[2])), floor + 3000];
    }
    const whole = data.project.frontages.find((f) => f.id === id);
    return whole ? [whole.offset, whole.foot, whole.offset + whole.width, whole.head] : null;
}
