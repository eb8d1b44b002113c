import { useEffect, useState } from 'react';
import { api, type Outcome } from '../../api/client';
import { useData } from '../data';
import { toScreen, type Size } from '../drawing/view';
import { outlineOf, useDesk, type OutlineInHand, type View } from '../store';
import { inPlan, standing, stretch } from '../surface';
import { asSent, degrees, useOutlining } from './outlining';

type Props = { view: View; size: Size };
type Point = { x: number; y: number };

/** A pause after which a run that is being drawn is tried, ms. */
const PAUSE = 90;

/** Where the straight stretch that comes next would end, as it is typed or pointed at; null where none comes. */
async function comingEnd(outline: OutlineInHand, next: Point | null, units: Parameters<typeof api.readLength>[1]): Promise<Point | null> {
    const last = outline.corners.at(-1);
    if (!last || outline.kind !== 'straight') return null;
    if (!outline.typed.length) return next;
    const { mm } = await api.readLength(outline.typed.length, units);
    const angle = outline.typed.angle
        ? (degrees(outline.typed.angle) * Math.PI) / 180
        : next
          ? Math.atan2(next.y - last.y, next.x - last.x)
          : 0;
    return Number.isFinite(angle) ? { x: last.x + mm * Math.cos(angle), y: last.y + mm * Math.sin(angle) } : null;
}

/** The mullions of a run while it is drawn, where they would stand by its grid type. */
export function RunInHand({ view, size }: Props) {
    const data = useData();
    const outline = useDesk(outlineOf);
    const { next, grid, base, top, inner } = useOutlining();
    const [tried, setTried] = useState<Outcome | null>(null);
    const { tryEdit } = data;
    const units = data.project.settings.units;
    const said = JSON.stringify([outline?.corners, outline?.typed, outline?.kind, next && [Math.round(next.x), Math.round(next.y)]]);
    useEffect(() => {
        let gone = false;
        const timer = window.setTimeout(async () => {
            try {
                if (!outline || !grid || base === null || top === null || outline.end) return setTried(null);
                const end = await comingEnd(outline, next, units);
                const made = (corners: typeof outline.corners) =>
                    corners.length < 2
                        ? Promise.resolve(null)
                        : tryEdit('outline.draw', { points: asSent(corners), closed: false, grid, base, top, ...(inner ? { inner } : {}) });
                // where the pointer is no place for another corner, those that stand are shown
                const shown = await (end ? made([...outline.corners, end]).catch(() => made(outline.corners)) : made(outline.corners));
                if (!gone) setTried(shown);
            } catch {
                if (!gone) setTried(null); // why it cannot be is said when it is built
            }
        }, PAUSE);
        return () => {
            gone = true;
            window.clearTimeout(timer);
        };
        // what is said stands for the outline and the pointer
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [said, grid, base, top, inner]);
    if (!tried || !outline) return null;
    const screen = (p: Point) => toScreen(view, size, p.x, p.y);
    let ticks = '';
    let band = '';
    let bays = 0;
    for (const wall of tried.walls) {
        const side = standing(wall);
        const inner = stretch(side, 0, side.length, wall.thickness).map(screen);
        band += inner.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x} ${p.y}`).join('');
        for (const one of tried.curtains.filter((g) => g.element === wall.id)) {
            bays += one.bays.length - 1;
            for (const { at } of one.facet === null ? one.bays : one.bays.slice(0, 1)) {
                const [a, b] = [screen(inPlan(side, one.u + at, -60)), screen(inPlan(side, one.u + at, wall.thickness + 60))];
                ticks += `M${a.x} ${a.y}L${b.x} ${b.y}`;
            }
        }
    }
    const last = outline.corners.at(-1);
    const mark = last && screen(last);
    return (
        <g data-bays={bays} fill="none" pointerEvents="none">
            <path d={band} stroke="var(--tide)" strokeWidth={1} />
            <path d={ticks} stroke="var(--tide)" strokeWidth={2} />
            {mark && bays > 0 && (
                <text x={mark.x + 10} y={mark.y + 18} fontSize={12} fill="var(--tide)">
                    {bays} {bays === 1 ? 'bay' : 'bays'}
                </text>
            )}
        </g>
    );
}
