import type { QueryClient } from '@tanstack/react-query';

/** Fetches all of a project again: first which frontages and storeys there are now, so that none is asked for that is gone. */
export async function refetchProject(queries: QueryClient, id: string): Promise<void> {
    await queries.invalidateQueries({ queryKey: ['project', id], exact: true });
    await new Promise((rendered) => window.setTimeout(rendered, 0));
    await queries.invalidateQueries({ queryKey: ['project', id], predicate: (q) => q.queryKey.length > 2 });
}
