import { create } from 'zustand';
import { Choice, type Option } from '../../ui/Choice';
import { useData } from '../data';

/** What was said on a sheet last, so that the next time it takes the fewest keys. */
export const useKept = create<Record<string, string>>(() => ({}));

/** One remembered word or figure of a sheet. */
export function useWord<T extends string = string>(key: string, first: NoInfer<T>): [T, (value: T) => void] {
    const value = useKept((s) => s[key] as T | undefined) ?? first;
    return [value, (next) => useKept.setState({ [key]: next })];
}

/** A figure that is typed on a sheet; it takes sums and units, which the server reads. */
export function Entry({
    label,
    value,
    onChange,
    wide = false,
}: {
    label: string;
    value: string;
    onChange: (text: string) => void;
    wide?: boolean;
}) {
    return (
        <input
            type="text"
            aria-label={label}
            title={label}
            value={value}
            size={Math.max(value.length, wide ? 14 : 3)}
            onFocus={(e) => e.target.select()}
            onChange={(e) => onChange(e.target.value)}
            className={`field-sizing-content rounded-sm border-b border-tide bg-tide-wash px-1 font-semibold ${wide ? 'min-w-28' : 'min-w-8 text-center'}`}
        />
    );
}

/** One of a few words in a sentence. */
export function Pick<T extends string>({
    label,
    value,
    options,
    onChange,
}: {
    label: string;
    value: T;
    options: Record<T, string>;
    onChange: (value: T) => void;
}) {
    return (
        <Choice
            label={label}
            value={value}
            options={Object.entries<string>(options).map(([v, l]) => ({ value: v, label: l }))}
            onChange={(v) => onChange(v as T)}
        />
    );
}

/** Any of several. */
export function Ticks<T extends string>({
    label,
    options,
    chosen,
    onChange,
}: {
    label: string;
    options: Option<T>[];
    chosen: T[];
    onChange: (chosen: T[]) => void;
}) {
    const all = options.every((o) => chosen.includes(o.value));
    return (
        <fieldset className="my-1.5" aria-label={label}>
            <div className="flex max-h-44 flex-wrap gap-x-4 gap-y-1 overflow-auto">
                {options.map((o) => (
                    <label key={o.value} className="flex min-h-6 items-center gap-1.5">
                        <input
                            type="checkbox"
                            className="size-4 accent-(--tide)"
                            checked={chosen.includes(o.value)}
                            onChange={(e) => onChange(e.target.checked ? [...chosen, o.value] : chosen.filter((c) => c !== o.value))}
                        />{' '}
                        {o.label}
                    </label>
                ))}
            </div>
            {options.length > 2 && (
                <button
                    type="button"
                    className="min-h-6 text-xs text-tide underline"
                    onClick={() => onChange(all ? [] : options.map((o) => o.value))}
                >
                    {all ? 'none' : 'all'}
                </button>
            )}
        </fieldset>
    );
}

export function Tick({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) {
    return (
        <label className="my-1 flex min-h-6 items-center gap-1.5">
            <input type="checkbox" className="size-4 accent-(--tide)" checked={on} onChange={(e) => onChange(e.target.checked)} /> {label}
        </label>
    );
}

/** "W-03" for one, "4 openings" for several. */
export function useNamed(ids: string[]): string {
    const data = useData();
    if (ids.length !== 1) return `${ids.length} openings`;
    const o = data.openings.get(ids[0]!);
    return o ? `${o.label} · ${o.frontage.name} · ${data.storeys.get(o.storey)?.name ?? ''}` : '';
}

/** The upright lines of the frontages that these lie in, from left to right. */
export function useUprights(ids: string[]): Option[] {
    const data = useData();
    const frontages = new Set(ids.map((id) => (data.openings.get(id)?.frontage ?? data.frontageOf.get(id))?.id));
    return [...data.lines.values()]
        .filter((l) => l.axis === 'upright' && frontages.has(l.frontage.id))
        .sort((a, b) => (a.u ?? 0) - (b.u ?? 0))
        .map((l) => ({ value: l.id, label: l.name }));
}
