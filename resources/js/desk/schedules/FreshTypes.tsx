import { useState } from 'react';
import type { Held } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { complain, tell } from '../../ui/notices';
import { useData } from '../data';

/** Lines whose mark no unit type has yet: made into types, each like the ready type its kind means. */
export function FreshTypes({ held }: { held: Held }) {
    const data = useData();
    const [open, setOpen] = useState(false);
    const [said, setSaid] = useState<Record<string, string>>({});
    const { fresh, kinds } = held;
    const likes = held.ready.map((r) => ({ value: r.mark, label: r.name }));
    if (fresh.length === 0 || !data.mayEdit) return null;
    const likeOf = (kind: string, like: string | null) => said[kind] ?? like ?? '';
    const ready = fresh.filter((l) => likeOf(l.kind, kinds.find((k) => k.kind === l.kind)?.like ?? null) !== '');
    const make = async () => {
        try {
            const chosen = Object.fromEntries(
                kinds.filter((k) => likeOf(k.kind, k.like)).map((k) => [k.kind === '' ? '–' : k.kind, likeOf(k.kind, k.like)]),
            );
            const outcome = await data.edit('type.from-lines', { lines: ready, likes: chosen, fit: 'fitting' }, { quiet: true });
            if (!outcome) return;
            tell(`${outcome.summary}.`, { label: 'Undo', run: () => void data.undo() });
            if (outcome.misfits.length > 0)
                complain(new Error(`${outcome.misfits.length} could not be made: ${outcome.misfits[0]!.sentence}`));
            setOpen(false);
        } catch (problem) {
            complain(problem);
        }
    };
    return (
        <div className="border-b border-hairline bg-tide-wash px-3 py-1.5" data-fresh={fresh.length}>
            <p className="flex flex-wrap items-center gap-3">
                {fresh.length === 1 ? `Mark ${fresh[0]!.mark} is on no unit type yet.` : `${fresh.length} marks are on no unit type yet.`}
                <Button small aria-expanded={open} onClick={() => setOpen(!open)}>
                    {open ? 'Not now' : 'Make types of the lines…'}
                </Button>
            </p>
            {open && (
                <form
                    className="mt-1.5 max-h-56 overflow-auto"
                    onSubmit={(e) => {
                        e.preventDefault();
                        void make();
                    }}
                >
                    {kinds.map((k) => (
                        <p key={k.kind} className="py-0.5">
                            “{k.kind || 'no kind'}”, {k.count} {k.count === 1 ? 'mark' : 'marks'}: made like{' '}
                            <Choice
                                label={`What ${k.kind || 'a line without a kind'} is like`}
                                value={likeOf(k.kind, k.like)}
                                options={likeOf(k.kind, k.like) === '' ? [{ value: '', label: 'choose…' }, ...likes] : likes}
                                onChange={(like) => setSaid({ ...said, [k.kind]: like })}
                            />
                            {likeOf(k.kind, k.like) === '' && <span className="text-buoy"> not known: choose, or it is left out</span>}
                        </p>
                    ))}
                    <Button small look="main" type="submit" disabled={ready.length === 0} className="mt-1">
                        Make {ready.length === 1 ? 'the type' : `${ready.length} types`}
                    </Button>
                </form>
            )}
        </div>
    );
}
