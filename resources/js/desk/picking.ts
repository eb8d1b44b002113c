import type { Ways } from './modes';
import { pickingOf, useDesk } from './store';

/** A point is picked that an opening is measured from. */
export const picking: Ways = {
    sentence: 'Click the point it is measured from',
    click: (data, pointer) => {
        const opening = data.openings.get(pickingOf(useDesk.getState()) ?? '');
        if (pointer.pane !== 'elevation' || !pointer.known) return;
        useDesk.getState().leave();
        if (!opening) return;
        const at = pointer.spot().x - opening.frontage.offset - (opening.frontage.walls[opening.host] ?? 0);
        void data.edit('opening.change', { id: opening.id, measure: { from: 'point', at } });
    },
};

export function startPicking(opening: string): void {
    useDesk.getState().enter({ is: 'picking', opening });
    useDesk.setState({ main: 'elevation' });
}
