type Props = { from: [number, number]; to: [number, number]; text: string; tone?: 'tide' | 'buoy' | 'quiet'; lit?: boolean };

/** A dimension: a line with slashes at its ends and its figure, set beside it when there is no room on it. Points in px. */
export function DimensionLine({ from: [x0, y0], to: [x1, y1], text, tone = 'tide', lit = false }: Props) {
    const colour = `var(--${tone})`;
    const upright = Math.abs(x1 - x0) < Math.abs(y1 - y0);
    const length = Math.hypot(x1 - x0, y1 - y0);
    const width = text.length * 6.4 + 10;
    const cx = (x0 + x1) / 2;
    const cy = (y0 + y1) / 2;
    const outside = !upright && length < width + 4;
    const tx = upright ? cx + width / 2 + 5 : cx;
    const ty = upright ? cy : cy + (outside ? 15 : 0);
    return (
        <g stroke={colour} strokeWidth={lit ? 1.6 : 1} fill="none">
            <path d={`M${x0} ${y0}L${x1} ${y1}`} />
            {[
                [x0, y0],
                [x1, y1],
            ].map(([x, y], i) => (
                <path key={i} d={`M${x! - 4} ${y! + 4}L${x! + 4} ${y! - 4}`} strokeWidth={1.4} />
            ))}
            <rect x={tx - width / 2} y={ty - 9} width={width} height={18} rx={3} fill={lit ? colour : 'var(--sheet)'} stroke={lit ? colour : 'none'} />
            <text x={tx} y={ty + 4} textAnchor="middle" fontSize={11.5} fontWeight={650} stroke="none" fill={lit ? 'var(--sheet)' : colour}>
                {text}
            </text>
        </g>
    );
}
