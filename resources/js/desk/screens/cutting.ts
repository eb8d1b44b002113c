import type { EditArgs } from '../../api/client';
import type { Data, Pointer, Ways } from '../modes';
import { useDesk, type CutInHand } from '../store';
import { caught, wallUnder } from './placed';

type Shape = NonNullable<EditArgs<'screen.draw'>['shape']>;

/** Begins to draw a cut-out in a screen, or a piece that is added to it. */
export function startCutting(screen: string, cut: boolean, form: CutInHand['form']): void {
    useDesk.getState().enter({ is: 'cutting', screen, cut, form, wall: null, points: [], over: null, typed: '' });
    window.setTimeout(() => document.querySelector<HTMLElement>('[data-pane=elevation]')?.focus({ preventScroll: true }), 50);
}

/** Begins to draw a region of a wall, to be filled with battens. */
export function startRegion(wall: string, form: 'rectangle' | 'polygon'): void {
    useDesk.getState().enter({ is: 'cutting', screen: null, cut: false, form, wall, points: [], over: null, typed: '' });
    window.setTimeout(() => document.querySelector<HTMLElement>('[data-pane=elevation]')?.focus({ preventScroll: true }), 50);
}

const change = (to: Partial<CutInHand>) => useDesk.setState(({ mode }) => (mode.is === 'cutting' ? { mode: { ...mode, ...to } } : {}));

/** What is drawn, once it has a shape: u from the wall's left end, v over the floor of the screen's storey. */
export function shapeOf(hand: CutInHand, points: number[][], floor: number): Shape | null {
    const [a, b] = [points[0], points[1]];
    if (hand.form === 'polygon') return points.length < 3 ? null : { form: 'polygon', points: points.map(([u, y]) => [u!, y! - floor]) };
    if (!a || !b) return null;
    if (hand.form === 'round') {
        const r = Math.hypot(b[0]! - a[0]!, b[1]! - a[1]!);
        return r < 1 ? null : { form: 'round', u: a[0]! - r, v: a[1]! - r - floor, width: 2 * r };
    }
    const [u, v] = [Math.min(a[0]!, b[0]!), Math.min(a[1]!, b[1]!)];
    const [width, height] = [Math.abs(b[0]! - a[0]!), Math.abs(b[1]! - a[1]!)];
    if (width < 1 || height < 1) return null;
    // a slot is as round at its ends as it is high, or wide
    return { form: 'rectangle', u, v: v - floor, width, height, radius: hand.form === 'slot' ? Math.min(width, height) / 2 : 0 };
}

/** Begun anew; a region of a wall stays on that. */
const begun = (hand: CutInHand): Partial<CutInHand> => ({ points: [], wall: hand.screen === null ? hand.wall : null, typed: '' });

/** The edit that makes what is drawn: a part of the screen, or battens in the region. */
async function make(data: Data, hand: CutInHand, shape: Shape): Promise<boolean> {
    if (hand.screen !== null)
        return (await data.edit('screen.draw', { id: hand.screen, cut: hand.cut, wall: hand.wall ?? undefined, shape })) !== null;
    const { u = 0, v = 0, width = 0, height = 0 } = shape as Record<string, number>;
    const region = shape.points ?? [
        [u, v],
        [u + width, v],
        [u + width, v + height],
        [u, v + height],
    ];
    const battens = { by: 'fit' as const, size: '60 mm' };
    const storey = data.walls.get(hand.wall ?? '')?.base;
    const args = { wall: hand.wall ?? undefined, storey, region, wide: '40 mm', deep: '60 mm', battens };
    const done = await data.edit('field.fill', args, { choose: (o) => o.chosen });
    if (done) useDesk.getState().leaveStill('cutting');
    return done !== null;
}

