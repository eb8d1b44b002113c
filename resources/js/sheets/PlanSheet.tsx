import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type SheetPlan, type WantedItem } from '../api/client';
import { useData } from '../desk/data';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Menu } from '../ui/Menu';
import { complain, tell } from '../ui/notices';
import { Blocks } from './Blocks';
import { Page } from './Page';
import { papers, scales } from './papers';
import { drawn as drawnWith, putOn } from './putting';

/** A sheet of drawings: they are put on it, dragged, scaled and taken off; what overlaps or runs over the border is said. */
export function PlanSheet({ plan, zoom, onGone }: { plan: SheetPlan; zoom: number; onGone: () => void }) {
    const data = useData();
    const [chosen, setChosen] = useState<number | null>(null);
    const [drag, setDrag] = useState<{ index: number; dx: number; dy: number } | null>(null);
    const { name, number, paper, items } = plan;
    const drawn = useQuery({
        queryKey: ['project', data.id, 'sheet', plan.id, { name, number, paper, items }, data.project.number],
        queryFn: () => api.drawSheet(data.id, { name, number, paper, items }),
        placeholderData: (old) => old,
    });
    const keep = (part: Partial<Pick<SheetPlan, 'name' | 'number' | 'paper' | 'items'>>) =>
        data.edit('sheet.keep', { id: plan.id, ...part });
    const put = async (wanted: WantedItem) => {
        try {
            const came = await putOn(data, plan, wanted);
            setChosen(items.length);
            if (came === 'refitted')
                tell('All of its kind were fitted together anew, to one scale.', { label: 'Undo', run: () => void data.undo() });
            else if (came) tell(`There is no free place for it: ${came.problem}`);
        } catch (problem) {
            complain(problem);
        }
    };
    /** All of them anew, each kind to one scale and on one line. */
    const fitAll = async () => {
        try {
            const found = await drawnWith(
                data,
                plan,
                items.map(({ kind, ref }) => ({ kind, ref })),
            );
            await keep({ items: found.plan.items });
            tell('Fitted together anew.', { label: 'Undo', run: () => void data.undo() });
        } catch (problem) {
            complain(problem);
        }
    };
    const change = (index: number, part: Partial<SheetPlan['items'][number]>) =>
        keep({ items: items.map((item, i) => (i === index ? { ...item, ...part } : item)) });
    const off = (index: number) => {
        setChosen(null);
        void keep({ items: items.filter((_, i) => i !== index) });
    };
    const { frontages, storeys, sections, layouts, settings } = data.project;
    const offered: [string, { label: string; kind: WantedItem['kind']; ref: string }[]][] = [
        [
            'Elevation',
            [
                { label: 'All of the outside, unfolded', kind: 'elevation', ref: 'outside' },
                ...(frontages.some((f) => f.inner) ? [{ label: 'Inner walls', kind: 'elevation' as const, ref: 'inside' }] : []),
                ...frontages.map((f) => ({ label: f.name, kind: 'elevation' as const, ref: f.id })),
                ...directions(frontages).map((b) => ({ label: `Square on, from ${b}°`, kind: 'elevation' as const, ref: `from:${b}` })),
            ],
        ],
        ['Plan', storeys.map((s) => ({ label: s.name, kind: 'plan', ref: s.id }))],
        ['Section', sections.map((s) => ({ label: s.name, kind: 'section', ref: s.id }))],
        [
            'Schedule',
            [
                { label: 'Openings by type', kind: 'schedule', ref: 'by-type' },
                { label: 'Each opening', kind: 'schedule', ref: 'each' },
                { label: 'Unit types', kind: 'schedule', ref: 'types' },
                { label: 'Walls', kind: 'schedule', ref: 'walls' },
                ...layouts.map((l) => ({ label: l.name, kind: 'schedule' as const, ref: l.id })),
            ],
        ],
    ];
    const problems = drawn.data?.blocks.filter((b) => b.problem) ?? [];
    const picked = chosen === null ? undefined : items[chosen];
    return (
        <div className="flex min-w-0 grow flex-col" data-busy={drawn.isFetching}>
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hairline bg-sheet px-4 py-1.5">
                <Kept label="Number" value={number} wide={4} fixed={!data.mayEdit} onKeep={(v) => keep({ number: v })} />
                <Kept label="Title" value={name} wide={14} fixed={!data.mayEdit} onKeep={(v) => keep({ name: v })} />
                <span>
                    on{' '}
                    <Choice
                        label="Paper of this sheet"
                        value={paper}
                        options={papers}
                        disabled={!data.mayEdit}
                        onChange={(to) => void keep({ paper: to as SheetPlan['paper'] })}
                    />
                </span>
                {data.mayEdit && (
                    <>
                        <span className="text-quiet">put on:</span>
                        {offered
                            .filter(([, all]) => all.length > 0)
                            .map(([label, all]) => (
                                <Menu
                                    key={label}
                                    align="start"
                                    trigger={<Button small>{label}</Button>}
                                    items={all.map((o) => ({
                                        label: o.label,
                                        onSelect: () => void put({ kind: o.kind, ref: o.ref }),
                                    }))}
                                />
                            ))}
                        {items.length > 1 && (
                            <Button small onClick={() => void fitAll()} title="Each kind to one scale, on one line">
                                Fit together
                            </Button>
                        )}
                        {picked && (
                            <span className="flex items-center gap-2 border-l border-hairline pl-3">
                                <b>{drawn.data?.blocks[chosen!]?.title}</b>
                                {picked.kind !== 'schedule' && (
                                    <Choice
                                        label="Scale"
                                        value={String(picked.scale)}
                                        options={scales(settings.units === 'ft-in')}
                                        onChange={(s) => void change(chosen!, { scale: Number(s) })}
                                    />
                                )}
                                <Button small onClick={() => off(chosen!)}>
                                    Remove from the sheet
                                </Button>
                            </span>
                        )}
                        <span className="grow" />
                        <Button
                            small
                            look="danger"
                            onClick={() =>
                                void data.edit('sheet.remove', { id: plan.id }).then((done) => {
                                    if (!done) return;
                                    onGone();
                                    tell(`${done.summary}.`, { label: 'Undo', run: () => void data.undo() });
                                })
                            }
                        >
                            Remove the sheet
                        </Button>
                    </>
                )}
            </div>
            {problems.length > 0 && (
                <p className="bg-buoy-wash px-4 py-1 text-buoy" role="status">
                    {problems.map((b) => `${b.title}: ${b.problem}`).join(' ')}
                </p>
            )}
            <div className="min-h-0 grow overflow-auto bg-paper p-4" tabIndex={0} aria-label={`Sheet ${number}`}>
                {drawn.isError && (
                    <p role="alert" className="border-l-3 border-buoy bg-buoy-wash px-3 py-2 text-buoy">
                        {drawn.error.message}
                    </p>
                )}
                {items.length === 0 && data.mayEdit && (
                    <p className="pb-3 text-quiet">
                        An empty sheet: put elevations, plans, sections and schedules on it from the row above, then drag them where they
                        belong.
                    </p>
                )}
                {drawn.data?.pages.map((svg, i) => (
                    <Page key={i} svg={svg} zoom={zoom}>
                        {i === 0 && (
                            <Blocks
                                sheet={drawn.data}
                                chosen={chosen}
                                drag={drag}
                                mayEdit={data.mayEdit}
                                onChoose={setChosen}
                                onDrag={setDrag}
                                onMoved={(index, x, y) => void change(index, { x, y }).then(() => setDrag(null))}
                                onOff={off}
                            />
                        )}
                    </Page>
                ))}
            </div>
        </div>
    );
}

