import type { Storey, Wall } from '../../api/client';
import { useData } from '../data';
import { useClickable } from '../drawing/useClickable';
import { toScreen, type Size } from '../drawing/view';
import { useShowing } from '../showing';
import { band, standing } from '../surface';
import { useDesk, type View } from '../store';

/** Upright setting-out lines where they cross the walls of the storey. */
export function PlanLines({ here, spot }: { here: Wall[]; spot: (wall: Wall, along: number, depth: number) => { x: number; y: number } }) {
    const data = useData();
    const showing = useShowing();
    const chosen = useDesk((s) => s.chosen);
    const clickable = useClickable();
    if (!showing.lines) return null;
    return (
        <>
            {[...data.lines.values()].map((l) => {
                const on = chosen.includes(l.id);
                return here
                    .filter((w) => showing.wall(w.id))
                    .map((w) => {
                        const start = l.frontage.walls[w.id];
                        if (l.u === null || start === undefined || l.u < start || l.u > start + w.length) return null;
                        const out = spot(w, l.u - start, 0);
                        const back = spot(w, l.u - start, w.thickness);
                        const size = Math.max(Math.hypot(back.x - out.x, back.y - out.y), 1);
                        const [ex, ey] = [((back.x - out.x) / size) * 9, ((back.y - out.y) / size) * 9];
                        return (
                            <g
                                key={l.id + w.id}
                                className={clickable}
                                onPointerDown={(e) => e.stopPropagation()}
                                onClick={(e) => useDesk.getState().choose([l.id], e.shiftKey)}
                            >
                                <title>{`Setting-out line ${l.name}`}</title>
                                <path
                                    d={`M${out.x - ex} ${out.y - ey}L${back.x + ex} ${back.y + ey}`}
                                    stroke="transparent"
                                    strokeWidth={9}
                                />
                                <path
                                    d={`M${out.x - ex} ${out.y - ey}L${back.x + ex} ${back.y + ey}`}
                                    stroke="var(--brass)"
                                    strokeWidth={on ? 2.6 : 1.6}
                                />
                            </g>
                        );
                    });
            })}
        </>
    );
}

/** How walls would stand after what is on the sheet. */
export function PreviewWalls({ view, size, storey }: { view: View; size: Size; storey: Storey }) {
    const data = useData();
    const walls = useDesk((s) => s.preview?.walls);
    if (!walls || walls.length === 0) return null;
    const d = walls
        .filter(
            (w) =>
                (data.storeys.get(w.base)?.floor ?? 0) <= storey.floor + 1 && (data.storeys.get(w.top)?.ceiling ?? 0) >= storey.ceiling - 1,
        )
        .map((w) => {
            const wall = standing(w);
            const corners = band(wall, 0, wall.length).map((p) => toScreen(view, size, p.x, p.y));
            return `M${corners.map((p) => `${p.x} ${p.y}`).join('L')}Z`;
        })
        .join('');
    return (
        <path
            data-preview-walls={walls.length}
            d={d}
            fill="var(--tide)"
            fillOpacity={0.2}
            stroke="var(--tide)"
            strokeWidth={1.4}
            strokeDasharray="5 3"
        />
    );
}
