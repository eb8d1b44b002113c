import type { CurtainGrid } from '../../api/client';
import { useData } from '../data';
import { boxOnScreen, type Size } from '../drawing/view';
import { useDesk, type View } from '../store';
import { boxes } from '../elevation/PreviewOverlay';
import { pointsOf } from './grids';

type Props = { view: View; size: Size };

const fills: Record<string, string> = { vision: 'var(--glass)', spandrel: 'var(--spandrel)', void: 'var(--sheet)' };

/** Curtain walls as they would be with what is being typed, over those that stand. */
export function TriedOverlay({ view, size }: Props) {
    const data = useData();
    const tried = useDesk((s) => s.tried);
    const inner = useDesk((s) => s.face) === 'inner';
    if (!tried) return null;
    const grids = tried.curtains;
    const floors = tried.bands.filter((b) => b.what !== 'fins');
    const bare = tried.placed.filter((p) => !grids.some((g) => g.element === p.id));
    return (
        <g data-tried={grids.length + bare.length}>
            <path
                d={boxes(data, view, size, inner, bare, false)}
                fill="var(--tide)"
                fillOpacity={0.12}
                stroke="var(--tide)"
                strokeWidth={1.6}
                strokeDasharray="6 4"
            />
            {floors.map((b) => {
                const f = data.frontageOf.get(b.host);
                const from = f ? f.offset + (f.walls[b.host] ?? 0) : 0;
                return f && f.inner === inner
                    ? Array.from({ length: b.boxes.length / 5 }, (_, i) => {
                          const [row, x0, y0, x1, y1] = b.boxes.slice(5 * i, 5 * i + 5) as [number, number, number, number, number];
                          return (
                              <rect
                                  key={`${b.element} ${b.host} ${row}`}
                                  {...boxOnScreen(view, size, from + x0, y0, x1 - x0, y1 - y0)}
                                  fill="var(--tide-wash)"
                                  stroke="var(--tide)"
                                  strokeWidth={1.6}
                              />
                          );
                      })
                    : null;
            })}
            {floors.map((b) => {
                const f = b.screen && data.frontageOf.get(b.host);
                return f && f.inner === inner ? (
                    <path
                        key={`${b.element} ${b.host}`}
                        d={b
                            .screen!.shapes.flatMap((s) => s.rings)
                            .map((ring) => `M${pointsOf(view, size, f.offset + (f.walls[b.host] ?? 0), ring)}z`)
                            .join('')}
                        fill="var(--tide-wash)"
                        fillRule="evenodd"
                        stroke="var(--tide)"
                        strokeWidth={1.6}
                    />
                ) : null;
            })}
            {grids.map((grid) => {
                const frontage = data.frontageOf.get(grid.host);
                if (!frontage || frontage.inner !== inner) return null;
                return (
                    <Tried
                        key={`${grid.element} ${grid.facet}`}
                        grid={grid}
                        from={frontage.offset + (frontage.walls[grid.host] ?? 0)}
                        view={view}
                        size={size}
                    />
                );
            })}
        </g>
    );
}

function Tried({ grid, from, view, size }: Props & { grid: CurtainGrid; from: number }) {
    const points = (ring: number[]) => pointsOf(view, size, from, ring);
    const box = ([x0, y0, x1, y1]: number[]) => boxOnScreen(view, size, from + x0!, y0!, x1! - x0!, y1! - y0!);
    return (
        <>
            <polygon points={points(grid.face)} fill="var(--sheet)" stroke="var(--tide)" strokeWidth={2} />
            {grid.cells.map((c, i) => {
                const fill = fills[grid.infills[c.infill]!.kind] ?? 'var(--wall)';
                return c.ring ? (
                    <polygon key={i} points={points(c.ring)} fill={fill} stroke="var(--tide)" strokeWidth={0.8} />
                ) : (
                    <rect key={i} {...box(c.box)} fill={fill} stroke="var(--tide)" strokeWidth={0.8} />
                );
            })}
        </>
    );
}
