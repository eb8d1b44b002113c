import { useData } from '../data';
import { useDesk } from '../store';
import { formatArea } from '../../measure/format';
import { Facts, FindingNote, Heading, RemoveButton } from './parts';

/** Several things chosen together: what they are. */
export function ManyCard({ ids }: { ids: string[] }) {
    const data = useData();
    const openings = ids.map((id) => data.openings.get(id)).filter((o) => o !== undefined);
    const counts = new Map<string, number>();
    for (const o of openings) counts.set(o.label, (counts.get(o.label) ?? 0) + 1);
    const area = openings.reduce((sum, o) => sum + o.width * o.height, 0);
    const places = [...new Set(openings.map((o) => o.frontage.name))].join(', ');
    return (
        <>
            <Heading title={`${openings.length} openings`} note={`${places} · chosen together`} />
            <Facts rows={[...[...counts].map(([label, n]) => [label, `${n} ×`] as [string, string]), ['Area together', formatArea(area, data.project.settings.units)]]} />
            {data.findings
                .filter((f) => f.elements.some((e) => ids.includes(e)))
                .slice(0, 5)
                .map((f, i) => (
                    <FindingNote key={i} finding={f} place={f.frontage.name} onGo={() => useDesk.getState().choose([f.elements[0]!])} />
                ))}
            {data.mayEdit && openings.length > 0 && <RemoveButton label={`Remove these ${openings.length} openings`} onClick={() => void data.edit('opening.remove', { ids: openings.map((o) => o.id) })} />}
        </>
    );
}
