import { createContext, useContext, useEffect, useRef, useState, type ReactNode } from 'react';
import type { Size } from './view';

const Context = createContext<() => Size | null>(() => null);

/** How large a drawing will be that fills its room, where that is known before it comes. */
export const useRoom = () => useContext(Context);

/** Where a drawing will stand. It is measured while what is drawn is fetched, so that then nothing has to be laid out for it first. */
export function Room({ children }: { children: ReactNode }) {
    const element = useRef<HTMLDivElement>(null);
    const size = useRef<Size | null>(null);
    const [measured] = useState(() => () => size.current);
    useEffect(() => {
        const observer = new ResizeObserver(([entry]) => {
            size.current = { width: Math.round(entry!.contentRect.width), height: Math.round(entry!.contentRect.height) };
        });
        observer.observe(element.current!);
        return () => observer.disconnect();
    }, []);
    return (
        <div ref={element} className="min-w-0 grow">
            <Context.Provider value={measured}>{children}</Context.Provider>
        </div>
    );
}
