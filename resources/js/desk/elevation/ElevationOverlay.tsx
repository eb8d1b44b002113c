import { ChosenStretch } from '../curtain/ChosenStretch';
import { later } from '../../ui/later';
import { useData, type FoundOpening } from '../data';
import { DimensionLine } from '../drawing/DimensionLine';
import { boxOnScreen, pointsOnScreen, toScreen, type Size } from '../drawing/view';
import { gaps } from '../ghost';
import { useShowing } from '../showing';
import { whichOf } from '../words';
import { ghostOf, useDesk, type Dimension, type Ghost, type View } from '../store';
import { DimensionChain } from './DimensionChain';
import { FindingMarks } from './FindingMarks';
import { LinesOverlay, type DraggedLine } from './LinesOverlay';
import { MeasureOverlay } from '../MeasureBar';
import { DifferenceOverlay } from './DifferenceOverlay';
import { MeetsOverlay } from './MeetsOverlay';
import { KeptOverlay, PreviewOverlay } from './PreviewOverlay';

const CurtainOverlay = later('What is chosen', () => import('../curtain/CurtainOverlay').then((m) => m.CurtainOverlay), null);
const TriedOverlay = later('What is being typed', () => import('../curtain/TriedOverlay').then((m) => m.TriedOverlay), null);

const BandOverlay = later('The curve of the law', () => import('../bands/BandOverlay').then((m) => m.BandOverlay), null);

const LightsOverlay = later('The rooflights', () => import('../roofs/LightsOverlay').then((m) => m.LightsOverlay), null);
const ScreenOverlay = later('The screen', () => import('../screens/ScreenOverlay').then((m) => m.ScreenOverlay), null);
const CuttingOverlay = later('What is drawn', () => import('../screens/CuttingOverlay').then((m) => m.CuttingOverlay), null);

type Props = { view: View; size: Size };

/** Below this scale, px to the mm, figures would cover the drawing they are about. */
const SMALL = 0.01;

/** What lives over the elevation: names, what is chosen, findings' places, the ghost and its dimensions. */
export function ElevationOverlay({ view, size, dragged }: Props & { dragged: DraggedLine | null }) {
    const data = useData();
    const showing = useShowing();
    const inner = useDesk((s) => s.face) === 'inner';
    const sheet = useDesk((s) => s.sheet);
    const chosen = useDesk((s) => s.chosen);
    const ghost = useDesk(ghostOf);
    const part = useDesk((s) => s.cells.length + s.pieces.length + s.named.length > 0 || s.mode.is === 'spanning');
    const tried = useDesk((s) => s.tried !== null);
    const one = chosen.length === 1 ? chosen[0] : null;
    const band = one && !sheet ? data.project.bands.find((b) => b.id === one) : undefined;
    const screen = one && !sheet ? data.project.screens.find((s) => s.id === one) : undefined;
    const cutting = useDesk((s) => s.mode.is === 'cutting');
    const openings = chosen
        .map((id) => data.openings.get(id))
        .filter((o): o is FoundOpening => o !== undefined && o.frontage.inner === inner && showing.opening(o));
    const walls = chosen.map((id) => data.walls.get(id)).filter((w) => w !== undefined && showing.wall(w.id));
    return (
        <>
            <Names view={view} size={size} />
            {one && !sheet && data.project.roofs.some((r) => r.id === one) && <LightsOverlay roof={one} view={view} size={size} />}
            {walls.map((w) => {
                if (!w) return null;
                const f = data.frontageOf.get(w.id);
                if (!f || f.inner !== inner) return null;
                if (w.curtain) return <ChosenStretch key={w.id} wall={w.id} view={view} size={size} />;
                const left = f.offset + (f.walls[w.id] ?? 0);
                const ring = w.ring ?? [0, w.foot, w.length, w.foot, w.length, w.head, 0, w.head];
                return (
                    <polygon
                        key={w.id}
                        data-chosen={w.id}
                        points={pointsOnScreen(view, size, ring, left)}
                        fill="var(--tide)"
                        fillOpacity={0.07}
                        stroke="var(--tide)"
                        strokeWidth={2}
                    />
                );
            })}
            {openings.map((o) => (o.id === ghost?.moving ? null : <ChosenOpening key={o.id} opening={o} view={view} size={size} />))}
            {part && <CurtainOverlay view={view} size={size} />}
            {tried && <TriedOverlay view={view} size={size} />}
            {screen && <ScreenOverlay key={screen.id} screen={screen} view={view} size={size} />}
            {cutting && <CuttingOverlay view={view} size={size} />}
            {band && <BandOverlay key={band.id} band={band} view={view} size={size} />}
            <LinesOverlay view={view} size={size} dragged={dragged} />
            <MeetsOverlay view={view} size={size} />
            <PreviewOverlay view={view} size={size} />
            <KeptOverlay view={view} size={size} />
            <DifferenceOverlay view={view} size={size} />
            {openings.length === 1 && !ghost && !sheet && view.k > SMALL && (
                <GhostDimensions ghost={asGhost(openings[0]!)} view={view} size={size} live={false} />
            )}
            <FindingMarks view={view} size={size} />
            {ghost && <GhostBox ghost={ghost} view={view} size={size} />}
            <DimensionChain view={view} size={size} />
            <MeasureOverlay pane="elevation" view={view} size={size} />
        </>
    );
}

