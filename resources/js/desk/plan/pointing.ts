import type { useData } from '../data';
import { keepSection } from '../section/cutting';
import { useDesk, type Spot } from '../store';

type Data = ReturnType<typeof useData>;

/** The pointer is over a point of the plan while points are picked. */
export function pointOver(spot: Spot): void {
    const { pointing } = useDesk.getState();
    if (pointing) useDesk.setState({ pointing: { ...pointing, over: spot } });
}

/** A point is picked; with the last one, what they are for is done. */
export async function pointClick(data: Data, spot: Spot): Promise<void> {
    const { pointing } = useDesk.getState();
    if (!pointing) return;
    const points = [...pointing.points, spot];
    if (points.length < 2) {
        useDesk.setState({ pointing: { ...pointing, points } });
        return;
    }
    useDesk.setState({ pointing: null });
    await keepSection(data, points[0]!, points[1]!);
}
