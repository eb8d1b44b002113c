import type { EditArgs, Outcome } from '../api/client';
import { isPassing } from '../api/reach';
import { complain } from '../ui/notices';
import type { useData } from './data';
import { gaps, ghostAt } from './ghost';
import type { Pointer, Pressed, Ways } from './modes';
import { intoScreen, newest, screenInHand } from './screens/placing';
import { changeGhost, dimensions, ghostOf, inHandOf, useDesk, type Dimension, type Ghost, type InHand } from './store';

type Data = ReturnType<typeof useData>;

/** The relation a ghost was caught by sideways: the middle of its wall, or a setting-out line. */
export function caughtPosition(ghost: Ghost): { position: EditArgs<'opening.place'>['position'] } | null {
    if (ghost.centred) return { position: { from: 'middle', value: 0, to: 'centre' } };
    if (ghost.caught.along === null || !ghost.caught.line) return null;
    return { position: { from: 'line', ref: ghost.caught.line, value: 0, to: ghost.caught.point ?? 'near' } };
}

/** The same upright, when the line is at the same height for the ghost's own storey. */
export function caughtSill(data: Data, ghost: Ghost): { sill: NonNullable<EditArgs<'opening.place'>['sill']> } | null {
    const line = ghost.caught.up !== null && ghost.caught.level ? data.lines.get(ghost.caught.level) : undefined;
    const level = line && (line.levels.find((l) => l.storey === ghost.storey) ?? (line.levels.length === 1 ? line.levels[0] : undefined));
    if (!line || !level || Math.abs(level.level - (ghost.caught.upAt ?? NaN)) > 0.01) return null;
    return { sill: { from: 'line', ref: line.id, height: 0, edge: ghost.caught.edge ?? 'sill' } };
}

/** What is sent to place the ghost: figures as they were typed, and the relation it was caught by. */
export function placeArgs(data: Data, inHand: InHand, ghost: Ghost): EditArgs<'opening.place'> {
    const { left, right } = gaps(data, ghost);
    const wall = data.walls.get(ghost.host)!;
    const { typed } = ghost;
    const beyond = (reference: number, text: string) => (reference < 0.01 ? text : `${reference} mm + (${text})`);
    const position: EditArgs<'opening.place'>['position'] =
        typed.left !== undefined
            ? { from: 'left', value: beyond(left.from - wall.start, typed.left), to: 'near' }
            : typed.right !== undefined
              ? { from: 'right', value: beyond(wall.end - right.from, typed.right), to: 'near' }
              : (caughtPosition(ghost)?.position ?? { from: 'left', value: ghost.left - wall.start, to: 'near' });
    const floor = data.storeys.get(ghost.storey)?.floor ?? 0;
    return {
        host: ghost.host,
        storey: ghost.storey,
        type: inHand.type,
        ...(inHand.grid ? { grid: inHand.grid } : {}),
        width: typed.width ?? ghost.width,
        height: typed.height ?? ghost.height,
        position,
        ...(typed.head !== undefined && typed.sill === undefined
            ? { headAt: typed.head }
            : ((typed.sill === undefined ? caughtSill(data, ghost) : null) ?? {
                  sill: { from: 'floor', height: typed.sill ?? ghost.sill - floor },
              })),
    };
}

let timer = 0;
let latest = 0;

/** Asks what the ghost would come to: where typed figures put it, what is doubtful, why not. */
export function inquire(data: Data): void {
    window.clearTimeout(timer);
    timer = window.setTimeout(async () => {
        const desk = useDesk.getState();
        const [ghost, inHand] = [ghostOf(desk), inHandOf(desk)];
        if (!ghost) return;
        const mine = ++latest;
        const asked = ghost;
        try {
            const outcome = ghost.moving
                ? await data.tryEdit('opening.change', { id: ghost.moving, leftJamb: ghost.left, sillLevel: ghost.sill })
                : inHand?.screen
                  ? await data.tryEdit('screen.draw', intoScreen(data, inHand.screen, ghost, placeArgs(data, inHand, ghost)))
                  : inHand && (await data.tryEdit('opening.place', placeArgs(data, inHand, ghost)));
            if (mine !== latest || !outcome) return;
            changeGhost((now) =>
                now.typed === asked.typed && now.host === asked.host
                    ? { ...now, ...settledBy(outcome, now, inHand?.screen), refusal: null, findings: outcome.findings }
                    : now,
            );
        } catch (problem) {
            // what does not answer now says nothing about the place
            if (mine === latest && !isPassing(problem))
                changeGhost((now) => ({ ...now, refusal: (problem as Error).message, findings: [] }));
        }
    }, 70);
}

