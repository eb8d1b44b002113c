import type { Report } from '../../api/client';
import { formatArea } from '../../measure/format';
import { Figure } from '../card/Figure';
import { useSend } from '../card/parts';
import { useData } from '../data';
import { useDesk } from '../store';

const at = (report: Report, key: string) => report.columns.findIndex((c) => c.key === key);
const number = (value: string | number | null | undefined) => (typeof value === 'number' ? value : 0);

/** The bars that are cut, each as long as it is beside the longest: what is used of it, and what is waste. */
export function CuttingBars({ report }: { report: Report }) {
    const data = useData();
    const send = useSend();
    const rules = data.project.settings.curtainRules;
    const [bar, count, share, cuts] = [at(report, 'bar'), at(report, 'count'), at(report, 'wasteShare'), at(report, 'cuts')];
    const longest = Math.max(...report.rows.map((r) => number(r.values[bar])), 1);
    const change = (values: object) => send('settings.change', { curtainRules: { ...rules, ...values } });
    const fixed = !data.mayEdit;
    return (
        <section aria-label="Bars" className="max-h-[46%] shrink-0 overflow-auto border-b border-hairline px-3 py-2" tabIndex={0}>
            <p className="mb-1.5">
                Bars of{' '}
                <Figure
                    label="Lengths of bars"
                    shown={rules.bars.map((b) => data.length(b)).join(', ')}
                    disabled={fixed}
                    onSend={(text) => change({ bars: text.split(/[,;]/).map((t) => t.trim()) })}
                />
                , the saw takes{' '}
                <Figure label="The saw’s cut" shown={data.length(rules.kerf)} disabled={fixed} onSend={(t) => change({ kerf: t })} />,{' '}
                <Figure label="Trimmed ends" shown={data.length(rules.trim)} disabled={fixed} onSend={(trim) => change({ trim })} /> are
                trimmed off both ends.
            </p>
            {bar >= 0 && count >= 0 && share >= 0 && (
                <ul>
                    {report.rows.map((row, i) =>
                        row.kind === 'group' ? (
                            <li key={i} className="mt-1 text-xs font-semibold">
                                {row.text}
                            </li>
                        ) : row.kind === 'row' && number(row.values[bar]) > 0 ? (
                            <li key={i} className="flex items-center gap-2 py-px" title={String(row.values[cuts] ?? '')}>
                                <span className="w-24 shrink-0 text-right text-xs tabular-nums">
                                    {number(row.values[count])} × {data.length(number(row.values[bar]))}
                                </span>
                                <span className="min-w-0 grow">
                                    <span
                                        className="flex h-3 border border-ink/60"
                                        style={{ width: `${(number(row.values[bar]) / longest) * 100}%` }}
                                    >
                                        <span className="bg-tide/30" style={{ width: `${(1 - number(row.values[share])) * 100}%` }} />
                                        <span
                                            className="grow border-l border-ink/60"
                                            style={{
                                                background: 'repeating-linear-gradient(45deg, var(--buoy-wash) 0 3px, var(--buoy) 3px 4px)',
                                            }}
                                        />
                                    </span>
                                </span>
                                <span className="w-20 shrink-0 text-xs text-quiet">
                                    {(number(row.values[share]) * 100).toFixed(1)} % waste
                                </span>
                            </li>
                        ) : null,
                    )}
                </ul>
            )}
        </section>
    );
}

const parts = [
    ['glass', 'Glass', 'var(--glass)'],
    ['opaque', 'Opaque', 'var(--spandrel)'],
    ['open', 'Open', 'var(--sheet)'],
    ['frame', 'Members', 'var(--quiet)'],
] as const;

/** What curtain walls show by frontage and the way they face: a bar for each, as its table has it. */
export function SharesChart({ report }: { report: Report }) {
    const data = useData();
    const units = data.project.settings.units;
    const [face, frontage, facing] = [at(report, 'face'), at(report, 'frontage'), at(report, 'facing')];
    const most = Math.max(...report.rows.map((r) => (r.kind === 'row' ? number(r.values[face]) : 0)), 1);
    return (
        <section aria-label="Shares" className="max-h-[46%] shrink-0 overflow-auto border-b border-hairline px-3 py-2" tabIndex={0}>
            <p className="mb-1.5 flex gap-4 text-xs text-quiet">
                {parts.map(([key, says, fill]) => (
                    <span key={key} className="flex items-center gap-1.5">
                        <span className="inline-block h-3 w-4 border border-ink/60" style={{ background: fill }} />
                        {says}
                    </span>
                ))}
            </p>
            <ul>
                {report.rows.map((row, i) => {
                    if (row.kind !== 'row') return null;
                    const whole = number(row.values[face]);
                    const shares = parts.map(([key, says, fill]) => ({ says, fill, area: number(row.values[at(report, key)]) }));
                    return (
                        <li key={i}>
                            <button
                                type="button"
                                className="flex min-h-6 w-full items-center gap-2 text-left hover:bg-paper"
                                title={shares.map((s) => `${s.says} ${((s.area / whole) * 100).toFixed(1)} %`).join(' · ')}
                                onClick={() => {
                                    useDesk.getState().choose(row.elements);
                                    useDesk.getState().show(row.elements);
                                }}
                            >
                                <span className="w-44 shrink-0 truncate text-xs">
                                    {[row.values[facing], row.values[frontage]].filter(Boolean).join(' · ')}
                                </span>
                                <span className="min-w-0 grow">
                                    <span className="flex h-3.5 border border-ink/60" style={{ width: `${(whole / most) * 100}%` }}>
                                        {shares.map((s) => (
                                            <span key={s.says} style={{ background: s.fill, width: `${(s.area / whole) * 100}%` }} />
                                        ))}
                                    </span>
                                </span>
                                <span className="w-36 shrink-0 text-right text-xs text-quiet">
                                    {((shares[0]!.area / whole) * 100).toFixed(1)} % glass of {formatArea(whole, units)}
                                </span>
                            </button>
                        </li>
                    );
                })}
            </ul>
        </section>
    );
}
