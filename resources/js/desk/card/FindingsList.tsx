import { Button } from '../../ui/Button';
import { useData } from '../data';
import { useDesk } from '../store';
import { FindingNote, Heading } from './parts';

/** Every finding, with its place and its remedy. */
export function FindingsList() {
    const data = useData();
    const go = (elements: string[]) => {
        useDesk.getState().set({ chosen: elements.slice(0, 1) });
        useDesk.getState().show(elements.slice(0, 1));
    };
    return (
        <>
            <Heading title={data.findings.length === 0 ? 'No findings' : `${data.findings.length} findings`} note="What is doubtful, with its figure">
                <Button small look="plain" onClick={() => useDesk.setState({ listFindings: false })}>
                    Close
                </Button>
            </Heading>
            {data.findings.length === 0 && <p className="text-moss">✓ Nothing overlaps, runs past an edge, or comes too near to a corner.</p>}
            {data.findings.map((f, i) => (
                <FindingNote key={i} finding={f} place={`${f.frontage.name} · ${data.storeys.get(data.openings.get(f.elements[0]!)?.storey ?? '')?.name ?? ''}`} onGo={() => go(f.elements)} />
            ))}
        </>
    );
}
