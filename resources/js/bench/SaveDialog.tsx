import { useEffect, useState } from 'react';
import type { Args, Outcome } from '../api/client';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { TextField } from '../ui/TextField';
import { useData } from '../desk/data';
import { tell } from '../ui/notices';
import { useBench } from './draft';

type Props = { how: 'change' | 'new' | null; type: string; onClose: () => void; onSaved: (id: string) => void };

/** Saves the draft: as a new type, or into its type, when all its openings follow: how many, and which it would not fit, is shown first. */
export function SaveDialog({ how, type, onClose, onSaved }: Props) {
    return how === 'new' ? (
        <SaveNew key="new" onClose={onClose} onSaved={onSaved} />
    ) : how === 'change' ? (
        <SaveChange key="change" type={type} onClose={onClose} onSaved={onSaved} />
    ) : null;
}

function valuesOf(): Args {
    const { mark, name, sill, width, height, tree } = useBench.getState().draft!;
    return { mark, name, sill, width, height, tree };
}

function SaveNew({ onClose, onSaved }: Omit<Props, 'how' | 'type'>) {
    const data = useData();
    const draft = useBench((b) => b.draft)!;
    const taken = data.project.types.some((t) => t.mark === draft.mark);
    const [mark, setMark] = useState(taken ? '' : draft.mark);
    const [name, setName] = useState(draft.name);
    const [why, setWhy] = useState<string | undefined>();
    const save = async () => {
        try {
            const outcome = await data.edit('type.add', { ...valuesOf(), mark, name }, { quiet: true });
            if (!outcome) return;
            tell(outcome.summary);
            onSaved(outcome.chosen[0]!);
        } catch (problem) {
            setWhy((problem as Error).message);
        }
    };
    return (
        <Dialog open onClose={onClose} title="Add to the rack" note="Without a mark it takes the next free one.">
            <form
                onSubmit={(e) => {
                    e.preventDefault();
                    void save();
                }}
            >
                <div className="flex gap-3">
                    <TextField label="Mark" value={mark} onChange={setMark} placeholder="next free" className="w-28" />
                    <TextField label="Name" value={name} onChange={setName} error={why} className="grow" autoFocus />
                </div>
                <div className="mt-4 flex justify-end gap-2">
                    <Button onClick={onClose}>Cancel</Button>
                    <Button look="main" type="submit">
                        Add to the rack
                    </Button>
                </div>
            </form>
        </Dialog>
    );
}

function SaveChange({ type, onClose, onSaved }: Omit<Props, 'how'>) {
    const data = useData();
    const [tried, setTried] = useState<Outcome | null>(null);
    const [why, setWhy] = useState<string | null>(null);
    const { edit, tryEdit } = data;

    const save = async (fit: 'all' | 'fitting', many: number) => {
        try {
            const outcome = await edit('type.change', { id: type, ...valuesOf(), fit }, { quiet: true, many });
            if (!outcome) return;
            tell(outcome.summary);
            onSaved(type);
        } catch (problem) {
            setWhy((problem as Error).message);
        }
    };

    useEffect(() => {
        let left = false;
        void (async () => {
            try {
                const outcome = await tryEdit('type.change', { id: type, ...valuesOf(), fit: 'fitting' });
                if (left) return;
                if (outcome.wanted === 0) await save('all', 0);
                else setTried(outcome);
            } catch (problem) {
                if (!left) setWhy((problem as Error).message);
            }
        })();
        return () => {
            left = true;
        };
        // once, when it opens
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, []);

    if (!tried && !why) return null;
    const misfits = tried?.misfits ?? [];
    const fitting = (tried?.wanted ?? 0) - misfits.length;
    const openings = (n: number) => (n === 1 ? '1 opening' : `${n} openings`);
    return (
        <Dialog
            open
            onClose={onClose}
            title={why ? 'This cannot be saved' : `${openings(fitting)} ${fitting === 1 ? 'follows' : 'follow'}`}
            note={why ?? (misfits.length === 0 ? 'Every opening with this unit takes the change; it is undone as one step.' : undefined)}
        >
            {misfits.length > 0 && (
                <>
                    <p className="mb-2">
                        <b className="text-buoy">{openings(misfits.length)}</b> would no longer fit and{' '}
                        {misfits.length === 1 ? 'keeps' : 'keep'} the unit as it was, as a type of{' '}
                        {misfits.length === 1 ? 'its own' : 'their own'}:
                    </p>
                    <ul
                        className="mb-3 max-h-48 overflow-auto border-l-3 border-buoy bg-buoy-wash px-2.5 py-1.5 leading-snug"
                        tabIndex={0}
                        aria-label="What would not fit"
                    >
                        {misfits.slice(0, 60).map((m, i) => (
                            <li key={`${m.element} ${i}`}>
                                {m.place
                                    ? `${data.storeys.get(m.place.storey)?.name ?? ''}, ${data.frontageOf.get(m.place.host)?.name ?? ''}: `
                                    : ''}
                                {m.sentence}
                            </li>
                        ))}
                        {misfits.length > 60 && <li>and {misfits.length - 60} more</li>}
                    </ul>
                </>
            )}
            {tried?.notes.map((n) => (
                <p key={n} className="mb-2 text-quiet">
                    {n}
                </p>
            ))}
            <div className="mt-4 flex justify-end gap-2">
                <Button onClick={onClose}>{why ? 'Back to the bench' : 'Cancel'}</Button>
                {!why && (
                    <Button
                        look="main"
                        autoFocus
                        disabled={fitting === 0 && misfits.length > 0 && tried?.wanted === 0}
                        onClick={() => void save('fitting', tried?.wanted ?? 0)}
                    >
                        {misfits.length === 0 ? `Change ${openings(fitting)}` : `Change ${openings(fitting)}, keep ${misfits.length}`}
                    </Button>
                )}
            </div>
        </Dialog>
    );
}