/** Where the core put it, for what was typed. */
function settledBy(outcome: Outcome, ghost: Ghost, screen: InHand['screen']): Partial<Ghost> {
    const cut = screen ? newest(outcome, screen, ghost.host) : null;
    const placed = cut ? { ...cut, span: cut.width, sillLevel: cut.sill } : outcome.placed[0];
    if (!placed) return {};
    if (Object.keys(ghost.typed).length === 0) return ghost.width === placed.width ? { span: placed.span } : {};
    const { typed } = ghost;
    return {
        width: placed.width,
        span: placed.span,
        height: placed.height,
        ...(typed.left !== undefined || typed.right !== undefined ? { left: placed.left } : {}),
        ...(typed.sill !== undefined || typed.head !== undefined ? { sill: placed.sillLevel } : {}),
    };
}

/** The same into a screen: the next lies beside it. */
async function placeInScreen(data: Data, screen: NonNullable<InHand['screen']>, inHand: InHand, ghost: Ghost): Promise<void> {
    const leftwards = ghost.typed.right !== undefined;
    try {
        const args = intoScreen(data, screen, ghost, placeArgs(data, inHand, ghost));
        // where it comes to lie is known from a try: what was done says which screens changed alone
        const cut = newest(await data.tryEdit('screen.draw', args), screen, ghost.host);
        const outcome = await data.edit('screen.draw', args, { quiet: true, choose: (o) => o.chosen });
        if (!outcome || !cut) return;
        useDesk.setState((s) => (s.chosen === outcome.chosen ? { fins: [cut.n] } : {}));
        changeGhost((now) => ({
            ...now,
            typed: {},
            lit: leftwards ? 'right' : 'left',
            refusal: null,
            findings: [],
            left: leftwards ? cut.left - cut.width : cut.left + cut.width,
            sill: cut.sill,
            centred: false,
            caught: { along: null, up: null },
        }));
    } catch (problem) {
        complain(problem);
        changeGhost((now) => ({ ...now, refusal: (problem as Error).message }));
    }
}

/** Places what is in hand where its ghost is; the next goes on with the same size and sill. */
export async function placeGhost(data: Data): Promise<void> {
    const { mode } = useDesk.getState();
    if (mode.is !== 'placing' || !mode.ghost) return;
    const { ghost, inHand } = mode;
    if (inHand.screen) return placeInScreen(data, inHand.screen, inHand, ghost);
    const leftwards = ghost.typed.right !== undefined;
    try {
        const outcome = await data.edit('opening.place', placeArgs(data, inHand, ghost), {
            quiet: true,
            choose: (o) => o.chosen,
            place: {
                host: ghost.host,
                storey: ghost.storey,
                left: ghost.left,
                sillLevel: ghost.sill,
                width: ghost.width,
                span: ghost.span,
                height: ghost.height,
            },
        });
        const placed = outcome?.placed[0];
        if (!outcome || !placed) return;
        const floor = data.storeys.get(placed.storey)?.floor ?? 0;
        useDesk.setState(({ mode: now }) =>
            now.is === 'placing'
                ? {
                      mode: {
                          ...now,
                          inHand: { ...now.inHand, width: placed.width, height: placed.height, sill: placed.sillLevel - floor },
                      },
                  }
                : {},
        );
        changeGhost((now) => ({
            ...now,
            typed: {},
            lit: leftwards ? 'right' : 'left',
            width: placed.width,
            span: placed.span,
            height: placed.height,
            refusal: null,
            findings: [],
            // beside the one that was placed, so that the next figure counts from it
            left: leftwards ? placed.left - placed.span : placed.left + placed.span,
            sill: placed.sillLevel,
            centred: false,
            caught: { along: null, up: null },
        }));
    } catch (problem) {
        complain(problem);
        changeGhost((now) => ({ ...now, refusal: (problem as Error).message }));
    }
}

/** A rectangle is dragged for what is in hand: it becomes as wide and high as that, in steps of 10. */
export function spread(data: Data, from: { x: number; y: number }, to: { x: number; y: number }): void {
    const { mode } = useDesk.getState();
    const ghost = ghostOf({ mode });
    const frontage = ghost && data.frontageOf.get(ghost.host);
    if (mode.is !== 'placing' || !ghost || !frontage) return;
    const start = frontage.offset + (frontage.walls[ghost.host] ?? 0);
    const round = (mm: number) => Math.round(mm / 10) * 10;
    const floor = data.storeys.get(ghost.storey)?.floor ?? 0;
    const [left, right] = [round(Math.min(from.x, to.x) - start), round(Math.max(from.x, to.x) - start)];
    // a rectangle that begins about at the floor stands on it
    const low = Math.min(from.y, to.y);
    const sill = Math.abs(low - floor) < 250 ? floor : round(low);
    const [width, height] = [Math.max(right - left, 100), Math.max(round(Math.max(from.y, to.y)) - sill, 100)];
    useDesk.setState({
        mode: {
            ...mode,
            inHand: { ...mode.inHand, width, height, sill: sill - floor },
            ghost: {
                ...ghost,
                left,
                sill,
                width,
                span: width,
                height,
                typed: {},
                caught: { along: null, up: null },
                centred: false,
                refusal: null,
            },
        },
    });
    inquire(data);
}

