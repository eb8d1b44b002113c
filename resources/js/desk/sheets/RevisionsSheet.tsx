import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, type FormEvent } from 'react';
import { underOneKey } from '../../api/keys';
import { api, type Difference, type Revision } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { complain, tell } from '../../ui/notices';
import { Heading } from '../card/parts';
import { useData } from '../data';
import { useDesk } from '../store';
import { refetchProject } from '../refetch';

const when = (at: string) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
const order: Difference['what'][] = ['added', 'removed', 'moved', 'changed'];

/** Lettered states of the project: kept, looked at beside today's, gone back to; and the latest changes by person and time. */
export function RevisionsSheet() {
    const data = useData();
    const queries = useQueryClient();
    const [note, setNote] = useState('');
    const [picked, setPicked] = useState<string | null>(null);
    const revisions = useQuery({ queryKey: ['revisions', data.id], queryFn: () => api.revisions(data.id) });
    const changes = useQuery({ queryKey: ['changes', data.id, data.project.number], queryFn: () => api.changes(data.id) });
    const all = revisions.data?.revisions ?? [];
    const latest = all[0];
    const close = () => useDesk.getState().open(null);

    const keep = async (event: FormEvent) => {
        event.preventDefault();
        try {
            const kept = await underOneKey((key) => api.keepRevision(data.id, note, key));
            setNote('');
            tell(`Kept as revision ${kept.letter}.`);
            await queries.invalidateQueries({ queryKey: ['revisions', data.id] });
        } catch (problem) {
            complain(problem);
        }
    };

    return (
        <div data-sheet="revisions">
            <Heading title="Revisions" note="Lettered states of the project, kept for good.">
                <Button small look="plain" onClick={close} title="Esc">
                    Done
                </Button>
            </Heading>
            {data.mayEdit && (
                <form onSubmit={(e) => void keep(e)} className="flex gap-2">
                    <input
                        aria-label="Note for the revision"
                        placeholder="What it is for"
                        value={note}
                        maxLength={300}
                        onChange={(e) => setNote(e.target.value)}
                        className="min-h-7 min-w-0 grow rounded-sm border-b border-hairline bg-paper px-1.5"
                    />
                    <Button small type="submit" look="main" disabled={latest?.number === data.project.number}>
                        {latest?.number === data.project.number ? `This is ${latest.letter}` : 'Keep as it is'}
                    </Button>
                </form>
            )}
            {revisions.isError && <p className="mt-2 text-buoy">{revisions.error.message}</p>}
            {revisions.data && all.length === 0 && (
                <p className="mt-3 text-quiet">
                    There are none yet. Keep one before it goes out, and what has changed since can be seen and taken back.
                </p>
            )}
            <ul className="mt-3">
                {all.map((r) => (
                    <li key={r.letter} className="border-t border-hairline py-1">
                        <button
                            type="button"
                            aria-pressed={picked === r.letter}
                            onClick={() => setPicked(picked === r.letter ? null : r.letter)}
                            className="flex w-full items-baseline gap-2.5 text-left hover:text-tide"
                        >
                            <b className={`w-6 text-base ${picked === r.letter ? 'text-tide' : ''}`}>{r.letter}</b>
                            <span className="grow">
                                {r.note || <i className="text-quiet">no note</i>}
                                <span className="block text-xs text-quiet">
                                    {when(r.at)} · {r.person}
                                </span>
                            </span>
                        </button>
                        {picked === r.letter && (
                            <Differs
                                key={`${r.letter} ${data.project.number}`}
                                revision={r}
                                later={all.filter((o) => o.number > r.number)}
                            />
                        )}
                    </li>
                ))}
            </ul>
            <h3 className="mt-4 mb-1 font-semibold">Latest changes</h3>
            <ol className="text-xs leading-snug">
                {(changes.data?.changes ?? []).slice(0, 40).map((c) => (
                    <li key={c.number} className="border-t border-hairline py-1">
                        {c.summary}
                        <span className="block text-quiet">
                            {c.number} · {c.person} · {when(c.at)}
                        </span>
                    </li>
                ))}
            </ol>
            {changes.data?.changes.length === 0 && <p className="text-xs text-quiet">Nothing has been changed yet.</p>}
        </div>
    );
}

