import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type TypesDocument } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Dialog } from '../ui/Dialog';
import { tell } from '../ui/notices';
import { useData } from './data';

/** Unit types of a file, or of another project, to choose from. */
export function BringTypes({ from, given, onClose }: { from: string; given: TypesDocument | null; onClose: () => void }) {
    const data = useData();
    const projects = useQuery({ queryKey: ['projects'], queryFn: api.projects, enabled: given === null });
    const others = (projects.data?.projects ?? []).filter((p) => p.id !== data.id);
    const [other, setOther] = useState<string | null>(null);
    const asked = other ?? others[0]?.id ?? null;
    const fetched = useQuery({
        queryKey: ['types of', asked],
        queryFn: () => api.exportTypes(asked!),
        enabled: given === null && asked !== null,
    });
    const document = given ?? fetched.data ?? null;
    const [left, setLeft] = useState<Set<string>>(new Set());
    const [why, setWhy] = useState<string | null>(null);
    const marks = document?.types.map((t) => t.mark).filter((m) => !left.has(m)) ?? [];
    const bring = async () => {
        try {
            const outcome = await data.edit('type.import', { document: { ...document }, marks }, { quiet: true });
            if (!outcome) return;
            tell([outcome.summary, ...outcome.notes].join('. '));
            onClose();
        } catch (problem) {
            setWhy((problem as Error).message);
        }
    };
    return (
        <Dialog
            open
            onClose={onClose}
            title={given ? `Units in ${from}` : 'Units of another project'}
            note="They come with their finishes. A mark that is taken here becomes the next free one."
        >
            {given === null && others.length > 0 && (
                <p className="mb-3">
                    From{' '}
                    <Choice
                        label="Project"
                        value={asked ?? ''}
                        options={others.map((p) => ({ value: p.id, label: p.name }))}
                        onChange={setOther}
                    />
                </p>
            )}
            {given === null && projects.data && others.length === 0 && (
                <p className="text-quiet">There is no other project of yours to bring units from.</p>
            )}
            {(fetched.error ?? why) && (
                <p role="alert" className="mb-3 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-buoy">
                    {why ?? fetched.error?.message}
                </p>
            )}
            {document && (
                <ul className="max-h-72 overflow-auto border-y border-hairline py-1" tabIndex={0} aria-label="Units">
                    {document.types.map((t, i) => (
                        <li key={`${t.mark} ${i}`}>
                            <label className="flex items-center gap-2 py-0.5">
                                <input
                                    type="checkbox"
                                    checked={!left.has(t.mark)}
                                    onChange={(e) => {
                                        const next = new Set(left);
                                        if (e.target.checked) next.delete(t.mark);
                                        else next.add(t.mark);
                                        setLeft(next);
                                    }}
                                    className="accent-[var(--tide)]"
                                />
                                <b>{t.mark}</b> {t.name}
                                <span className="ml-auto text-quiet">
                                    {data.length(t.width)} × {data.length(t.height)}
                                </span>
                            </label>
                        </li>
                    ))}
                    {document.types.length === 0 && <li className="text-quiet">There are no units in it.</li>}
                </ul>
            )}
            <div className="mt-4 flex justify-end gap-2">
                <Button onClick={onClose}>Cancel</Button>
                <Button look="main" disabled={marks.length === 0} onClick={() => void bring()}>
                    {marks.length === 1 ? 'Bring 1 unit' : `Bring ${marks.length} units`}
                </Button>
            </div>
        </Dialog>
    );
}
