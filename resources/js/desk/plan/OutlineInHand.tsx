import { later } from '../../ui/later';
import { useData } from '../data';
import { DimensionLine } from '../drawing/DimensionLine';
import { toScreen, type Size } from '../drawing/view';
import { outlineOf, useDesk, type StretchFigure, type View } from '../store';
import { standing, stretch } from '../surface';
import { coming, useOutlining } from './outlining';

const RunInHand = later('The run', () => import('./RunInHand').then((m) => m.RunInHand), null);

type Props = { view: View; size: Size };

/** The corners so far, and the stretch to the pointer with its figures. */
export function OutlineInHand({ view, size }: Props) {
    const data = useData();
    const outline = useDesk(outlineOf);
    const next = useOutlining((s) => s.next);
    const run = useOutlining((s) => s.grid !== null);
    if (!outline) return null;
    const screen = (p: { x: number; y: number }) => toScreen(view, size, p.x, p.y);
    const points = outline.corners.map(screen);
    const drawn = outline.corners.flatMap((c, i) => {
        const before = outline.corners[i - 1];
        if (!before) return [screen(c)];
        const side = standing({ fromX: before.x, fromY: before.y, toX: c.x, toY: c.y, rise: c.rise ?? 0, thickness: 0 });
        return stretch(side, 0, side.length, 0).map(screen);
    });
    const tip = next && screen(next);
    const end = outline.end && screen(outline.end);
    const side = coming(outline, next);
    const from = points.at(-1);
    const to = end ?? tip;
    const said = (figure: StretchFigure, shown: string) => (outline.typed[figure] ? `${outline.typed[figure]}▏` : shown);
    return (
        <g data-outline={outline.corners.length} data-coming={side?.arc ? 'arc' : side ? 'straight' : ''}>
            {run && <RunInHand view={view} size={size} />}
            <polyline points={drawn.map((p) => `${p.x},${p.y}`).join(' ')} fill="none" stroke="var(--ink)" strokeWidth={2} />
            {points.map((p, i) => (
                <circle
                    key={i}
                    cx={p.x}
                    cy={p.y}
                    r={i === 0 ? 5 : 3}
                    fill={i === 0 ? 'var(--sheet)' : 'var(--ink)'}
                    stroke="var(--ink)"
                    strokeWidth={1.5}
                />
            ))}
            {tip && <circle cx={tip.x} cy={tip.y} r={4} fill="none" stroke="var(--buoy)" strokeWidth={1.5} />}
            {end && <circle cx={end.x} cy={end.y} r={3} fill="var(--buoy)" />}
            {side && from && to && tip && (
                <>
                    <polyline
                        points={stretch(side, 0, side.length, 0)
                            .map(screen)
                            .map((p) => `${p.x},${p.y}`)
                            .join(' ')}
                        fill="none"
                        stroke="var(--buoy)"
                        strokeWidth={1.4}
                        strokeDasharray="6 4"
                    />
                    {side.arc || outline.end || outline.kind === 'on' ? (
                        <StretchFigures
                            at={tip}
                            size={size}
                            figures={arcFigures(data, side, said)}
                            lit={outline.lit}
                            caught={next?.caught ?? null}
                        />
                    ) : (
                        <>
                            <DimensionLine
                                from={[from.x, from.y]}
                                to={[to.x, to.y]}
                                text={said('length', data.length(side.length))}
                                tone="buoy"
                                lit={outline.lit === 'length'}
                            />
                            <text x={tip.x + 12} y={tip.y - 10} fontSize={12} fontWeight={600} fill="var(--buoy)">
                                {said('angle', `${turnOf(side).toFixed(1)}°`)}
                                {outline.typed.angle ? '°' : ''}
                                {next?.caught ? ` · ${next.caught}` : ''}
                            </text>
                        </>
                    )}
                </>
            )}
        </g>
    );
}

type Side = ReturnType<typeof standing>;

const turnOf = (side: Side) => ((Math.atan2(side.toY - side.fromY, side.toX - side.fromX) * 180) / Math.PI + 360) % 360;

/** What an arc comes to, each figure under the name it is typed by. */
function arcFigures(
    data: ReturnType<typeof useData>,
    side: Side,
    said: (figure: StretchFigure, shown: string) => string,
): [StretchFigure | null, string, string][] {
    if (!side.arc)
        return [
            ['radius', 'Radius', said('radius', '–')],
            ['angle', 'Angle', said('angle', '–')],
        ];
    const { radius, turn, chord } = side.arc;
    return [
        ['rise', 'Rise', said('rise', data.length(Math.abs(radius) * (1 - Math.cos(turn / 2))))],
        ['radius', 'Radius', said('radius', data.length(Math.abs(radius)))],
        ['arc', 'Arc', said('arc', data.length(side.length))],
        ['angle', 'Angle', said('angle', `${((Math.abs(turn) * 180) / Math.PI).toFixed(1)}°`)],
        [null, 'Chord', data.length(chord)],
    ];
}

/** Figures in a small table beside the pointer; the lit one takes what is typed. */
function StretchFigures({
    at,
    size,
    figures,
    lit,
    caught,
}: {
    at: { x: number; y: number };
    size: Size;
    figures: [StretchFigure | null, string, string][];
    lit: StretchFigure;
    caught: string | null;
}) {
    const height = figures.length * 16 + 8;
    // on the other side of the pointer where there is no room on this one
    const x = at.x + 16 + 136 > size.width ? at.x - 16 - 132 : at.x + 16;
    const y = at.y + 12 + height + 20 > size.height ? at.y - 12 - height : at.y + 12;
    return (
        <g transform={`translate(${x} ${y})`} data-figures fontSize={12}>
            <rect width={132} height={height + (caught ? 16 : 0)} rx={4} fill="var(--sheet)" fillOpacity={0.94} stroke="var(--hairline)" />
            {figures.map(([figure, label, shown], i) => (
                <g key={label} transform={`translate(8 ${i * 16 + 16})`}>
                    {figure === lit && <rect x={-4} y={-12} width={124} height={16} fill="var(--buoy-wash)" />}
                    <text fill="var(--quiet)">{label}</text>
                    <text
                        x={116}
                        textAnchor="end"
                        fontWeight={figure === lit ? 700 : 500}
                        fill={figure === lit ? 'var(--buoy)' : 'var(--ink)'}
                    >
                        {shown}
                    </text>
                </g>
            ))}
            {caught && (
                <text x={8} y={height + 8} fill="var(--buoy)">
                    {caught}
                </text>
            )}
        </g>
    );
}
