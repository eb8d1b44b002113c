import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef } from 'react';
import type { Report } from '../../api/client';
import { formatArea, formatVolume } from '../../measure/format';
import { useData } from '../data';
import { useDesk } from '../store';

type Row = Report['rows'][number];
type Measured = Report['columns'][number]['measured'];

const ROW = 28;
/** Headings and totals stand still over the rows, px. */
const LOW = 29;
/** Headings of more letters than this stand in two lines. */
const LONG = 16;
const TALL = 42;
/** The first column stands still when the rest is scrolled sideways. */
const FIRST = 'sticky left-0 z-[1] bg-inherit';

/** What a schedule says that has no rows yet, by what it lists. */
const EMPTY: Record<string, string> = {
    walls: 'No walls yet: draw an outline in plan.',
    types: 'No unit types yet: make one at the bench.',
    joints: 'No joints: they stand where a grid type has no member between its infills, or glass to glass at a corner.',
    screens: 'None yet: choose a wall and stand a screen before it, then draw cut-outs in it.',
    'cut-outs': 'None yet: choose a wall and stand a screen before it, then draw cut-outs in it.',
    battens: 'No battens yet: choose an opening and fill it with them.',
    'floor-bands': 'No floor bands yet: choose a wall and stand one round its outline.',
    roofs: 'No roofs yet: choose a wall and lay one over its outline.',
    'roof-lines': 'No roofs yet: choose a wall and lay one over its outline.',
    rooflights: 'No rooflights yet: choose a roof and place one in a face of it.',
    fins: 'No fins yet: choose a wall and stand a band of them before it.',
    'fin-cutting': 'No fins yet: choose a wall and stand a band of them before it.',
    ...Object.fromEntries(
        ['runs', 'members', 'infills', 'cutting'].map((of) => [
            of,
            'No curtain walls yet: take a grid type from the rack, or make one at the bench.',
        ]),
    ),
};

