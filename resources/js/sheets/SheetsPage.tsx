import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api, type Paper, type RackType } from '../api/client';
import { DataProvider, useData } from '../desk/data';
import { Going } from '../desk/Going';
import { download } from '../desk/exporting';
import { followTask } from '../desk/followTask';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Mark } from '../ui/Mark';
import { complain, tell } from '../ui/notices';

const papers: { value: Paper; label: string }[] = [
    { value: 'A4', label: 'A4' },
    { value: 'A3', label: 'A3' },
    { value: 'A2', label: 'A2' },
    { value: 'A1', label: 'A1' },
    { value: 'ANSI-A', label: 'ANSI A' },
    { value: 'ANSI-B', label: 'ANSI B' },
    { value: 'ANSI-C', label: 'ANSI C' },
];

/** The sheets of the unit types: one to look at, one or all of them to take along. */
export function SheetsPage() {
    const { project } = useParams();
    return (
        <DataProvider id={project!} key={project}>
            <Sheets />
        </DataProvider>
    );
}

function Sheets() {
    const data = useData();
    const [search, setSearch] = useSearchParams();
    const [paper, setPaper] = useState<Paper>(data.project.settings.units === 'ft-in' ? 'ANSI-B' : 'A3');
    const [zoom, setZoom] = useState('1');
    const [ticked, setTicked] = useState<string[]>([]);
    const { types } = data.project;
    const shown = types.find((t) => t.id === search.get('type')) ?? types[0];
    const sheet = useQuery({
        queryKey: ['project', data.id, 'sheet', shown?.id, shown?.hash, data.project.number, paper],
        queryFn: () => api.unitSheet(data.id, shown!.id, paper),
        enabled: shown !== undefined,
        placeholderData: keepPreviousData,
    });

    useEffect(() => {
        document.title = `Unit sheets · ${data.project.settings.name} · Isleward`;
    }, [data.project.settings.name]);

    const write = async (format: 'pdf' | 'zip') => {
        const ids = ticked.length > 0 ? ticked : undefined;
        try {
            const task = await followTask(
                data.id,
                `the sheets of ${ids ? ids.length : types.length} unit types`,
                api.makeSheets(data.id, { paper, format, ...(ids ? { ids } : {}) }),
            );
            const link = document.createElement('a');
            link.href = `/api/projects/${data.id}/tasks/${task.id}/file`;
            link.download = task.file!.name;
            link.click();
            tell(`${task.file!.sheets} sheets are in ${task.file!.name}.`);
        } catch (problem) {
            complain(problem);
        }
    };
    const many = ticked.length > 0 ? `The ${ticked.length} ticked` : 'All';

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
                <h1 className="font-semibold">Unit sheets</h1>
                <span className="text-quiet">
                    on <Choice label="Paper" value={paper} options={papers} onChange={(to) => setPaper(to as Paper)} />, shown{' '}
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
                </span>
                <span className="grow" />
                {shown && (
                    <>
                        <span className="text-quiet">This sheet</span>
                        <Button small onClick={() => download(data.id, `sheets/${shown.id}.svg?paper=${paper}`)}>
                            SVG
                        </Button>
                        <Button small onClick={() => download(data.id, `sheets/${shown.id}.pdf?paper=${paper}`)}>
                            PDF
                        </Button>
                        <span className="h-5 border-l border-hairline" />
                        <Button onClick={() => void write('zip')}>{many} as SVG files</Button>
                        <Button look="main" onClick={() => void write('pdf')}>
                            {many} as one PDF
                        </Button>
                    </>
                )}
            </header>
            <main className="flex min-h-0 grow">
                <TypeList
                    types={types}
                    shown={shown?.id}
                    ticked={ticked}
                    onShow={(id) => setSearch({ type: id }, { replace: true })}
                    onTick={setTicked}
                />
                <div
                    className="min-w-0 grow overflow-auto bg-paper p-4"
                    tabIndex={0}
                    aria-label={shown ? `Sheet of ${shown.mark}` : 'Sheet'}
                    data-busy={sheet.isFetching}
                >
                    {!shown && (
                        <p className="p-6 text-quiet">
                            There are no unit types in this project, so there is nothing to draw.{' '}
                            <Link className="text-tide underline" to={`/projects/${data.id}/bench/new`}>
                                Make one at the bench
                            </Link>
                        </p>
                    )}
                    {sheet.isError && (
                        <p role="alert" className="border-l-3 border-buoy bg-buoy-wash px-3 py-2 text-buoy">
                            {sheet.error.message}
                        </p>
                    )}
                    {!sheet.isError && sheet.data?.pages.map((svg, i) => <Page key={i} svg={svg} zoom={Number(zoom)} />)}
                </div>
            </main>
            <Going />
        </div>
    );
}

