import { Key } from '../../ui/Key';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { api } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { tell } from '../../ui/notices';
import { useData } from '../data';
import { DrawingPane } from '../drawing/DrawingPane';
import { inOrder, paintStrokes, paintTexts, pens, place } from '../drawing/paint';
import { boxOnScreen, type Bounds, type Size } from '../drawing/view';
import { useDesk, type View } from '../store';
import { keepSection, showSection, startSection } from './cutting';
import { NoSlabs } from './NoSlabs';
import { OnSheet } from './OnSheet';

/** The building cut upright, along a kept line or square through an opening; openings that are cut are chosen here too. */
export function SectionPane() {
    const data = useData();
    const asked = useDesk((s) => s.section);
    const chosen = useDesk((s) => s.chosen);
    const room = useDesk((s) => s.sizes.section);
    const { sections, storeys, walls } = data.project;
    const first = sections[0];
    const shown =
        asked && ('line' in asked ? sections.some((s) => s.id === asked.line) : data.openings.has(asked.opening))
            ? asked
            : first
              ? { line: first.id }
              : null;
    // letters of about 9 px where the whole is in view; in a small pane no figures, which could not be read
    const line = shown && 'line' in shown ? sections.find((s) => s.id === shown.line) : undefined;
    const long = line ? Math.hypot(line.toX - line.fromX, line.toY - line.fromY) : 0;
    const letters = useMemo(() => {
        if (room.width < 480) return 0;
        const height = (storeys.at(-1)?.ceiling ?? 3000) - (storeys[0]?.floor ?? 0);
        const xs = walls.flatMap((w) => [w.fromX, w.toX]);
        const width = long || (xs.length === 0 ? 10000 : Math.max(...xs) - Math.min(...xs));
        const k = Math.min((room.height - 100) / (height * 1.1), (room.width - 380) / width);
        return Math.max(60, Math.round(10 / Math.max(k, 0.001) / 30) * 30);
    }, [storeys, walls, long, room]);
    const query = shown && ('line' in shown ? { line: shown.line } : { opening: shown.opening });
    const section = useQuery({
        queryKey: ['project', data.id, 'plan', 'section', query, letters, data.project.number],
        queryFn: () => api.section(data.id, { ...query!, letters }),
        enabled: query !== null,
        placeholderData: (old) => old,
    });
    const drawing = section.data?.drawing;
    const lines = useMemo(() => inOrder(drawing?.shapes ?? []), [drawing]);
    const paint = useCallback(
        (ctx: CanvasRenderingContext2D, view: View, size: Size) => {
            place(ctx, view, size, 0, 0);
            paintStrokes(ctx, lines, pens(), view.k);
            paintTexts(ctx, drawing?.shapes ?? [], view, size);
        },
        [lines, drawing],
    );
    const kept = shown && 'line' in shown ? sections.find((s) => s.id === shown.line) : undefined;
    const through = shown && 'opening' in shown ? data.openings.get(shown.opening) : undefined;
    const candidate = chosen.find((id) => data.openings.has(id));
    const options = [
        ...sections.map((s) => ({ value: s.id, label: `Section ${s.name}` })),
        ...(through ? [{ value: 'opening', label: `Through ${through.mark ?? through.label}` }] : []),
        ...(candidate && candidate !== through?.id
            ? [{ value: 'chosen', label: `Through ${data.openings.get(candidate)!.mark ?? data.openings.get(candidate)!.label}, chosen` }]
            : []),
    ];
    if (!shown)
        return (
            <div className="h-full bg-sheet p-4">
                <p className="mb-2">No section has been cut yet. Cut one along a line in plan, or square through a chosen opening.</p>
                <span className="flex flex-wrap gap-2">
                    {data.mayEdit && walls.length > 0 && (
                        <Button small look="main" onClick={startSection}>
                            Cut along a line <Key of="S" />
                        </Button>
                    )}
                    {candidate && (
                        <Button small onClick={() => showSection({ opening: candidate })}>
                            Through the chosen opening
                        </Button>
                    )}
                </span>
            </div>
        );
    const at = (x: number, y: number) => section.data?.openings.find((o) => x >= o.x0 - 60 && x <= o.x1 + 60 && y >= o.sill && y <= o.head);
    return (
        <div className="relative h-full">
            <DrawingPane
                pane="section"
                label={kept ? `Section ${kept.name}` : 'Section through an opening'}
                busy={section.isPending || section.isPlaceholderData}
                bounds={(drawing?.bounds ?? [0, 0, 12000, 8000]) as Bounds}
                paint={paint}
                overlay={(view, size) =>
                    (section.data?.openings ?? [])
                        .filter((o) => chosen.includes(o.id))
                        .map((o) => (
                            <rect
                                key={o.id}
                                {...boxOnScreen(view, size, o.x0, o.sill, o.x1 - o.x0, o.head - o.sill)}
                                fill="var(--tide)"
                                fillOpacity={0.2}
                                stroke="var(--tide)"
                                strokeWidth={2}
                                data-chosen={o.id}
                            />
                        ))
                }
                onClick={(p) => {
                    const found = at(p.x, p.y);
                    useDesk.getState().choose(found ? [found.id] : [], p.event.shiftKey);
                }}
            />
            <NoSlabs />
            <div className="absolute top-1 left-3 flex flex-wrap items-center gap-2 rounded bg-sheet/85 px-1 text-xs">
                <Choice
                    label="Which section"
                    value={kept ? kept.id : 'opening'}
                    options={options}
                    onChange={(v) =>
                        showSection(v === 'opening' ? { opening: through!.id } : v === 'chosen' ? { opening: candidate! } : { line: v })
                    }
                />
                {data.mayEdit && (
                    <>
                        {through && section.data && (
                            <Button
                                small
                                look="plain"
                                title="As a section with a letter of its own, to be put on sheets"
                                onClick={() => {
                                    const { fromX, fromY, toX, toY } = section.data.line;
                                    void keepSection(data, { x: fromX, y: fromY }, { x: toX, y: toY });
                                }}
                            >
                                Keep
                            </Button>
                        )}
                        {kept && (
                            <>
                                <OnSheet section={kept} />
                                <Button
                                    small
                                    look="plain"
                                    title="See it from the other side"
                                    onClick={() =>
                                        void data.edit('section.keep', {
                                            id: kept.id,
                                            fromX: kept.toX,
                                            fromY: kept.toY,
                                            toX: kept.fromX,
                                            toY: kept.fromY,
                                        })
                                    }
                                >
                                    Other way
                                </Button>
                                <Button
                                    small
                                    look="plain"
                                    onClick={() =>
                                        void data
                                            .edit('section.remove', { id: kept.id })
                                            .then(
                                                (done) => done && tell(`${done.summary}.`, { label: 'Undo', run: () => void data.undo() }),
                                            )
                                    }
                                >
                                    Remove
                                </Button>
                            </>
                        )}
                        <Button small look="plain" onClick={startSection}>
                            Cut another <Key of="S" />
                        </Button>
                    </>
                )}
            </div>
            {section.isError && <p className="absolute bottom-2 left-3 text-xs text-buoy">{section.error.message}</p>}
        </div>
    );
}
