import { formatArea } from '../measure/format';
import { useData } from '../desk/data';
import { seenOf, useGridBench } from './draft';

/** What the typical stretch is made of. */
export function TakeOff() {
    const data = useData();
    const t = useGridBench(seenOf)!.takeOff;
    const head = 'py-1 text-left text-xs font-normal text-quiet';
    return (
        <>
            <h2 className="font-semibold">Members</h2>
            <table className="mb-4 w-full">
                <thead>
                    <tr>
                        <th className={head}>Mark</th>
                        <th className={head}>Section</th>
                        <th className={`${head} text-right`}>Length</th>
                        <th className={`${head} text-right`}>Count</th>
                    </tr>
                </thead>
                <tbody>
                    {t.members.map((m) => (
                        <tr key={m.mark} title={m.what} className="border-t border-hairline">
                            <td className="py-0.5">{m.mark}</td>
                            <td>{m.profile}</td>
                            <td className="text-right">{data.length(m.length)}</td>
                            <td className="text-right">{m.count}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <h2 className="font-semibold">Infills</h2>
            <table className="w-full">
                <thead>
                    <tr>
                        <th className={head}>Mark</th>
                        <th className={head}>What</th>
                        <th className={`${head} text-right`}>Size</th>
                        <th className={`${head} text-right`}>Count</th>
                    </tr>
                </thead>
                <tbody>
                    {t.infills.map((i) => (
                        <tr key={i.mark} title={`${i.shape}, ${i.weight.toFixed(1)} kg each`} className="border-t border-hairline">
                            <td className="py-0.5">{i.mark}</td>
                            <td>{i.what}</td>
                            <td className="text-right">
                                {data.length(i.width)} × {data.length(i.height)}
                            </td>
                            <td className="text-right">{i.count}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </>
    );
}

export function FiguresStrip() {
    const data = useData();
    const view = useGridBench(seenOf);
    if (!view) return null;
    const t = view.takeOff;
    const units = data.project.settings.units;
    const rows: [string, string][] = [
        ['Glass', formatArea(t.glass, units)],
        ['Frame share', `${(t.frameShare * 100).toFixed(1)} %`],
        ['Infills', `${Math.round(t.weight)} kg`],
        ['Members', `${t.count}, ${Math.round(t.length / 1000)} m`],
        ['Doubts', view.doubts.length === 0 ? 'none' : String(view.doubts.length)],
        ['Longest', data.length(t.longest)],
    ];
    return (
        <dl className="grid grid-cols-[auto_1fr_auto_1fr] gap-x-3 gap-y-0.5 border-t border-hairline px-4 py-2">
            {rows.map(([name, figure]) => (
                <div key={name} className="contents">
                    <dt className="text-quiet">{name}</dt>
                    <dd className="text-right font-semibold whitespace-nowrap">{figure}</dd>
                </div>
            ))}
        </dl>
    );
}
