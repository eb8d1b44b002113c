import { useQueries } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type RackType, type Shape, type Units } from '../api/client';
import { formatLength } from '../measure/format';
import { svgPath } from './drawing/svgPath';
import { RackGrids } from './RackGrids';
import { RackMenu } from './RackMenu';
import { useData } from './data';
import { isOnFloor } from './ghost';
import { takeInHand } from './placing';
import { startOutline } from './plan/outlining';
import { inHandOf, useDesk } from './store';

/** px for a mm: every unit on the rack stands at one scale. */
const SCALE = 54 / 3100;

const stops = (list: HTMLElement | null) => [...(list?.querySelectorAll<HTMLButtonElement>('button:not(:disabled)') ?? [])];

/** The unit types, to scale on one line, that openings are filled from; the bare opening last. */
export function Rack() {
    const data = useData();
    const inHand = useDesk(inHandOf);
    const chosen = useDesk((s) => s.chosen);
    const list = useRef<HTMLDivElement>(null);
    const navigate = useNavigate();
    const chosenType = chosen.length === 1 ? data.openings.get(chosen[0]!)?.type : undefined;
    const shown = data.project.types.find((t) => t.id === (inHand ? inHand.type : chosenType));
    const placed = shown && [...data.openings.values()].filter((o) => o.type === shown.id).length;

    const [sought, setSought] = useState('');
    const { units } = data.project.settings;
    const types = useMemo(() => data.project.types.filter((t) => matches(t, sought, units)), [data.project.types, sought, units]);

    const take = (type: RackType | null) => {
        if (inHand && !inHand.grid && inHand.type === (type?.id ?? null)) return useDesk.getState().leave();
        takeInHand(data, {
            type: type?.id ?? null,
            label: type?.mark ?? 'bare opening',
            width: type?.width ?? 1000,
            height: type?.height ?? 1000,
            sill: type?.sill ?? 900,
        });
        document.querySelector<HTMLElement>('[data-pane=elevation]')?.focus({ preventScroll: true });
    };

    const openBench = (type: RackType) => void navigate(`/projects/${data.id}/bench/${type.id}`);

    const walk = (event: KeyboardEvent) => {
        const items = stops(list.current);
        const at = items.indexOf(document.activeElement as HTMLButtonElement);
        const to = { ArrowRight: at + 1, ArrowLeft: at - 1, Home: 0, End: items.length - 1 }[event.key];
        if (to === undefined) return;
        items[Math.max(0, Math.min(items.length - 1, to))]?.focus();
        event.preventDefault();
        event.stopPropagation();
    };

    // one stop for Tab: what was reached last, or the first
    const stop = (now?: HTMLButtonElement) => {
        const items = stops(list.current);
        const one = now && items.includes(now) ? now : (items.find((item) => item.dataset.stop) ?? items[0]);
        for (const item of items) {
            item.tabIndex = item === one ? 0 : -1;
            if (item === one && now) item.dataset.stop = 'here';
            else if (now) delete item.dataset.stop;
        }
    };
    useEffect(() => stop());

    return (
        <section aria-label="Rack of unit types" className="flex h-[92px] shrink-0 items-stretch border-b border-hairline bg-paper">
            <div
                ref={list}
                onKeyDown={walk}
                onFocus={() => stop(document.activeElement as HTMLButtonElement)}
                className="flex min-w-0 grow"
                role="toolbar"
                aria-label="Unit types"
                data-rack
            >
                <Shelf types={types} onTake={take} onOpen={openBench} />
                {types.length === 0 && (
                    <span className="self-center px-3 text-quiet">
                        No unit is like “{sought}”: try its mark, operation, finish, width or height.
                    </span>
                )}
                <RackGrids />
                {data.mayEdit && <RackMenu />}
                <div className="flex items-end border-l border-hairline px-2 pb-1">
                    <Stand
                        mark="bare"
                        title="Bare opening, no unit"
                        on={inHand !== null && inHand.type === null && !inHand.grid}
                        disabled={!data.mayEdit}
                        width={1000}
                        height={1000}
                        shapes={[]}
                        onClick={() => take(null)}
                    />
                </div>
            </div>
            <div className="flex w-44 shrink-0 flex-col justify-center border-l border-hairline px-3 leading-snug text-quiet">
                {inHand ? (
                    <>
                        <span className="text-ink">
                            <b>{inHand.label}</b> in hand{inHand.screen ? ` for ${inHand.screen.name}` : ''}
                        </span>
                        <span>
                            {data.length(inHand.width)} × {data.length(inHand.height)}
                            {inHand.type && <BenchLink type={inHand.type} />}
                            {inHand.grid && (
                                <Link to={`/projects/${data.id}/grid-bench/${inHand.grid}`} className="ml-1 text-xs text-tide underline">
                                    at the bench
                                </Link>
                            )}
                        </span>
                        <span className="text-xs">
                            {inHand.grid ? (
                                <GridHint grid={inHand.grid} />
                            ) : (
                                <>
                                    Click {inHand.screen ? 'the screen' : 'a wall'} or type figures ·
                                    {isOnFloor(data, inHand) ? ' Alt lifts it off the floor ·' : ''} Esc cancels
                                </>
                            )}
                        </span>
                    </>
                ) : shown ? (
                    <>
                        <span className="text-ink">
                            <b>{shown.mark}</b> {shown.name}
                        </span>
                        <span>
                            {data.length(shown.width)} × {data.length(shown.height)} · {placed} placed
                        </span>
                        <BenchLink type={shown.id} />
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
                        <span className="text-xs">
                            {data.mayEdit
                                ? 'Take a unit, then move over a wall.'
                                : 'You can only view this project: nothing can be placed.'}
                        </span>
                    </>
                )}
            </div>
        </section>
    );
}

