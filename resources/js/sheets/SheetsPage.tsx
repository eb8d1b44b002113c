import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api, type Paper } from '../api/client';
import { underOneKey } from '../api/keys';
import { DataProvider, Ready, Unfolding, useData } from '../desk/data';
import { Going } from '../desk/Going';
import { download } from '../desk/exporting';
import { followTask } from '../desk/followTask';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { OwnMenu } from '../ui/OwnMenu';
import { Mark } from '../ui/Mark';
import { complain, tell } from '../ui/notices';
import { Page } from './Page';
import { PlanSheet } from './PlanSheet';
import { papers } from './papers';
import { nextNumber } from './putting';

/** Sheets of drawings and of the unit types: one to arrange or look at, one or all of them to download. */
export function SheetsPage() {
    const { project } = useParams();
    return (
        <DataProvider id={project!} key={project}>
            <Ready until={<Unfolding />}>
                <Sheets />
            </Ready>
        </DataProvider>
    );
}

function Sheets() {
    const data = useData();
    const [search, setSearch] = useSearchParams();
    const [paper, setPaper] = useState<Paper>(data.project.settings.units === 'ft-in' ? 'ANSI-B' : 'A3');
    const [zoom, setZoom] = useState('1');
    const [ticked, setTicked] = useState<string[]>([]);
    const types = [...data.project.types, ...data.project.grids];
    const plans = [...data.project.sheets].sort((a, b) => a.number.localeCompare(b.number, undefined, { numeric: true }));
    const asked = search.get('sheet') ?? search.get('type');
    const plan = plans.find((s) => s.id === asked) ?? (asked && types.some((t) => t.id === asked) ? undefined : plans[0]);
    const type = plan ? undefined : (types.find((t) => t.id === asked) ?? types[0]);
    const shown = plan?.id ?? type?.id;
    const unused = useQuery({
        queryKey: ['project', data.id, 'unused-types', data.project.number],
        queryFn: () => api.unusedTypes(data.id),
        placeholderData: (old) => old,
    });
    const idle = new Set(unused.data?.map((t) => t.id));
    // those that fill nothing are left out, unless they are ticked
    const many = ticked.length > 0 ? `The ${ticked.length} ticked` : idle.size > 0 ? 'All in use' : 'All';

    useEffect(() => {
        document.title = `Sheets · ${data.project.settings.name} · Isleward`;
    }, [data.project.settings.name]);

    const write = async (format: 'pdf' | 'zip') => {
        const ids = ticked.length > 0 ? ticked : undefined;
        try {
            const task = await followTask(
                data.id,
                `${ids ? ids.length : plans.length + types.length - idle.size} sheets`,
                underOneKey((key) => api.makeSheets(data.id, { paper, format, key, ...(ids ? { ids } : {}) })),
            );
            const link = document.createElement('a');
            link.href = `/api/projects/${data.id}/tasks/${task.id}/file`;
            link.download = task.file!.name;
            link.click();
            tell(`${task.file!.sheets} pages are in ${task.file!.name}.`);
        } catch (problem) {
            complain(problem);
        }
    };

    const add = async () => {
        const outcome = await data.edit('sheet.keep', { name: 'New sheet', number: nextNumber(plans), paper, items: [] });
        if (outcome?.chosen[0]) setSearch({ sheet: outcome.chosen[0] }, { replace: true });
    };

    const entries = [
        ...plans.map((s) => ({ id: s.id, mark: s.number, name: s.name, group: 'sheets' as const, idle: false })),
        ...data.project.types.map((t) => ({ id: t.id, mark: t.mark, name: t.name, group: 'types' as const, idle: idle.has(t.id) })),
        ...data.project.grids.map((t) => ({ id: t.id, mark: t.mark, name: t.name, group: 'grids' as const, idle: idle.has(t.id) })),
    ];
    return (
        <div className="flex h-full flex-col">
            <header className="flex h-[46px] shrink-0 items-center gap-3 border-b border-hairline bg-sheet px-3">
                <Link
                    to={`/projects/${data.id}`}
                    aria-label="To the desk"
                    className="flex items-center gap-2 font-semibold whitespace-nowrap hover:text-tide"
                >
                    <Mark size={26} /> Desk
                </Link>
                <h1 className="font-semibold">Sheets</h1>
                <span className="text-quiet">
                    shown{' '}
                    <Choice
                        label="Shown"
                        value={zoom}
                        options={[
                            { value: '1', label: 'to fit' },
                            { value: '1.5', label: 'half as large again' },
                            { value: '2.2', label: 'large, to read' },
                        ]}
                        onChange={setZoom}
                    />
                    , types on <Choice label="Paper" value={paper} options={papers} onChange={(to) => setPaper(to as Paper)} />
                </span>
                <span className="grow" />
                {shown && (
                    <>
                        <span className="text-quiet">This sheet</span>
                        <Button
                            small
                            onClick={() => download(data.id, plan ? `sheet-plans/${plan.id}.svg` : `sheets/${shown}.svg?paper=${paper}`)}
                        >
                            SVG
                        </Button>
                        <Button
                            small
                            onClick={() => download(data.id, plan ? `sheet-plans/${plan.id}.pdf` : `sheets/${shown}.pdf?paper=${paper}`)}
                        >
                            PDF
                        </Button>
                        <span className="h-5 border-l border-hairline" />
                        <Button onClick={() => void write('zip')}>{many} as SVG files</Button>
                        <Button look="main" onClick={() => void write('pdf')}>
                            {many} as one PDF
                        </Button>
                    </>
                )}
                <OwnMenu />
            </header>
            <main className="flex min-h-0 grow">
                <SheetList
                    entries={entries}
                    shown={shown}
                    ticked={ticked}
                    onShow={(id) => setSearch(types.some((t) => t.id === id) ? { type: id } : { sheet: id }, { replace: true })}
                    onTick={setTicked}
                    onAdd={data.mayEdit ? () => void add() : null}
                />
                {plan && <PlanSheet key={plan.id} plan={plan} zoom={Number(zoom)} onGone={() => setSearch({}, { replace: true })} />}
                {!plan && <TypeSheet id={type?.id} paper={paper} zoom={Number(zoom)} />}
            </main>
            <Going />
        </div>
    );
}

