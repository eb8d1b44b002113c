import { useRef, type ReactNode } from 'react';
import { useLive } from './live';
import { useTyped } from './useTyped';

type Props = {
    label: string;
    title: string;
    /** how the stored figure is written */
    shown: string;
    look: 'overall' | 'typed' | 'left';
    /** why what was typed cannot be */
    wrong: string | null;
    readOnly?: boolean;
    field?: string;
    /** where its middle lies for a width of its own, px */
    place: (width: number) => [number, number];
    onSend: (text: string) => Promise<boolean>;
    onClear: () => void;
};

const looks = {
    overall: 'font-bold text-ink',
    typed: 'font-semibold text-tide',
    left: 'text-quiet italic',
};

/** How wide a field with this text stands on a drawing, px. */
export const fieldWidth = (text: string): number => Math.max(text.length * 7 + 12, 34);

/** A figure of a chain of dimensions on a bench's drawing that is a field: what was typed stays, with the reason, when it is refused. */
export function ChainField({ label, title, shown, look, wrong, readOnly = false, field, place, onSend, onClear }: Props): ReactNode {
    const input = useRef<HTMLInputElement>(null);
    const live = useLive();
    const typed = useTyped(input, shown, wrong !== null, async (text) => {
        live.stop();
        const taken = await onSend(text);
        live.drop();
        return taken;
    });
    const text = typed.text ?? shown;
    const width = fieldWidth(text);
    const [x, y] = place(width);
    return (
        <>
            <input
                ref={input}
                aria-label={label}
                aria-invalid={wrong !== null}
                readOnly={readOnly}
                title={wrong ?? title}
                value={text}
                data-field={field}
                className={
                    'absolute h-6 -translate-x-1/2 -translate-y-1/2 rounded-sm border text-center text-[11.5px] tabular-nums ' +
                    'outline-offset-0 focus:z-20 ' +
                    (wrong ? 'z-20 border-buoy bg-buoy-wash text-buoy' : `border-transparent bg-sheet hover:border-tide ${looks[look]}`)
                }
                style={{ left: x, top: y, width }}
                onFocus={(e) => e.target.select()}
                onChange={(e) => {
                    typed.type(e.target.value);
                    onClear();
                    const now = e.target.value;
                    live.typed(now.trim() === '' || now.trim() === shown.trim() ? null : () => void onSend(now));
                }}
                onBlur={() => void typed.send()}
                onKeyDown={(e) => {
                    if (!e.ctrlKey && !e.metaKey) e.stopPropagation();
                    if (e.key === 'Enter') void typed.send();
                    if (e.key === 'Escape') {
                        typed.drop();
                        onClear();
                        live.drop();
                        e.currentTarget.blur();
                    }
                }}
            />
            {wrong && (
                <p
                    role="alert"
                    className={
                        'absolute z-30 w-64 -translate-x-1/2 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-xs leading-snug ' +
                        'text-buoy shadow'
                    }
                    style={{ left: Math.max(140, x), top: y + 13 }}
                >
                    {wrong}
                </p>
            )}
        </>
    );
}