/** What a grid type in hand is for. */
function GridHint({ grid }: { grid: string }) {
    const data = useData();
    return (
        <>
            Drag a rectangle on a wall, or{' '}
            <button type="button" className="text-tide underline" onClick={() => startOutline(data, false, grid)}>
                draw a run in plan
            </button>
        </>
    );
}

function BenchLink({ type }: { type: string }) {
    const data = useData();
    return (
        <Link to={`/projects/${data.id}/bench/${type}`} className="ml-1 text-xs text-tide underline">
            at the bench
        </Link>
    );
}

/** Whether every word that is sought is in a type's mark, name, size, operations by any of their names, bars or finishes. */
function matches(type: RackType, sought: string, units: Units): boolean {
    const size = [type.width, type.height].map((mm) => `${Math.round(mm * 10) / 10} ${formatLength(mm, units).replace(/\s/g, '')}`);
    const text = `${type.mark} ${type.name} ${size.join(' ')} ${type.words.join(' ')}`.toLowerCase();
    return sought
        .toLowerCase()
        .replace(/'-/g, "'")
        .split(/\s+/)
        .every((word) => text.includes(word));
}

/** Drawings are asked for so many at a time. */
const CHUNK = 40;

/** The types in a row; only those in view are drawn. */
function Shelf({ types, onTake, onOpen }: { types: RackType[]; onTake: (t: RackType) => void; onOpen: (t: RackType) => void }) {
    const data = useData();
    const inHand = useDesk(inHandOf);
    const scroller = useRef<HTMLDivElement>(null);
    const shelf = useVirtualizer({
        horizontal: true,
        count: types.length,
        getScrollElement: () => scroller.current,
        estimateSize: (i) => Math.max(types[i]!.width * SCALE + 12, 40),
        getItemKey: (i) => types[i]!.id,
        gap: 4,
        overscan: 6,
        initialRect: { width: 900, height: 90 },
    });
    const shown = shelf.getVirtualItems();
    const wanted = [...new Set(shown.map((item) => Math.floor(item.index / CHUNK)))].map((n) => types.slice(n * CHUNK, (n + 1) * CHUNK));
    const drawings = useQueries({
        queries: wanted.map((chunk) => ({
            queryKey: ['rack', data.id, chunk.map((t) => `${t.id} ${t.hash} ${t.width} ${t.height}`).join()],
            queryFn: () =>
                api.typeDrawings(
                    data.id,
                    chunk.map((t) => t.id),
                ),
            staleTime: Infinity,
        })),
        combine: useCallback(
            (results: { data?: Record<string, Shape[]> }[]) => Object.assign({}, ...results.map((r) => r.data)) as Record<string, Shape[]>,
            [],
        ),
    });
    return (
        <div
            ref={scroller}
            tabIndex={-1}
            className="min-w-0 grow overflow-x-auto overflow-y-hidden px-3"
            onWheel={(e) => e.currentTarget.scrollBy({ left: e.deltaY })}
        >
            <div className="relative h-full" style={{ width: shelf.getTotalSize() }}>
                {shown.map((item) => {
                    const t = types[item.index]!;
                    return (
                        <div
                            key={item.key}
                            className="absolute bottom-1 flex justify-center"
                            style={{ left: item.start, width: item.size }}
                        >
                            <Stand
                                mark={t.mark}
                                title={`${t.mark} ${t.name}, ${data.length(t.width)} × ${data.length(t.height)}`}
                                on={inHand?.type === t.id}
                                disabled={!data.mayEdit}
                                width={t.width}
                                height={t.height}
                                shapes={drawings[t.id] ?? outlineOf(t)}
                                onClick={() => onTake(t)}
                                onDoubleClick={() => onOpen(t)}
                            />
                        </div>
                    );
                })}
            </div>
        </div>
    );
}

/** Until its drawing is there. */
const outlineOf = (t: RackType): Shape[] => [{ layer: 'frame', kind: 'area', rings: [[0, 0, t.width, 0, t.width, t.height, 0, t.height]] }];

type StandProps = {
    mark: string;
    title: string;
    on: boolean;
    disabled: boolean;
    width: number;
    height: number;
    shapes: Shape[];
    onClick: () => void;
    onDoubleClick?: () => void;
};

function Stand({ mark, title, on, disabled, width, height, shapes, onClick, onDoubleClick }: StandProps) {
    const w = Math.max(width * SCALE, 8);
    return (
        <button
            type="button"
            title={title}
            aria-label={title}
            aria-pressed={on}
            disabled={disabled}
            tabIndex={-1}
            onClick={onClick}
            onDoubleClick={onDoubleClick}
            className={`group flex shrink-0 flex-col items-center px-1.5 pt-1 ${on ? 'text-tide' : ''}`}
        >
            <svg
                width={w + 2}
                height={height * SCALE + 2}
                viewBox={`-40 ${-height - 40} ${width + 80} ${height + 80}`}
                aria-hidden="true"
                className="overflow-visible"
            >
                {shapes.length === 0 && (
                    <path
                        d={`M0 0V${-height}H${width}V0ZM0 0L${width} ${-height}M0 ${-height}L${width} 0`}
                        fill="none"
                        stroke="currentColor"
                        strokeWidth={0.8}
                        vectorEffect="non-scaling-stroke"
                        strokeDasharray="3 2"
                    />
                )}
                {shapes.map((s, i) => (
                    <path
                        key={i}
                        d={svgPath(s)}
                        vectorEffect="non-scaling-stroke"
                        stroke="currentColor"
                        strokeWidth={s.layer === 'glass' || s.layer === 'operation' ? 0.3 : 0.5}
                        fill={s.layer === 'glass' ? 'var(--glass)' : s.kind === 'area' ? 'var(--frame)' : 'none'}
                    />
                ))}
            </svg>
            <span
                className={`mt-px w-[calc(100%+12px)] border-t text-center text-[11px] leading-tight whitespace-nowrap ${on ? 'border-t-4 border-tide font-semibold' : 'border-quiet group-hover:text-tide'}`}
            >
                {mark}
            </span>
        </button>
    );
}
