import type { CurtainGrid } from '../../api/client';
import { tell } from '../../ui/notices';
import type { useData } from '../data';
import { useDesk, type PartName } from '../store';
import { gridsOf } from './grids';

type Data = ReturnType<typeof useData>;

/** What stands at corners, and free members, by name: each once, though a corner is seen from both its sides. */
export function namedIn(data: Data, named: PartName[]): CurtainGrid['free'] {
    const all = gridsOf(data).flatMap(({ grid }) => [...grid.corners, ...grid.free]);
    return named.flatMap(({ element, part }) => all.find((m) => m.element === element && m.part === part) ?? []);
}

/** The free ones of them, by the curtain wall they are of: their places among what was done there by hand. */
function freeOf(data: Data, named: PartName[]): Map<string, number[]> {
    const places = new Map<string, number[]>();
    for (const { element, place } of namedIn(data, named))
        if (place !== undefined) places.set(element, [...(places.get(element) ?? []), place]);
    return places;
}

/** Takes free members away; what stands at corners stays, since the corner says what that is. */
export async function removeNamed(data: Data, named: PartName[]): Promise<void> {
    const free = freeOf(data, named);
    if (free.size === 0) return tell('What stands at a corner stays: the corner says what it is, on the card of the whole.');
    for (const [element, places] of free)
        if (await data.edit('curtain.hand', { ids: [element], reset: [{ of: 'free', places }] })) useDesk.setState({ named: [] });
}

/** A copy of each the other way about the middle of its stretch. */
export async function mirrorNamed(data: Data, named: PartName[]): Promise<void> {
    for (const [element, places] of freeOf(data, named)) await data.edit('curtain.hand', { ids: [element], mirror: { places } });
}
