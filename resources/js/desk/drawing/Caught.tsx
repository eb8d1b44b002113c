/** A small cross at a point of the screen that is picked. */
export const Cross = ({ x, y }: { x: number; y: number }) => (
    <path d={`M${x - 6} ${y}h12M${x} ${y - 6}v12`} stroke="var(--buoy)" strokeWidth={1.5} />
);

/** What the pointer has caught on, beside it. */
export function CaughtName({ x, y, name }: { x: number; y: number; name: string }) {
    if (name === '') return null;
    return (
        <text
            x={x + 9}
            y={y - 9}
            fontSize={11}
            fontWeight={600}
            fill="var(--buoy)"
            stroke="var(--sheet)"
            strokeWidth={3}
            paintOrder="stroke"
        >
            {name}
        </text>
    );
}
