import { useEffect, useRef, useState } from 'react';
import { api, type GivenColumn, type Reading } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { complain, tell } from '../../ui/notices';
import { useData } from '../data';
import { GivenStoreys } from './GivenStoreys';
import { WhatIsRevised } from './WhatIsRevised';

const roles: Record<GivenColumn['role'], string> = {
    none: 'not read',
    mark: 'mark',
    kind: 'kind',
    width: 'width',
    height: 'height',
    size: 'width × height',
    sill: 'sill',
    head: 'head',
    count: 'count',
    storey: 'storey',
    'on-storey': 'count on',
};
const lengths = new Set<GivenColumn['role']>(['width', 'height', 'size', 'sill', 'head']);

type Props = { first: Reading; name: string; id: string | null; onDone: (id: string | null) => void };

/** A file that was read in, looked over before it is taken: what each column states, in which unit, and what comes of it. */
export function GivenReading({ first, name: called, id, onDone }: Props) {
    const data = useData();
    const [reading, setReading] = useState(first);
    const { givens } = data.project;
    // read in as a schedule of its own, or in the place of one that was given before
    const [instead, setInstead] = useState(first.revised?.given ?? null);
    const [name, setName] = useState(() => (id ? called : freeName(called.slice(0, 80), givens)));
    const [busy, setBusy] = useState(false);
    const latest = useRef(0);
    const take = useRef<HTMLButtonElement>(null);
    useEffect(() => take.current?.focus(), []);
    const again = async (part: { sheet?: number; header?: number | null; columns?: GivenColumn[] | null; instead?: string | null }) => {
        const mine = ++latest.current;
        try {
            const next = await api.readSchedule(data.id, {
                file: reading.file,
                sheet: reading.sheet,
                header: reading.header,
                columns: reading.columns,
                instead,
                ...part,
            });
            if (mine === latest.current) setReading(next);
        } catch (problem) {
            complain(problem);
        }
    };
    const setColumn = (i: number, part: Partial<GivenColumn>) => {
        const next = { ...reading.columns[i]!, ...part };
        if (next.role === 'on-storey' && !next.storey) next.storey = data.project.storeys[0]!.id;
        if (lengths.has(next.role) && !next.unit) next.unit = 'mm';
        void again({
            columns: reading.columns.map((c, j) =>
                i === j
                    ? next
                    : c.role === next.role && next.role !== 'none' && next.role !== 'on-storey'
                      ? { ...c, role: 'none' as const }
                      : c,
            ),
        });
    };
    const keep = async () => {
        setBusy(true);
        try {
            const outcome = await data.edit(
                'given.keep',
                {
                    ...((id ?? instead) ? { id: id ?? instead! } : {}),
                    ...(instead ? {} : { name: name.trim() }),
                    file: reading.file,
                    sheet: reading.sheet,
                    header: reading.header,
                    columns: reading.columns,
                },
                { quiet: true },
            );
            if (outcome) {
                tell(`${outcome.summary}: ${reading.lineCount} lines.`);
                onDone(outcome.chosen[0] ?? null);
            }
        } catch (problem) {
            complain(problem);
        } finally {
            setBusy(false);
        }
    };
    const width = reading.columns.length;
    return (
        <form
            className="flex min-h-0 grow flex-col"
            data-reading={reading.lineCount}
            onSubmit={(e) => {
                e.preventDefault();
                void keep();
            }}
            onKeyDown={(e) => e.key === 'Escape' && onDone(null)}
        >
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hairline px-3 py-1.5">
                {!id && givens.length > 0 && (
                    <Choice
                        label="Read in as"
                        value={instead ?? 'own'}
                        options={[
                            { value: 'own', label: 'A schedule of its own' },
                            ...givens.map((g) => ({ value: g.id, label: `In place of ${g.name}` })),
                        ]}
                        onChange={(to) => {
                            setInstead(to === 'own' ? null : to);
                            void again({ instead: to === 'own' ? null : to });
                        }}
                    />
                )}
                {!instead && (
                    <label className="flex items-center gap-2">
                        <span className="text-quiet">{!id && givens.length > 0 ? 'named' : 'Keep as'}</span>
                        <input
                            type="text"
                            aria-label="Name of the schedule"
                            value={name}
                            onChange={(e) => setName(e.target.value)}
                            className="min-h-7 w-44 rounded border border-hairline bg-sheet px-2"
                        />
                    </label>
                )}
                {reading.sheets.length > 1 && (
                    <span>
                        sheet{' '}
                        <Choice
                            label="Sheet of the workbook"
                            value={String(reading.sheet)}
                            options={reading.sheets.map((s, i) => ({ value: String(i), label: `${s.name}, ${s.rows} rows` }))}
                            onChange={(s) => void again({ sheet: Number(s), header: null, columns: null })}
                        />
                    </span>
                )}
                <span>
                    headings in{' '}
                    <Choice
                        label="Row with the headings"
                        value={String(reading.header ?? -1)}
                        options={[
                            { value: '-1', label: 'no row' },
                            ...reading.rows.map((_, i) => ({ value: String(i), label: `row ${i + 1}` })),
                        ]}
                        onChange={(row) => void again(row === '-1' ? { header: null } : { header: Number(row), columns: null })}
                    />
                </span>
                <span className={`grow ${reading.problem ? 'text-buoy' : 'text-quiet'}`} role="status">
                    {reading.problem ??
                        `${reading.lineCount} lines` +
                            (reading.unreadLines > 0 ? `, ${reading.unreadLines} with something that cannot be read` : ', all read')}
                </span>
                <Button small look="plain" onClick={() => onDone(null)}>
                    Cancel
                </Button>
                <button
                    ref={take}
                    type="submit"
                    disabled={busy || reading.problem !== null || reading.lineCount === 0 || (!instead && name.trim() === '')}
                    className="min-h-7 rounded bg-tide px-3 text-xs font-semibold text-on-tide hover:brightness-110 disabled:opacity-60"
                >
                    {instead ? 'Replace it' : 'Hold it against the model'}
                </button>
            </div>
            {instead && reading.revised && (
                <WhatIsRevised revised={reading.revised} name={givens.find((g) => g.id === instead)?.name ?? ''} />
            )}
            <GivenStoreys
                reading={reading}
                onMean={(text, storey) =>
                    void again({
                        columns: reading.columns.map((c) =>
                            c.role === 'storey' ? { ...c, storeys: { ...c.storeys, [text]: storey } } : c,
                        ),
                    })
                }
            />
            {[...reading.notes, ...reading.unread.slice(0, 4).map((u) => `Row ${u.row}${u.mark ? `, ${u.mark}` : ''}: ${u.sentence}`)].map(
                (n, i) => (
                    <p key={i} className={`px-3 pt-1 text-xs ${i < reading.notes.length ? 'text-quiet' : 'text-buoy'}`}>
                        {n}
                    </p>
                ),
            )}
            <div className="min-h-0 grow overflow-auto" tabIndex={0} aria-label="The first rows of the file">
                <table className="border-collapse text-xs">
                    <thead>
                        <tr>
                            <th className="sticky top-0 z-10 bg-paper" />
                            {reading.columns.map((c, i) => (
                                <th
                                    key={i}
                                    className="sticky top-0 z-10 border-b border-hairline bg-paper px-2 py-1 text-left font-normal whitespace-nowrap"
                                >
                                    <Choice
                                        label={`What column ${i + 1} states`}
                                        value={c.role}
                                        options={Object.entries(roles).map(([value, label]) => ({ value, label }))}
                                        onChange={(role) => setColumn(i, { role: role as GivenColumn['role'], storey: null, unit: null })}
                                    />
                                    {lengths.has(c.role) && (
                                        <>
                                            {' in '}
                                            <Choice
                                                label={`Unit of column ${i + 1}`}
                                                value={c.unit ?? 'mm'}
                                                options={['mm', 'cm', 'm', 'in', 'ft'].map((u) => ({ value: u, label: u }))}
                                                onChange={(unit) => setColumn(i, { unit: unit as GivenColumn['unit'] })}
                                            />
                                        </>
                                    )}
                                    {c.role === 'on-storey' && (
                                        <Choice
                                            label={`Storey of column ${i + 1}`}
                                            value={c.storey ?? ''}
                                            options={data.project.storeys.map((s) => ({ value: s.id, label: s.name }))}
                                            onChange={(storey) => setColumn(i, { storey })}
                                        />
                                    )}
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {reading.rows.map((row, r) => (
                            <tr
                                key={r}
                                className={`border-b border-hairline/50 ${r === reading.header ? 'font-semibold' : reading.header !== null && r < reading.header ? 'text-quiet' : ''}`}
                            >
                                <td className="px-2 text-right text-quiet">{r + 1}</td>
                                {Array.from({ length: width }, (_, i) => (
                                    <td
                                        key={i}
                                        className={`max-w-60 truncate px-2 py-0.5 whitespace-nowrap ${reading.columns[i]!.role === 'none' ? 'text-quiet' : ''}`}
                                    >
                                        {row[i] ?? ''}
                                    </td>
                                ))}
                            </tr>
                        ))}
                    </tbody>
                </table>
                {reading.rowCount > reading.rows.length && (
                    <p className="px-3 py-1 text-xs text-quiet">and {reading.rowCount - reading.rows.length} more rows.</p>
                )}
            </div>
        </form>
    );
}

/** A name that no given schedule has yet. */
function freeName(name: string, givens: { name: string }[]): string {
    const taken = new Set(givens.map((g) => g.name.toLowerCase()));
    let free = name;
    for (let n = 2; taken.has(free.toLowerCase()); n++) free = `${name.slice(0, 75)} ${n}`;
    return free;
}
