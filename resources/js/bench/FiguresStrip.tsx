import { useState } from 'react';
import { UnitLimitsDialog } from '../desk/UnitLimitsDialog';
import { formatArea } from '../measure/format';
import { useData } from '../desk/data';
import { choose, useBench } from './draft';

/** The unit's figures, always in sight, and what is doubtful about it. */
export function FiguresStrip() {
    const data = useData();
    const view = useBench((b) => b.view);
    const [limits, setLimits] = useState(false);
    if (!view) return null;
    const { figures: f, doubts } = view;
    const units = data.project.settings.units;
    const rows: [string, string][] = [
        ['Glass', formatArea(f.glass, units)],
        ['Frame share', `${(f.frameShare * 100).toFixed(1)} %`],
        ['Weight', `${f.weight.total.toFixed(0)} kg`],
        ['Free opening', formatArea(f.free, units)],
        ...(f.louvre > 0 ? [['Louvre free', formatArea(f.louvre, units)] as [string, string]] : []),
        ...(f.clear.width > 0
            ? [['Largest clear', `${data.length(f.clear.width)} × ${data.length(f.clear.height)}`] as [string, string]]
            : []),
    ];
    return (
        <section aria-label="Figures of the unit" className="shrink-0 border-t border-hairline bg-sheet px-4 py-2">
            {doubts.length > 0 && (
                <ul className="mb-2 max-h-36 space-y-1 overflow-auto" aria-label="Findings" tabIndex={0}>
                    {doubts.map((d, i) => (
                        <li key={i}>
                            <button
                                type="button"
                                data-doubt={d.rule}
                                className="w-full border-l-3 border-buoy bg-buoy-wash px-2 py-0.5 text-left text-xs leading-snug hover:underline"
                                onClick={() => choose(d.path)}
                            >
                                It {d.what}.
                            </button>
                        </li>
                    ))}
                    <li>
                        <button type="button" className="text-xs text-tide underline" onClick={() => setLimits(true)}>
                            What this project holds units to…
                        </button>
                    </li>
                </ul>
            )}
            <UnitLimitsDialog open={limits} onClose={() => setLimits(false)} />
            <dl className="grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)] gap-x-4 text-xs">
                {rows.map(([name, figure]) => (
                    <div
                        key={name}
                        className={`flex justify-between gap-2 whitespace-nowrap ${name === 'Largest clear' && units === 'ft-in' ? 'col-span-2' : ''}`}
                    >
                        <dt className="text-quiet">{name}</dt>
                        <dd className="font-semibold">{figure}</dd>
                    </div>
                ))}
            </dl>
        </section>
    );
}
