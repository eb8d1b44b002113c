import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, uploadSchedule, type Discrepancy, type Held, type Reading, proposed, type EditArgs } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { FileButton } from '../../ui/FileButton';
import { complain, tell } from '../../ui/notices';
import { useData } from '../data';
import { MissingFile } from '../MissingFile';
import { takeInHand } from '../placing';
import { useDesk } from '../store';
import { GivenReading } from './GivenReading';
import { FreshTypes } from './FreshTypes';

const kinds: { what: Discrepancy['what']; name: string }[] = [
    { what: 'missing', name: 'missing' },
    { what: 'surplus', name: 'too many' },
    { what: 'size', name: 'another size' },
    { what: 'sill', name: 'another sill' },
    { what: 'storey', name: 'another storey' },
    { what: 'duplicate', name: 'given twice' },
];

/** The schedule of doors and windows that others gave: read in, and held against the model at any time. */
export function Given() {
    const data = useData();
    const { givens } = data.project;
    const [which, setWhich] = useState<string | null>(null);
    const [reading, setReading] = useState<{ reading: Reading; name: string; id: string | null } | null>(null);
    const [busy, setBusy] = useState(false);
    const given = givens.find((g) => g.id === which) ?? givens[0];
    const read = async (file: File) => {
        setBusy(true);
        try {
            setReading({ reading: await uploadSchedule(data.id, file), name: file.name.replace(/\.\w+$/, ''), id: null });
        } catch (problem) {
            complain(problem);
        } finally {
            setBusy(false);
        }
    };
    const files = (
        <FileButton
            accept=".csv,.tsv,.txt,.xlsx"
            small={given !== undefined}
            look={given ? 'outline' : 'main'}
            busy={busy}
            onFile={(f) => void read(f)}
        >
            {given ? 'Read in another' : 'Read a schedule in'}
        </FileButton>
    );
    if (reading)
        return (
            <GivenReading
                key={reading.reading.file}
                first={reading.reading}
                name={reading.name}
                id={reading.id}
                onDone={(id) => {
                    setReading(null);
                    if (id) setWhich(id);
                }}
            />
        );
    if (!given)
        return (
            <div className="p-5">
                <p className="mb-3 max-w-xl">
                    A schedule of doors and windows that someone gave you, as CSV or XLSX: read it in, and every opening is held against it.
                    What is missing, too many, of another size or sill, or on another storey is listed here and can be put right from here.
                </p>
                {data.mayEdit ? files : <p className="text-quiet">None has been read in.</p>}
            </div>
        );
    return (
        <HeldAgainst key={given.id} id={given.id}>
            <span className="flex items-center gap-2">
                {givens.length > 1 ? (
                    <Choice
                        label="Which given schedule"
                        value={given.id}
                        options={givens.map((g) => ({ value: g.id, label: g.name }))}
                        onChange={setWhich}
                    />
                ) : (
                    <b>{given.name}</b>
                )}
                {data.mayEdit && (
                    <>
                        <Button
                            small
                            look="plain"
                            onClick={() =>
                                void api
                                    .readSchedule(data.id, {
                                        file: given.file,
                                        sheet: given.sheet,
                                        header: given.header,
                                        columns: given.columns,
                                    })
                                    .then((r) => setReading({ reading: r, name: given.name, id: given.id }))
                                    .catch(complain)
                            }
                        >
                            Columns…
                        </Button>
                        {files}
                        <Button
                            small
                            look="plain"
                            onClick={() =>
                                void data
                                    .edit('given.remove', { id: given.id })
                                    .then((done) => done && tell(`${done.summary}.`, { label: 'Undo', run: () => void data.undo() }))
                            }
                        >
                            Remove
                        </Button>
                    </>
                )}
            </span>
        </HeldAgainst>
    );
}

