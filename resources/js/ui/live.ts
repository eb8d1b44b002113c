import { createContext, useContext, useEffect, useRef } from 'react';

/** A pause in typing after which what is typed is tried, ms. */
const PAUSE = 120;

let trying = false;

/** Whether what a field sends just now is only to be tried, to show what it would make. */
export const isTry = (): boolean => trying;

/** What follows a try does not happen: nobody is answered. */
export const unanswered = <T>(): Promise<T> => new Promise<T>(() => undefined);

/** Where what is typed shows at once what it would make. */
export const Live = createContext<{ drop: () => void } | null>(null);

/** Tries what a field would send, when its typing pauses; null drops what was shown. */
export function useLive(): (send: (() => unknown) | null) => void {
    const live = useContext(Live);
    const timer = useRef(0);
    useEffect(() => () => window.clearTimeout(timer.current), []);
    return (send) => {
        window.clearTimeout(timer.current);
        if (!live) return;
        if (send === null) return live.drop();
        timer.current = window.setTimeout(() => {
            trying = true;
            try {
                send();
            } finally {
                trying = false;
            }
        }, PAUSE);
    };
}
