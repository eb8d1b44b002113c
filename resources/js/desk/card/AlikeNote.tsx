import { useState } from 'react';
import { proposed, type EditArgs } from '../../api/client';
import { Button } from '../../ui/Button';
import { complain, tell } from '../../ui/notices';
import { useData, type FoundFinding } from '../data';
import { useDesk } from '../store';
import { Accepting } from './Accepting';
import type { Alike } from './alike';

type Change = EditArgs<'opening.change'> & { id: string };

/** What puts one right, where it changes the opening itself. */
const change = (f: FoundFinding): Change | null => {
    if (!f.remedy) return null;
    const { edit, args } = proposed(f.remedy);
    return edit === 'opening.change' && 'id' in args ? (args as Change) : null;
};

/** Findings that are alike as one, with their count: shown, accepted with one note, put right together. */
export function AlikeNote({ group: { all } }: { group: Alike }) {
    const data = useData();
    const [busy, setBusy] = useState(false);
    const [can, setCan] = useState<{ fit: number; why: string | null } | null>(null);
    const first = all[0]!;
    const changes = all.map(change).filter((c) => c !== null);
    const places = [...new Set(all.map((f) => f.frontage.name))];
    const show = () => {
        const elements = [...new Set(all.map((f) => f.elements[0]!))];
        useDesk.getState().set({ chosen: elements, face: first.frontage.inner ? 'inner' : 'outer' });
        useDesk.getState().show(elements);
    };
    const args = { changes, fit: 'fitting' } as EditArgs<'opening.change-each'>;
    const doing = async (work: () => Promise<void>) => {
        setBusy(true);
        try {
            await work();
        } catch (problem) {
            complain(problem);
        } finally {
            setBusy(false);
        }
    };
    const tryAll = () =>
        doing(async () => {
            const tried = await data.tryEdit('opening.change-each', args);
            setCan({ fit: tried.wanted - tried.misfits.length, why: tried.misfits[0]?.sentence ?? null });
        });
    const putRight = () =>
        doing(async () => {
            const outcome = await data.edit('opening.change-each', args, { quiet: true, many: changes.length });
            if (outcome) tell(`${outcome.summary}.`, { label: 'Undo', run: () => void data.undo() });
            setCan(null);
        });
    const accept = async (note: string) => {
        const found = all.map((f) => ({ host: f.host, finding: f.key, figure: f.figure }));
        return (await data.edit('finding.accept', { note, all: found })) !== null;
    };
    return (
        <div
            className="mt-2 border-l-3 border-buoy bg-buoy-wash px-2.5 py-1.5 leading-snug"
            data-finding={first.rule}
            data-alike={all.length}
        >
            <button type="button" className="block text-left text-xs text-quiet underline hover:text-tide" onClick={show}>
                {places.slice(0, 3).join(', ')}
                {places.length > 3 ? ` and ${places.length - 3} more` : ''}
            </button>
            <p>
                <b className="mr-1.5 rounded bg-buoy px-1.5 text-on-tide">{all.length}</b>
                like this: {first.sentence}
            </p>
            {data.mayEdit && (
                <p className="flex flex-wrap items-center gap-x-3">
                    {changes.length > 0 && can === null && (
                        <button
                            type="button"
                            disabled={busy}
                            className="min-h-6 font-semibold text-tide hover:underline"
                            onClick={() => void tryAll()}
                        >
                            {busy ? 'Trying…' : changes.length === all.length ? 'Put all right…' : `Put ${changes.length} right…`}
                        </button>
                    )}
                    {can !== null && (
                        <span className="w-full pt-1">
                            {can.fit === 0
                                ? `None can be put right so: ${can.why ?? ''}`
                                : `${can.fit === changes.length ? 'All' : `${can.fit} of ${changes.length}`} can be put right${can.why ? `; else: ${can.why}` : '.'}`}{' '}
                            {can.fit > 0 && (
                                <Button small look="main" disabled={busy} onClick={() => void putRight()}>
                                    {`Put ${can.fit} right`}
                                </Button>
                            )}{' '}
                            <Button small look="plain" onClick={() => setCan(null)}>
                                Cancel
                            </Button>
                        </span>
                    )}
                    <Accepting open="Accept all…" label="Reason for all" onAccept={accept} />
                </p>
            )}
        </div>
    );
}