async function send(data: Data, hand: CutInHand, shape: Shape): Promise<void> {
    change(begun(hand));
    // of one that is refused what was drawn stays, unless another was begun meanwhile
    if (!(await make(data, hand, shape)))
        useDesk.setState(({ mode }) =>
            mode.is === 'cutting' && mode.points.length === 0
                ? { mode: { ...mode, points: hand.points, wall: hand.wall, typed: hand.typed } }
                : {},
        );
}

const screenOf = (data: Data, hand: CutInHand) => data.project.screens.find((s) => s.id === hand.screen);

const floorOf = (data: Data, hand: CutInHand) =>
    data.storeys.get(screenOf(data, hand)?.storey ?? data.walls.get(hand.wall ?? '')?.base ?? '')?.floor ?? 0;

/** Where a click would be: before which wall, and caught on what is near. */
function place(data: Data, hand: CutInHand, pointer: Pointer): { wall: string; at: [number, number] } | null {
    const screen = screenOf(data, hand);
    const wall = hand.wall ?? (screen ? wallUnder(data, screen, pointer.at.x) : null);
    return wall ? { wall, at: caught(data, screen?.id ?? null, wall, pointer.at.x, pointer.at.y, pointer.k) } : null;
}

/** A shape is drawn on a screen: clicks for its corners, or a first one and its size typed. */
export const cutting: Ways = {
    sentence: 'Click corner after corner, or one and type a size, 1200 × 900, then Enter; Esc ends',
    key: (data, event) => {
        const { mode } = useDesk.getState();
        if (mode.is !== 'cutting' || event.ctrlKey || event.metaKey) return false;
        if (event.key === 'Escape' && (mode.points.length > 0 || mode.typed !== '')) {
            change(begun(mode));
            return true;
        }
        if (event.key === 'Backspace') {
            change(mode.typed !== '' ? { typed: mode.typed.slice(0, -1) } : { points: mode.points.slice(0, -1) });
            return true;
        }
        if (event.key === 'Enter') {
            const [a] = mode.points;
            const [width, height] = mode.typed.split(/[×x*]/).map((s) => s.trim());
            if (mode.typed !== '' && a && mode.form !== 'polygon' && mode.screen !== null) {
                const [u, v] = [a[0], a[1] - floorOf(data, mode)];
                const round = mode.form === 'round';
                // sizes as they were typed are lengths to the core, in whatever units
                const shape = round
                    ? { form: 'round' as const, u, v, width }
                    : { form: 'rectangle' as const, u, v, width, height: height ?? width };
                void send(data, mode, shape);
                return true;
            }
            const shape = mode.form === 'polygon' ? shapeOf(mode, mode.points, floorOf(data, mode)) : null;
            if (shape) void send(data, mode, shape);
            return true;
        }
        if (/^[\d.,' "m×x*]$/.test(event.key) && mode.points.length > 0 && mode.form !== 'polygon' && mode.screen !== null) {
            change({ typed: mode.typed + event.key });
            return true;
        }
        return false;
    },
    hover: (data, pointer) => {
        const { mode } = useDesk.getState();
        const over = mode.is === 'cutting' && pointer?.pane === 'elevation' ? place(data, mode, pointer) : null;
        if (over) change({ over });
    },
    click: (data, pointer) => {
        const { mode } = useDesk.getState();
        const found = mode.is === 'cutting' && pointer.pane === 'elevation' ? place(data, mode, pointer) : null;
        if (mode.is !== 'cutting' || !found) return;
        const { wall, at } = found;
        const hand = { ...mode, wall, points: [...mode.points, at] };
        const [first] = mode.points;
        // a polygon closes where it began
        const closes = mode.form === 'polygon' && mode.points.length > 2 && first && Math.hypot(at[0] - first[0]!, at[1] - first[1]!) < 1;
        const shape = closes
            ? shapeOf(mode, mode.points, floorOf(data, mode))
            : mode.form === 'polygon'
              ? null
              : shapeOf(hand, hand.points, floorOf(data, mode));
        if (shape) return void send(data, { ...mode, wall }, shape);
        change({ wall, points: hand.points });
    },
};
