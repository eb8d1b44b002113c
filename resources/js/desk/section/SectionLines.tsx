import { useData } from '../data';
import { useClickable } from '../drawing/useClickable';
import { toScreen, type Size } from '../drawing/view';
import { useDesk, type View } from '../store';
import { showSection } from './cutting';

/** Kept section lines in plan: their ends thick with arrows to the side they are seen to, their letter at both. */
export function SectionLines({ view, size }: { view: View; size: Size }) {
    const { project } = useData();
    const section = useDesk((s) => s.section);
    const clickable = useClickable();
    return (
        <>
            {project.sections.map((s) => {
                const a = toScreen(view, size, s.fromX, s.fromY);
                const b = toScreen(view, size, s.toX, s.toY);
                const length = Math.max(Math.hypot(b.x - a.x, b.y - a.y), 1);
                const [dx, dy] = [(b.x - a.x) / length, (b.y - a.y) / length];
                const on = section !== null && 'line' in section && section.line === s.id;
                const ink = on ? 'var(--tide)' : 'var(--ink)';
                return (
                    <g
                        key={s.id}
                        className={clickable}
                        onPointerDown={(e) => e.stopPropagation()}
                        onClick={() => showSection({ line: s.id })}
                        data-section-line={s.name}
                    >
                        <title>{`Section ${s.name}`}</title>
                        <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke="transparent" strokeWidth={10} />
                        <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke={ink} strokeWidth={on ? 1.4 : 0.8} strokeDasharray="14 4 3 4" />
                        {[
                            [a, 1],
                            [b, -1],
                        ].map(([p, way], i) => {
                            const { x, y } = p as { x: number; y: number };
                            const w = way as number;
                            // seen to the left of the way: on screen, y down, that is (dy, −dx)
                            return (
                                <g key={i}>
                                    <path d={`M${x} ${y}l${dx * 12 * w} ${dy * 12 * w}`} stroke={ink} strokeWidth={2.6} />
                                    <path
                                        d={`M${x} ${y}l${dy * 13} ${-dx * 13}`}
                                        stroke={ink}
                                        strokeWidth={1.4}
                                        markerEnd="url(#outside)"
                                    />
                                    <text
                                        x={x - dx * 11 * w}
                                        y={y - dy * 11 * w + 4}
                                        textAnchor="middle"
                                        fontSize={12}
                                        fontWeight={700}
                                        fill={ink}
                                        stroke="var(--sheet)"
                                        strokeWidth={3}
                                        paintOrder="stroke"
                                    >
                                        {s.name}
                                    </text>
                                </g>
                            );
                        })}
                    </g>
                );
            })}
        </>
    );
}
