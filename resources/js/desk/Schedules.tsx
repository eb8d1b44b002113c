import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { api, type Schemas } from '../api/client';
import { formatArea } from '../measure/format';
import { Button } from '../ui/Button';
import { useData } from './data';
import { download } from './exporting';
import { useDesk } from './store';

/** Schedules of openings and walls under the drawing: a row and its place in the model find each other. */
export function Schedules() {
    const [which, setWhich] = useState<'openings' | 'walls'>('openings');
    const data = useData();
    return (
        <section aria-label="Schedules" className="flex h-full flex-col bg-sheet">
            <header className="flex items-center gap-1 border-b border-hairline px-3 py-1.5">
                {(['openings', 'walls'] as const).map((w) => (
                    <button
                        key={w}
                        type="button"
                        aria-pressed={which === w}
                        onClick={() => setWhich(w)}
                        className={`min-h-6 px-2 ${which === w ? 'border-b-2 border-tide font-semibold' : 'text-quiet hover:text-tide'}`}
                    >
                        {w === 'openings' ? 'Openings' : 'Walls'}
                    </button>
                ))}
                <span className="grow pl-3 text-xs text-quiet">
                    Choose a row to see it in the drawing and the model; more with Ctrl, up to there with Shift.
                </span>
                <Button small onClick={() => download(data.id, `${which}.csv`)}>
                    CSV
                </Button>
                <Button small look="plain" aria-label="Close the schedules" onClick={() => useDesk.setState({ schedules: false })}>
                    Close
                </Button>
            </header>
            <div className="grow overflow-auto">{which === 'openings' ? <Openings /> : <Walls />}</div>
        </section>
    );
}

function Openings() {
    const data = useData();
    const last = useRef(-1);
    const chosen = useDesk((s) => s.chosen);
    const schedule = useQuery({ queryKey: ['project', data.id, 'schedule', 'openings'], queryFn: () => api.openingSchedule(data.id) });
    const units = data.project.settings.units;
    if (!schedule.data) return <Waiting error={schedule.error} />;
    const { rows, count, area } = schedule.data;
    if (rows.length === 0) return <p className="p-4 text-quiet">No openings yet: they are listed here as they are placed.</p>;
    const storeys = data.project.storeys;
    const perStorey = storeys.map((s) => rows.reduce((sum, r) => sum + (r.byStorey[s.id] ?? 0), 0));
    return (
        <table className="w-full border-collapse">
            <thead>
                <tr>
                    <Th left>Mark</Th>
                    <Th left>Name</Th>
                    <Th>Width</Th>
                    <Th>Height</Th>
                    <Th>Count</Th>
                    {storeys.map((s) => (
                        <Th key={s.id}>{s.name}</Th>
                    ))}
                    <Th>Each</Th>
                    <Th>Area</Th>
                    <Th>Glass</Th>
                </tr>
            </thead>
            <tbody>
                {rows.map((r) => (
                    <Row
                        key={`${r.type}|${r.width}|${r.height}|${r.openings[0]}`}
                        lit={r.openings.some((o) => chosen.includes(o))}
                        onChoose={(how) => chooseRow(rows, r, how, last)}
                        label={`${r.mark}, ${r.count} placed`}
                    >
                        <Td left bold>
                            {r.mark}
                        </Td>
                        <Td left>{r.name}</Td>
                        <Td>{data.length(r.width)}</Td>
                        <Td>{data.length(r.height)}</Td>
                        <Td bold>{r.count}</Td>
                        {storeys.map((s) => (
                            <Td key={s.id}>{r.byStorey[s.id] ?? '–'}</Td>
                        ))}
                        <Td>{formatArea(r.area, units)}</Td>
                        <Td>{formatArea(r.area * r.count, units)}</Td>
                        <Td>{r.glass > 0 ? formatArea(r.glass * r.count, units) : '–'}</Td>
                    </Row>
                ))}
            </tbody>
            <tfoot>
                <tr className="border-t-2 border-ink/60">
                    <Td left bold>
                        Total
                    </Td>
                    <Td />
                    <Td />
                    <Td />
                    <Td bold>{count}</Td>
                    {perStorey.map((n, i) => (
                        <Td key={storeys[i]!.id}>{n}</Td>
                    ))}
                    <Td />
                    <Td bold>{formatArea(area, units)}</Td>
                    <Td bold>
                        {formatArea(
                            rows.reduce((sum: number, r: Schemas['OpeningRow']) => sum + r.glass * r.count, 0),
                            units,
                        )}
                    </Td>
                </tr>
            </tfoot>
        </table>
    );
}