/** The sheet of a unit type or a grid type, page by page. */
function TypeSheet({ id, paper, zoom }: { id: string | undefined; paper: Paper; zoom: number }) {
    const data = useData();
    const type = [...data.project.types, ...data.project.grids].find((t) => t.id === id);
    const sheet = useQuery({
        queryKey: ['project', data.id, 'sheet', id, type?.hash, data.project.number, paper],
        queryFn: () => api.unitSheet(data.id, id!, paper),
        enabled: id !== undefined,
        placeholderData: (old) => old,
    });
    return (
        <div
            className="min-w-0 grow overflow-auto bg-paper p-4"
            tabIndex={0}
            aria-label={type ? `Sheet of ${type.mark}` : 'Sheet'}
            data-busy={sheet.isFetching}
        >
            {!id && (
                <p className="p-6 text-quiet">
                    There are no sheets and no types in this project, so there is nothing to draw.{' '}
                    <Link className="text-tide underline" to={`/projects/${data.id}/bench/new`}>
                        Make a unit at the bench
                    </Link>
                </p>
            )}
            {sheet.isError && (
                <p role="alert" className="border-l-3 border-buoy bg-buoy-wash px-3 py-2 text-buoy">
                    {sheet.error.message}
                </p>
            )}
            {!sheet.isError && sheet.data?.pages.map((svg, i) => <Page key={i} svg={svg} zoom={zoom} />)}
        </div>
    );
}

type Entry = { id: string; mark: string; name: string; group: 'sheets' | 'types' | 'grids'; idle: boolean };

