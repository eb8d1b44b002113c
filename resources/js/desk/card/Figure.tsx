import { useRef, useState } from 'react';
import { backToDrawing } from '../../ui/commit';
import { useLive } from '../../ui/live';
import { useTyped } from '../../ui/useTyped';
import { typedOut, typing } from './typing';

type Props = {
    label: string;
    /** how the stored figure is written */
    shown: string;
    disabled?: boolean;
    /** sends what was typed; answers with why not, or null */
    onSend: (text: string) => Promise<string | null>;
};

/** A figure in a sentence: a field that takes sums and units. What was typed stays, with the reason, when it is refused; where the page is
 * live it shows while it is typed what it would make. */
export function Figure({ label, shown, disabled = false, onSend }: Props) {
    const [problem, setProblem] = useState<string | null>(null);
    const input = useRef<HTMLInputElement>(null);
    const live = useLive();
    const typed = useTyped(input, shown, problem !== null, async (text) => {
        live.stop();
        const why = await onSend(text);
        live.drop();
        setProblem(why);
        if (why === null) typedOut(label);
        return why === null;
    });
    const { text, send } = typed;

    if (disabled) return <b className="tabular-nums">{shown}</b>;
    return (
        <span>
            <input
                ref={input}
                aria-label={label}
                aria-invalid={problem !== null}
                value={text ?? shown}
                size={Math.max((text ?? shown).length, 3)}
                title={problem ?? label}
                className={`field-sizing-content min-w-8 rounded-sm border-b px-1 text-center font-semibold ${problem ? 'border-buoy bg-buoy-wash text-buoy' : 'border-tide bg-tide-wash'}`}
                onFocus={(e) => e.target.select()}
                onChange={(e) => {
                    typed.type(e.target.value);
                    typing(label, e.target.value);
                    setProblem(null);
                    const now = e.target.value;
                    live.typed(now.trim() === '' || now.trim() === shown.trim() ? null : () => void onSend(now));
                }}
                onBlur={() => {
                    if (text === null || text.trim() === shown.trim()) typedOut(label);
                    if (text !== null && text.trim() === shown.trim()) live.drop();
                    void send();
                }}
                onKeyDown={(e) => {
                    // Enter gives the drawing back the keys; Tab goes on to the next field
                    if (e.key === 'Enter') void send().then((done) => done && typed.idle() && backToDrawing(input.current));
                    if (e.key === 'Escape') {
                        typed.drop();
                        typedOut(label);
                        setProblem(null);
                        live.drop();
                        e.currentTarget.blur();
                        e.stopPropagation();
                    }
                }}
            />
            {problem && (
                <span role="alert" className="my-1 block border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-xs leading-snug text-buoy">
                    {problem}
                </span>
            )}
        </span>
    );
}
