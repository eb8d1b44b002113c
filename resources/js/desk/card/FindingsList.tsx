import { useMemo } from 'react';
import { Button } from '../../ui/Button';
import { useData, type FoundFinding } from '../data';
import { useDesk } from '../store';
import { alike } from './alike';
import { AlikeNote } from './AlikeNote';
import { FindingNote, Heading } from './parts';

/** Entries that are listed at once. */
const MOST = 200;

/** Every finding, with its place and its remedy; those that are alike as one. */
export function FindingsList() {
    const data = useData();
    const groups = useMemo(() => alike(data.findings, data.openings), [data.findings, data.openings]);
    const go = (f: FoundFinding) => {
        const elements = f.elements.slice(0, 1);
        useDesk.getState().set({ chosen: elements, face: f.frontage.inner ? 'inner' : 'outer' });
        useDesk.getState().show(elements);
    };
    const note = (f: FoundFinding) => (
        <FindingNote
            key={`${f.key} ${f.figure}`}
            finding={f}
            place={`${f.frontage.name} · ${data.storeys.get(data.openings.get(f.elements[0]!)?.storey ?? '')?.name ?? ''}`}
            onGo={() => go(f)}
        />
    );
    return (
        <>
            <Heading
                title={
                    data.findings.length === 0
                        ? 'No findings'
                        : data.findings.length === 1
                          ? '1 finding'
                          : `${data.findings.length} findings`
                }
                note={groups.length < data.findings.length ? `Those alike are one: ${groups.length} kinds` : 'Each with its figure'}
            >
                <Button small look="plain" onClick={() => useDesk.setState({ listFindings: false })}>
                    Close
                </Button>
            </Heading>
            {data.findings.length === 0 && <p className="text-moss">✓ No findings.</p>}
            {groups.slice(0, MOST).map((g) => (g.all.length > 1 ? <AlikeNote key={g.key} group={g} /> : note(g.all[0]!)))}
            {groups.length > MOST && <p className="mt-2 text-quiet">and {groups.length - MOST} more, once these are settled.</p>}
            {data.accepted.length > 0 && (
                <details className="mt-3 border-t border-hairline pt-2">
                    <summary className="cursor-pointer text-quiet">{`${data.accepted.length} accepted`}</summary>
                    {data.accepted.map(note)}
                </details>
            )}
        </>
    );
}
