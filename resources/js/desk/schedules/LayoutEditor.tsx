import { ChevronDown, ChevronUp, X } from 'lucide-react';
import { useState } from 'react';
import type { Layout, Report } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Menu } from '../../ui/Menu';
import { complain, tell } from '../../ui/notices';
import { useData } from '../data';

type Props = {
    report: Report;
    id: string;
    draft: Layout | null;
    onDraft: (layout: Layout | null) => void;
    onKept: (id: string) => void;
    error: string | null;
    /** the field that the error is about */
    wrong: string | null;
};

const tests = { is: 'is', 'is-not': 'is not', holds: 'has in it', above: 'is above', below: 'is below' } as const;

/** How a schedule is laid out: columns with their order and names, groups, what is left out, what is made one. Kept under a name. */
export function LayoutEditor({ report, id, draft, onDraft, onKept, error, wrong }: Props) {
    const data = useData();
    const layout = draft ?? report.layout;
    const own = data.project.layouts.find((l) => l.id === id);
    const [name, setName] = useState(own?.name ?? '');
    const change = (part: Partial<Layout>) => onDraft({ ...layout, ...part });
    const fields = new Map(report.fields.map((f) => [f.key, f]));
    const rest = report.fields.filter((f) => !layout.columns.some((c) => c.key === f.key));
    const move = (i: number, by: number) => {
        const columns = [...layout.columns];
        const [one] = columns.splice(i, 1);
        columns.splice(i + by, 0, one!);
        change({ columns });
    };
    const options = report.fields.map((f) => ({ value: f.key, label: f.name }));
    const keep = async (as: string | null) => {
        try {
            const given = {
                source: layout.source,
                columns: layout.columns,
                merge: layout.merge,
                groups: layout.groups,
                sort: layout.sort,
                filters: layout.filters.filter((f) => f.value.trim() !== ''),
                totals: layout.totals,
            };
            const outcome = await data.edit(
                'layout.keep',
                as ? { id: as, ...given, name: name.trim() || own?.name } : { name: name.trim(), ...given },
                { quiet: true },
            );
            if (!outcome) return;
            tell(`${outcome.summary}.`);
            onKept(outcome.chosen[0] ?? as ?? id);
        } catch (problem) {
            complain(problem);
        }
    };
    return (
        <aside aria-label="Layout" className="flex w-80 shrink-0 flex-col overflow-auto border-r border-hairline p-3 text-[13px]">
            {error && <p className="mb-2 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-buoy">{error}</p>}
            <p className="text-xs text-quiet">Columns, with headings of their own where wanted</p>
            <ul className="my-1">
                {layout.columns.map((c, i) => (
                    <li key={c.key} className="flex items-center gap-1">
                        <input
                            type="text"
                            aria-label={`Heading of ${fields.get(c.key)?.name ?? c.key}`}
                            placeholder={fields.get(c.key)?.name ?? 'A storey that is gone'}
                            value={c.name ?? ''}
                            onChange={(e) =>
                                change({ columns: layout.columns.map((x, j) => (i === j ? { ...x, name: e.target.value || null } : x)) })
                            }
                            className="min-h-7 min-w-0 grow rounded-sm border-b border-transparent bg-transparent px-1 placeholder:text-ink hover:border-hairline focus:border-tide"
                        />
                        <IconButton label={`Move ${fields.get(c.key)?.name ?? c.key} up`} off={i === 0} onClick={() => move(i, -1)}>
                            <ChevronUp size={14} />
                        </IconButton>
                        <IconButton
                            label={`Move ${fields.get(c.key)?.name ?? c.key} down`}
                            off={i === layout.columns.length - 1}
                            onClick={() => move(i, 1)}
                        >
                            <ChevronDown size={14} />
                        </IconButton>
                        <IconButton
                            label={`Remove ${fields.get(c.key)?.name ?? c.key}`}
                            off={layout.columns.length === 1}
                            onClick={() => change({ columns: layout.columns.filter((_, j) => j !== i) })}
                        >
                            <X size={14} />
                        </IconButton>
                    </li>
                ))}
            </ul>
            {rest.length > 0 && (
                <Menu
                    align="start"
                    trigger={
                        <Button small look="plain">
                            + A column
                        </Button>
                    }
                    items={rest.map((f) => ({
                        label: f.name,
                        onSelect: () => change({ columns: [...layout.columns, { key: f.key, name: null }] }),
                    }))}
                />
            )}
            <div className="mt-2 border-t border-hairline pt-2">
                <p>
                    Grouped by{' '}
                    <Choice
                        label="Grouped by"
                        value={layout.groups[0] ?? '-'}
                        options={[{ value: '-', label: 'nothing' }, ...options]}
                        onChange={(key) => change({ groups: key === '-' ? [] : [key, ...layout.groups.slice(1)] })}
                    />
                    {layout.groups.length > 0 && (
                        <>
                            , then{' '}
                            <Choice
                                label="Then grouped by"
                                value={layout.groups[1] ?? '-'}
                                options={[{ value: '-', label: 'no more' }, ...options.filter((o) => o.value !== layout.groups[0])]}
                                onChange={(key) => change({ groups: key === '-' ? layout.groups.slice(0, 1) : [layout.groups[0]!, key] })}
                            />
                        </>
                    )}
                </p>
                <p className="mt-1">
                    Sorted by{' '}
                    <Choice
                        label="Sorted by"
                        value={layout.sort[0]?.key ?? '-'}
                        options={[{ value: '-', label: 'nothing' }, ...options]}
                        onChange={(key) =>
                            change({ sort: key === '-' ? [] : [{ key, down: false }, ...layout.sort.filter((s) => s.key !== key)] })
                        }
                    />{' '}
                    {layout.sort[0] && (
                        <Choice
                            label="Which way"
                            value={layout.sort[0].down ? 'down' : 'up'}
                            options={[
                                { value: 'up', label: 'smallest first' },
                                { value: 'down', label: 'largest first' },
                            ]}
                            onChange={(way) => change({ sort: [{ ...layout.sort[0]!, down: way === 'down' }, ...layout.sort.slice(1)] })}
                        />
                    )}
                </p>
                {layout.filters.map((f, i) => (
                    <p key={i} className="mt-1 flex flex-wrap items-center gap-1">
                        Only where{' '}
                        <Choice
                            label="Field"
                            value={f.key}
                            options={options}
                            onChange={(key) => change({ filters: layout.filters.map((x, j) => (i === j ? { ...x, key } : x)) })}
                        />
                        <Choice
                            label="Test"
                            value={f.test}
                            options={Object.entries(tests).map(([value, label]) => ({ value, label }))}
                            onChange={(test) =>
                                change({
                                    filters: layout.filters.map((x, j) => (i === j ? { ...x, test: test as keyof typeof tests } : x)),
                                })
                            }
                        />
                        <input
                            type="text"
                            aria-label="Value"
                            aria-invalid={wrong === `filters.${i}`}
                            placeholder="say a value"
                            value={f.value}
                            onChange={(e) =>
                                change({ filters: layout.filters.map((x, j) => (i === j ? { ...x, value: e.target.value } : x)) })
                            }
                            className={`min-h-6 w-20 rounded-sm border-b px-1 font-semibold placeholder:font-normal placeholder:text-quiet ${
                                wrong === `filters.${i}` ? 'border-buoy bg-buoy-wash text-buoy' : 'border-tide bg-tide-wash'
                            }`}
                        />
                        <IconButton
                            label="Remove this filter"
                            onClick={() => change({ filters: layout.filters.filter((_, j) => j !== i) })}
                        >
                            <X size={14} />
                        </IconButton>
                    </p>
                ))}
                <Button
                    small
                    look="plain"
                    className="mt-1"
                    onClick={() => change({ filters: [...layout.filters, { key: layout.columns[0]!.key, test: 'holds', value: '' }] })}
                >
                    + Only some rows
                </Button>
                <label className="mt-1 flex items-center gap-2">
                    <input
                        type="checkbox"
                        className="size-4 accent-(--tide)"
                        checked={layout.merge}
                        onChange={(e) => change({ merge: e.target.checked })}
                    />{' '}
                    Rows alike become one
                </label>
                <label className="mt-1 flex items-center gap-2">
                    <input
                        type="checkbox"
                        className="size-4 accent-(--tide)"
                        checked={layout.totals}
                        onChange={(e) => change({ totals: e.target.checked })}
                    />{' '}
                    Totals
                </label>
            </div>
            {data.mayEdit && (
                <form
                    className="mt-3 border-t border-hairline pt-2"
                    onSubmit={(e) => {
                        e.preventDefault();
                        void keep(own ? own.id : null);
                    }}
                >
                    <label className="flex items-center gap-2">
                        <span className="text-quiet">Name</span>
                        <input
                            type="text"
                            aria-label="Name of the layout"
                            value={name}
                            onChange={(e) => setName(e.target.value)}
                            className="min-h-7 min-w-0 grow rounded border border-hairline bg-sheet px-2"
                        />
                    </label>
                    <div className="mt-2 flex flex-wrap gap-2">
                        <Button small look="main" type="submit">
                            {own ? 'Save the changes' : 'Save as a layout'}
                        </Button>
                        {own && name.trim() !== own.name && (
                            <Button small onClick={() => void keep(null)}>
                                Save as another
                            </Button>
                        )}
                        {draft && (
                            <Button small look="plain" onClick={() => onDraft(null)}>
                                Discard the changes
                            </Button>
                        )}
                        {own && (
                            <Button
                                small
                                look="danger"
                                onClick={() =>
                                    void data.edit('layout.remove', { id: own.id }).then((done) => {
                                        if (!done) return;
                                        onKept('by-type');
                                        tell(`${done.summary}.`, { label: 'Undo', run: () => void data.undo() });
                                    })
                                }
                            >
                                Remove
                            </Button>
                        )}
                    </div>
                </form>
            )}
        </aside>
    );
}

function IconButton({
    label,
    off = false,
    onClick,
    children,
}: {
    label: string;
    off?: boolean;
    onClick: () => void;
    children: React.ReactNode;
}) {
    return (
        <button
            type="button"
            aria-label={label}
            title={label}
            disabled={off}
            onClick={onClick}
            className="flex size-6 shrink-0 items-center justify-center rounded text-quiet hover:text-tide disabled:opacity-30"
        >
            {children}
        </button>
    );
}
