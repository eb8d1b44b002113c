type Props = {
    from: [number, number];
    to: [number, number];
    text: string;
    tone?: 'tide' | 'buoy' | 'quiet';
    lit?: boolean;
    /** which way the figure goes when there is no room for it on the line: before its start, after its end, or beside it */
    overflow?: 'before' | 'after' | 'beside';
    /** where along an upright line its figure stands, px; its middle when left out */
    at?: number;
};

/** A dimension: a line with slashes at its ends and its figure on it, or next to it when it is too short. Points in px. */
export function DimensionLine({ from: [x0, y0], to: [x1, y1], text, tone = 'tide', lit = false, overflow = 'beside', at }: Props) {
    const colour = `var(--${tone})`;
    const upright = Math.abs(x1 - x0) < Math.abs(y1 - y0);
    const width = text.length * 6.3 + 10;
    const fits = upright ? Math.abs(y1 - y0) > 26 : Math.abs(x1 - x0) > width + 8;
    const tx = upright
        ? overflow === 'after'
            ? x0 + width / 2 + 7
            : overflow === 'before'
              ? x0 - width / 2 - 7
              : x0
        : fits || overflow === 'beside'
          ? (x0 + x1) / 2
          : overflow === 'before'
            ? Math.max(x0, x1) - width / 2
            : Math.min(x0, x1) + width / 2;
    const ty = (at ?? (y0 + y1) / 2) - (upright || fits ? 0 : 14);
    return (
        <g stroke={colour} strokeWidth={lit ? 1.6 : 1} fill="none">
            <path d={`M${x0} ${y0}L${x1} ${y1}`} />
            <path d={`M${x0 - 4} ${y0 + 4}l8 -8M${x1 - 4} ${y1 + 4}l8 -8`} strokeWidth={1.4} />
            <rect
                x={tx - width / 2}
                y={ty - 8.5}
                width={width}
                height={17}
                rx={3}
                fill={lit ? colour : 'var(--sheet)'}
                stroke={lit ? colour : 'none'}
            />
            <text x={tx} y={ty + 4} textAnchor="middle" fontSize={11.5} fontWeight={650} stroke="none" fill={lit ? 'var(--sheet)' : colour}>
                {text}
            </text>
        </g>
    );
}
