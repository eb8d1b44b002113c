import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Outcome } from '../api/client';
import { DataProvider, Ready, Unfolding, useData } from '../desk/data';
import { BenchHead, CardTabs, UndoRedo } from '../ui/BenchParts';
import { Button } from '../ui/Button';
import { Live } from '../ui/live';
import { Dialog } from '../ui/Dialog';
import { Menu } from '../ui/Menu';
import { complain, tell } from '../ui/notices';
import { CellCard } from './CellCard';
import { dropTry, forget, isUnsaved, keepUnsaved, open, redo, rename, seenOf, undo, useGridBench, type Draft } from './draft';
import { GridDrawing } from './GridDrawing';
import { RulesCard } from './RulesCard';
import { FiguresStrip, TakeOff } from './TakeOff';

const live = { drop: dropTry };

const tabs = [
    ['cell', 'Cell'],
    ['rules', 'Rules'],
    ['parts', 'Take-off'],
] as const;

export function GridBenchPage() {
    const { project, grid } = useParams();
    return (
        <DataProvider id={project!} key={project}>
            <Ready until={<Unfolding />}>
                <Bench key={grid} id={grid!} />
            </Ready>
        </DataProvider>
    );
}

function Bench({ id }: { id: string }) {
    const data = useData();
    const navigate = useNavigate();
    const isNew = id === 'new';
    const stored = data.project.grids.find((g) => g.id === id);
    const draft = useGridBench((b) => b.draft);
    const unsaved = useGridBench(isUnsaved);
    const busy = useGridBench((b) => b.busy);
    const wrong = useGridBench((b) => b.wrong);
    const view = useGridBench(seenOf);
    const cell = useGridBench((b) => b.cell);
    const past = useGridBench((b) => b.past.length);
    const future = useGridBench((b) => b.future.length);
    const [tab, setTab] = useState<'cell' | 'rules' | 'parts'>('rules');
    const [opened, setOpened] = useState(false);
    const [tried, setTried] = useState<Outcome | null>(null);

    useEffect(() => {
        if (opened || (!isNew && !stored)) return;
        setOpened(true);
        const from: Draft | null = stored ? { mark: stored.mark, name: stored.name, rules: stored.rules, corner: stored.corner } : null;
        void open(data.id, id, from, 'curtain wall').then((again) => {
            if (again) tell('What you had not saved is on the bench again; undo takes it back to how it is kept.');
        });
    }, [opened, isNew, stored, data.id, id]);
    useEffect(() => {
        if (opened && draft) keepUnsaved(id);
    }, [draft, opened, id]);
    useEffect(() => {
        if (cell) setTab('cell');
    }, [cell]);
    useEffect(() => {
        document.title = `${draft?.mark || 'New grid type'} at the bench · Isleward`;
    }, [draft?.mark]);

    const values = () => {
        const { draft: now } = useGridBench.getState();
        return { ...(now!.mark === '' ? {} : { mark: now!.mark }), name: now!.name, rules: now!.rules, corner: now!.corner };
    };
    const settled = () => {
        forget(data.id, id);
        useGridBench.setState((b) => ({ kept: JSON.stringify(b.draft) }));
    };
    const add = async () => {
        const outcome = await data.edit('grid.add', values());
        if (!outcome) return;
        settled();
        void navigate(`/projects/${data.id}/grid-bench/${outcome.chosen[0]}`, { replace: isNew });
    };
    const save = async (fit: 'all' | 'fitting') => {
        setTried(null);
        if (await data.edit('grid.change', { id, ...values(), fit })) settled();
    };
    const askToSave = async () => {
        if (!isUnsaved(useGridBench.getState())) return;
        if (isNew) return add();
        try {
            const outcome = await data.tryEdit('grid.change', { id, ...values(), fit: 'fitting' });
            if (outcome.wanted > 0) setTried(outcome);
            else await save('all');
        } catch (problem) {
            complain(problem);
        }
    };
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const control = event.ctrlKey || event.metaKey;
            const key = event.key.toLowerCase();
            if (control && key === 's') {
                event.preventDefault();
                void askToSave();
            }
            if (control && key === 'z' && !(event.target as HTMLElement).closest('input')) {
                event.preventDefault();
                void (event.shiftKey ? redo() : undo());
            }
            if (event.key === 'Escape') useGridBench.setState({ cell: null });
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    });

    if (!isNew && !stored)
        return (
            <p className="p-8">
                This grid type is not in the project any more.{' '}
                <a className="text-tide underline" href={`/projects/${data.id}`}>
                    To the desk
                </a>
            </p>
        );
    if (!draft) return <p className="p-8 text-quiet">{wrong ?? 'Putting the grid on the bench…'}</p>;
    const places = (stored?.runs ?? 0) + (stored?.openings ?? 0);
    const stands =
        [
            stored?.runs ? `${stored.runs} ${stored.runs === 1 ? 'run' : 'runs'}` : '',
            stored?.openings ? `${stored.openings} ${stored.openings === 1 ? 'opening' : 'openings'}` : '',
        ]
            .filter(Boolean)
            .join(', ') || 'no place';
    return (
        <div className="flex h-full flex-col" data-busy={busy}>
            <BenchHead
                title="Grid bench"
                desk={`/projects/${data.id}`}
                mark={draft.mark}
                name={draft.name}
                isNew={isNew}
                stands={`in ${stands}`}
                unsaved={unsaved}
                disabled={!data.mayEdit}
                onRename={rename}
            >
                <span className="whitespace-nowrap text-quiet">Seen from outside</span>
                {!isNew && (
                    <Link
                        to={`/projects/${data.id}/sheets?type=${id}`}
                        title="As it is kept: elevation, details and tables on paper"
                        className="whitespace-nowrap text-tide underline"
                    >
                        Its sheet
                    </Link>
                )}
                {data.mayEdit && (
                    <>
                        <UndoRedo past={past} future={future} onUndo={undo} onRedo={redo} />
                        <Menu
                            trigger={<Button>More</Button>}
                            items={[
                                ...(isNew ? [] : [{ label: 'Make another like this', onSelect: () => void another() }]),
                                { label: 'A new grid type', onSelect: () => void navigate(`/projects/${data.id}/grid-bench/new`) },
                                ...(isNew
                                    ? []
                                    : [
                                          'line' as const,
                                          {
                                              label: `Remove ${draft.mark} from the rack`,
                                              warn: true,
                                              onSelect: () =>
                                                  void data
                                                      .edit('grid.remove', { id })
                                                      .then((done) => done && navigate(`/projects/${data.id}`)),
                                          },
                                      ]),
                            ]}
                        />
                        <Button look="main" disabled={!unsaved} title="Ctrl S" onClick={() => void askToSave()}>
                            {isNew ? 'Add to the rack' : 'Save'} <kbd className="font-sans text-[11px] opacity-80">Ctrl S</kbd>
                        </Button>
                    </>
                )}
            </BenchHead>
            <Live value={live}>
                <main className="flex min-h-0 grow">
                    <div className="min-w-0 grow">
                        <GridDrawing />
                    </div>
                    <aside
                        aria-label="Card of the grid type"
                        className="flex w-[328px] shrink-0 flex-col border-l border-hairline bg-paper"
                    >
                        <CardTabs tabs={tabs} tab={tab} onTab={setTab} />
                        <div className="min-h-0 grow overflow-auto px-4 py-2" tabIndex={-1}>
                            {wrong && (
                                <p role="alert" className="mb-2 border-l-3 border-buoy bg-buoy-wash px-2 py-1 leading-snug text-buoy">
                                    {wrong}
                                </p>
                            )}
                            {tab === 'parts' ? view && <TakeOff /> : tab === 'cell' ? <CellCard /> : <RulesCard />}
                            {view &&
                                [...view.notes, ...view.doubts].map((says) => (
                                    <p key={says} className="mt-2 border-l-3 border-buoy bg-buoy-wash px-2 py-1 leading-snug">
                                        {says}
                                    </p>
                                ))}
                        </div>
                        <FiguresStrip />
                    </aside>
                </main>
            </Live>
            <Dialog
                open={tried !== null}
                onClose={() => setTried(null)}
                title={`Change ${draft.mark}`}
                note={`It stands in ${stands}; all of them follow.`}
            >
                {(tried?.misfits.length ?? 0) > 0 && (
                    <>
                        <p className="mb-2">
                            <b className="text-buoy">{tried!.misfits.length}</b> of {places} would no longer fit and would keep the grid as
                            it was, as a type of their own:
                        </p>
                        <ul className="mb-3 max-h-40 overflow-auto border-l-3 border-buoy bg-buoy-wash px-2.5 py-1.5 leading-snug">
                            {tried!.misfits.map((m) => (
                                <li key={m.element}>
                                    {data.frontageOf.get(m.element)?.name ?? data.openings.get(m.element)?.frontage.name ?? ''}:{' '}
                                    {m.sentence}
                                </li>
                            ))}
                        </ul>
                    </>
                )}
                {tried?.notes.map((n) => (
                    <p key={n} className="mb-2 text-quiet">
                        {n}
                    </p>
                ))}
                <div className="mt-4 flex justify-end gap-2">
                    <Button onClick={() => setTried(null)}>Cancel</Button>
                    <Button look="main" autoFocus onClick={() => void save('fitting')}>
                        Save and change {places - (tried?.misfits.length ?? 0)}{' '}
                        {places - (tried?.misfits.length ?? 0) === 1 ? 'place' : 'places'}
                    </Button>
                </div>
            </Dialog>
        </div>
    );

    async function another() {
        const { draft: now } = useGridBench.getState();
        const outcome = await data.edit('grid.add', { name: now!.name, rules: now!.rules, corner: now!.corner });
        if (outcome) void navigate(`/projects/${data.id}/grid-bench/${outcome.chosen[0]}`);
    }
}
