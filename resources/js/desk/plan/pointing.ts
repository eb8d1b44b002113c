import type { useData } from '../data';
import { keepSection } from '../section/cutting';
import { useDesk, type Pointing, type Spot } from '../store';

type Data = ReturnType<typeof useData>;

/** How many points a purpose takes before something is to be said or done. */
const enough: Record<Pointing['what'], number> = { section: 2, scale: 2, put: 4, marks: 2 };

/** Begins to pick points in plan. */
export function startPointing(pointing: Pointing): void {
    useDesk.setState((s) => ({
        pointing,
        inHand: null,
        ghost: null,
        preview: null,
        measuring: null,
        outline: null,
        ...(s.main === 'plan' ? {} : { side: 'plan' as const }),
    }));
    window.setTimeout(() => document.querySelector<HTMLElement>('[data-pane=plan]')?.focus({ preventScroll: true }), 50);
}

/** The pointer is over a point of the plan while points are picked. */
export function pointOver(spot: Spot): void {
    const { pointing } = useDesk.getState();
    if (pointing && pointing.points.length < enough[pointing.what]) useDesk.setState({ pointing: { ...pointing, over: spot } });
}

/** A point is picked; for a section the second does it, for the rest the bar over the plan asks on. */
export async function pointClick(data: Data, spot: Spot): Promise<void> {
    const { pointing } = useDesk.getState();
    if (!pointing || pointing.points.length >= enough[pointing.what]) return;
    const points = [...pointing.points, spot];
    if (pointing.what === 'section' && points.length === 2) {
        useDesk.setState({ pointing: null });
        return keepSection(data, points[0]!, points[1]!);
    }
    useDesk.setState({ pointing: { ...pointing, points, over: null } });
}
