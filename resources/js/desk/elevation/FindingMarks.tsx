import { useMemo } from 'react';
import { useData } from '../data';
import { useClickable } from '../drawing/useClickable';
import { toScreen, type Size } from '../drawing/view';
import { useShowing } from '../showing';
import { useDesk, type View } from '../store';

/** Marks nearer to each other than so many px are one, with their number. */
const NEAR = 30;
/** More than so many in sight are small dots: the drawing is looked at, not they. */
const MANY = 40;
/** px by which marks are made ahead of where the view is, so that moving it a little makes none. */
const AHEAD = 400;

type Group = { x: number; y: number; elements: string[]; sentences: string[] };

/** Where findings are. While the view moves, one transform moves them all; while it is zoomed, only those in sight are placed. */
export function FindingMarks({ view, size }: { view: View; size: Size }) {
    const { findings, openings } = useData();
    const showing = useShowing();
    const inner = useDesk((s) => s.face) === 'inner';
    // cells of a power of two mm, so that groups change with the zoom in steps and never while the view moves
    const cell = 2 ** Math.ceil(Math.log2(NEAR / view.k));
    const groups = useMemo(() => {
        const found = new Map<string, Group>();
        for (const f of showing.findings ? findings : []) {
            const opening = openings.get(f.elements[0]!);
            if (f.frontage.inner !== inner || !showing.wall(f.host) || (opening && !showing.opening(opening))) continue;
            const [x, y] = [f.frontage.offset + f.at[0]!, f.at[1]!];
            const key = `${Math.floor(x / cell)} ${Math.floor(y / cell)}`;
            const group = found.get(key) ?? { x: 0, y: 0, elements: [], sentences: [] };
            const n = group.sentences.length;
            group.x = (group.x * n + x) / (n + 1);
            group.y = (group.y * n + y) / (n + 1);
            group.sentences.push(f.sentence);
            if (!group.elements.includes(f.elements[0]!)) group.elements.push(f.elements[0]!);
            found.set(key, group);
        }
        return [...found.values()];
    }, [findings, openings, showing, inner, cell]);

    const sign = view.flip ? -1 : 1;
    const [tileX, tileY] = [Math.round((view.x * view.k) / AHEAD), Math.round((view.y * view.k) / AHEAD)];
    const { width, height } = size;
    const marks = useMemo(() => {
        const within = (ahead: number) => (g: Group) =>
            Math.abs(g.x * view.k - tileX * AHEAD) < width / 2 + ahead && Math.abs(g.y * view.k - tileY * AHEAD) < height / 2 + ahead;
        const quiet = groups.filter(within(0)).length > MANY;
        return groups
            .filter(within(AHEAD))
            .map((g) => (
                <Mark key={`${g.elements[0]} ${g.sentences[0]}`} group={g} x={sign * g.x * view.k} y={-g.y * view.k} quiet={quiet} />
            ));
    }, [groups, view.k, sign, tileX, tileY, width, height]);
    const origin = toScreen(view, size, 0, 0);
    return <g transform={`translate(${origin.x} ${origin.y})`}>{marks}</g>;
}

function Mark({ group, x, y, quiet }: { group: Group; x: number; y: number; quiet: boolean }) {
    const clickable = useClickable();
    const many = group.sentences.length;
    const said = many === 1 ? group.sentences[0] : `${many} findings here: ${group.sentences.slice(0, 3).join(' ')}${many > 3 ? ' …' : ''}`;
    return (
        <g
            transform={`translate(${x} ${y})`}
            className={clickable}
            data-finding-mark={many}
            onPointerDown={(e) => e.stopPropagation()}
            onClick={() => {
                useDesk.getState().choose(group.elements);
                if (group.elements.length > 1) useDesk.getState().show(group.elements);
            }}
        >
            <title>{said}</title>
            <circle
                r={quiet ? (many > 1 ? 4.5 : 3.5) : many > 99 ? 12 : many > 1 ? 10 : 8}
                fill="var(--buoy)"
                stroke="var(--sheet)"
                strokeWidth={quiet ? 1 : 1.5}
            />
            {!quiet && (
                <text y={4} textAnchor="middle" fontSize={many > 99 ? 9.5 : 11} fontWeight={700} fill="var(--sheet)">
                    {many === 1 ? '!' : many}
                </text>
            )}
        </g>
    );
}
