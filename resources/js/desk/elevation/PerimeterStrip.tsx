import { memo, useEffect, useRef } from 'react';
import type { PlacedOpening } from '../../api/client';
import { useData } from '../data';
import { lookAtFace } from '../actions';
import { useDesk } from '../store';
import { bearingOf, whichOf } from '../words';

const none: PlacedOpening[] = [];

const marksOf = (openings: PlacedOpening[]) =>
    openings.map((o) => `M${Math.round(o.u)} 30h${Math.round(o.span)}v40h${-Math.round(o.span)}z`).join('');

/** Where a frontage's openings are along it; drawn again only when they change, not while panning. */
const Marks = memo(function Marks({ openings }: { openings: PlacedOpening[] }) {
    return <path d={marksOf(openings)} fill="var(--quiet)" fillOpacity={0.5} />;
});

/** The outline laid out straight, frontage by frontage: where the elevation is, and the way to anywhere else. */
export function PerimeterStrip() {
    const data = useData();
    const view = useDesk((s) => s.views.elevation);
    const size = useDesk((s) => s.sizes.elevation);
    const chosen = useDesk((s) => s.chosen);
    const face = useDesk((s) => s.face);
    const inside = useDesk((s) => s.inside);
    const frontages = data.project.frontages.filter((f) => f.inner === (face === 'inner'));
    const hasInner = data.project.frontages.some((f) => f.inner);
    const total = Math.max(1, ...frontages.map((f) => f.offset + f.width));
    const strip = useRef<HTMLDivElement>(null);
    const seen =
        view && size.width > 0
            ? { from: Math.max(0, view.x - size.width / 2 / view.k), to: Math.min(total, view.x + size.width / 2 / view.k) }
            : null;
    // where there are more than have room, those that the elevation shows are kept in sight
    const first = seen ? frontages.findIndex((f) => f.offset + f.width > seen.from + 1) : -1;
    useEffect(() => {
        const shown = strip.current?.querySelectorAll<HTMLElement>('[data-within=true]');
        shown?.item(shown.length - 1)?.scrollIntoView({ inline: 'nearest', block: 'nearest' });
        shown?.item(0)?.scrollIntoView({ inline: 'nearest', block: 'nearest' });
    }, [first, face]);
    if (data.project.frontages.length === 0) return null;
    return (
        <nav aria-label="Frontages" className="h-[58px] shrink-0 border-t border-hairline bg-paper relative pt-1 pr-4 pl-[84px]">
            <div className="absolute top-1.5 left-0 flex w-[84px] flex-col gap-1 px-0.5">
                {hasInner && (
                    <Swap
                        left="Outer"
                        right="Inner"
                        on={face === 'inner'}
                        title="The building’s outside, or its inner walls"
                        onSwap={(on) => lookAtFace(on ? 'inner' : 'outer')}
                    />
                )}
                <Swap
                    left={face === 'inner' ? 'Front' : 'Outside'}
                    right={face === 'inner' ? 'Back' : 'Inside'}
                    on={inside}
                    title={face === 'inner' ? 'Inner walls from either side' : 'Seen from outside or from inside'}
                    onSwap={(on) => useDesk.setState({ inside: on })}
                />
            </div>
            <div
                ref={strip}
                onWheel={(e) => strip.current?.scrollBy({ left: e.deltaX + e.deltaY })}
                className={`flex h-full gap-0.5 overflow-x-auto overflow-y-hidden pt-1 [scrollbar-width:none] ${inside ? 'flex-row-reverse' : ''}`}
            >
                {frontages.map((f) => {
                    const within = seen && f.offset < seen.to - 1 && f.offset + f.width > seen.from + 1;
                    const openings = data.elevations.get(f.id)?.openings ?? none;
                    const lit = chosen.length === 0 ? none : openings.filter((o) => chosen.includes(o.id));
                    const narrow = f.width / total < (f.bearings ? 0.12 : 0.055);
                    return (
                        <button
                            key={f.id}
                            type="button"
                            title={[f.name, whichOf(f, data), bearingOf(f), data.length(f.width)].filter(Boolean).join(' · ')}
                            onClick={() => useDesk.getState().show([f.id])}
                            data-within={within ?? false}
                            className="group @container relative h-[46px] min-w-[50px] basis-0 text-left"
                            ref={(el) => {
                                if (el) el.style.flexGrow = String(f.width);
                            }}
                        >
                            {within && <Seen from={(seen.from - f.offset) / f.width} to={(seen.to - f.offset) / f.width} inside={inside} />}
                            <svg
                                className={`block h-[18px] w-full border ${within ? 'border-tide bg-tide-wash' : 'border-quiet/60 bg-sheet'} group-hover:border-tide`}
                                viewBox={`0 0 ${f.width} 100`}
                                transform={inside ? 'scale(-1 1)' : undefined}
                                preserveAspectRatio="none"
                                shapeRendering="crispEdges"
                                aria-hidden="true"
                            >
                                <Marks openings={openings} />
                                {lit.length > 0 && <path d={marksOf(lit)} fill="var(--tide)" />}
                            </svg>
                            <span className="mt-0.5 flex justify-between gap-1 overflow-hidden pr-1.5 text-[11px] leading-tight whitespace-nowrap">
                                <span className="truncate">{f.name} </span>
                                {!narrow && <span className="hidden text-quiet @min-[76px]:inline">{bearingOf(f)}</span>}
                            </span>
                        </button>
                    );
                })}
            </div>
        </nav>
    );
}

/** The part of a frontage the elevation shows: a frame, open where it goes on in the next. */
function Seen({ from, to, inside }: { from: number; to: number; inside: boolean }) {
    const [start, end] = [Math.max(0, from), Math.min(1, to)];
    const [first, last] = inside ? [to <= 1, from >= 0] : [from >= 0, to <= 1];
    return (
        <span
            className={
                'pointer-events-none absolute -top-1 h-[26px] border-y-2 border-tide/80' +
                (first ? ' rounded-l-sm border-l-2' : '') +
                (last ? ' rounded-r-sm border-r-2' : '')
            }
            ref={(el) => {
                if (el) {
                    el.style.left = `${(inside ? 1 - end : start) * 100}%`;
                    el.style.width = `${(end - start) * 100}%`;
                }
            }}
        />
    );
}

/** One or the other of two ways to look. */
function Swap({
    left,
    right,
    on,
    title,
    onSwap,
}: {
    left: string;
    right: string;
    on: boolean;
    title: string;
    onSwap: (on: boolean) => void;
}) {
    const half = (label: string, mine: boolean) => (
        <button
            type="button"
            aria-pressed={mine === on}
            onClick={() => onSwap(mine)}
            className={`min-h-5 grow px-px text-[11px] leading-none tracking-tight ${mine === on ? 'bg-tide-wash font-semibold text-tide' : 'text-quiet hover:text-tide'}`}
        >
            {label}
        </button>
    );
    return (
        <span role="group" aria-label={title} title={title} className="flex overflow-hidden rounded border border-hairline bg-sheet">
            {half(left, false)}
            {half(right, true)}
        </span>
    );
}
