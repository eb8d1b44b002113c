import type { CurtainGrid, Frontage } from '../../api/client';
import { useData } from '../data';
import { boxOnScreen, toScreen, type Size } from '../drawing/view';
import { useShowing } from '../showing';
import { useDesk, type View } from '../store';
import { cellsChosen, gridsOf, lit, pointsOf } from './grids';

type Props = { view: View; size: Size };

/** What is chosen of a curtain wall, and a free member on its way, over the elevation. */
export function CurtainOverlay({ view, size }: Props) {
    const data = useData();
    const showing = useShowing();
    const cells = useDesk((s) => s.cells);
    const pieces = useDesk((s) => s.pieces);
    const named = useDesk((s) => s.named);
    const mode = useDesk((s) => s.mode);
    const seen = (f: Frontage) => showing.frontages.some((one) => one.id === f.id);
    return (
        <g data-curtain>
            {cellsChosen(data, cells).map(({ grid, frontage, cell }) =>
                !seen(frontage) ? null : cell.ring ? (
                    <polygon
                        key={`${grid.element} ${cell.left} ${cell.foot} ${cell.box.join()}`}
                        data-cell={`${cell.left} ${cell.foot}`}
                        points={pointsOf(view, size, frontage.offset, cell.ring)}
                        fill="var(--tide)"
                        fillOpacity={0.22}
                        stroke="var(--tide)"
                        strokeWidth={2}
                    />
                ) : (
                    <rect
                        key={`${grid.element} ${cell.left} ${cell.foot} ${cell.box.join()}`}
                        data-cell={`${cell.left} ${cell.foot}`}
                        {...boxOnScreen(
                            view,
                            size,
                            frontage.offset + cell.box[0]!,
                            cell.box[1]!,
                            cell.box[2]! - cell.box[0]!,
                            cell.box[3]! - cell.box[1]!,
                        )}
                        fill="var(--tide)"
                        fillOpacity={0.22}
                        stroke="var(--tide)"
                        strokeWidth={2}
                    />
                ),
            )}
            {named.flatMap(({ element, part }) =>
                gridsOf(data)
                    .filter(({ frontage }) => seen(frontage))
                    .flatMap(({ grid, frontage }) =>
                        [...grid.corners, ...grid.free]
                            .filter((m) => m.element === element && m.part === part)
                            .map((m, i) => (
                                <polygon
                                    key={`${element} ${part} ${grid.element} ${grid.u} ${i}`}
                                    data-named={part}
                                    points={pointsOf(view, size, frontage.offset, m.ring)}
                                    fill="var(--tide)"
                                    fillOpacity={0.5}
                                    stroke="var(--tide)"
                                    strokeWidth={1.4}
                                />
                            )),
                    ),
            )}
            {pieces.flatMap((piece) =>
                gridsOf(data, piece.element)
                    .filter(({ frontage }) => seen(frontage))
                    .flatMap(({ grid, frontage }, _, all) =>
                        lit(
                            all.map((g) => g.grid),
                            grid,
                            piece,
                        ).map(([x0, y0, x1, y1], i) => (
                            <rect
                                key={`${grid.u} ${piece.axis} ${piece.line} ${piece.from} ${i}`}
                                data-piece={piece.line}
                                {...boxOnScreen(view, size, frontage.offset + x0!, y0!, x1! - x0!, y1! - y0!)}
                                fill="var(--tide)"
                                fillOpacity={0.5}
                                stroke="var(--tide)"
                                strokeWidth={1.4}
                            />
                        )),
                    ),
            )}
            {mode.is === 'spanning' &&
                gridsOf(data, mode.element)
                    .slice(0, 1)
                    .map(({ grid, frontage }) => (
                        <Spanned key="span" view={view} size={size} grid={grid} frontage={frontage} ends={[mode.from, mode.to]} />
                    ))}
        </g>
    );
}

type Spanning = Props & { grid: CurtainGrid; frontage: Frontage; ends: [[number, number] | null, [number, number] | null] };

function Spanned({ view, size, grid, frontage, ends }: Spanning) {
    const place = ([u, v]: [number, number]) =>
        toScreen(view, size, frontage.offset + grid.u + (grid.mirrored ? grid.width - u : u), grid.foot + v * grid.upright);
    const [from, to] = ends.map((e) => (e ? place(e) : null));
    return (
        <>
            {from && to && <path d={`M${from.x} ${from.y}L${to.x} ${to.y}`} stroke="var(--buoy)" strokeWidth={3} />}
            {[from, to].map(
                (p, i) => p && <circle key={i} cx={p.x} cy={p.y} r={4} fill="var(--sheet)" stroke="var(--buoy)" strokeWidth={2} />,
            )}
        </>
    );
}
