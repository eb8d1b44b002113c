import { formatArea } from '../measure/format';
import { useData } from '../desk/data';
import { Heading } from '../desk/card/parts';
import { useBench } from './draft';

/** What one unit is made of: members with their cuts, glass, hardware. */
export function TakeOffCard() {
    const data = useData();
    const view = useBench((b) => b.view)!;
    const units = data.project.settings.units;
    const ends = (m: (typeof view.members)[number]) =>
        m.radius !== null
            ? `radius ${data.length(m.radius)}`
            : m.ends.length === 0
              ? 'curved'
              : m.ends.every((e) => e === 90)
                ? 'square'
                : m.ends.map((e) => `${+e.toFixed(1)}°`).join(' · ');
    return (
        <>
            <Heading title="Take-off" note="Of one unit: lengths point to point, glass with its edge cover." />
            <Table heads={['Member', 'Section', 'Length', 'Ends', 'No.']}>
                {view.members.map((m, i) => (
                    <tr key={i} className="border-b border-hairline/60">
                        <td className="py-0.5">{m.what}</td>
                        <td className="text-right whitespace-nowrap">
                            {data.length(m.face)} × {data.length(m.depth)}
                        </td>
                        <td className="text-right">{data.length(m.length)}</td>
                        <td className="text-right">{ends(m)}</td>
                        <td className="text-right font-semibold">{m.count}</td>
                    </tr>
                ))}
            </Table>
            {view.panes.length > 0 && (
                <Table heads={['Glass', 'Size', 'Area', 'Weight', 'No.']}>
                    {view.panes.map((p, i) => (
                        <tr key={i} className="border-b border-hairline/60">
                            <td className="py-0.5">{p.glass}</td>
                            <td className="text-right whitespace-nowrap">
                                {data.length(p.width)} × {data.length(p.height)}
                                {p.rectangular ? '' : ', shaped'}
                            </td>
                            <td className="text-right">{formatArea(p.area, units)}</td>
                            <td className="text-right">{p.weight.toFixed(1)} kg</td>
                            <td className="text-right font-semibold">{p.count}</td>
                        </tr>
                    ))}
                </Table>
            )}
            {Object.keys(view.hardware).length > 0 && (
                <Table heads={['Hardware', 'No.']}>
                    {Object.entries(view.hardware).map(([what, n]) => (
                        <tr key={what} className="border-b border-hairline/60">
                            <td className="py-0.5">{what}</td>
                            <td className="text-right font-semibold">{n}</td>
                        </tr>
                    ))}
                </Table>
            )}
        </>
    );
}

function Table({ heads, children }: { heads: string[]; children: React.ReactNode }) {
    return (
        <table className="mb-4 w-full text-xs">
            <thead>
                <tr className="border-b border-ink/50">
                    {heads.map((h, i) => (
                        <th key={h} className={`pb-0.5 font-semibold ${i === 0 ? 'text-left' : 'text-right'}`}>
                            {h}
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>{children}</tbody>
        </table>
    );
}