/** A schedule's rows: choosing one chooses what it stands for, and what is chosen is lit in it. */
export function ReportTable({ report, onSort }: { report: Report; onSort: (key: string) => void }) {
    const data = useData();
    const chosen = useDesk((s) => s.chosen);
    const scroll = useRef<HTMLDivElement>(null);
    const last = useRef(-1);
    const { rows, columns, totals, layout } = report;
    const HEAD = columns.some((c) => c.heading.length > LONG) ? TALL : LOW;
    const lit = useMemo(() => {
        const set = new Set(chosen);
        return rows.map((r) => r.kind === 'row' && r.elements.some((e) => set.has(e)));
    }, [rows, chosen]);
    const virtual = useVirtualizer({
        count: rows.length,
        getScrollElement: () => scroll.current,
        estimateSize: () => ROW,
        overscan: 12,
        scrollPaddingStart: HEAD,
        scrollPaddingEnd: HEAD,
    });
    const first = lit.indexOf(true);
    useEffect(() => {
        const box = scroll.current;
        if (first < 0 || !box) return;
        const top = HEAD + first * ROW;
        if (top < box.scrollTop + HEAD) box.scrollTop = top - HEAD;
        else if (top + ROW > box.scrollTop + box.clientHeight - HEAD) box.scrollTop = top + ROW + HEAD - box.clientHeight;
    }, [first, HEAD]);
    const show = (measured: Measured, value: string | number | null | undefined): string => {
        if (value === null || value === undefined || value === '') return '–';
        if (typeof value === 'string') return value;
        if (measured === 'length') return data.length(value);
        if (measured === 'area') return value === 0 ? '–' : formatArea(value, data.project.settings.units);
        if (measured === 'volume') return formatVolume(value, data.project.settings.units);
        if (measured === 'weight') return value === 0 ? '–' : `${value.toFixed(1)} kg`;
        if (measured === 'share') return `${(value * 100).toFixed(1)} %`;
        return value === 0 ? '–' : String(value);
    };
    const choose = (at: number, how: { shift: boolean; toggle: boolean }) => {
        const desk = useDesk.getState();
        const row = rows[at]!;
        if (how.shift && last.current >= 0) {
            const [a, b] = [Math.min(at, last.current), Math.max(at, last.current)];
            desk.choose(rows.slice(a, b + 1).flatMap((r) => r.elements));
        } else if (how.toggle) {
            const mine = new Set(row.elements);
            const without = desk.chosen.filter((id) => !mine.has(id));
            desk.choose(without.length < desk.chosen.length ? without : [...desk.chosen, ...row.elements]);
            last.current = at;
        } else {
            desk.choose(row.elements);
            last.current = at;
        }
        desk.show(useDesk.getState().chosen);
    };
    if (rows.length === 0)
        return (
            <p className="p-4 text-quiet">
                {layout.filters.length > 0
                    ? 'No row passes the filters.'
                    : (EMPTY[layout.source] ?? 'No openings yet: they are listed here as they are placed.')}
            </p>
        );
    const alike = layout.merge || layout.source === 'types';
    const named = (row: Row) =>
        alike
            ? `${row.values[0] ?? ''}, ${row.elements.length} placed`
            : row.values
                  .filter((v) => typeof v === 'string' && v !== '')
                  .slice(0, 2)
                  .join(' ');
    const items = virtual.getVirtualItems();
    const above = items[0]?.start ?? 0;
    const below = virtual.getTotalSize() - (items.at(-1)?.end ?? 0);
    const align = (m: Measured) => (m === 'text' ? 'text-left' : 'text-right');
    return (
        <div ref={scroll} className="min-h-0 grow overflow-auto" style={{ scrollPaddingBlock: HEAD }} tabIndex={-1}>
            <table className="w-full border-collapse" aria-rowcount={rows.length}>
                <caption className="sr-only">
                    Choose a row to see it in the drawing and the model; more with Ctrl, up to there with Shift.
                </caption>
                <thead>
                    <tr>
                        {columns.map((c, i) => {
                            const sort = layout.sort[0]?.key === c.key ? layout.sort[0] : null;
                            return (
                                <th
                                    key={i}
                                    scope="col"
                                    aria-sort={sort ? (sort.down ? 'descending' : 'ascending') : 'none'}
                                    style={{ height: HEAD }}
                                    className={`sticky top-0 border-b border-hairline bg-paper text-xs font-normal text-quiet ${i === 0 ? 'left-0 z-20' : 'z-10'} ${c.heading.length > LONG ? 'min-w-28' : 'whitespace-nowrap'} ${align(c.measured)}`}
                                >
                                    <button
                                        type="button"
                                        title="Sort by this"
                                        className="min-h-6 w-full px-3 leading-tight text-[inherit] hover:text-tide"
                                        style={{ textAlign: 'inherit' }}
                                        onClick={() => onSort(c.key)}
                                    >
                                        {c.heading}
                                        {sort ? (sort.down ? ' ↓' : ' ↑') : ''}
                                    </button>
                                </th>
                            );
                        })}
                    </tr>
                </thead>
                <tbody>
                    {above > 0 && (
                        <tr style={{ height: above }}>
                            <td colSpan={columns.length} />
                        </tr>
                    )}
                    {items.map((item) => {
                        const row = rows[item.index]!;
                        if (row.kind === 'group')
                            return (
                                <tr key={item.index} className="h-7 border-b border-hairline/60 bg-paper">
                                    <th
                                        colSpan={columns.length}
                                        scope="colgroup"
                                        className="px-3 text-left text-xs font-semibold whitespace-nowrap"
                                    >
                                        {row.text}
                                    </th>
                                </tr>
                            );
                        const cells = columns.map((c, i) => (
                            <td
                                key={i}
                                className={`px-3 whitespace-nowrap ${align(c.measured)} ${i === 0 ? `font-semibold ${FIRST}` : ''}`}
                            >
                                {i === 0 && row.kind === 'sum' && row.values[0] == null
                                    ? row.text
                                    : row.kind === 'sum' && row.values[i] == null
                                      ? ''
                                      : show(c.measured, row.values[i])}
                            </td>
                        ));
                        if (row.kind === 'sum')
                            return (
                                <tr key={item.index} className="h-7 border-b border-hairline bg-sheet text-quiet">
                                    {cells}
                                </tr>
                            );
                        return (
                            <ChoosableRow
                                key={item.index}
                                label={named(row)}
                                at={item.index}
                                lit={lit[item.index] ?? false}
                                cells={cells}
                                choose={choose}
                            />
                        );
                    })}
                    {below > 0 && (
                        <tr style={{ height: below }}>
                            <td colSpan={columns.length} />
                        </tr>
                    )}
                </tbody>
                {totals && (
                    <tfoot>
                        <tr className="sticky bottom-0 z-10 border-t-2 border-ink/60 bg-sheet">
                            {columns.map((c, i) => (
                                <td
                                    key={i}
                                    className={`border-t-2 border-ink/60 px-3 py-1 font-semibold whitespace-nowrap ${i === 0 ? FIRST : ''} ${align(c.measured)}`}
                                >
                                    {i === 0 && totals[0] == null ? 'Total' : totals[i] == null ? '' : show(c.measured, totals[i])}
                                </td>
                            ))}
                        </tr>
                    </tfoot>
                )}
            </table>
        </div>
    );
}

type RowProps = {
    label: string;
    at: number;
    lit: boolean;
    cells: React.ReactNode;
    choose: (at: number, how: { shift: boolean; toggle: boolean }) => void;
};

function ChoosableRow({ label, at, lit, cells, choose }: RowProps) {
    const how = (e: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => ({ shift: e.shiftKey, toggle: e.ctrlKey || e.metaKey });
    return (
        <tr
            tabIndex={0}
            aria-label={label}
            aria-selected={lit}
            title="See it in the drawing and the model; more with Ctrl, up to there with Shift"
            onClick={(e) => choose(at, how(e))}
            onMouseDown={(e) => e.shiftKey && e.preventDefault()}
            onKeyDown={(e) => {
                if (e.key === 'Enter' || e.key === ' ') {
                    e.preventDefault();
                    choose(at, how(e));
                }
            }}
            className={`h-7 cursor-pointer border-b border-hairline/60 -outline-offset-2 ${lit ? 'bg-tide-wash shadow-[inset_4px_0_0_var(--tide)]' : 'bg-sheet hover:bg-paper'}`}
        >
            {cells}
        </tr>
    );
}