/** A key pressed while something is in hand; true when it was meant for the ghost. */
function ghostKey(data: Data, event: Pressed): boolean {
    const { mode, leave } = useDesk.getState();
    if (mode.is !== 'placing' || event.ctrlKey || event.metaKey) return false;
    const { ghost } = mode;
    const become = (next: Ghost) => changeGhost(() => next);
    if (event.key === 'Escape') {
        if (ghost && Object.keys(ghost.typed).length > 0) become({ ...ghost, typed: {}, refusal: null });
        else leave();
        return true;
    }
    if (!ghost || ghost.moving) return false;
    const type = (text: string | undefined) => {
        const typed = { ...ghost.typed };
        const opposite: Partial<Record<Dimension, Dimension>> = { left: 'right', right: 'left', sill: 'head', head: 'sill' };
        if (text) {
            typed[ghost.lit] = text;
            const other = opposite[ghost.lit];
            if (other) delete typed[other];
        } else delete typed[ghost.lit];
        const upright = typed.sill !== undefined || typed.head !== undefined;
        const sideways = typed.left !== undefined || typed.right !== undefined;
        become({
            ...ghost,
            typed,
            refusal: null,
            centred: ghost.centred && !sideways,
            caught: { ...ghost.caught, along: sideways ? null : ghost.caught.along, up: upright ? null : ghost.caught.up },
        });
        inquire(data);
    };
    if (event.key === 'Tab') {
        const i = dimensions.indexOf(ghost.lit) + (event.shiftKey ? dimensions.length - 1 : 1);
        become({ ...ghost, lit: dimensions[i % dimensions.length]! });
        return true;
    }
    if (event.key === 'Enter') {
        void placeGhost(data);
        return true;
    }
    if (event.key === 'Backspace') {
        type((ghost.typed[ghost.lit] ?? '').slice(0, -1));
        return true;
    }
    if (event.key.startsWith('Arrow')) {
        const by = event.shiftKey ? 10 : 100;
        const next = { ...ghost, caught: { along: null, up: null }, centred: false };
        if (event.key === 'ArrowLeft') next.left -= by;
        if (event.key === 'ArrowRight') next.left += by;
        if (event.key === 'ArrowUp') next.sill += by;
        if (event.key === 'ArrowDown') next.sill -= by;
        become(next);
        inquire(data);
        return true;
    }
    if (/^[0-9.,+\-*/()'" mcftin]$/.test(event.key)) {
        type((ghost.typed[ghost.lit] ?? '') + event.key);
        return true;
    }
    return false;
}

/** Takes a type in hand with its own size and sill, and shows its ghost in the middle of the wall in view, for the keyboard. */
export function takeInHand(data: Data, taken: InHand): void {
    const { storey, chosen } = useDesk.getState();
    const screen = taken.grid ? null : screenInHand(data, chosen);
    const inHand = { ...taken, screen };
    const chosenOpening = chosen.map((id) => data.openings.get(id)).find(Boolean);
    const inner = useDesk.getState().face === 'inner';
    const first = data.project.frontages.find((f) => f.inner === inner);
    const before = data.project.screens.find((s) => s.id === screen?.id)?.before[0];
    const wall = data.walls.get(
        before ?? chosenOpening?.host ?? chosen.find((id) => data.walls.has(id)) ?? Object.keys(first?.walls ?? {})[0] ?? '',
    );
    const on = wall && (data.storeys.get(chosenOpening?.storey ?? storey ?? wall.base) ?? null);
    const fits = wall && on && on.floor >= wall.foot - 0.01 && on.ceiling <= wall.head + 0.01 ? on : wall && data.storeys.get(wall.base);
    const ghost = wall && fits ? ghostAt(data, inHand, wall, fits, wall.length / 2, null, 0.03, null) : null;
    useDesk.getState().enter({ is: 'placing', inHand, ghost });
    inquire(data);
}

/** The ghost comes to where the pointer is. */
function bring(data: Data, pointer: Pointer): boolean {
    const { mode } = useDesk.getState();
    const found = pointer.stand();
    if (mode.is !== 'placing' || !found) return false;
    const { wall, storey, along, level } = found;
    const loose = pointer.pane === 'elevation' && pointer.at.event.altKey;
    useDesk.setState({ mode: { ...mode, ghost: ghostAt(data, mode.inHand, wall, storey, along, level, pointer.k, mode.ghost, loose) } });
    inquire(data);
    return true;
}

/** A unit or a bare opening is in hand: figures are typed, or it is put where the pointer is. */
export const placing: Ways = {
    key: ghostKey,
    hover: (data, pointer) => void (pointer && bring(data, pointer)),
    click: (data, pointer) => {
        if (bring(data, pointer) || pointer.pane === 'elevation') void placeGhost(data);
    },
};
