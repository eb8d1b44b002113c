import { useEffect, useRef, useState, type RefObject } from 'react';

export type Typed = {
    /** what is typed and not taken yet, or null */
    text: string | null;
    type: (text: string) => void;
    /** What was typed is forgotten. */
    drop: () => void;
    /** Sends what is typed, each text once; true when nothing is left to send. */
    send: () => Promise<boolean>;
    /** Whether nothing more has been typed since. */
    idle: () => boolean;
};

/**
 * What is typed in a field until it is taken. Enter, leaving the field and a shortcut may all ask for it to be sent, before the
 * page has been
 * drawn anew: it is sent once ("−75" twice over would be −150). What is typed while the one before is under way waits for it, and stays.
 *
 * @param shown how the stored figure is written; the same again is not sent
 * @param onSend true when it was taken, false when it was refused and stays
 * @param stays whether it stays although the stored figure has changed
 */
export function useTyped(
    input: RefObject<HTMLInputElement | null>,
    shown: string,
    stays: boolean,
    onSend: (text: string) => Promise<boolean>,
): Typed {
    const [text, setText] = useState<string | null>(null);
    const typed = useRef<string | null>(null);
    const under = useRef<{ text: string; done: Promise<boolean> } | null>(null);

    const type = (now: string | null) => {
        typed.current = now;
        setText(now);
    };
    useEffect(() => {
        if (stays || under.current !== null || document.activeElement === input.current) return;
        typed.current = null;
        setText(null);
    }, [input, shown, stays]);

    const send = async (): Promise<boolean> => {
        while (under.current !== null) {
            if (under.current.text === typed.current) return under.current.done;
            await under.current.done;
        }
        const now = typed.current;
        if (now === null || now.trim() === shown.trim()) return true;
        const done = onSend(now).finally(() => (under.current = null));
        under.current = { text: now, done };
        const taken = await done;
        if (taken && typed.current === now) type(null);
        return taken;
    };
    return { text, type, drop: () => type(null), send, idle: () => typed.current === null || typed.current.trim() === shown.trim() };
}
