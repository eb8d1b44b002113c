import { useNavigate } from 'react-router';
import type { RackGrid } from '../api/client';
import { useData } from './data';
import { svgPath } from './drawing/svgPath';
import { takeInHand } from './placing';
import { inHandOf, useDesk } from './store';

/** px: every grid type stands as high as the others. */
const HIGH = 56;

const fills: Record<string, string> = {
    glass: 'var(--glass)',
    spandrel: 'var(--spandrel)',
    infill: 'var(--wall)',
    opening: 'var(--sheet)',
};

/** The grid types on the rack: taken in hand, one is let into a wall by a click or a drag; on plan a run of it is drawn. */
export function RackGrids() {
    const data = useData();
    const inHand = useDesk(inHandOf);
    const navigate = useNavigate();
    if (data.project.grids.length === 0) return null;
    const take = (grid: RackGrid) => {
        if (inHand?.grid === grid.id) return useDesk.getState().leave();
        const width = Math.min(grid.sample?.width ?? 3600, 3600);
        takeInHand(data, { type: null, grid: grid.id, label: grid.mark, width, height: 2600, sill: 0 });
        document.querySelector<HTMLElement>('[data-pane=elevation]')?.focus({ preventScroll: true });
    };
    return (
        <div
            tabIndex={-1}
            className="flex max-w-[34%] shrink-0 items-end gap-2 overflow-x-auto overflow-y-hidden border-l border-hairline px-2 pb-1"
        >
            {data.project.grids.map((g) => {
                const on = inHand?.grid === g.id;
                const places = [
                    g.runs > 0 ? `${g.runs} ${g.runs === 1 ? 'run' : 'runs'}` : '',
                    g.openings > 0 ? `${g.openings} ${g.openings === 1 ? 'opening' : 'openings'}` : '',
                ].filter((s) => s !== '');
                const title = `${g.mark} ${g.name}, curtain wall${places.length > 0 ? `, in ${places.join(' and ')}` : ''}`;
                const [w, h] = [g.sample?.width ?? 3600, g.sample?.height ?? 3600];
                return (
                    <button
                        key={g.id}
                        type="button"
                        title={title}
                        aria-label={title}
                        aria-pressed={on}
                        disabled={!data.mayEdit}
                        onClick={() => take(g)}
                        onDoubleClick={() => void navigate(`/projects/${data.id}/grid-bench/${g.id}`)}
                        className={`group flex shrink-0 flex-col items-center ${on ? 'text-tide' : ''}`}
                    >
                        <svg
                            height={HIGH}
                            width={Math.min(Math.max((w * HIGH) / h, 30), 70)}
                            viewBox={`0 ${-h} ${w} ${h}`}
                            preserveAspectRatio="xMinYMax slice"
                            aria-hidden="true"
                        >
                            {(g.sample?.shapes ?? []).map((s, i) => (
                                <path
                                    key={i}
                                    d={svgPath(s)}
                                    fillRule="evenodd"
                                    vectorEffect="non-scaling-stroke"
                                    stroke="currentColor"
                                    strokeWidth={s.layer === 'member' ? 0.5 : 0.25}
                                    fill={s.kind === 'area' ? (fills[s.layer] ?? 'var(--frame)') : 'none'}
                                />
                            ))}
                        </svg>
                        <span
                            className={
                                'mt-px w-full border-t text-center text-[11px] leading-tight whitespace-nowrap ' +
                                (on ? 'border-t-4 border-tide font-semibold' : 'border-quiet group-hover:text-tide')
                            }
                        >
                            {g.mark}
                        </span>
                    </button>
                );
            })}
        </div>
    );
}