function Names({ view, size }: Props) {
    const data = useData();
    const { frontages } = useShowing();
    return (
        <>
            {frontages.map((f) => {
                const a = toScreen(view, size, f.offset, 0).x;
                const b = toScreen(view, size, f.offset + f.width, 0).x;
                const from = Math.max(0, Math.min(a, b));
                const to = Math.min(size.width, Math.max(a, b));
                if (to - from < 36) return null;
                const y = Math.min(size.height - 12, toScreen(view, size, 0, f.foot).y + 22);
                const name = f.name.toUpperCase();
                const width = `${f.bearings ? '⌒ ' : ''}${data.length(f.width)}`;
                // the longest that has room
                const said = [[name, whichOf(f, data), width].filter(Boolean).join(' · '), `${name} · ${width}`, name];
                const text = said.find((words) => to - from > words.length * 7.4) ?? '';
                return (
                    <text key={f.id} x={(from + to) / 2} y={y} textAnchor="middle" fontSize={11} letterSpacing={0.6} fill="var(--quiet)">
                        {text}
                    </text>
                );
            })}
        </>
    );
}

function ChosenOpening({ opening, view, size }: Props & { opening: FoundOpening }) {
    const b = boxOnScreen(view, size, opening.frontage.offset + opening.u, opening.sillLevel, opening.span, opening.height);
    return (
        <rect
            data-chosen={opening.id}
            x={b.x - 3}
            y={b.y - 3}
            width={b.width + 6}
            height={b.height + 6}
            rx={2}
            fill="var(--tide)"
            fillOpacity={0.16}
            stroke="var(--tide)"
            strokeWidth={2}
        />
    );
}

function asGhost(o: FoundOpening): Ghost {
    return {
        moving: o.id,
        host: o.host,
        storey: o.storey,
        left: o.left,
        sill: o.sillLevel,
        width: o.width,
        span: o.span,
        height: o.height,
        caught: { along: null, up: null },
        centred: false,
        typed: {},
        lit: 'left',
        refusal: null,
        findings: [],
    };
}

function GhostBox({ ghost, view, size }: Props & { ghost: Ghost }) {
    const data = useData();
    const frontage = data.frontageOf.get(ghost.host);
    if (!frontage) return null;
    const start = frontage.offset + (frontage.walls[ghost.host] ?? 0);
    const a = boxOnScreen(view, size, start + ghost.left, ghost.sill, ghost.span, ghost.height);
    const doubtful = ghost.refusal !== null || ghost.findings.length > 0;
    const tone = doubtful ? 'var(--buoy)' : 'var(--tide)';
    const said = ghost.refusal ?? ghost.findings[0]?.sentence ?? [ghost.caught.along, ghost.caught.up].filter(Boolean).join(' · ');
    const w = ghost.span * view.k;
    const half = (said?.length ?? 0) * 3.1 + 8;
    const saidX = Math.min(Math.max(a.x + w / 2, half + 4), Math.max(size.width - half - 4, half + 4));
    return (
        <g data-ghost={ghost.moving ?? 'new'}>
            {ghost.caught.along && ghost.caught.alongAt !== undefined && (
                <path
                    d={`M${toScreen(view, size, start + ghost.caught.alongAt, 0).x} 0v${size.height}`}
                    stroke="var(--brass)"
                    strokeDasharray="5 4"
                />
            )}
            {ghost.caught.up && ghost.caught.upAt !== undefined && (
                <path d={`M0 ${toScreen(view, size, 0, ghost.caught.upAt).y}h${size.width}`} stroke="var(--brass)" strokeDasharray="5 4" />
            )}
            <rect
                x={a.x}
                y={a.y}
                width={w}
                height={ghost.height * view.k}
                fill="var(--glass)"
                fillOpacity={0.75}
                stroke={tone}
                strokeWidth={2}
                strokeDasharray={doubtful ? '5 3' : undefined}
            />
            {view.k > SMALL && <GhostDimensions ghost={ghost} view={view} size={size} live />}
            {said && view.k > SMALL && (
                <g>
                    <rect
                        x={saidX - half}
                        y={a.y - 64}
                        width={2 * half}
                        height={19}
                        rx={3}
                        fill={doubtful ? 'var(--buoy-wash)' : 'var(--sheet)'}
                        stroke={doubtful ? 'var(--buoy)' : 'var(--brass)'}
                        strokeWidth={0.8}
                    />
                    <text x={saidX} y={a.y - 50.5} textAnchor="middle" fontSize={11.5} fill={doubtful ? 'var(--buoy)' : 'var(--brass)'}>
                        {said}
                    </text>
                </g>
            )}
        </g>
    );
}

