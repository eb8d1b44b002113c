import { Ready, useData } from '../data';
import { formatLevel } from '../../measure/format';
import { useDesk } from '../store';

/** The storeys as rungs at their true heights beside the elevation. */
export function StoreyLadder() {
    return (
        <nav aria-label="Storeys" className="relative w-[84px] shrink-0 overflow-hidden border-r border-hairline bg-paper" data-ladder>
            <Ready>
                <Rungs />
            </Ready>
        </nav>
    );
}

function Rungs() {
    const data = useData();
    const view = useDesk((s) => s.views.elevation);
    const size = useDesk((s) => s.sizes.elevation);
    const active = useDesk((s) => s.storey);
    const chosen = useDesk((s) => s.chosen);
    const { set, choose } = useDesk.getState();
    const y = (level: number) => (view ? size.height / 2 - (level - view.y) * view.k : 0);
    const units = data.project.settings.units;
    return (
        <>
            {view &&
                data.project.storeys.map((s) => {
                    const top = y(s.ceiling);
                    const bottom = y(s.floor);
                    const height = bottom - top;
                    // only what is in sight, so that no button lies under what is beside the drawing
                    const shownTop = Math.max(0, top);
                    const shown = Math.min(size.height, bottom) - shownTop;
                    const isActive = s.id === active;
                    return (
                        <div key={s.id} hidden={shown <= 0}>
                            <button
                                type="button"
                                onClick={() => {
                                    set({ storey: s.id });
                                    choose([s.id]);
                                }}
                                aria-pressed={isActive}
                                title={`${s.name}: ${data.length(s.height)} floor to floor`}
                                className={`absolute right-0 left-0 flex flex-col justify-center px-2 text-left hover:bg-tide-wash/60 ${chosen.includes(s.id) ? 'bg-tide-wash' : ''}`}
                                ref={(el) => {
                                    if (el) {
                                        el.style.top = `${shownTop}px`;
                                        el.style.height = `${Math.max(shown, 1)}px`;
                                    }
                                }}
                            >
                                {height > 17 && (
                                    <span className={`truncate leading-tight ${isActive ? 'font-semibold text-tide' : ''}`}>{s.name}</span>
                                )}
                                {height > 44 && <span className="text-[11px] leading-tight text-quiet">{data.length(s.height)}</span>}
                            </button>
                            <Rung y={bottom} label={height > 30 ? formatLevel(s.floor, units) : ''} />
                            {isActive && (
                                <span
                                    className="absolute right-0 w-[5px] bg-tide"
                                    ref={(el) => {
                                        if (el) {
                                            el.style.top = `${top}px`;
                                            el.style.height = `${height}px`;
                                        }
                                    }}
                                />
                            )}
                        </div>
                    );
                })}
            {view && (
                <Rung
                    y={y(data.project.storeys.at(-1)?.ceiling ?? 0)}
                    label={formatLevel(data.project.storeys.at(-1)?.ceiling ?? 0, units)}
                />
            )}
        </>
    );
}

function Rung({ y, label }: { y: number; label: string }) {
    return (
        <span
            className="pointer-events-none absolute right-0 left-0 flex items-end justify-end border-b border-ink/70 pr-2 pb-px text-[11px] leading-none text-quiet"
            ref={(el) => {
                if (el) {
                    el.style.top = `${y - 14}px`;
                    el.style.height = '14px';
                    el.style.left = label ? '34px' : '66px';
                }
            }}
        >
            {label}
        </span>
    );
}
