import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { Mark } from '../ui/Mark';
import { OwnMenu } from '../ui/OwnMenu';
import { complain } from '../ui/notices';
import { NewProjectDialog } from './NewProjectDialog';

const roles = { owner: 'yours', editor: 'shared, you may edit', viewer: 'shared, to look at' };

export function ProjectsPage({ user }: { user: Schemas['User'] }) {
    const projects = useQuery({ queryKey: ['projects'], queryFn: api.projects, staleTime: 0 });
    const [starting, setStarting] = useState(false);
    const [removing, setRemoving] = useState<Schemas['ProjectLine'] | null>(null);
    const list = projects.data?.projects ?? [];

    async function remove(project: Schemas['ProjectLine']) {
        try {
            await api.removeProject(project.id);
            setRemoving(null);
            await projects.refetch();
        } catch (error) {
            complain(error);
        }
    }

    return (
        <main className="mx-auto flex h-full max-w-3xl flex-col px-6 py-8">
            <header className="mb-8 flex items-center gap-3">
                <Mark />
                <h1 className="grow text-lg font-semibold">Isleward</h1>
                <span className="text-quiet">{user.name}</span>
                <OwnMenu />
            </header>
            <div className="mb-3 flex items-center">
                <h2 className="grow text-base font-semibold">Projects</h2>
                <Button look="main" onClick={() => setStarting(true)}>
                    Start a project
                </Button>
            </div>
            {projects.isPending && <p className="text-quiet">Fetching your projects…</p>}
            {projects.isError && <p className="text-buoy">{projects.error.message}</p>}
            {projects.isSuccess && list.length === 0 && (
                <p className="rounded-md border border-dashed border-hairline p-6 text-quiet">
                    Nothing here yet. Start a project: a name, its storeys, and the building’s outline.
                </p>
            )}
            <ul className="divide-y divide-hairline rounded-md border border-hairline bg-sheet empty:hidden">
                {list.map((p) => (
                    <li key={p.id} className="flex items-center gap-4 px-4 py-3">
                        <Link to={`/projects/${p.id}`} className="grow font-semibold text-ink hover:text-tide">
                            {p.name}
                        </Link>
                        <span className="text-quiet">
                            {p.storeys} storeys · {p.openings} openings · {roles[p.role]}
                        </span>
                        <time className="w-32 text-right text-quiet" dateTime={p.updatedAt}>
                            {new Date(p.updatedAt).toLocaleString(undefined, {
                                day: 'numeric',
                                month: 'short',
                                hour: '2-digit',
                                minute: '2-digit',
                            })}
                        </time>
                        {p.role === 'owner' && (
                            <Button look="plain" small aria-label={`Remove ${p.name}`} onClick={() => setRemoving(p)}>
                                Remove
                            </Button>
                        )}
                    </li>
                ))}
            </ul>
            <NewProjectDialog open={starting} onClose={() => setStarting(false)} />
            <Dialog
                open={removing !== null}
                onClose={() => setRemoving(null)}
                title={`Remove ${removing?.name ?? ''}?`}
                note={`It goes for good, with its ${removing?.openings ?? 0} openings and all its changes. This cannot be undone.`}
            >
                <div className="flex justify-end gap-2">
                    <Button onClick={() => setRemoving(null)}>Keep it</Button>
                    <Button look="warn" onClick={() => removing && remove(removing)}>
                        Remove for good
                    </Button>
                </div>
            </Dialog>
        </main>
    );
}