/** What differs between a revision and today: listed, drawn, and taken back in one step. */
function Differs({ revision, later }: { revision: Revision; later: Revision[] }) {
    const data = useData();
    const queries = useQueryClient();
    const [sure, setSure] = useState(false);
    const [beside, setBeside] = useState('today');
    const found = useQuery({
        queryKey: ['difference', data.id, revision.letter, beside, data.project.number],
        queryFn: () => api.difference(data.id, revision.letter, beside === 'today' ? undefined : beside),
    });
    const rows = found.data?.rows;
    useEffect(() => {
        useDesk.setState({ differing: rows ?? [] });
        return () => useDesk.setState({ differing: [] });
    }, [rows]);
    const goBack = async () => {
        try {
            const outcome = await underOneKey((key) => api.restoreRevision(data.id, revision.letter, data.project.number, key));
            tell(`${outcome.summary}. Undo takes it back.`);
            await refetchProject(queries, data.id);
        } catch (problem) {
            complain(problem);
            setSure(false);
        }
    };
    if (found.isError) return <p className="py-1 text-buoy">{found.error.message}</p>;
    if (!rows) return <p className="py-1 text-quiet">Comparing…</p>;
    const choice = later.length > 0 && (
        <p className="py-0.5 text-xs">
            Beside{' '}
            <Choice
                label="Compared with"
                value={beside}
                options={[
                    { value: 'today', label: 'today’s state' },
                    ...later.map((r) => ({ value: r.letter, label: `revision ${r.letter}` })),
                ]}
                onChange={setBeside}
            />
        </p>
    );
    const itsName = beside === 'today' ? 'Today’s state' : `Revision ${beside}`;
    if (rows.length === 0)
        return (
            <>
                {choice}
                <p className="py-1 text-quiet">{itsName} is as it was then.</p>
            </>
        );
    return (
        <div className="py-1.5" data-differs={rows.length}>
            {choice}
            <p className="mb-1 text-xs text-quiet">
                {beside === 'today' ? 'Since then' : `Until revision ${beside}`}{' '}
                {order
                    .map((what) => [what, rows.filter((r) => r.what === what).length] as const)
                    .filter(([, n]) => n > 0)
                    .map(([what, n]) => `${n} ${what}`)
                    .join(', ')}
                . In the drawings: <span className="text-buoy">dashed as it was</span>,{' '}
                <span className="text-tide">{beside === 'today' ? 'full as it is' : `full as in ${beside}`}</span>.
            </p>
            <ul className="max-h-64 overflow-auto leading-snug" tabIndex={0} aria-label={`What differs from revision ${revision.letter}`}>
                {order.flatMap((what) =>
                    rows
                        .filter((r) => r.what === what)
                        .slice(0, 300)
                        .map((r) => (
                            <li key={`${r.kind} ${r.element}`}>
                                <button
                                    type="button"
                                    className="min-h-6 text-left hover:text-tide"
                                    onClick={() => {
                                        if (!data.openings.has(r.element) && !data.walls.has(r.element)) return;
                                        useDesk.getState().choose([r.element]);
                                        useDesk.getState().show([r.element]);
                                    }}
                                >
                                    {r.sentence}
                                </button>
                            </li>
                        )),
                )}
            </ul>
            {data.mayEdit && (
                <p className="mt-1.5 flex items-center gap-2">
                    {sure ? (
                        <>
                            <Button small look="main" onClick={() => void goBack()}>
                                Go back to {revision.letter}, as one step
                            </Button>
                            <Button small onClick={() => setSure(false)}>
                                Cancel
                            </Button>
                        </>
                    ) : (
                        <Button small onClick={() => setSure(true)}>
                            Go back to {revision.letter}…
                        </Button>
                    )}
                </p>
            )}
        </div>
    );
}
