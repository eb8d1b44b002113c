import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { api, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Mark } from '../ui/Mark';
import { OwnMenu } from '../ui/OwnMenu';
import { NewProjectDialog } from './NewProjectDialog';
import { ProjectRow } from './ProjectRow';

type Line = Schemas['ProjectLine'];
type Shelf = 'open' | 'archived' | 'bin';

const shelfOf = (p: Line): Shelf => (p.binned ? 'bin' : p.archived ? 'archived' : 'open');

const orders = {
    latest: { label: 'latest change first', by: (a: Line, b: Line) => b.updatedAt.localeCompare(a.updatedAt) },
    name: { label: 'by name', by: (a: Line, b: Line) => a.name.localeCompare(b.name, undefined, { numeric: true }) },
    size: { label: 'largest first', by: (a: Line, b: Line) => b.openings - a.openings },
} as const;
type Order = keyof typeof orders;

const shelves: { value: Shelf; label: string; empty: string }[] = [
    { value: 'open', label: 'Projects', empty: 'Nothing here yet. Start a project: a name, its storeys, and the building’s outline.' },
    { value: 'archived', label: 'Archived', empty: 'None is archived: what is done can be put aside here.' },
    { value: 'bin', label: 'Bin', empty: 'The bin is empty. What is put here stays for 30 days.' },
];

/** One's projects: to search and sort, with pictures; those put aside, and the bin. */
export function ProjectsPage({ user }: { user: Schemas['User'] }) {
    const projects = useQuery({ queryKey: ['projects'], queryFn: api.projects, staleTime: 0 });
    const [starting, setStarting] = useState(false);
    const [sought, setSought] = useState('');
    const [order, setOrder] = useState<Order>('latest');
    const [shelf, setShelf] = useState<Shelf>('open');
    const all = useMemo(() => projects.data?.projects ?? [], [projects.data]);
    const list = useMemo(() => {
        const words = sought.toLowerCase().split(/\s+/);
        return all.filter((p) => shelfOf(p) === shelf && words.every((w) => p.name.toLowerCase().includes(w))).sort(orders[order].by);
    }, [all, shelf, sought, order]);
    const count = (of: Shelf) => all.filter((p) => shelfOf(p) === of).length;
    const here = shelves.find((s) => s.value === shelf)!;
    return (
        <main className="mx-auto flex h-full max-w-4xl flex-col px-6 py-6">
            <header className="mb-5 flex items-center gap-3">
                <Mark />
                <h1 className="grow text-lg font-semibold">Isleward</h1>
                <span className="text-quiet">{user.name}</span>
                <OwnMenu />
            </header>
            <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
                <div className="flex gap-1" role="group" aria-label="Which projects">
                    {shelves.map((s) => (
                        <Button
                            key={s.value}
                            aria-pressed={shelf === s.value}
                            className={shelf === s.value ? 'border-tide font-semibold text-tide' : ''}
                            onClick={() => setShelf(s.value)}
                        >
                            {s.label} {count(s.value) > 0 && <span className="text-quiet">{count(s.value)}</span>}
                        </Button>
                    ))}
                </div>
                <input
                    type="search"
                    aria-label="Find a project"
                    placeholder="Find a project"
                    value={sought}
                    onChange={(e) => setSought(e.target.value)}
                    className="min-h-8 w-48 min-w-0 grow rounded border border-hairline bg-sheet px-2.5"
                />
                <Choice
                    label="Order of the projects"
                    value={order}
                    options={(Object.keys(orders) as Order[]).map((o) => ({ value: o, label: orders[o].label }))}
                    onChange={setOrder}
                />
                <Button look="main" onClick={() => setStarting(true)}>
                    Start a project
                </Button>
            </div>
            {projects.isPending && <p className="text-quiet">Fetching your projects…</p>}
            {projects.isError && <p className="text-buoy">{projects.error.message}</p>}
            {projects.isSuccess && list.length === 0 && (
                <p className="rounded-md border border-dashed border-hairline p-6 text-quiet">
                    {sought.trim() !== '' && count(shelf) > 0 ? `No project here is called “${sought}”.` : here.empty}
                </p>
            )}
            <ul className="min-h-0 divide-y divide-hairline overflow-auto rounded-md border border-hairline bg-sheet empty:hidden">
                {list.map((p) => (
                    <ProjectRow key={p.id} project={p} onChanged={() => void projects.refetch()} />
                ))}
            </ul>
            <NewProjectDialog open={starting} onClose={() => setStarting(false)} />
        </main>
    );
}