/** A text that is kept when it is left or Enter is pressed. */
function Kept({
    label,
    value,
    wide,
    fixed,
    onKeep,
}: {
    label: string;
    value: string;
    wide: number;
    fixed: boolean;
    onKeep: (value: string) => Promise<unknown>;
}) {
    const [text, setText] = useState(value);
    const [was, setWas] = useState(value);
    if (was !== value) {
        setWas(value);
        setText(value);
    }
    const keep = async () => {
        if (text.trim() === value || text.trim() === '') return setText(value);
        if (!(await onKeep(text.trim()))) setText(value);
    };
    return (
        <input
            type="text"
            aria-label={label}
            title={label}
            value={text}
            size={Math.max(wide, text.length)}
            disabled={fixed}
            onChange={(e) => setText(e.target.value)}
            onBlur={() => void keep()}
            onKeyDown={(e) => {
                if (e.key === 'Enter') e.currentTarget.blur();
                if (e.key === 'Escape') setText(value);
            }}
            className="field-sizing-content rounded-sm border-b border-tide bg-tide-wash px-1 font-semibold disabled:border-transparent disabled:bg-transparent"
        />
    );
}

/** The bearings that outer frontages face, each once, in whole degrees: what a building is looked at from, square on. */
function directions(frontages: { bearing: number; inner: boolean }[]): number[] {
    const facing = frontages.filter((f) => !f.inner).map((f) => Math.round(f.bearing) % 360);
    return [...new Set(facing)].sort((a, b) => a - b);
}
