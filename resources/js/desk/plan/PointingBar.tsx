import { Button } from '../../ui/Button';
import { useData } from '../data';
import { toScreen, type Size } from '../drawing/view';
import { useDesk, type Pointing, type View } from '../store';

const said: Record<Pointing['what'], [string, string]> = {
    section: ['Click where the section begins; it is seen to the left of its way.', 'Click where it ends.'],
};

/** What is to be clicked next, while points are picked in plan. */
export function PointingBar() {
    const data = useData();
    const pointing = useDesk((s) => s.pointing);
    if (!pointing) return null;
    const { points, over } = pointing;
    const from = points[0];
    return (
        <div
            className="absolute top-2 left-3 flex flex-wrap items-center gap-3 rounded-md border border-hairline bg-paper px-3 py-1.5"
            data-pointing={points.length}
            role="status"
        >
            <span>{said[pointing.what][points.length === 0 ? 0 : 1]}</span>
            {from && over && <b>{data.length(Math.hypot(over.x - from.x, over.y - from.y))}</b>}
            <Button small look="plain" onClick={() => useDesk.setState({ pointing: null })}>
                Leave
            </Button>
        </div>
    );
}

/** The points picked so far and the line to the pointer. */
export function PointsOverlay({ view, size }: { view: View; size: Size }) {
    const pointing = useDesk((s) => s.pointing);
    if (!pointing) return null;
    const all = [...pointing.points, ...(pointing.over ? [pointing.over] : [])].map((p) => ({
        ...toScreen(view, size, p.x, p.y),
        name: p.name,
    }));
    const tip = all.at(-1);
    return (
        <g>
            {all.length > 1 && (
                <path
                    d={`M${all.map((p) => `${p.x} ${p.y}`).join('L')}`}
                    stroke="var(--buoy)"
                    strokeWidth={1.5}
                    fill="none"
                    strokeDasharray="6 4"
                />
            )}
            {all.map((p, i) => (
                <path key={i} d={`M${p.x - 6} ${p.y}h12M${p.x} ${p.y - 6}v12`} stroke="var(--buoy)" strokeWidth={1.5} />
            ))}
            {tip?.name && (
                <text
                    x={tip.x + 9}
                    y={tip.y - 9}
                    fontSize={11}
                    fontWeight={600}
                    fill="var(--buoy)"
                    stroke="var(--sheet)"
                    strokeWidth={3}
                    paintOrder="stroke"
                >
                    {tip.name}
                </text>
            )}
        </g>
    );
}
