import { useCallback, useEffect, useMemo, useRef } from 'react';
import { useData } from '../data';
import { DrawingPane, type At } from '../drawing/DrawingPane';
import { fit, toScreen, type Bounds } from '../drawing/view';
import { ghostAt, ghostKey, holdGhost, inquire, movedGhost, placeGhost, wallAt } from '../ghost';
import { useDesk } from '../store';
import { ElevationOverlay } from './ElevationOverlay';
import { paintElevation } from './paintElevation';

/** The developed elevation: every frontage unfolded side by side. Openings are placed, chosen and moved here. */
export function ElevationPane() {
    const data = useData();
    const storey = useDesk((s) => s.storey);
    const moving = useDesk((s) => s.ghost?.moving ?? null);
    const goTo = useDesk((s) => s.goTo);
    const drag = useRef<{ id: string; dx: number; dy: number; add: boolean } | null>(null);

    const bounds = useMemo<Bounds>(() => {
        const all = data.project.frontages;
        if (all.length === 0) return [-1000, 0, 12000, Math.max(3000, data.project.storeys.at(-1)?.ceiling ?? 3000)];
        return [0, Math.min(...all.map((f) => f.foot)), Math.max(...all.map((f) => f.offset + f.width)), Math.max(...all.map((f) => f.head))];
    }, [data.project]);

    const paint = useCallback(
        (ctx: CanvasRenderingContext2D, view: Parameters<typeof toScreen>[0], size: { width: number; height: number }) =>
            paintElevation(ctx, view, size, data.project, data.elevations, moving, storey),
        [data.project, data.elevations, moving, storey],
    );

    // Bring what was asked for into view.
    const shown = useRef(0);
    useEffect(() => {
        if (goTo.what === 'all' || goTo.count === shown.current) return;
        shown.current = goTo.count;
        const boxes = goTo.what.map((id) => boxOf(data, id)).filter((b): b is Bounds => b !== null);
        if (boxes.length === 0) return;
        const box: Bounds = [Math.min(...boxes.map((b) => b[0])), Math.min(...boxes.map((b) => b[1])), Math.max(...boxes.map((b) => b[2])), Math.max(...boxes.map((b) => b[3]))];
        const pad = Math.max(2000, (box[2] - box[0]) * 0.3);
        useDesk.getState().look('elevation', fit([box[0] - pad, box[1] - 1500, box[2] + pad, box[3] + 1500], useDesk.getState().sizes.elevation));
    }, [goTo, data]);

    const frontageAt = (x: number) => data.project.frontages.find((f) => x >= f.offset && x <= f.offset + f.width);

    const openingAt = ({ x, y }: At) => {
        const frontage = frontageAt(x);
        const k = useDesk.getState().views.elevation?.k ?? 1;
        const slack = 3 / k;
        const here = (frontage && data.elevations.get(frontage.id)?.openings) ?? [];
        return here
            .filter((o) => x >= frontage!.offset + o.u - slack && x <= frontage!.offset + o.u + o.width + slack && y >= o.sillLevel - slack && y <= o.headLevel + slack)
            .sort((a, b) => a.width * a.height - b.width * b.height)[0];
    };

    const hover = (at: At | null) => {
        const { inHand, ghost, views } = useDesk.getState();
        if (!inHand) return;
        const frontage = at && frontageAt(at.x);
        const found = frontage && wallAt(data, frontage, at.x - frontage.offset, at.y);
        if (!found || !views.elevation) return;
        const next = ghostAt(data, inHand, found.wall, found.storey, at.x - frontage.offset - found.start, at.y, views.elevation.k, ghost);
        useDesk.setState({ ghost: next });
        inquire(data);
    };

    return (
        <DrawingPane
            pane="elevation"
            label="Developed elevation. Arrow keys move what is chosen; square brackets choose the opening before or after."
            bounds={bounds}
            opensWide
            paint={paint}
            overlay={(view, size) => <ElevationOverlay view={view} size={size} />}
            onHover={hover}
            onPress={(at) => {
                if (useDesk.getState().inHand || !data.mayEdit) return false;
                const opening = openingAt(at);
                if (!opening) return false;
                const frontage = data.frontageOf.get(opening.wall)!;
                drag.current = { id: opening.id, dx: at.x - frontage.offset - (frontage.walls[opening.wall] ?? 0) - opening.left, dy: at.y - opening.sillLevel, add: at.event.shiftKey };
                return true;
            }}
            onDrag={(at) => {
                const d = drag.current;
                const opening = d && data.openings.get(d.id);
                const k = useDesk.getState().views.elevation?.k;
                if (!d || !opening || !k) return;
                const start = opening.frontage.offset + (opening.frontage.walls[opening.wall] ?? 0);
                holdGhost(d.id, movedGhost(data, opening, at.x - start - d.dx, at.y - d.dy, k));
                inquire(data);
            }}
            onDrop={async (_, moved) => {
                const d = drag.current;
                drag.current = null;
                const { ghost } = useDesk.getState();
                if (!d || !moved || !ghost) return;
                await data.edit(
                    'opening.change',
                    ghost.centred ? { id: d.id, position: { from: 'middle', value: 0, to: 'centre' }, sillLevel: ghost.sill } : { id: d.id, leftJamb: ghost.left, sillLevel: ghost.sill },
                );
                useDesk.setState({ ghost: null });
            }}
            onClick={(at) => {
                const state = useDesk.getState();
                if (state.inHand) {
                    hover(at);
                    void placeGhost(data);
                    return;
                }
                const opening = openingAt(at);
                const frontage = frontageAt(at.x);
                const found = frontage && wallAt(data, frontage, at.x - frontage.offset, at.y);
                if (opening) state.choose([opening.id], at.event.shiftKey);
                else state.choose(found ? [found.wall.id] : []);
                if (found) state.set({ storey: found.storey.id });
            }}
            onKey={(event) => ghostKey(data, event)}
        />
    );
}

/** Where an element lies on the developed elevation. */
export function boxOf(data: ReturnType<typeof useData>, id: string): Bounds | null {
    const opening = data.openings.get(id);
    if (opening) return [opening.frontage.offset + opening.u, opening.sillLevel, opening.frontage.offset + opening.u + opening.width, opening.headLevel];
    const wall = data.walls.get(id);
    const frontage = wall && data.frontageOf.get(id);
    if (wall && frontage) {
        const x = frontage.offset + (frontage.walls[id] ?? 0);
        return [x, wall.foot, x + wall.length, wall.head];
    }
    const whole = data.project.frontages.find((f) => f.id === id);
    return whole ? [whole.offset, whole.foot, whole.offset + whole.width, whole.head] : null;
}
