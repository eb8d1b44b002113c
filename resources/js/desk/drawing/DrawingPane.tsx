import {
    useCallback,
    useEffect,
    useLayoutEffect,
    useMemo,
    useRef,
    useState,
    type KeyboardEvent,
    type PointerEvent as ReactPointerEvent,
    type ReactNode,
} from 'react';
import { useTheme } from '../../ui/theme';
import { useDesk, type DrawnPane, type View } from '../store';
import { useRoom } from './Room';
import { fit, fitHeight, toModel, zoomAt, type Bounds, type Size } from './view';

export type At = { x: number; y: number; event: { shiftKey: boolean; altKey: boolean } };

type Props = {
    pane: DrawnPane;
    label: string;
    bounds: Bounds;
    /** opens at full height from the left rather than whole */
    opensWide?: boolean;
    /** seen from behind: x runs to the left */
    flip?: boolean;
    /** what is to be drawn, or some of it, has not come yet */
    busy?: boolean;
    paint: (ctx: CanvasRenderingContext2D, view: View, size: Size) => void;
    overlay: (view: View, size: Size) => ReactNode;
    /** Pointer gestures in mm. A press that answers true is a drag of the pane's own; else it pans. */
    onPress?: (at: At) => boolean;
    onDrag?: (at: At) => void;
    onDrop?: (at: At, moved: boolean) => void;
    onHover?: (at: At | null) => void;
    onClick?: (at: At) => void;
    onKey?: (event: KeyboardEvent) => boolean;
    /** A frame was drawn by dragging with Shift, or once after it was asked for; corners in mm. */
    onFrame?: (box: Bounds) => void;
};

type Press = { x: number; y: number; view: View; kind: 'own' | 'pan' | 'frame'; moved: boolean; at: At };

