import { useEffect, useRef, useState } from 'react';
import type { Outcome } from '../../api/client';
import { Button } from '../../ui/Button';
import { complain, tell } from '../../ui/notices';
import { useData } from '../data';
import { CaughtName, Cross } from '../drawing/Caught';
import { toScreen, type Size } from '../drawing/view';
import { pointingOf, useDesk, type Pointing, type View } from '../store';
import { MarkWords, useMarkWords } from '../tracing/Marks';
import { onWall } from '../surface';

const said: Record<Pointing['what'], string[]> = {
    section: ['Click where the section begins; it is seen to the left of its way.', 'Click where it ends.'],
    scale: ['Click a point of the tracing.', 'Click another, whose distance from the first is known.'],
    put: [
        'Click a point of the tracing.',
        'Click where it belongs.',
        'It is put there. To turn it too, click a second point of the tracing…',
        '…and a point in whose direction that lies.',
    ],
    marks: ['Click the mark of one jamb, at a wall.', 'Click the mark of the other.'],
    rooflight: ['Click in a face of the roof, where the middle of the rooflight is to lie.'],
};

/** What is to be clicked or said next, while points are picked in plan. */
export function PointingBar() {
    const pointing = useDesk(pointingOf);
    if (!pointing) return null;
    const { what, points } = pointing;
    return (
        <div
            className="absolute top-2 left-3 z-10 max-w-[92%] rounded-md border border-hairline bg-paper px-3 py-1.5 shadow-sm"
            data-pointing={`${what} ${points.length}`}
            role="status"
        >
            {what === 'scale' && points.length === 2 ? (
                <Distance pointing={pointing} />
            ) : what === 'put' && points.length >= 2 ? (
                <Put key={points.length} pointing={pointing} />
            ) : what === 'marks' && points.length === 2 ? (
                <FromMarks pointing={pointing} />
            ) : (
                <Next pointing={pointing} />
            )}
        </div>
    );
}

const leave = () => useDesk.getState().leave();

function Next({ pointing }: { pointing: Pointing }) {
    const data = useData();
    const { points, over } = pointing;
    const from = points.at(-1);
    return (
        <span className="flex flex-wrap items-center gap-3">
            <span>{said[pointing.what][points.length]}</span>
            {from && over && <b>{data.length(Math.hypot(over.x - from.x, over.y - from.y))}</b>}
            <Button small look="plain" onClick={leave}>
                {pointing.what === 'rooflight' ? 'Done' : 'Cancel'}
            </Button>
        </span>
    );
}

/** The known distance between two points of a tracing. */
function Distance({ pointing }: { pointing: Pointing }) {
    const data = useData();
    const [text, setText] = useState('');
    const field = useRef<HTMLInputElement>(null);
    useEffect(() => field.current?.focus(), []);
    const [a, b] = pointing.points as [Pointing['points'][number], Pointing['points'][number]];
    const scale = async () => {
        try {
            const outcome = await data.edit(
                'tracing.place',
                { id: pointing.tracing!, a: [a.x, a.y], b: [b.x, b.y], distance: text },
                { quiet: true },
            );
            if (!outcome) return;
            leave();
            tell(`${outcome.summary}. Now put it in place.`);
        } catch (problem) {
            complain(problem);
        }
    };
    return (
        <form
            className="flex flex-wrap items-center gap-2"
            onSubmit={(e) => {
                e.preventDefault();
                void scale();
            }}
            onKeyDown={(e) => e.key === 'Escape' && leave()}
        >
            The two are truly
            <input
                ref={field}
                type="text"
                aria-label="Known distance"
                value={text}
                size={9}
                onChange={(e) => setText(e.target.value)}
                className="rounded-sm border-b border-tide bg-tide-wash px-1 font-semibold"
            />
            apart <span className="text-quiet">(now {data.length(Math.hypot(b.x - a.x, b.y - a.y))})</span>
            <Button small look="main" type="submit" disabled={text.trim() === ''}>
                Scale <kbd className="font-sans opacity-80">Enter</kbd>
            </Button>
            <Button small look="plain" onClick={leave}>
                Cancel
            </Button>
        </form>
    );
}

