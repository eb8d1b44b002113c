import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { api, Problem, type Layout, type Report } from '../../api/client';
import { Button } from '../../ui/Button';
import { Menu } from '../../ui/Menu';
import { useData } from '../data';
import { download, downloadTried } from '../exporting';
import { useDesk } from '../store';
import { CuttingBars, SharesChart } from './CurtainCharts';
import { Given } from './Given';
import { LayoutEditor } from './LayoutEditor';
import { ReportTable } from './ReportTable';

const ready = [
    { id: 'by-type', name: 'Openings' },
    { id: 'each', name: 'Each opening' },
    { id: 'types', name: 'Unit types' },
    { id: 'walls', name: 'Walls' },
    { id: 'runs', name: 'Curtain walls' },
    { id: 'members', name: 'Members' },
    { id: 'infills', name: 'Infills' },
    { id: 'joints', name: 'Joints' },
    { id: 'cutting', name: 'Cutting list' },
    { id: 'shares', name: 'Shares' },
    { id: 'floor-bands', name: 'Floor bands' },
    { id: 'roofs', name: 'Roofs' },
    { id: 'roof-lines', name: 'Roof lines' },
    { id: 'rooflights', name: 'Rooflights' },
    { id: 'battens', name: 'Battens' },
    { id: 'screens', name: 'Screens' },
    { id: 'cut-outs', name: 'Cut-outs' },
    { id: 'fins', name: 'Fins' },
    { id: 'fin-classes', name: 'Fins by length' },
    { id: 'fin-cutting', name: 'Cutting list of fins' },
];

/** Where openings are not what is listed. */
const others = [
    'runs',
    'members',
    'infills',
    'joints',
    'cutting',
    'shares',
    'fins',
    'fin-classes',
    'fin-cutting',
    'floor-bands',
    'battens',
    'screens',
    'cut-outs',
    'roofs',
    'roof-lines',
    'rooflights',
];

/** The field of the draft that is meant: filters without a value are not sent, so those behind them are counted otherwise. */
function wrongOf(draft: Layout | null, field: string): string {
    const sent = /^filters\.(\d+)$/.exec(field);
    if (!sent || !draft) return field;
    const kept = draft.filters.flatMap((f, i) => (f.value.trim() !== '' ? [i] : []));
    return `filters.${kept[Number(sent[1])] ?? sent[1]}`;
}

/** Schedules under the drawing, in layouts of one's own, and the schedule others gave: a row and its place in the model find each other. */
export function Schedules() {
    const data = useData();
    const [which, setWhich] = useState('by-type');
    const [draft, setDraft] = useState<Layout | null>(null);
    const [editing, setEditing] = useState(false);
    const go = (id: string) => {
        setWhich(id);
        setDraft(null);
    };
    const kept = data.project.layouts;
    const shown = which === 'given' || [...ready, ...kept].some((l) => l.id === which) ? which : 'by-type';
    // a filter whose value is not typed yet filters nothing so far
    const whole = useMemo(() => draft && { ...draft, filters: draft.filters.filter((f) => f.value.trim() !== '') }, [draft]);
    const report = useQuery({
        queryKey: ['project', data.id, 'schedule', shown, whole],
        queryFn: () => (whole ? api.tryLayout(data.id, whole) : api.schedule(data.id, shown)),
        enabled: shown !== 'given',
        placeholderData: keepPreviousData,
    });
    // what cannot be done yet leaves the last good table where it is
    const [good, setGood] = useState<{ of: string; report: Report } | null>(null);
    if (report.data && !report.isPlaceholderData && good?.report !== report.data) setGood({ of: shown, report: report.data });
    const table = report.data ?? (good?.of === shown ? good.report : undefined);
    return (
        <section aria-label="Schedules" className="flex h-full flex-col bg-sheet">
            <header className="flex items-center gap-1 border-b border-hairline px-3 py-1.5">
                <nav aria-label="Which schedule" className="flex min-w-0 grow items-center overflow-x-auto">
                    {[
                        ...ready.filter(
                            (l) =>
                                (!l.id.startsWith('fin') || data.project.bands.length > 0) &&
                                (l.id !== 'floor-bands' || data.project.floorBands.length > 0) &&
                                (!l.id.startsWith('roof') || data.project.roofs.length > 0) &&
                                (l.id !== 'battens' || data.project.fields.length > 0) &&
                                ((l.id !== 'screens' && l.id !== 'cut-outs') || data.project.screens.length > 0),
                        ),
                        ...kept,
                        { id: 'given', name: 'Given' },
                    ].map((l) => (
                        <button
                            key={l.id}
                            type="button"
                            aria-pressed={shown === l.id}
                            ref={shown === l.id ? (tab) => tab?.scrollIntoView({ block: 'nearest', inline: 'nearest' }) : undefined}
                            onClick={() => go(l.id)}
                            className={
                                'min-h-6 px-1.5 whitespace-nowrap ' +
                                (shown === l.id ? 'border-b-2 border-tide font-semibold' : 'text-quiet hover:text-tide')
                            }
                        >
                            {l.name}
                            {shown === l.id && draft ? ' *' : ''}
                        </button>
                    ))}
                </nav>
                {shown !== 'given' && (
                    <>
                        <Button small aria-pressed={editing} onClick={() => setEditing(!editing)}>
                            Lay out
                        </Button>
                        {data.mayEdit && !others.includes(shown) && (
                            <Button small onClick={() => useDesk.getState().open('number')}>
                                Mark openings
                            </Button>
                        )}
                        <Menu
                            trigger={<Button small>Download</Button>}
                            items={(
                                [
                                    ['xlsx', 'XLSX workbook'],
                                    ['csv', 'CSV'],
                                    ['pdf', 'PDF, sheets with title block'],
                                ] as const
                            ).map(([format, label]) => ({
                                label,
                                onSelect: () =>
                                    draft ? void downloadTried(data.id, format, draft) : download(data.id, `schedules/${shown}.${format}`),
                            }))}
                        />
                    </>
                )}
                <Button small look="plain" aria-label="Close the schedules" onClick={() => useDesk.setState({ schedules: false })}>
                    Close
                </Button>
            </header>
            {shown === 'given' ? (
                <Given />
            ) : (
                <div className="flex min-h-0 grow">
                    {editing && table && (
                        <LayoutEditor
                            key={shown}
                            report={table}
                            id={shown}
                            draft={draft}
                            onDraft={setDraft}
                            onKept={go}
                            error={report.error?.message ?? null}
                            wrong={
                                report.error instanceof Problem && typeof report.error.details.field === 'string'
                                    ? wrongOf(draft, report.error.details.field)
                                    : null
                            }
                        />
                    )}
                    <div className="flex min-w-0 grow flex-col">
                        {report.isError && !editing && <p className="p-4 text-buoy">{report.error.message}</p>}
                        {!table && !report.isError && <p className="p-4 text-quiet">Taking off…</p>}
                        {table?.layout.source === 'cutting' && <CuttingBars report={table} />}
                        {table?.layout.source === 'runs' && table.layout.merge && <SharesChart report={table} />}
                        {table && (
                            <ReportTable
                                report={table}
                                onSort={(key) => {
                                    const layout = draft ?? table.layout;
                                    const now = layout.sort[0];
                                    setDraft({
                                        ...layout,
                                        sort: [
                                            { key, down: now?.key === key ? !now.down : false },
                                            ...layout.sort.filter((s) => s.key !== key),
                                        ],
                                    });
                                }}
                            />
                        )}
                    </div>
                </div>
            )}
        </section>
    );
}
