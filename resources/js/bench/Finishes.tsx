import { useState } from 'react';
import type { Finish } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { TextField } from '../ui/TextField';
import { Dialog } from '../ui/Dialog';
import { useData } from '../desk/data';
import { complain } from '../ui/notices';
import { step, useBench } from './draft';
import { parts } from './words';

/** The finish of each part, from the project's list. */
export function Finishes() {
    const data = useData();
    const finishes = data.project.settings.finishes;
    const mine = (useBench((b) => b.draft)!.tree.finishes ?? {}) as Record<string, string>;
    const [editing, setEditing] = useState(false);
    return (
        <section className="mt-3 border-t border-hairline pt-2">
            <header className="flex items-baseline justify-between">
                <h3 className="font-semibold">Finishes</h3>
                {data.mayEdit && (
                    <button type="button" className="text-xs text-tide underline" onClick={() => setEditing(true)}>
                        The project’s finishes…
                    </button>
                )}
            </header>
            <dl className="mt-1 grid grid-cols-[1fr_auto] gap-y-2">
                {Object.entries(parts).map(([part, label]) => {
                    const finish = finishes.find((f) => f.id === mine[part]);
                    return (
                        <div key={part} className="contents">
                            <dt className="text-quiet">{label}</dt>
                            <dd className="flex items-center justify-end gap-1.5">
                                {finish && <Swatch finish={finish} />}
                                <Choice
                                    label={`Finish of ${label.toLowerCase()}`}
                                    value={mine[part] ?? 'none'}
                                    disabled={!data.mayEdit}
                                    options={[
                                        { value: 'none', label: 'none said' },
                                        ...finishes.map((f) => ({ value: f.id, label: `${f.name}, ${f.sheen}` })),
                                        ...(mine[part] && !finish
                                            ? [{ value: mine[part], label: `${mine[part]} (not in this project)` }]
                                            : []),
                                    ]}
                                    onChange={(to) =>
                                        void step('finish', { part, finish: to === 'none' ? null : to }, `card finish ${part}`)
                                    }
                                />
                            </dd>
                        </div>
                    );
                })}
            </dl>
            <FinishesDialog open={editing} onClose={() => setEditing(false)} />
        </section>
    );
}

function Swatch({ finish }: { finish: Finish }) {
    return (
        <svg width={14} height={14} aria-hidden="true">
            <rect width={14} height={14} rx={2} fill={finish.colour} stroke="var(--quiet)" />
        </svg>
    );
}

/** The list of the project's finishes. */
export function FinishesDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
    const data = useData();
    const [list, setList] = useState<Finish[] | null>(null);
    const shown = list ?? data.project.settings.finishes;
    const change = (i: number, values: Partial<Finish>) => setList(shown.map((f, j) => (j === i ? { ...f, ...values } : f)));
    const close = () => {
        setList(null);
        onClose();
    };
    const save = async () => {
        try {
            await data.edit('settings.change', { finishes: shown }, { quiet: true });
            close();
        } catch (problem) {
            complain(problem);
        }
    };
    const add = () => {
        let n = shown.length + 1;
        while (shown.some((f) => f.id === `finish-${n}`)) n++;
        setList([...shown, { id: `finish-${n}`, name: `Finish ${n}`, colour: '#888888', sheen: 'satin' }]);
    };
    return (
        <Dialog
            open={open}
            onClose={close}
            title="The project’s finishes"
            note="Units name them; a change here shows in every unit that does."
        >
            <ul className="space-y-2">
                {shown.map((f, i) => (
                    <li key={f.id} className="flex items-end gap-2">
                        <label className="shrink-0">
                            <span className="sr-only">Colour of {f.name}</span>
                            <input
                                type="color"
                                value={f.colour}
                                onChange={(e) => change(i, { colour: e.target.value })}
                                className="h-8 w-10 rounded border border-hairline bg-sheet"
                            />
                        </label>
                        <TextField label="Name" value={f.name} onChange={(name) => change(i, { name })} className="grow" />
                        <div className="w-24">
                            <Choice
                                boxed
                                label={`Sheen of ${f.name}`}
                                value={f.sheen}
                                options={['matt', 'satin', 'gloss'].map((s) => ({ value: s, label: s }))}
                                onChange={(sheen) => change(i, { sheen: sheen as Finish['sheen'] })}
                            />
                        </div>
                        <button
                            type="button"
                            aria-label={`Remove ${f.name}`}
                            className="min-h-8 px-1 text-quiet hover:text-buoy"
                            onClick={() => setList(shown.filter((_, j) => j !== i))}
                        >
                            ×
                        </button>
                    </li>
                ))}
            </ul>
            <div className="mt-4 flex justify-between">
                <Button onClick={add}>Add a finish</Button>
                <span className="flex gap-2">
                    <Button onClick={close}>Cancel</Button>
                    <Button look="main" disabled={!data.mayEdit} onClick={() => void save()}>
                        Save
                    </Button>
                </span>
            </div>
        </Dialog>
    );
}
