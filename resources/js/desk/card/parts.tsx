import { Accepting } from './Accepting';
import { Key } from '../../ui/Key';
import { type ReactNode } from 'react';
import { proposed, type Finding, type EditArgs, type EditName } from '../../api/client';
import { Button } from '../../ui/Button';
import type { Action } from '../actions';
import { isTry, unanswered } from '../../ui/live';
import { showTried } from '../tried';
import { useData } from '../data';

/** A card's heading. */
export function Heading({ title, note, children }: { title: string; note: ReactNode; children?: ReactNode }) {
    return (
        <header className="mb-2 flex items-start gap-2">
            <div className="grow">
                <h2 className="text-[15px] font-semibold">{title}</h2>
                <p className="text-quiet">{note}</p>
            </div>
            {children}
        </header>
    );
}

export function Sentence({ children }: { children: ReactNode }) {
    return <p className="my-1.5 leading-[1.75]">{children}</p>;
}

/** Facts that follow: name left, figure right. */
export function Facts({ rows }: { rows: [string, ReactNode][] }) {
    return (
        <dl className="mt-3 grid grid-cols-[1fr_auto] gap-y-0.5 border-t border-hairline pt-2">
            {rows.map(([name, figure]) => (
                <div key={name} className="contents">
                    <dt className="text-quiet">{name}</dt>
                    <dd className="text-right font-semibold">{figure}</dd>
                </div>
            ))}
        </dl>
    );
}

/** A finding with its remedy; it can be accepted with a reason, and opened again. */
export function FindingNote({ finding, place, onGo }: { finding: Finding; place?: string; onGo?: () => void }) {
    const data = useData();
    const { remedy, accepted } = finding;
    const accept = async (note: string) =>
        (await data.edit('finding.accept', { host: finding.host, finding: finding.key, figure: finding.figure, note })) !== null;
    return (
        <div
            className={`mt-2 border-l-3 px-2.5 py-1.5 leading-snug ${accepted ? 'border-hairline bg-paper' : 'border-buoy bg-buoy-wash'}`}
            data-finding={finding.rule}
        >
            {place && (
                <button type="button" className="block text-xs text-quiet underline hover:text-tide" onClick={onGo}>
                    {place}
                </button>
            )}
            <p>{finding.sentence}</p>
            {accepted && <p className="text-quiet">Accepted{accepted.note ? `: ${accepted.note}` : ''}</p>}
            {data.mayEdit && (
                <p className="flex flex-wrap items-center gap-x-3">
                    {remedy && !accepted && (
                        <button
                            type="button"
                            className="font-semibold text-tide hover:underline"
                            onClick={() => {
                                const { edit, args } = proposed(remedy);
                                void data.edit(edit, args);
                            }}
                        >
                            {remedy.label}
                        </button>
                    )}
                    {accepted ? (
                        <button
                            type="button"
                            className="text-tide underline"
                            onClick={() => void data.edit('finding.reopen', { id: accepted.id })}
                        >
                            Reopen
                        </button>
                    ) : (
                        <Accepting open="Accept…" label="Reason" onAccept={accept} />
                    )}
                </p>
            )}
        </div>
    );
}

/** What can be done with it, each with its key. */
export function ActionRow({ actions }: { actions: Action[] }) {
    if (actions.length === 0) return null;
    return (
        <div className="my-2 flex flex-wrap gap-x-0.5 gap-y-1 border-y border-hairline py-1.5">
            {actions.map((a) => (
                <button
                    key={a.name}
                    type="button"
                    title={a.name}
                    onClick={a.run}
                    className="inline-flex min-h-6 items-center gap-1 rounded px-1.5 text-tide hover:bg-tide-wash"
                >
                    {a.short ?? a.name}
                    {a.key && <Key of={a.key.toUpperCase()} />}
                </button>
            ))}
        </div>
    );
}

/** Sends one edit for a figure; the reason comes back instead of a notice, so that it stands at the figure. */
export function useSend() {
    const data = useData();
    return async <N extends EditName>(edit: N, args: EditArgs<N>): Promise<string | null> => {
        if (isTry()) {
            await showTried(data.tryEdit(edit, args));
            return unanswered();
        }
        try {
            await data.edit(edit, args, { quiet: true });
            return null;
        } catch (problem) {
            return (problem as Error).message;
        }
    };
}

/** Sends what a button or a choice asks for: a refusal is said where all are. Answers whether it was done. */
export function useAsk() {
    const data = useData();
    return async <N extends EditName>(edit: N, args: EditArgs<N>): Promise<boolean> => (await data.edit(edit, args)) !== null;
}

export function RemoveButton({ label, onClick, keyed = true }: { label: string; onClick: () => void; keyed?: boolean }) {
    return (
        <Button small look="danger" className="-ml-2 mt-3" onClick={onClick}>
            {label} {keyed && <Key of="Delete" />}
        </Button>
    );
}
