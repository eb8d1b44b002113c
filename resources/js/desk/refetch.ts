import type { Query, QueryClient } from '@tanstack/react-query';
import type { Project } from '../api/client';

/** Drawings and models of a frontage or a storey, and what a unit type is, which may be gone after a change. */
const ofOne = ['elevation', 'scene', 'plan', 'type'];

/** Fetches all of a project again: first which frontages and storeys there are now, so that none is asked for that is gone. */
export async function refetchProject(queries: QueryClient, id: string): Promise<void> {
    await queries.invalidateQueries({ queryKey: ['project', id], exact: true });
    const now = queries.getQueryData<Project>(['project', id]);
    const there = new Set([...(now?.frontages ?? []), ...(now?.storeys ?? []), ...(now?.types ?? [])].map((one) => one.id));
    const gone = ({ queryKey: key }: Query) => key.length === 4 && ofOne.includes(key[2] as string) && !there.has(key[3] as string);
    // what is drawn of it may stay on the page until that is drawn anew
    await queries.cancelQueries({ queryKey: ['project', id], predicate: gone });
    await queries.invalidateQueries({ queryKey: ['project', id], predicate: (q) => q.queryKey.length > 2 && !gone(q) });
}
