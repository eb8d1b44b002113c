import { useQueries } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import { api, type Schemas } from '../../api/client';
import { useData } from '../data';
import type { Loaded } from './layer';
import { inPlan, LineGrid, setCaughtOn } from './lines';

type Content = { image: HTMLImageElement | null; traced: Schemas['TracedLines'] | null };

async function load(project: string, file: string): Promise<Content> {
    if (file.endsWith('.json')) return { image: null, traced: await api.file(project, file) };
    const image = new Image();
    image.src = `/api/projects/${project}/files/${file}`;
    await image.decode();
    return { image, traced: null };
}

/** The tracings under a storey with what is in them, as they come; those of lines are caught on while they are seen. */
export function useTracings(storey: string, seen: boolean): Loaded[] {
    const data = useData();
    const under = useMemo(
        () => (seen ? data.project.tracings.filter((t) => t.storeys.includes(storey)) : []),
        [data.project.tracings, storey, seen],
    );
    const contents = useQueries({
        queries: under.map((t) => ({ queryKey: ['file', data.id, t.file], queryFn: () => load(data.id, t.file), staleTime: Infinity })),
        combine: (results) => results.map((r) => r.data),
    });
    const ready = contents.map((c) => c !== undefined).join();
    const loaded = useMemo(
        () => under.flatMap((tracing, i) => (contents[i] ? [{ tracing, ...contents[i] }] : [])),
        // the contents of a file never change
        // eslint-disable-next-line react-hooks/exhaustive-deps
        [under, ready],
    );
    useEffect(() => {
        setCaughtOn(
            loaded.flatMap(({ tracing, traced }) =>
                traced ? [new LineGrid(inPlan([...traced.lines, ...traced.curves], tracing), traced.lines.length)] : [],
            ),
        );
        return () => setCaughtOn([]);
    }, [loaded]);
    return loaded;
}