/** Gaps to both sides, sill and head; while placing also what is being typed, and the size when it is lit. */
function GhostDimensions({ ghost, view, size, live }: Props & { ghost: Ghost; live: boolean }) {
    const data = useData();
    const frontage = data.frontageOf.get(ghost.host);
    const storey = data.storeys.get(ghost.storey);
    if (!frontage || !storey) return null;
    const start = frontage.offset + (frontage.walls[ghost.host] ?? 0);
    const { left, right } = gaps(data, ghost);
    const a = toScreen(view, size, start + ghost.left, ghost.sill + ghost.height);
    const b = toScreen(view, size, start + ghost.left + ghost.span, ghost.sill);
    const sides = view.flip ? (['after', 'before'] as const) : (['before', 'after'] as const);
    const floor = toScreen(view, size, 0, storey.floor).y;
    const y = a.y - 15;
    const placing = live && ghost.moving === null;
    const lit = (d: Dimension) => placing && ghost.lit === d;
    const text = (d: Dimension, mm: number) =>
        placing && ghost.typed[d] !== undefined ? ghost.typed[d]! + (lit(d) ? '▏' : '') : data.length(mm);
    const tone = live ? 'buoy' : 'tide';
    const lx = toScreen(view, size, start + left.from, 0).x;
    const rx = toScreen(view, size, start + right.from, 0).x;
    const middle = (a.x + b.x) / 2;
    const tight = Math.max(a.x, b.x) + 90 > size.width;
    const headX = tight ? Math.min(a.x, b.x) - 13 : Math.max(a.x, b.x) + 13;
    return (
        <g data-dimensions>
            <DimensionLine
                from={[lx, y]}
                to={[a.x, y]}
                text={text('left', ghost.left - left.from)}
                tone={tone}
                lit={lit('left')}
                overflow={sides[0]}
            />
            <DimensionLine
                from={[b.x, y]}
                to={[rx, y]}
                text={text('right', right.from - ghost.left - ghost.span)}
                tone={tone}
                lit={lit('right')}
                overflow={sides[1]}
            />
            {(lit('sill') || Math.abs(ghost.sill - storey.floor) > 1) && (
                <DimensionLine
                    from={[middle, floor]}
                    to={[middle, b.y]}
                    text={text('sill', ghost.sill - storey.floor)}
                    tone={tone}
                    lit={lit('sill')}
                    overflow="before"
                />
            )}
            {(live || ghost.height * view.k > 30) && (
                <DimensionLine
                    from={[headX, floor]}
                    to={[headX, a.y]}
                    text={`head ${text('head', ghost.sill + ghost.height - storey.floor)}`}
                    tone={tone}
                    lit={lit('head')}
                    overflow={tight ? 'before' : 'after'}
                    at={floor - b.y > 20 ? (floor + b.y) / 2 : (Math.max(a.y, 0) + Math.min(floor, size.height)) / 2}
                />
            )}
            {(lit('height') || ghost.typed.height !== undefined) && (
                <DimensionLine
                    from={[Math.min(a.x, b.x) - 13, b.y]}
                    to={[Math.min(a.x, b.x) - 13, a.y]}
                    text={text('height', ghost.height)}
                    tone={tone}
                    lit={lit('height')}
                />
            )}
            {(lit('width') || ghost.typed.width !== undefined) && (
                <DimensionLine
                    from={[a.x, b.y - 14]}
                    to={[b.x, b.y - 14]}
                    text={text('width', ghost.width)}
                    tone={tone}
                    lit={lit('width')}
                />
            )}
        </g>
    );
}