function HeldAgainst({ id, children }: { id: string; children: React.ReactNode }) {
    const data = useData();
    const [what, setWhat] = useState<Discrepancy['what'] | 'unread' | null>(null);
    const [going, setGoing] = useState(false);
    const given = data.project.givens.find((g) => g.id === id);
    const held = useQuery({ queryKey: ['project', data.id, 'schedule', 'held', id], queryFn: () => api.held(data.id, id) });
    if (held.isError)
        return (
            <div className="p-3">
                {children}
                {held.error instanceof Problem && held.error.code.startsWith('file.') && given ? (
                    <MissingFile
                        what="The file of this schedule"
                        accept=".csv,.tsv,.txt,.xlsx"
                        file={given.file}
                        read={(file) => uploadSchedule(data.id, file)}
                        replace={({ file, sheet, header, columns }) => data.edit('given.keep', { id, file, sheet, header, columns })}
                    />
                ) : (
                    <p className="py-2 text-buoy">{held.error.message}</p>
                )}
            </div>
        );
    if (!held.data) return <p className="p-4 text-quiet">Holding it against the model…</p>;
    const { found, right, lines, unread } = held.data;
    const counts = kinds.map((k) => ({ ...k, n: found.filter((d) => d.what === k.what).length })).filter((k) => k.n > 0);
    const shown = what === 'unread' ? [] : found.filter((d) => what === null || d.what === what);
    const doable = shown.filter((d) => d.remedy !== null);
    const all = async () => {
        setGoing(true);
        let done = 0;
        for (const d of doable) done += (await put(data, d)) ? 1 : 0;
        setGoing(false);
        tell(`${done} of ${doable.length} put right, one step each.`);
    };
    return (
        <div className="flex min-h-0 grow flex-col" data-held={found.length}>
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hairline px-3 py-1.5">
                {children}
                <span className="text-quiet">
                    {lines} lines · <span className="text-moss">✓ {right} openings as given</span>
                </span>
                <span className="flex grow flex-wrap gap-1">
                    {counts.map((k) => (
                        <Button
                            key={k.what}
                            small
                            aria-pressed={what === k.what}
                            className={what === k.what ? 'border-tide text-tide' : ''}
                            onClick={() => setWhat(what === k.what ? null : k.what)}
                        >
                            {k.n} {k.name}
                        </Button>
                    ))}
                    {unread.length > 0 && (
                        <Button
                            small
                            look="warn"
                            aria-pressed={what === 'unread'}
                            onClick={() => setWhat(what === 'unread' ? null : 'unread')}
                        >
                            {unread.length} not wholly read
                        </Button>
                    )}
                </span>
                {data.mayEdit && doable.length > 1 && what !== null && (
                    <Button small disabled={going} onClick={() => void all()}>
                        {going ? 'Putting right…' : `Put all ${doable.length} right`}
                    </Button>
                )}
            </div>
            <FreshTypes held={held.data} />
            {found.length === 0 && unread.length === 0 && (
                <p className="p-4 font-semibold text-moss">✓ The model is as this schedule says.</p>
            )}
            <ul className="min-h-0 grow overflow-auto" aria-label="What differs" tabIndex={0}>
                {what === 'unread' &&
                    unread.map((u, i) => (
                        <li key={i} className="border-b border-hairline/60 px-3 py-1">
                            <span className="mr-2 text-quiet">Row {u.row}</span>
                            {u.mark} {u.sentence}
                        </li>
                    ))}
                {shown.slice(0, 500).map((d, i) => (
                    <Differing key={i} d={d} held={held.data} />
                ))}
            </ul>
        </div>
    );
}

/** Does what puts one right; what would not fit stays as it is and is told. */
async function put(data: ReturnType<typeof useData>, d: Discrepancy): Promise<boolean> {
    if (!d.remedy) return false;
    const { edit, args } = proposed(d.remedy);
    const outcome = await data.edit(edit, { ...args, fit: 'fitting' } as EditArgs, { many: d.openings.length });
    if (!outcome) return false;
    if (outcome.misfits.length > 0)
        complain(new Error(`${outcome.misfits.length} would not fit and stay: ${outcome.misfits[0]!.sentence}`));
    return outcome.misfits.length < Math.max(1, d.openings.length);
}

function Differing({ d }: { d: Discrepancy; held: Held }) {
    const data = useData();
    const chosen = useDesk((s) => s.chosen);
    const lit = d.openings.length > 0 && d.openings.some((o) => chosen.includes(o));
    const look = () => {
        if (d.openings.length > 0) {
            useDesk.getState().choose(d.openings);
            useDesk.getState().show(d.openings);
        } else if (d.storey) useDesk.setState({ storey: d.storey });
    };
    const type = d.place ? data.project.types.find((t) => t.id === d.place) : undefined;
    return (
        <li
            className={`flex items-center gap-3 border-b border-hairline/60 px-3 ${lit ? 'bg-tide-wash shadow-[inset_4px_0_0_var(--tide)]' : ''}`}
            data-what={d.what}
        >
            <span className="w-14 shrink-0 text-xs text-quiet">{d.row === null ? 'no row' : `row ${d.row}`}</span>
            <button type="button" className="min-h-7 min-w-0 grow text-left hover:text-tide" onClick={look}>
                {d.sentence}
            </button>
            {data.mayEdit && d.remedy && (
                <Button
                    small
                    onClick={() =>
                        void put(data, d).then(
                            (ok) => ok && tell(`${d.remedy!.label}: done.`, { label: 'Undo', run: () => void data.undo() }),
                        )
                    }
                >
                    {d.remedy.label}
                </Button>
            )}
            {data.mayEdit && type && (
                <Button
                    small
                    onClick={() => {
                        if (d.storey) useDesk.setState({ storey: d.storey });
                        takeInHand(data, { type: type.id, label: type.mark, width: type.width, height: type.height, sill: type.sill });
                        tell(`Click the walls where ${d.count === 1 ? 'it belongs' : `the ${d.count} belong`}; Esc when they are placed.`);
                        document.querySelector<HTMLElement>('[data-pane=elevation]')?.focus({ preventScroll: true });
                    }}
                >
                    Place {d.count === 1 ? 'it' : `the ${d.count}`}
                </Button>
            )}
        </li>
    );
}
