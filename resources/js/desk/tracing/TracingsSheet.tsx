import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, uploadTracing, type ReadTracing, type Tracing } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { FileButton } from '../../ui/FileButton';
import { complain, tell } from '../../ui/notices';
import { Heading } from '../card/parts';
import { useData } from '../data';
import { MissingFile } from '../MissingFile';
import { startPointing } from '../plan/pointing';
import { Ticks } from '../sheets/parts';
import { useDesk } from '../store';
import { Marks } from './Marks';

/** The drawings of others that lie under a storey's plan: laid down, scaled by two points, put in place, and what their marks offer. */
export function TracingsSheet() {
    const data = useData();
    const active = useDesk((s) => s.storey);
    const storey = data.storeys.get(active ?? '') ?? data.project.storeys[0]!;
    const [busy, setBusy] = useState(false);
    const [files, setFiles] = useState<Record<string, { file: File; read: ReadTracing }>>({});
    const here = data.project.tracings.filter((t) => t.storeys.includes(storey.id));
    const elsewhere = data.project.tracings.filter((t) => !t.storeys.includes(storey.id));

    /** Laid down over the building, so that it is seen; its true size is said next. */
    const placing = (read: ReadTracing) => {
        const xs = data.project.walls.flatMap((w) => [w.fromX, w.toX]);
        const ys = data.project.walls.flatMap((w) => [w.fromY, w.toY]);
        const [x0, x1, y0, y1] =
            xs.length === 0 ? [0, 20000, 0, 14000] : [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
        const scale = Math.max((x1 - x0) / read.width, (y1 - y0) / read.height) * 1.2 || 1;
        return { scale, x: (x0 + x1) / 2 - (read.width * scale) / 2, y: (y0 + y1) / 2 - (read.height * scale) / 2 };
    };
    const lay = async (file: File) => {
        setBusy(true);
        try {
            const read = await uploadTracing(data.id, file);
            const names = new Set(data.project.tracings.map((t) => t.name));
            const plain = file.name.replace(/\.\w+$/, '').slice(0, 70) || 'Drawing';
            const name = names.has(plain) ? Array.from({ length: 99 }, (_, i) => `${plain} ${i + 2}`).find((n) => !names.has(n))! : plain;
            const outcome = await data.edit(
                'tracing.keep',
                { name, storeys: [storey.id], file: read.file, width: read.width, height: read.height, ...placing(read) },
                { quiet: true },
            );
            const id = outcome?.chosen[0];
            if (!id) return;
            setFiles({ ...files, [id]: { file, read } });
            tell(
                [
                    read.kind === 'vector' ? `${read.lines} lines were read; they are caught on.` : 'It was read as a picture.',
                    ...read.notes,
                ].join(' '),
            );
            useDesk.setState((s) => (s.main === 'plan' ? {} : { side: 'plan' as const }));
        } catch (problem) {
            complain(problem);
        } finally {
            setBusy(false);
        }
    };
    const turnTo = async (t: Tracing, page: number) => {
        const known = files[t.id];
        if (!known) return;
        try {
            const read = await uploadTracing(data.id, known.file, page);
            await data.edit('tracing.keep', { id: t.id, file: read.file, width: read.width, height: read.height }, { quiet: true });
            setFiles({ ...files, [t.id]: { file: known.file, read } });
        } catch (problem) {
            complain(problem);
        }
    };
    return (
        <div data-sheet="tracings" onKeyDown={(e) => e.key === 'Escape' && useDesk.getState().open(null)}>
            <Heading title="Tracings" note={`under the plan of ${storey.name}`}>
                <Button small look="plain" onClick={() => useDesk.getState().open(null)} title="Esc">
                    Close
                </Button>
            </Heading>
            {here.length === 0 && (
                <p className="my-2">
                    A plan drawing laid under the model and seen through it: walls are drawn along it, openings set out from its marks.
                </p>
            )}
            {data.mayEdit && (
                <p className="my-2">
                    <FileButton
                        accept=".png,.jpg,.jpeg,.svg,.pdf"
                        look={here.length === 0 ? 'main' : 'outline'}
                        small={here.length > 0}
                        busy={busy}
                        onFile={(f) => void lay(f)}
                    >
                        {here.length === 0 ? 'Lay a drawing under' : 'Lay another under'}
                    </FileButton>
                    {here.length === 0 && <span className="ml-2 text-xs text-quiet">PNG, JPEG, SVG or PDF</span>}
                </p>
            )}
            {here.map((t) => (
                <TracingRow key={t.id} tracing={t} read={files[t.id]?.read} onPage={(page) => void turnTo(t, page)} />
            ))}
            {elsewhere.length > 0 && (
                <div className="mt-3 border-t border-hairline pt-2">
                    <p className="text-xs text-quiet">Under other storeys</p>
                    {elsewhere.map((t) => (
                        <p key={t.id} className="flex min-h-7 items-center gap-2">
                            <span className="grow truncate">{t.name}</span>
                            {data.mayEdit && (
                                <Button
                                    small
                                    onClick={() => void data.edit('tracing.keep', { id: t.id, storeys: [...t.storeys, storey.id] })}
                                >
                                    Carry here
                                </Button>
                            )}
                        </p>
                    ))}
                </div>
            )}
            {here.some((t) => t.file.endsWith('.json')) && <Marks storey={storey} />}
            {here.length > 0 && !here.some((t) => t.file.endsWith('.json')) && data.mayEdit && (
                <p className="mt-3 border-t border-hairline pt-2">
                    <Button small onClick={() => startPointing({ what: 'marks', points: [], over: null })}>
                        Opening from two marks
                    </Button>
                    <span className="mt-1 block text-xs text-quiet">
                        A picture has no lines to catch on, so its marks are picked by eye; openings cannot be held against it.
                    </span>
                </p>
            )}
        </div>
    );
}

function TracingRow({ tracing: t, read, onPage }: { tracing: Tracing; read: ReadTracing | undefined; onPage: (page: number) => void }) {
    const data = useData();
    const [opacity, setOpacity] = useState<number | null>(null);
    const vector = t.file.endsWith('.json');
    const lines = useQuery({
        queryKey: ['file', data.id, t.file, 'count'],
        queryFn: () => api.file(data.id, t.file),
        enabled: vector,
        staleTime: Infinity,
    });
    const picture = useQuery({
        queryKey: ['file', data.id, t.file, 'there'],
        queryFn: () => api.fileIsThere(data.id, t.file),
        enabled: !vector,
    });
    const missing = (lines.error instanceof Problem && lines.error.status === 404) || picture.data === false;
    const keep = (part: Record<string, unknown>) => data.edit('tracing.keep', { id: t.id, ...part });
    const setSeen = () => {
        if (opacity === null || opacity === t.opacity) return setOpacity(null);
        void keep({ opacity }).then(() => setOpacity(null));
    };
    return (
        <section aria-label={`Tracing ${t.name}`} className="mt-2 border-t border-hairline pt-2" data-tracing={t.name}>
            <p className="flex items-baseline gap-2">
                <b className="min-w-0 grow truncate">{t.name}</b>
                <span className="text-xs text-quiet">
                    {vector ? (lines.data ? `${(lines.data.lines.length + lines.data.curves.length) / 4} lines` : 'lines') : 'picture'}
                </span>
            </p>
            {missing && (
                <MissingFile
                    what="The file of this tracing"
                    accept=".png,.jpg,.jpeg,.svg,.pdf"
                    file={t.file}
                    read={(file) => uploadTracing(data.id, file)}
                    replace={({ file, width, height }) => keep({ file, width, height })}
                />
            )}
            {read && read.pages > 1 && (
                <p>
                    page{' '}
                    <Choice
                        label="Page of the PDF"
                        value={String(read.page)}
                        options={Array.from({ length: Math.min(read.pages, 200) }, (_, i) => ({
                            value: String(i + 1),
                            label: String(i + 1),
                        }))}
                        onChange={(p) => onPage(Number(p))}
                    />{' '}
                    of {read.pages}
                </p>
            )}
            <label className="my-1 flex items-center gap-2">
                <span className="text-quiet">Seen</span>
                <input
                    type="range"
                    min={5}
                    max={100}
                    step={5}
                    disabled={!data.mayEdit}
                    aria-label={`How strongly ${t.name} is seen`}
                    value={Math.round((opacity ?? t.opacity) * 100)}
                    onChange={(e) => setOpacity(Number(e.target.value) / 100)}
                    onPointerUp={setSeen}
                    onKeyUp={setSeen}
                    onBlur={setSeen}
                    className="min-w-0 grow accent-(--tide)"
                />
                <span className="w-9 text-right">{Math.round((opacity ?? t.opacity) * 100)} %</span>
            </label>
            {data.mayEdit && (
                <>
                    <p className="flex flex-wrap gap-1.5">
                        <Button
                            small
                            disabled={t.locked}
                            onClick={() => startPointing({ what: 'scale', points: [], over: null, tracing: t.id })}
                        >
                            Scale by two points
                        </Button>
                        <Button
                            small
                            disabled={t.locked}
                            onClick={() => startPointing({ what: 'put', points: [], over: null, tracing: t.id })}
                        >
                            Put in place
                        </Button>
                        <Button
                            small
                            look="plain"
                            onClick={() =>
                                void data
                                    .edit('tracing.remove', { id: t.id })
                                    .then((done) => done && tell(`${done.summary}.`, { label: 'Undo', run: () => void data.undo() }))
                            }
                        >
                            Remove
                        </Button>
                    </p>
                    <label className="mt-1 flex items-center gap-2">
                        <input
                            type="checkbox"
                            className="size-4 accent-(--tide)"
                            checked={t.locked}
                            onChange={(e) => void keep({ locked: e.target.checked })}
                        />{' '}
                        Locked where it lies
                    </label>
                    {data.project.storeys.length > 1 && (
                        <details className="mt-1">
                            <summary className="cursor-pointer text-quiet">
                                Under {t.storeys.length === 1 ? 'this storey' : `${t.storeys.length} storeys`}
                            </summary>
                            <Ticks
                                label="Storeys it lies under"
                                options={data.project.storeys.map((s) => ({ value: s.id, label: s.name }))}
                                chosen={t.storeys}
                                onChange={(storeys) => storeys.length > 0 && void keep({ storeys })}
                            />
                        </details>
                    )}
                </>
            )}
            <p className="mt-1 text-xs text-quiet">
                {data.length(t.width * t.scale)} × {data.length(t.height * t.scale)}
                {t.angle > 0.005 && t.angle < 359.995 ? `, turned ${(t.angle > 180 ? t.angle - 360 : t.angle).toFixed(2)}°` : ''}
            </p>
        </section>
    );
}
