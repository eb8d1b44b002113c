import { createContext, useContext, useEffect, useRef, useState, type ReactNode } from 'react';
import type { Size } from './view';

/** What is ready for a drawing before it comes: how large it will be, and what it is painted on, for the first that takes it. */
type Ready = { size: () => Size | null; canvas: () => HTMLCanvasElement | null };

const Context = createContext<Ready>({ size: () => null, canvas: () => null });

export const useRoom = () => useContext(Context);

/** A canvas for this size that the browser has set up: the first painting would wait for that. */
function primed({ width, height }: Size): HTMLCanvasElement {
    const [canvas, spot] = [document.createElement('canvas'), document.createElement('canvas')];
    const dpr = window.devicePixelRatio;
    [canvas.width, canvas.height] = [Math.round(width * dpr), Math.round(height * dpr)];
    spot.width = spot.height = 1;
    canvas.getContext('2d')!.drawImage(spot, 0, 0);
    return canvas;
}

/**
 * Where a drawing will stand. It is measured, and what is painted on is set up, while what is drawn is still fetched, so that then the
 * drawing waits for neither.
 */
export function Room({ children }: { children: ReactNode }) {
    const element = useRef<HTMLDivElement>(null);
    const size = useRef<Size | null>(null);
    const canvas = useRef<HTMLCanvasElement | null>(null);
    const [ready] = useState<Ready>(() => ({
        size: () => size.current,
        canvas: () => {
            const taken = canvas.current;
            canvas.current = null;
            return taken;
        },
    }));
    useEffect(() => {
        const observer = new ResizeObserver(([entry]) => {
            const first = size.current === null;
            size.current = { width: Math.round(entry!.contentRect.width), height: Math.round(entry!.contentRect.height) };
            if (first && size.current.width > 0) canvas.current = primed(size.current);
        });
        observer.observe(element.current!);
        return () => observer.disconnect();
    }, []);
    return (
        <div ref={element} className="min-w-0 grow">
            <Context.Provider value={ready}>{children}</Context.Provider>
        </div>
    );
}
