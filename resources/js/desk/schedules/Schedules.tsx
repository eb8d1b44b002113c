import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Layout } from '../../api/client';
import { Button } from '../../ui/Button';
import { Menu } from '../../ui/Menu';
import { useData } from '../data';
import { download, downloadTried } from '../exporting';
import { useDesk } from '../store';
import { Given } from './Given';
import { LayoutEditor } from './LayoutEditor';
import { ReportTable } from './ReportTable';

const ready = [
    { id: 'by-type', name: 'Openings by type' },
    { id: 'each', name: 'Each opening' },
    { id: 'types', name: 'Unit types' },
    { id: 'walls', name: 'Walls' },
];

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
    const report = useQuery({
        queryKey: ['project', data.id, 'schedule', shown, draft],
        queryFn: () => (draft ? api.tryLayout(data.id, draft) : api.schedule(data.id, shown)),
        enabled: shown !== 'given',
        placeholderData: keepPreviousData,
    });
    return (
        <section aria-label="Schedules" className="flex h-full flex-col bg-sheet">
            <header className="flex items-center gap-1 border-b border-hairline px-3 py-1.5">
                <nav aria-label="Which schedule" className="flex min-w-0 grow items-center overflow-x-auto">
                    {[...ready, ...kept, { id: 'given', name: 'Given' }].map((l) => (
                        <button
                            key={l.id}
                            type="button"
                            aria-pressed={shown === l.id}
                            onClick={() => go(l.id)}
                            className={`min-h-6 px-2 whitespace-nowrap ${shown === l.id ? 'border-b-2 border-tide font-semibold' : 'text-quiet hover:text-tide'}`}
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
                        {data.mayEdit && (
                            <Button small onClick={() => useDesk.getState().open('number')}>
                                Mark openings
                            </Button>
                        )}
                        <Menu
                            trigger={<Button small>Take along</Button>}
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
                    {editing && report.data && (
                        <LayoutEditor
                            key={shown}
                            report={report.data}
                            id={shown}
                            draft={draft}
                            onDraft={setDraft}
                            onKept={go}
                            error={report.error?.message ?? null}
                        />
                    )}
                    <div className="flex min-w-0 grow flex-col">
                        {report.isError && !editing && <p className="p-4 text-buoy">{report.error.message}</p>}
                        {!report.data && !report.isError && <p className="p-4 text-quiet">Taking off…</p>}
                        {report.data && (
                            <ReportTable
                                report={report.data}
                                onSort={(key) => {
                                    const layout = draft ?? report.data.layout;
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
