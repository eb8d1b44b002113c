import type { useData } from '../data';
import { layersOf } from './placed';

type Data = Pick<ReturnType<typeof useData>, 'project'>;

export type Layer = ReturnType<typeof layersOf>[number];

/** What each is called, by how it is removed. */
export const words: Record<Layer['remove'], string> = {
    'band.remove': 'band',
    'floor-band.remove': 'floor band',
    'roof.remove': 'roof',
    'screen.remove': 'screen',
    'field.remove': 'field',
};

export const counted = (count: number, word: string) => `${count} ${word}${count === 1 ? '' : 's'}`;

/** What makes a layer what it is, wherever it stands: equal of those that are alike. */
function makeOf(data: Data, id: string): string {
    const { project } = data;
    const all = [...project.bands, ...project.floorBands, ...project.screens, ...project.fields, ...project.roofs];
    const one = all.find((l) => l.id === id);
    const of = (keys: string[]) => JSON.stringify(keys.map((key) => (one as unknown as Record<string, unknown>)?.[key]));
    if (project.fields.some((f) => f.id === id))
        return of(['shape', 'wide', 'deep', 'angle', 'turn', 'turnLaw', 'battens', 'finish', 'web']);
    if (project.bands.some((b) => b.id === id)) return of(['shape', 'stand', 'profile', 'spaced', 'laws', 'finish']);
    if (project.floorBands.some((b) => b.id === id)) return of(['height', 'depth', 'edge', 'edgeSize', 'out', 'finish']);
    return of(['gap', 'thick', 'edges', 'finish', 'form', 'pitch', 'thickness']);
}

/** Others of the kind of a layer that are gathered with it: what is said of them, and which they are, the layer itself first. */
export function gathered(data: Data, id: string): { says: string; ids: string[] }[] {
    const all = layersOf(data);
    const one = all.find((l) => l.id === id);
    if (!one) return [];
    const others = all.filter((l) => l.id !== id && l.remove === one.remove);
    const make = makeOf(data, id);
    const of = (says: string, is: (l: Layer) => boolean) => ({ says, ids: [id, ...others.filter(is).map((l) => l.id)] });
    const ways = [
        of('all made alike', (l) => makeOf(data, l.id) === make),
        of('all before its walls', (l) => l.before.some((wall) => one.before.includes(wall))),
        of('all of its storey', (l) => l.storey === one.storey),
        of(`all ${words[one.remove]}s`, () => true),
    ].filter((way) => way.ids.length > 1);
    // each says something that those before it do not
    return ways.filter((way, i) => !ways.slice(0, i).some((before) => before.ids.join() === way.ids.join()));
}
