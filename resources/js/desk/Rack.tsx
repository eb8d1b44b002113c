import { useRef, useState, type KeyboardEvent } from 'react';
import type { RackType, Shape } from '../api/client';
import { useData } from './data';
import { takeInHand } from './placing';
import { useDesk } from './store';

/** px for a mm: every unit on the rack stands at one scale. */
const SCALE = 54 / 3100;

/** The unit types, to scale on one line, that openings are filled from; the bare opening last. */
export function Rack() {
    const data = useData();
    const inHand = useDesk((s) => s.inHand);
    const chosen = useDesk((s) => s.chosen);
    const list = useRef<HTMLDivElement>(null);
    const chosenType = chosen.length === 1 ? data.openings.get(chosen[0]!)?.type : undefined;
    const shown = data.project.types.find((t) => t.id === (inHand ? inHand.type : chosenType));
    const placed = shown && [...data.openings.values()].filter((o) => o.type === shown.id).length;

    const [sought, setSought] = useState('');
    const types = data.project.types.filter((t) => matches(t, sought));

    const take = (type: RackType | null) => {
        if (inHand && inHand.type === (type?.id ?? null)) return useDesk.getState().letGo();
        takeInHand(data, { type: type?.id ?? null, label: type?.mark ?? 'bare opening', width: type?.width ?? 1000, height: type?.height ?? 1000, sill: type?.sill ?? 900 });
        document.querySelector<HTMLElement>('[data-pane=elevation]')?.focus({ preventScroll: true });
    };

    const walk = (event: KeyboardEvent) => {
        if (event.key !== 'ArrowRight' && event.key !== 'ArrowLeft') return;
        const items = [...(list.current?.querySelectorAll('button') ?? [])];
        const next = items.indexOf(document.activeElement as HTMLButtonElement) + (event.key === 'ArrowRight' ? 1 : -1);
        items[Math.max(0, Math.min(items.length - 1, next))]?.focus();
        event.preventDefault();
        event.stopPropagation();
    };

    return (
        <section aria-label="Rack of unit types" className="flex h-[92px] shrink-0 items-stretch border-b border-hairline bg-paper">
            <div ref={list} onKeyDown={walk} className="flex min-w-0 grow" role="toolbar" aria-label="Unit types">
                <div className="flex grow items-end gap-1 overflow-x-auto px-3 pb-1" onWheel={(e) => e.currentTarget.scrollBy({ left: e.deltaY })}>
                    {types.map((t) => (
                        <Stand key={t.id} mark={t.mark} title={`${t.mark} ${t.name}, ${data.length(t.width)} × ${data.length(t.height)}`} on={inHand?.type === t.id} disabled={!data.mayEdit} width={t.width} height={t.height} shapes={t.shapes} onClick={() => take(t)} />
                    ))}
                    {types.length === 0 && <span className="self-center text-quiet">No unit is like “{sought}”: try its mark, operation, width or height.</span>}
                </div>
                <div className="flex items-end border-l border-hairline px-2 pb-1">
                    <Stand mark="bare" title="Bare opening, no unit" on={inHand !== null && inHand.type === null} disabled={!data.mayEdit} width={1000} height={1000} shapes={[]} onClick={() => take(null)} />
                </div>
            </div>
            <div className="flex w-44 shrink-0 flex-col justify-center border-l border-hairline px-3 leading-snug text-quiet">
                {inHand ? (
                    <>
                        <span className="text-ink">
                            <b>{inHand.label}</b> in hand
                        </span>
                        <span>
                            {data.length(inHand.width)} × {data.length(inHand.height)}
                        </span>
                        <span className="text-xs">Click a wall or type figures · Esc lets go</span>
                    </>
                ) : shown ? (
                    <>
                        <span className="text-ink">
                            <b>{shown.mark}</b> {shown.name}
                        </span>
                        <span>
                            {data.length(shown.width)} × {data.length(shown.height)} · {placed} placed
                        </span>
                    </>
                ) : (
                    <>
                        <input
                            type="search"
                            aria-label="Find a unit"
                            placeholder="Find: top-hung, 2100…"
                            value={sought}
                            onChange={(e) => setSought(e.target.value)}
                            onKeyDown={(e) => {
                                if (e.key === 'Escape') setSought('');
                                if (e.key === 'Enter' && types[0] && data.mayEdit) take(types[0]);
                            }}
                            className="mb-1 min-h-6 w-full rounded-sm border-b border-hairline bg-sheet px-1.5 text-ink"
                        />
                        <span className="text-xs">{data.mayEdit ? 'Take a unit, then move over a wall.' : 'You are here to look: nothing can be placed.'}</span>
                    </>
                )}
            </div>
        </section>
    );
}

/** Whether every word that is sought is in a type's mark, name, width or height. */
function matches(type: RackType, sought: string): boolean {
    const text = `${type.mark} ${type.name} ${type.width} ${type.height}`.toLowerCase();
    return sought
        .toLowerCase()
        .split(/\s+/)
        .every((word) => text.includes(word));
}

type StandProps = { mark: string; title: string; on: boolean; disabled: boolean; width: number; height: number; shapes: Shape[]; onClick: () => void };

function Stand({ mark, title, on, disabled, width, height, shapes, onClick }: StandProps) {
    const w = Math.max(width * SCALE, 8);
    return (
        <button
            type="button"
            title={title}
            aria-label={title}
            aria-pressed={on}
            disabled={disabled}
            onClick={onClick}
            className={`group flex shrink-0 flex-col items-center px-1.5 pt-1 ${on ? 'text-tide' : ''}`}
        >
            <svg width={w + 2} height={height * SCALE + 2} viewBox={`-40 ${-height - 40} ${width + 80} ${height + 80}`} aria-hidden="true" className="overflow-visible">
                {shapes.length === 0 && <path d={`M0 0V${-height}H${width}V0ZM0 0L${width} ${-height}M0 ${-height}L${width} 0`} fill="none" stroke="currentColor" strokeWidth={0.8} vectorEffect="non-scaling-stroke" strokeDasharray="3 2" />}
                {shapes.map((s, i) => (
                    <path key={i} d={pathOf(s)} vectorEffect="non-scaling-stroke" stroke="currentColor" strokeWidth={s.layer === 'glass' || s.layer === 'operation' ? 0.3 : 0.5} fill={s.layer === 'glass' ? 'var(--glass)' : s.kind === 'area' ? 'var(--frame)' : 'none'} />
                ))}
            </svg>
            <span className={`mt-px w-[calc(100%+12px)] border-t text-center text-[11px] leading-tight whitespace-nowrap ${on ? 'border-t-4 border-tide font-semibold' : 'border-quiet group-hover:text-tide'}`}>{mark}</span>
        </button>
    );
}

function pathOf(shape: Shape): string {
    return shape.rings
        .map((ring) => {
            let d = '';
            for (let i = 0; i < ring.length; i += 2) d += `${i === 0 ? 'M' : 'L'}${ring[i]} ${-ring[i + 1]!}`;
            return shape.kind === 'area' ? `${d}Z` : d;
        })
        .join('');
}