/** A drawing on canvas that is panned and zoomed, with an SVG over it for what is live. */
export function DrawingPane({
    pane,
    label,
    bounds,
    opensWide = false,
    flip = false,
    busy = false,
    paint,
    overlay,
    onPress,
    onDrag,
    onDrop,
    onHover,
    onClick,
    onKey,
    onFrame,
}: Props) {
    const box = useRef<HTMLDivElement>(null);
    const room = useRoom();
    const canvas = useRef<HTMLCanvasElement>(null);
    const [size, setSize] = useState<Size>(() => room() ?? { width: 0, height: 0 });
    const kept = useDesk((s) => s.views[pane]);
    const view = useMemo(() => kept && (flip ? { ...kept, flip } : kept), [kept, flip]);
    const [frame, setFrame] = useState<{ x: number; y: number; width: number; height: number } | null>(null);
    const goTo = useDesk((s) => s.goTo);
    const look = useDesk((s) => s.look);
    const theme = useTheme();
    const press = useRef<Press | null>(null);

    useLayoutEffect(() => {
        const element = box.current!;
        const take = (next: Size) => {
            setSize((last) => (last.width === next.width && last.height === next.height ? last : next));
            useDesk.setState((s) => ({ sizes: { ...s.sizes, [pane]: next } }));
        };
        const measure = () => take({ width: element.clientWidth, height: element.clientHeight });
        const known = room();
        if (known) take(known);
        else measure();
        const observer = new ResizeObserver(measure);
        observer.observe(element);
        return () => observer.disconnect();
    }, [pane, room]);

    // Fits when first shown, when the pane changes size before anyone moved it, and when asked to.
    const boundsKey = bounds.join();
    const fitted = useRef('');
    useLayoutEffect(() => {
        if (size.width === 0) return;
        const opening = (b: Bounds) => (opensWide && size.width > 500 ? fitHeight(b, size, flip) : fit(b, size));
        const key = `${goTo.what === 'all' ? goTo.count : ''}|${size.width}|${size.height}|${boundsKey}`;
        const untouched = kept === null || kept === lastFit.get(pane);
        if (goTo.what === 'all' && key !== fitted.current && (untouched || goTo.count !== lastCount.get(pane))) {
            const bounds = boundsKey.split(',').map(Number) as Bounds;
            const next = goTo.count === lastCount.get(pane) || !lastCount.has(pane) ? opening(bounds) : fit(bounds, size);
            lastFit.set(pane, next);
            lastCount.set(pane, goTo.count);
            fitted.current = key;
            look(pane, next);
        } else if (kept === null) {
            const next = opening(boundsKey.split(',').map(Number) as Bounds);
            lastFit.set(pane, next);
            look(pane, next);
        }
    }, [size, goTo, boundsKey, kept, look, pane, opensWide, flip]);

    useEffect(() => {
        const element = canvas.current;
        if (!element || !view || size.width === 0) return;
        const dpr = window.devicePixelRatio;
        const w = Math.round(size.width * dpr);
        const h = Math.round(size.height * dpr);
        if (element.width !== w || element.height !== h) {
            element.width = w;
            element.height = h;
        }
        const ctx = element.getContext('2d')!;
        ctx.setTransform(1, 0, 0, 1, 0, 0);
        ctx.clearRect(0, 0, w, h);
        paint(ctx, view, size);
    }, [view, size, paint, theme]);

    useEffect(() => {
        const element = box.current!;
        const onWheel = (event: WheelEvent) => {
            const current = useDesk.getState().views[pane];
            if (!current) return;
            event.preventDefault();
            const r = element.getBoundingClientRect();
            look(
                pane,
                zoomAt(
                    { ...current, flip },
                    { width: r.width, height: r.height },
                    event.clientX - r.left,
                    event.clientY - r.top,
                    Math.exp(-event.deltaY * 0.0015),
                ),
            );
        };
        element.addEventListener('wheel', onWheel, { passive: false });
        return () => element.removeEventListener('wheel', onWheel);
    }, [pane, look, flip]);

    const at = useCallback(
        (event: ReactPointerEvent): At | null => {
            const current = useDesk.getState().views[pane];
            if (!current) return null;
            const r = box.current!.getBoundingClientRect();
            return {
                ...toModel({ ...current, flip }, { width: r.width, height: r.height }, event.clientX - r.left, event.clientY - r.top),
                event,
            };
        },
        [pane, flip],
    );

    return (
        <div
            ref={box}
            role="application"
            aria-label={label}
            aria-busy={busy}
            tabIndex={0}
            data-pane={pane}
            data-view={view ? `${view.x},${view.y},${view.k}` : ''}
            className={`group relative h-full w-full touch-none overflow-hidden bg-sheet outline-none ${busy ? 'cursor-progress' : ''}`}
            onPointerDown={(event) => {
                const here = at(event);
                if (!here || !view) return;
                event.currentTarget.setPointerCapture(event.pointerId);
                const framing = event.button === 0 && onFrame !== undefined && (event.shiftKey || useDesk.getState().mode.is === 'framing');
                const own = !framing && event.button === 0 && (onPress?.(here) ?? false);
                press.current = {
                    x: event.clientX,
                    y: event.clientY,
                    view,
                    kind: framing ? 'frame' : own ? 'own' : 'pan',
                    moved: false,
                    at: here,
                };
            }}
            onPointerMove={(event) => {
                const here = at(event);
                const p = press.current;
                if (!here) return;
                if (!p) {
                    onHover?.(here);
                    return;
                }
                if (Math.hypot(event.clientX - p.x, event.clientY - p.y) > 3) p.moved = true;
                if (!p.moved) return;
                if (p.kind === 'own') onDrag?.(here);
                else if (p.kind === 'frame') {
                    const r = event.currentTarget.getBoundingClientRect();
                    setFrame({
                        x: Math.min(p.x, event.clientX) - r.left,
                        y: Math.min(p.y, event.clientY) - r.top,
                        width: Math.abs(event.clientX - p.x),
                        height: Math.abs(event.clientY - p.y),
                    });
                } else
                    look(pane, {
                        ...p.view,
                        x: p.view.x - ((flip ? -1 : 1) * (event.clientX - p.x)) / p.view.k,
                        y: p.view.y + (event.clientY - p.y) / p.view.k,
                    });
            }}
            onPointerUp={(event) => {
                const here = at(event);
                const p = press.current;
                press.current = null;
                if (!here || !p) return;
                setFrame(null);
                if (p.kind === 'own') onDrop?.(here, p.moved);
                if (p.kind === 'frame' && p.moved) {
                    if (useDesk.getState().mode.is === 'framing') useDesk.getState().leave();
                    onFrame?.([Math.min(p.at.x, here.x), Math.min(p.at.y, here.y), Math.max(p.at.x, here.x), Math.max(p.at.y, here.y)]);
                }
                if (!p.moved && event.button === 0) onClick?.(here);
            }}
            onPointerCancel={() => {
                press.current = null;
                setFrame(null);
            }}
            onPointerLeave={() => {
                if (!press.current) onHover?.(null);
            }}
            onKeyDown={(event) => {
                if (onKey?.(event)) {
                    event.preventDefault();
                    event.stopPropagation();
                }
            }}
        >
            <canvas ref={canvas} className="absolute inset-0 h-full w-full" aria-hidden="true" />
            {view && size.width > 0 && (
                <svg className="pointer-events-none absolute inset-0 h-full w-full select-none" aria-hidden="true">
                    {overlay(view, size)}
                    {frame && (
                        <rect
                            {...frame}
                            fill="var(--tide)"
                            fillOpacity={0.1}
                            stroke="var(--tide)"
                            strokeWidth={1.4}
                            strokeDasharray="6 3"
                        />
                    )}
                </svg>
            )}
            <span className="pointer-events-none absolute inset-0 hidden border-2 border-tide/70 group-focus-visible:block" />
        </div>
    );
}

const lastFit = new Map<string, View>();
const lastCount = new Map<string, number>();
