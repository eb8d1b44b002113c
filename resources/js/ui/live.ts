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

type Typing = {
    /** Tries what the field would send, when its typing pauses; null where there is nothing to send. */
    typed: (send: (() => unknown) | null) => void;
    /** What is typed is being sent: nothing more of it is tried. */
    stop: () => void;
    /** What was shown goes. */
    drop: () => void;
};

export function useLive(): Typing {
    const live = useContext(Live);
    const timer = useRef(0);
    const stop = () => window.clearTimeout(timer.current);
    const last = useRef(live);
    useEffect(() => {
        last.current = live;
    }, [live]);
    useEffect(
        () => () => {
            window.clearTimeout(timer.current);
            last.current?.drop();
        },
        [],
    );
    const drop = () => {
        stop();
        live?.drop();
    };
    return {
        stop,
        drop,
        typed: (send) => {
            stop();
            if (!live) return;
            if (send === null) return drop();
            timer.current = window.setTimeout(() => {
                trying = true;
                try {
                    send();
                } finally {
                    trying = false;
                }
            }, PAUSE);
        },
    };
}