/** Moves a tracing at once with the second point, and turns it with the fourth. */
function Put({ pointing }: { pointing: Pointing }) {
    const data = useData();
    const { points, tracing } = pointing;
    const going = useRef(false);
    useEffect(() => {
        if (going.current || (points.length !== 2 && points.length !== 4)) return;
        going.current = true;
        const [a, to, b, towards] = points;
        const args =
            points.length === 2
                ? { a: [a!.x, a!.y], to: [to!.x, to!.y] }
                : { a: [to!.x, to!.y], to: [to!.x, to!.y], b: [b!.x, b!.y], towards: [towards!.x, towards!.y] };
        data.edit('tracing.place', { id: tracing!, ...args }, { quiet: true })
            .then(() => points.length === 4 && leave())
            .catch((problem) => {
                complain(problem);
                useDesk.setState({
                    mode: { is: 'pointing', ...pointing, points: points.length === 2 ? [] : points.slice(0, 2), over: null },
                });
            });
        // once for these points
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, []);
    return (
        <span className="flex flex-wrap items-center gap-3">
            <span>{said.put[points.length] ?? 'Turning…'}</span>
            <Button small look="main" onClick={leave}>
                It lies right
            </Button>
        </span>
    );
}

/** An opening between two marks: how wide, rounded or not, tried before it is placed; the next marks go on at once. */
function FromMarks({ pointing }: { pointing: Pointing }) {
    const data = useData();
    const words = useMarkWords();
    const active = useDesk((s) => s.storey);
    const storey = data.storeys.get(active ?? '') ?? data.project.storeys[0]!;
    const [tried, setTried] = useState<Outcome | string | null>(null);
    const form = useRef<HTMLFormElement>(null);
    const [a, b] = pointing.points as [Pointing['points'][number], Pointing['points'][number]];
    // the wall that both lie nearest to
    const wall = data.project.walls
        .filter((w) => w.foot < storey.ceiling - 1 && w.head > storey.floor + 1)
        .map((w) => ({
            w,
            off: Math.max(
                ...[a, b].map((p) =>
                    Math.max(0, -onWall(w, p).depth, onWall(w, p).depth - w.thickness, -onWall(w, p).along, onWall(w, p).along - w.length),
                ),
            ),
        }))
        .sort((x, y) => x.off - y.off)[0]?.w;
    const marks = wall ? [{ host: wall.id, from: onWall(wall, a).along, to: onWall(wall, b).along }] : [];
    const args = JSON.stringify({ storey: storey.id, marks, ...words.args });
    const { tryEdit } = data;
    useEffect(() => {
        let gone = false;
        tryEdit('opening.from-marks', JSON.parse(args))
            .then((o) => {
                if (gone) return;
                setTried(o);
                useDesk.setState({
                    preview: {
                        placed: o.placed,
                        misfits: o.misfits,
                        notes: o.notes,
                        wanted: 1,
                        refusal: null,
                        findings: o.findings,
                        lines: [],
                        walls: [],
                    },
                });
            })
            .catch((problem: Error) => !gone && setTried(problem.message));
        return () => {
            gone = true;
            useDesk.setState({ preview: null });
        };
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [args]);
    useEffect(() => form.current?.querySelector<HTMLElement>('button[type=submit]')?.focus(), []);
    const width = marks[0] ? Math.abs(marks[0].to - marks[0].from) : 0;
    const placed = tried && typeof tried !== 'string' ? tried.placed[0] : undefined;
    const misfit = tried && typeof tried !== 'string' ? tried.misfits[0]?.sentence : tried;
    const place = async () => {
        try {
            const outcome = await data.edit('opening.from-marks', JSON.parse(args), { quiet: true, choose: (o) => o.chosen });
            if (!outcome || useDesk.getState().mode.is !== 'pointing') return;
            useDesk.setState({ mode: { is: 'pointing', what: 'marks', points: [], over: null } });
            document.querySelector<HTMLElement>('[data-pane=plan]')?.focus({ preventScroll: true });
        } catch (problem) {
            complain(problem);
        }
    };
    return (
        <form
            ref={form}
            onSubmit={(e) => {
                e.preventDefault();
                void place();
            }}
            onKeyDown={(e) => e.key === 'Escape' && leave()}
        >
            <p>
                The marks are <b>{data.length(width)}</b> apart
                {placed && Math.abs(placed.width - width) > 0.05 ? (
                    <>
                        ; the opening is <b>{data.length(placed.width)}</b>, {data.length(Math.abs(placed.width - width))}{' '}
                        {placed.width > width ? 'wider' : 'narrower'}
                    </>
                ) : (
                    ''
                )}
                .
            </p>
            <MarkWords words={words} />
            {misfit && <p className="text-buoy">{misfit}</p>}
            <p className="flex gap-2">
                <Button small look="main" type="submit" disabled={!placed || Boolean(misfit)}>
                    Place it, on to the next <kbd className="font-sans opacity-80">Enter</kbd>
                </Button>
                <Button small onClick={() => useDesk.setState({ mode: { is: 'pointing', what: 'marks', points: [], over: null } })}>
                    Other marks
                </Button>
                <Button small look="plain" onClick={leave}>
                    Cancel
                </Button>
            </p>
        </form>
    );
}

/** The points picked so far and the line to the pointer. */
export function PointsOverlay({ view, size }: { view: View; size: Size }) {
    const pointing = useDesk(pointingOf);
    if (!pointing || pointing.what === 'rooflight') return null;
    const all = [...pointing.points, ...(pointing.over ? [pointing.over] : [])].map((p) => ({
        ...toScreen(view, size, p.x, p.y),
        name: p.name,
    }));
    const tip = pointing.over ? all.at(-1) : undefined;
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
                <Cross key={i} x={p.x} y={p.y} />
            ))}
            {tip && <CaughtName {...tip} />}
        </g>
    );
}
