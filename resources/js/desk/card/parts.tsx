import type { ReactNode } from 'react';
import type { Args, Finding } from '../../api/client';
import { Button } from '../../ui/Button';
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

/** A finding with its remedy. */
export function FindingNote({ finding, place, onGo }: { finding: Finding; place?: string; onGo?: () => void }) {
    const data = useData();
    const remedy = finding.remedy;
    return (
        <div className="mt-2 border-l-3 border-buoy bg-buoy-wash px-2.5 py-1.5 leading-snug" data-finding={finding.rule}>
            {place && (
                <button type="button" className="block text-xs text-quiet underline hover:text-tide" onClick={onGo}>
                    {place}
                </button>
            )}
            <p>{finding.sentence}</p>
            {remedy && data.mayEdit && (
                <button type="button" className="font-semibold text-tide hover:underline" onClick={() => void data.edit(remedy.edit, remedy.args as Args)}>
                    {remedy.label}
                </button>
            )}
        </div>
    );
}

/** Sends one edit for a figure; the reason comes back instead of a notice, so that it stands at the figure. */
export function useSend() {
    const data = useData();
    return async (edit: string, args: Args): Promise<string | null> => {
        try {
            await data.edit(edit, args, { quiet: true });
            return null;
        } catch (problem) {
            return (problem as Error).message;
        }
    };
}

export function RemoveButton({ label, onClick }: { label: string; onClick: () => void }) {
    return (
        <Button small look="danger" className="-ml-2 mt-3" onClick={onClick}>
            {label}
        </Button>
    );
}
