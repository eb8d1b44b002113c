import { Button } from '../../ui/Button';
import { useData, type FoundFinding } from '../data';
import { useDesk } from '../store';
import { FindingNote, Heading } from './parts';

/** Every finding, with its place and its remedy. */
export function FindingsList() {
    const data = useData();
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
                note="What is doubtful, with its figure"
            >
                <Button small look="plain" onClick={() => useDesk.setState({ listFindings: false })}>
                    Close
                </Button>
            </Heading>
            {data.findings.length === 0 && <p className="text-moss">✓ Nothing is doubtful.</p>}
            {data.findings.map(note)}
            {data.accepted.length > 0 && (
                <details className="mt-3 border-t border-hairline pt-2">
                    <summary className="cursor-pointer text-quiet">{`${data.accepted.length} accepted`}</summary>
                    {data.accepted.map(note)}
                </details>
            )}
        </>
    );
}
