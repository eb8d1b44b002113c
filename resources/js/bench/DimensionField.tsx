import type { Args, BenchDimension } from '../api/client';
import { formatLength } from '../measure/format';
import { ChainField } from '../ui/ChainField';
import { useData } from '../desk/data';
import { step, useBench } from './draft';
import { type Line } from './layout';

export const fieldOf = (d: BenchDimension): string => `${d.step} ${JSON.stringify(d.args)} ${d.field}`;

/** The arguments of a dimension's step with what was typed for its figure. */
function argsOf(d: BenchDimension, text: string): Args {
    if (d.step === 'part' && /^\s*(rest|=)?\s*$/i.test(text)) return { ...d.args, share: 1 };
    const share = /^\s*(\d+(?:[.,]\d+)?)\s*(?:shares?|×|x)\s*$/i.exec(text);
    if (d.step === 'part' && share) return { ...d.args, share: Number(share[1]!.replace(',', '.')) };
    if (d.step === 'stretch' && d.field === 'length' && /^\s*(rest|=)?\s*$/i.test(text)) return { ...d.args, share: 1 };
    const [group, name] = d.field.split('.');
    return name ? { ...d.args, [group!]: { ...(d.args[group!] as Args), [name]: text } } : { ...d.args, [d.field]: text };
}

/**
 * A figure that follows from others, with no field: frame and dividers between the parts of a chain. Where it has no room it is told
 * on asking.
 */
export function Between({ dimension: d, line }: { dimension: BenchDimension; line: Line }) {
    const data = useData();
    const shown = formatLength(d.value, data.project.settings.units);
    const room = Math.hypot(line.to[0] - line.from[0], line.to[1] - line.from[1]);
    const fits = line.upright ? room >= 11 : room >= shown.length * 5.5;
    return (
        <span
            title={`${shown}: frame or divider between the parts`}
            className="absolute -translate-x-1/2 -translate-y-1/2 bg-sheet text-[9.5px] leading-none text-quiet tabular-nums"
            style={{ left: line.label[0], top: line.label[1], minWidth: 6, minHeight: 6 }}
            data-between={d.value.toFixed(1)}
        >
            {fits ? shown : ''}
        </span>
    );
}

/** A figure on the drawing that is a field: what is typed is solid, what is left of it faint. */
export function DimensionField({ dimension: d, line }: { dimension: BenchDimension; line: Line }) {
    const data = useData();
    const wrong = useBench((b) => (b.wrong?.field === fieldOf(d) ? b.wrong.message : null));
    const shown = d.axis === 'angle' ? `${+d.value.toFixed(2)}°` : formatLength(d.value, data.project.settings.units);
    return (
        <ChainField
            label={d.label}
            title={`${d.label}${d.typed ? '' : ': what is left'}${d.kind === 'part' ? ' · “rest” gives it what is left' : ''}`}
            shown={shown}
            look={d.kind === 'overall' ? 'overall' : d.typed ? 'typed' : 'left'}
            wrong={wrong}
            readOnly={!data.mayEdit}
            field={fieldOf(d)}
            place={(width) => {
                // beside an upright line, away from the drawing
                const aside = line.upright ? Math.max(0, width / 2 - 20) * Math.sign(line.label[0] - line.from[0]) : 0;
                return [line.label[0] + aside, line.label[1]];
            }}
            onSend={async (text) => data.mayEdit && (await step(d.step, argsOf(d, text), fieldOf(d)))}
            onClear={() => wrong && useBench.setState({ wrong: null })}
        />
    );
}