/** A page as it will be on paper, as wide as there is room. Our server writes it, with all text escaped and no scripts. */
function Page({ svg, zoom }: { svg: string; zoom: number }) {
    const markup = useMemo(() => ({ __html: svg.slice(svg.indexOf('<svg')) }), [svg]);
    return (
        <div
            className="mb-4 border border-hairline bg-white shadow-sm [&>svg]:block [&>svg]:h-auto [&>svg]:w-full"
            data-page
            style={{ width: `${zoom * 100}%` }}
            dangerouslySetInnerHTML={markup}
        />
    );
}

function TypeList({
    types,
    shown,
    ticked,
    onShow,
    onTick,
}: {
    types: RackType[];
    shown: string | undefined;
    ticked: string[];
    onShow: (id: string) => void;
    onTick: (ids: string[]) => void;
}) {
    const list = useRef<HTMLUListElement>(null);
    const walk = (event: KeyboardEvent) => {
        const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
        const next = types[types.findIndex((t) => t.id === shown) + by];
        if (by === 0 || !next) return;
        event.preventDefault();
        onShow(next.id);
        list.current?.querySelector<HTMLElement>(`[data-type="${next.id}"]`)?.focus();
    };
    return (
        <nav aria-label="Unit types" className="flex w-64 shrink-0 flex-col border-r border-hairline bg-sheet">
            <p className="flex justify-between border-b border-hairline px-3 py-1.5 text-xs text-quiet">
                <span>{ticked.length > 0 ? `${ticked.length} of ${types.length} ticked` : `${types.length} unit types`}</span>
                {types.length > 0 && (
                    <button
                        type="button"
                        className="text-tide underline"
                        onClick={() => onTick(ticked.length > 0 ? [] : types.map((t) => t.id))}
                    >
                        {ticked.length > 0 ? 'Tick none' : 'Tick all'}
                    </button>
                )}
            </p>
            <ul ref={list} className="min-h-0 grow overflow-auto py-1" onKeyDown={walk}>
                {types.map((t) => (
                    <li key={t.id} className={`flex items-center gap-2 px-3 ${t.id === shown ? 'bg-tide-wash' : ''}`}>
                        <input
                            type="checkbox"
                            aria-label={`Tick ${t.mark}`}
                            checked={ticked.includes(t.id)}
                            onChange={(e) => onTick(e.target.checked ? [...ticked, t.id] : ticked.filter((id) => id !== t.id))}
                            className="accent-(--tide)"
                        />
                        <button
                            type="button"
                            data-type={t.id}
                            aria-current={t.id === shown}
                            tabIndex={t.id === shown ? 0 : -1}
                            onClick={() => onShow(t.id)}
                            className="flex min-h-7 min-w-0 grow items-baseline gap-2 text-left"
                        >
                            <b className="w-11 shrink-0">{t.mark}</b>
                            <span className="truncate">{t.name}</span>
                        </button>
                    </li>
                ))}
            </ul>
        </nav>
    );
}