function Walls() {
    const data = useData();
    const chosen = useDesk((s) => s.chosen);
    const schedule = useQuery({ queryKey: ['project', data.id, 'schedule', 'walls'], queryFn: () => api.wallSchedule(data.id) });
    const units = data.project.settings.units;
    if (!schedule.data) return <Waiting error={schedule.error} />;
    const { rows, totals } = schedule.data;
    if (rows.length === 0) return <p className="p-4 text-quiet">No walls yet: draw an outline in plan.</p>;
    return (
        <table className="w-full border-collapse">
            <thead>
                <tr>
                    <Th left>Wall</Th>
                    <Th left>Outline</Th>
                    <Th>Length</Th>
                    <Th>Height</Th>
                    <Th>Thickness</Th>
                    <Th>Openings</Th>
                    <Th>Gross</Th>
                    <Th>Cut out</Th>
                    <Th>Net</Th>
                </tr>
            </thead>
            <tbody>
                {rows.map((r) => (
                    <Row
                        key={r.wall}
                        lit={chosen.includes(r.wall)}
                        label={r.name}
                        onChoose={(how) => {
                            useDesk.getState().choose([r.wall], how !== 'only');
                            useDesk.getState().show([r.wall]);
                        }}
                    >
                        <Td left bold>
                            {r.name}
                        </Td>
                        <Td left>{r.outline}</Td>
                        <Td>{data.length(r.length)}</Td>
                        <Td>{data.length(r.height)}</Td>
                        <Td>{data.length(r.thickness)}</Td>
                        <Td>{r.openings}</Td>
                        <Td>{formatArea(r.gross, units)}</Td>
                        <Td>{formatArea(r.cutOut, units)}</Td>
                        <Td bold>{formatArea(r.net, units)}</Td>
                    </Row>
                ))}
            </tbody>
            <tfoot>
                <tr className="border-t-2 border-ink/60">
                    <Td left bold>
                        Total
                    </Td>
                    <Td />
                    <Td bold>{data.length(totals.length)}</Td>
                    <Td />
                    <Td />
                    <Td>{totals.count}</Td>
                    <Td>{formatArea(totals.gross, units)}</Td>
                    <Td>{formatArea(totals.openings, units)}</Td>
                    <Td bold>{formatArea(totals.net, units)}</Td>
                </tr>
            </tfoot>
        </table>
    );
}

function Waiting({ error }: { error: Error | null }) {
    return <p className={`p-4 ${error ? 'text-buoy' : 'text-quiet'}`}>{error ? error.message : 'Taking off…'}</p>;
}

const Th = ({ left, children }: { left?: boolean; children: ReactNode }) => (
    <th
        scope="col"
        className={`sticky top-0 border-b border-hairline bg-paper px-3 py-1 text-xs font-normal whitespace-nowrap text-quiet ${left ? 'text-left' : 'text-right'}`}
    >
        {children}
    </th>
);

const Td = ({ left, bold, children }: { left?: boolean; bold?: boolean; children?: ReactNode }) => (
    <td className={`px-3 py-1 whitespace-nowrap ${left ? 'text-left' : 'text-right'} ${bold ? 'font-semibold' : ''}`}>{children}</td>
);

type How = 'only' | 'toggle' | 'upTo';

const howOf = (e: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }): How =>
    e.ctrlKey || e.metaKey ? 'toggle' : e.shiftKey ? 'upTo' : 'only';

/** Chooses what a row stands for: it alone, it too (Ctrl), or all rows up to it (Shift). */
function chooseRow(rows: Schemas['OpeningRow'][], row: Schemas['OpeningRow'], how: How, last: { current: number }): void {
    const desk = useDesk.getState();
    const at = rows.indexOf(row);
    if (how === 'upTo' && last.current >= 0) {
        const [a, b] = [Math.min(at, last.current), Math.max(at, last.current)];
        desk.choose(rows.slice(a, b + 1).flatMap((r) => r.openings));
    } else if (how === 'toggle') {
        const mine = new Set(row.openings);
        const without = desk.chosen.filter((id) => !mine.has(id));
        desk.choose(without.length < desk.chosen.length ? without : [...desk.chosen, ...row.openings]);
        last.current = at;
    } else {
        desk.choose(row.openings);
        last.current = at;
    }
    desk.show(useDesk.getState().chosen);
}

function Row({ lit, label, onChoose, children }: { lit: boolean; label: string; onChoose: (how: How) => void; children: ReactNode }) {
    const row = useRef<HTMLTableRowElement>(null);
    useEffect(() => {
        if (lit) row.current?.scrollIntoView({ block: 'nearest' });
    }, [lit]);
    return (
        <tr
            ref={row}
            tabIndex={0}
            aria-label={label}
            aria-selected={lit}
            onClick={(e) => onChoose(howOf(e))}
            onMouseDown={(e) => e.shiftKey && e.preventDefault()}
            onKeyDown={(e) => {
                if (e.key === 'Enter' || e.key === ' ') {
                    e.preventDefault();
                    onChoose(howOf(e));
                }
            }}
            className={`cursor-pointer border-b border-hairline/60 -outline-offset-2 ${lit ? 'bg-tide-wash shadow-[inset_4px_0_0_var(--tide)]' : 'hover:bg-paper'}`}
        >
            {children}
        </tr>
    );
}
