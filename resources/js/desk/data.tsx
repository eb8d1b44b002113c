import { useQueries, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import {
    api,
    Problem,
    type EditArgs,
    type EditName,
    type Elevation,
    type Finding,
    type Frontage,
    type Outcome,
    type Place,
    type PlacedOpening,
    type Project,
    type SettingOutLine,
    type Storey,
    type Wall,
} from '../api/client';
import { untilAnswered } from '../api/reach';
import { announce } from '../ui/announce';
import { complain } from '../ui/notices';
import { formatLength } from '../measure/format';
import { followTask } from './followTask';
import { useInViewFirst } from './inView';
import { refetchProject } from './refetch';
import { answered, fromBefore, keep, type Kept } from './kept';
import { useDesk } from './store';

export type FoundOpening = PlacedOpening & { frontage: Frontage };
export type FoundLine = SettingOutLine & { frontage: Frontage };
export type FoundFinding = Finding & { frontage: Frontage };

/** From so many openings on, a change to many runs on its own, with its progress shown. */
const LONG = 400;

type DeskData = {
    id: string;
    project: Project;
    elevations: Map<string, Elevation>;
    /** whether the first of them has come, or there is none */
    begun: boolean;
    /** whether all of them have come, so that what is added up is all there is */
    whole: boolean;
    openings: Map<string, FoundOpening>;
    walls: Map<string, Wall>;
    storeys: Map<string, Storey>;
    frontageOf: Map<string, Frontage>;
    lines: Map<string, FoundLine>;
    /** an opening that was there and has gone, not by what was done here, as it was last */
    wasThere: (id: string) => FoundOpening | undefined;
    /** those that nobody has accepted */
    findings: FoundFinding[];
    accepted: FoundFinding[];
    mayEdit: boolean;
    length: (mm: number) => string;
    /**
     * Does one thing; a refusal is said and comes back as null. With quiet, the problem is thrown instead. One that touches many
     * runs on its own.
     */
    edit: <N extends EditName>(
        name: N,
        args: EditArgs<N>,
        options?: {
            quiet?: boolean;
            many?: number;
            place?: Place;
            /** what is chosen then, unless someone has gone on and chosen otherwise meanwhile */
            choose?: (outcome: Outcome) => string[];
        },
    ) => Promise<Outcome | null>;
    tryEdit: <N extends EditName>(name: N, args: EditArgs<N>) => Promise<Outcome>;
    undo: () => Promise<void>;
    redo: () => Promise<void>;
};

const Context = createContext<DeskData | null>(null);

export function useData(): DeskData {
    const data = useContext(Context);
    if (!data) throw new Error('Outside a project.');
    return data;
}

const elevationOf = (project: string, frontage: string) => ({
    queryKey: ['project', project, 'elevation', frontage],
    queryFn: ({ signal }: { signal: AbortSignal }) => api.elevation(project, frontage, signal),
});

/** Whether the project has come. */
export const useReady = () => useContext(Context) !== null;

/** What needs the project, once it has come; until then what stands in its place. */
export function Ready({ children, until = null }: { children: ReactNode; until?: ReactNode }) {
    return useReady() ? children : until;
}

export const Unfolding = () => <p className="p-8 text-quiet">Unfolding the drawing…</p>;

/** A desk does not wait longer than this for its first frontage (ms): then it stands without. */
const PATIENCE = 250;

/**
 * A project as its desk opens, with its first frontage, which is asked for beside it, without knowing yet which that is: so the first
 * thing that is drawn is not an empty desk.
 */
async function opened(queries: QueryClient, id: string): Promise<Project> {
    const first = api.elevation(id, 'first').catch(() => null);
    const project = await api.project(id);
    const which = project.frontages.find((f) => !f.inner);
    if (!which) return project;
    const { queryKey, queryFn } = elevationOf(id, which.id);
    const fetched = queries.prefetchQuery({
        queryKey,
        // another one when the building changed between the two
        queryFn: async ({ signal }) => {
            const found = await first;
            return found?.frontage === which.id ? found : queryFn({ signal });
        },
    });
    await Promise.race([fetched, new Promise((done) => setTimeout(done, PATIENCE))]);
    return project;
}

/** Fetches a project and all its elevations, keeps them fresh after edits, and hands them down to what is `Ready`. */
export function DataProvider({ id, children }: { id: string; children: ReactNode }) {
    const queries = useQueryClient();
    const project = useQuery({
        queryKey: ['project', id],
        queryFn: () => (queries.getQueryData(['project', id]) === undefined ? opened(queries, id) : api.project(id)),
        refetchOnWindowFocus: 'always',
    });
    const frontages = useMemo(() => project.data?.frontages ?? [], [project.data]);
    const fetched = useInViewFirst(frontages, (f) => queries.getQueryData(['project', id, 'elevation', f]) !== undefined);
    const [underWay, setUnderWay] = useState(0);
    const loaded = useQueries({
        queries: frontages.map((f) => ({
            ...elevationOf(id, f.id),
            // what has not come waits while something is done, since it may be gone afterwards
            enabled: fetched(f.id) && (underWay === 0 || queries.getQueryData(['project', id, 'elevation', f.id]) !== undefined),
        })),
        combine: useCallback(
            (results: { data?: Elevation; isError: boolean }[]) => ({
                elevations: results.map((r) => r.data),
                // also when it cannot be drawn
                begun: results.length === 0 || results.some((r) => r.data !== undefined || r.isError),
            }),
            [],
        ),
    });
    const queue = useRef<Promise<unknown>>(Promise.resolve());
    const known = useRef(new Map<string, FoundOpening>());

    const refresh = useCallback(
        async (outcome: Outcome) => {
            const now = queries.getQueryData<Project>(['project', id]);
            const missed = now !== undefined && outcome.number > now.number + 1;
            if (outcome.touched.structure || missed || !now) {
                return refetchProject(queries, id);
            }
            if (outcome.touched.project) {
                await queries.invalidateQueries({ queryKey: ['project', id], exact: true });
                const there = new Set(queries.getQueryData<Project>(['project', id])?.types.map((t) => t.id));
                void queries.invalidateQueries({
                    queryKey: ['project', id, 'type'],
                    predicate: (q) => there.has(q.queryKey[3] as string),
                });
            } else {
                queries.setQueryData<Project>(['project', id], {
                    ...now,
                    number: outcome.number,
                    changes: outcome.changes,
                    undo: outcome.undo,
                    redo: outcome.redo,
                });
            }
            const touched = now.frontages.filter((f) => outcome.touched.walls.some((w) => w in f.walls));
            await Promise.all([
                ...touched.flatMap((f) => [
                    queries.invalidateQueries({ queryKey: ['project', id, 'elevation', f.id] }),
                    queries.invalidateQueries({ queryKey: ['project', id, 'scene', f.id] }),
                ]),
                ...outcome.touched.storeys.map((s) => queries.invalidateQueries({ queryKey: ['project', id, 'plan', s] })),
                queries.invalidateQueries({ queryKey: ['project', id, 'schedule'] }),
            ]);
        },
        [queries, id],
    );

    /** One at a time, in order: each refers to the change before it. */
    const inTurn = useCallback(
        (work: () => Promise<Outcome>, quiet = false): Promise<Outcome | null> => {
            const mine = queue.current.then(async () => {
                setUnderWay((n) => n + 1);
                try {
                    await queries.cancelQueries({
                        queryKey: ['project', id, 'elevation'],
                        predicate: (q) => q.state.data === undefined,
                    });
                    const outcome = await work();
                    await refresh(outcome);
                    announce(`${outcome.summary}.`);
                    return outcome;
                } catch (problem) {
                    if (problem instanceof Problem && problem.status === 409) await refetchProject(queries, id);
                    if (quiet) {
                        if (problem instanceof Error) announce(problem.message);
                        throw problem;
                    }
                    complain(problem);
                    return null;
                } finally {
                    setUnderWay((n) => n - 1);
                }
            });
            queue.current = mine.catch(() => null);
            return mine;
        },
        [queries, id, refresh],
    );

    /** Sends what is kept until there is an answer: done or refused. What was done but whose answer was lost is done once only. */
    const deliver = useCallback(
        async (kept: Kept): Promise<Outcome> => {
            const { name, base, key, many } = kept;
            try {
                if (name === 'undo') return await untilAnswered(() => api.undo(id, key));
                if (name === 'redo') return await untilAnswered(() => api.redo(id, key));
                const args = kept.args as EditArgs;
                if (many < LONG) return await untilAnswered(() => api.edit(id, name, args, base, key));
                const task = await followTask(
                    id,
                    `${many} openings`,
                    untilAnswered(() => api.beginEdit(id, name, args, base, key)),
                );
                return task.outcome!;
            } finally {
                answered(id, key);
            }
        },
        [id],
    );

    useEffect(() => {
        for (const kept of fromBefore(id)) void inTurn(() => deliver(kept));
    }, [id, inTurn, deliver]);

    const value = useMemo<DeskData | null>(() => {
        if (!project.data) return null;
        const data = project.data;
        const base = () => queries.getQueryData<Project>(['project', id])?.number ?? data.number;
        const elevations = new Map<string, Elevation>();
        const openings = new Map<string, FoundOpening>();
        const lines = new Map<string, FoundLine>();
        const findings: FoundFinding[] = [];
        const accepted: FoundFinding[] = [];
        data.frontages.forEach((frontage, i) => {
            const elevation = loaded.elevations[i];
            if (!elevation || elevation.frontage !== frontage.id) return;
            elevations.set(frontage.id, elevation);
            for (const opening of elevation.openings) openings.set(opening.id, { ...opening, frontage });
            for (const line of elevation.lines) lines.set(line.id, { ...line, frontage });
            for (const finding of elevation.findings) (finding.accepted ? accepted : findings).push({ ...finding, frontage });
        });
        // only when every frontage has come is one that is in none of them gone
        const all = elevations.size === data.frontages.length;
        const after = (outcome: Outcome | null) => {
            if (!outcome) return;
            const { chosen, choose } = useDesk.getState();
            const gone = new Set(outcome.removed);
            for (const id of gone) known.current.delete(id);
            if (chosen.some((c) => gone.has(c))) choose(chosen.filter((c) => !gone.has(c)));
        };
        const reverse = async (name: 'undo' | 'redo') => {
            const kept = keep(id, { name, args: {}, base: base(), many: 0, place: null });
            after(await inTurn(() => deliver(kept)));
        };
        return {
            id,
            project: data,
            elevations,
            begun: loaded.begun,
            whole: all,
            openings,
            wasThere: (opening) => (all ? known.current.get(opening) : undefined),
            lines,
            findings,
            accepted,
            walls: new Map(data.walls.map((w) => [w.id, w])),
            storeys: new Map(data.storeys.map((s) => [s.id, s])),
            frontageOf: new Map(data.frontages.flatMap((f) => Object.keys(f.walls).map((w) => [w, f] as const))),
            mayEdit: data.role !== 'viewer',
            length: (mm) => formatLength(mm, data.settings.units),
            edit: async (name, args, options) => {
                const kept = keep(id, { name, args, base: base(), many: options?.many ?? 0, place: options?.place ?? null });
                const before = useDesk.getState().chosen;
                const outcome = await inTurn(() => deliver(kept), options?.quiet);
                const stayed = useDesk.getState().chosen === before;
                after(outcome);
                if (outcome && stayed && options?.choose) useDesk.getState().choose(options.choose(outcome));
                return outcome;
            },
            tryEdit: (name, args) => api.tryEdit(id, name, args, base()),
            undo: () => reverse('undo'),
            redo: () => reverse('redo'),
        };
    }, [project.data, loaded, id, inTurn, deliver, queries]);

    useEffect(() => {
        for (const [id, opening] of value?.openings ?? []) known.current.set(id, opening);
    }, [value]);

    if (project.isError) return <p className="p-8 text-buoy">{project.error.message}</p>;
    return <Context.Provider value={value}>{children}</Context.Provider>;
}