const groups = { sheets: 'Sheets of drawings', types: 'Unit types', grids: 'Grid types' };
type ListProps = {
    entries: Entry[];
    shown: string | undefined;
    ticked: string[];
    onShow: (id: string) => void;
    onTick: (ids: string[]) => void;
    onAdd: (() => void) | null;
};

function SheetList({ entries, shown, ticked, onShow, onTick, onAdd }: ListProps) {
    const list = useRef<HTMLDivElement>(null);
    useEffect(() => {
        list.current?.querySelector(`[data-type="${shown}"]`)?.scrollIntoView({ block: 'nearest' });
    }, [shown]);
    const walk = (event: KeyboardEvent) => {
        const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
        const next = entries[entries.findIndex((t) => t.id === shown) + by];
        if (by === 0 || !next) return;
        event.preventDefault();
        onShow(next.id);
        list.current?.querySelector<HTMLElement>(`[data-type="${next.id}"]`)?.focus();
    };
    return (
        <nav aria-label="All sheets" className="flex w-64 shrink-0 flex-col border-r border-hairline bg-sheet">
            <p className="flex justify-between border-b border-hairline px-3 py-1.5 text-xs text-quiet">
                <span>{ticked.length > 0 ? `${ticked.length} of ${entries.length} ticked` : `${entries.length} sheets`}</span>
                {entries.length > 0 && (
                    <button
                        type="button"
                        className="text-tide underline"
                        onClick={() => onTick(ticked.length > 0 ? [] : entries.map((t) => t.id))}
                    >
                        {ticked.length > 0 ? 'Tick none' : 'Tick all'}
                    </button>
                )}
            </p>
            <div ref={list} className="min-h-0 grow overflow-auto py-1" onKeyDown={walk}>
                {(['sheets', 'types', 'grids'] as const).map((group) => (
                    <section key={group} aria-label={groups[group]}>
                        <h2 className="flex items-center justify-between px-3 pt-2 pb-1 text-xs text-quiet">
                            {groups[group]}
                            {group === 'sheets' && onAdd && (
                                <Button small onClick={onAdd}>
                                    New sheet
                                </Button>
                            )}
                        </h2>
                        {group === 'sheets' && !entries.some((e) => e.group === 'sheets') && (
                            <p className="px-3 pb-1 text-xs text-quiet">None yet: elevations, plans, sections and schedules go on one.</p>
                        )}
                        <ul>
                            {entries
                                .filter((e) => e.group === group)
                                .map((t) => (
                                    <li key={t.id} className={`flex items-center gap-2 px-3 ${t.id === shown ? 'bg-tide-wash' : ''}`}>
                                        <input
                                            type="checkbox"
                                            aria-label={`Tick ${t.mark}`}
                                            checked={ticked.includes(t.id)}
                                            onChange={(e) =>
                                                onTick(e.target.checked ? [...ticked, t.id] : ticked.filter((id) => id !== t.id))
                                            }
                                            className="accent-(--tide)"
                                        />
                                        <button
                                            type="button"
                                            data-type={t.id}
                                            aria-current={t.id === shown}
                                            tabIndex={t.id === shown ? 0 : -1}
                                            onClick={() => onShow(t.id)}
                                            title={t.idle ? `${t.mark} ${t.name}: not used anywhere yet` : undefined}
                                            className={`flex min-h-7 min-w-0 grow items-center gap-2 text-left ${t.idle ? 'text-quiet' : ''}`}
                                        >
                                            <span className={`w-11 shrink-0 ${t.idle ? '' : 'font-semibold'}`}>{t.mark}</span>
                                            <span className="grow truncate">{t.name}</span>
                                            {t.idle && <span className="shrink-0 text-xs">not used</span>}
                                        </button>
                                    </li>
                                ))}
                        </ul>
                    </section>
                ))}
            </div>
        </nav>
    );
}
