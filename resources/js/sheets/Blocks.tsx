import { useRef, type PointerEvent as ReactPointerEvent } from 'react';
import type { DrawnSheet } from '../api/client';

type BlocksProps = {
    sheet: DrawnSheet;
    chosen: number | null;
    drag: { index: number; dx: number; dy: number } | null;
    mayEdit: boolean;
    onChoose: (index: number | null) => void;
    onDrag: (drag: { index: number; dx: number; dy: number } | null) => void;
    onMoved: (index: number, x: number, y: number) => void;
    onOff: (index: number) => void;
};

/**
 * Frames over what stands on the sheet: dragged with the pointer, moved by arrows (with Shift in whole centimetres), taken off by
 * Delete.
 */
export function Blocks({ sheet, chosen, drag, mayEdit, onChoose, onDrag, onMoved, onOff }: BlocksProps) {
    const layer = useRef<HTMLDivElement>(null);
    const start = useRef<{ x: number; y: number } | null>(null);
    const [width, height] = sheet.size as [number, number];
    const perPx = () => width / Math.max(layer.current?.clientWidth ?? 1, 1);
    const round = (mm: number) => Math.round(mm * 2) / 2;
    const by = (event: ReactPointerEvent) => ({
        dx: (event.clientX - start.current!.x) * perPx(),
        dy: (event.clientY - start.current!.y) * perPx(),
    });
    return (
        <div ref={layer} className="absolute inset-0" onPointerDown={(e) => e.target === e.currentTarget && onChoose(null)}>
            {sheet.blocks.map((b, i) => {
                const moved = drag?.index === i ? drag : { dx: 0, dy: 0 };
                return (
                    <div
                        key={i}
                        role="button"
                        tabIndex={0}
                        aria-label={`${b.title}${b.problem ? `: ${b.problem}` : ''}`}
                        aria-pressed={chosen === i}
                        data-block={b.title}
                        className={`absolute touch-none rounded-xs ${mayEdit ? 'cursor-move' : ''} ${b.problem ? 'outline-2 outline-buoy outline-dashed' : chosen === i ? 'outline-2 outline-tide' : 'hover:outline-1 hover:outline-tide'}`}
                        style={{
                            left: `${((b.x + moved.dx) / width) * 100}%`,
                            top: `${((b.y + moved.dy) / height) * 100}%`,
                            width: `${(b.width / width) * 100}%`,
                            height: `${(b.height / height) * 100}%`,
                        }}
                        onFocus={() => onChoose(i)}
                        onPointerDown={(e) => {
                            onChoose(i);
                            if (!mayEdit) return;
                            start.current = { x: e.clientX, y: e.clientY };
                            e.currentTarget.setPointerCapture(e.pointerId);
                        }}
                        onPointerMove={(e) => start.current && onDrag({ index: i, ...by(e) })}
                        onPointerUp={(e) => {
                            if (!start.current) return;
                            const { dx, dy } = by(e);
                            start.current = null;
                            if (Math.hypot(dx, dy) > 0.5) onMoved(i, round(b.x + dx), round(b.y + dy));
                            else onDrag(null);
                        }}
                        onPointerCancel={() => {
                            start.current = null;
                            onDrag(null);
                        }}
                        onKeyDown={(e) => {
                            if (!mayEdit) return;
                            const step = e.shiftKey ? 10 : 1;
                            const dx = e.key === 'ArrowLeft' ? -step : e.key === 'ArrowRight' ? step : 0;
                            const dy = e.key === 'ArrowUp' ? -step : e.key === 'ArrowDown' ? step : 0;
                            if (dx !== 0 || dy !== 0) onMoved(i, round(b.x + dx), round(b.y + dy));
                            else if (e.key === 'Delete') onOff(i);
                            else return;
                            e.preventDefault();
                        }}
                    />
                );
            })}
        </div>
    );
}
