import { storeyName } from './storeyName';
import { useMemo } from 'react';
import { layersOf } from './bands/placed';
import type { Frontage, PlacedOpening, Wall } from '../api/client';
import { useData } from './data';
import { hideable, useDesk, type Alone, type Hideable } from './store';

type Data = ReturnType<typeof useData>;

/** What is shown and what is not, the same in every pane; and what is hidden, in words, so that nothing seems lost. */
export type Showing = {
    frontages: Frontage[];
    /** the units in openings are drawn, not only the openings */
    units: boolean;
    lines: boolean;
    findings: boolean;
    tracings: boolean;
    marks: boolean;
    /** fins are drawn as a veil */
    dimmed: boolean;
    through: boolean;
    /** whether anything of openings or walls is hidden, apart from the face that is looked at */
    partial: boolean;
    wall: (id: string) => boolean;
    opening: (o: Pick<PlacedOpening, 'id' | 'host' | 'storey'>) => boolean;
    band: (id: string) => boolean;
    /** cells, members and rooflights that are hidden by themselves, by what they are of */
    parts: Map<string, Set<string>>;
    said: string[];
};

export function useShowing(): Showing {
    const data = useData();
    const face = useDesk((s) => s.face);
    const hidden = useDesk((s) => s.hidden);
    const hiddenSets = useDesk((s) => s.hiddenSets);
    const hiddenOnes = useDesk((s) => s.hiddenOnes);
    const hiddenParts = useDesk((s) => s.hiddenParts);
    const alone = useDesk((s) => s.alone);
    const through = useDesk((s) => s.through);
    const marks = useDesk((s) => s.marks);
    const dimmed = useDesk((s) => s.dimmed);
    return useMemo(
        () => ({ ...showingOf(data, face, hidden, hiddenSets, hiddenOnes, hiddenParts, alone, through), marks, dimmed }),
        [data, face, hidden, hiddenSets, hiddenOnes, hiddenParts, alone, through, marks, dimmed],
    );
}

function showingOf(
    data: Data,
    face: 'outer' | 'inner',
    hidden: Hideable[],
    hiddenSets: string[],
    hiddenOnes: string[],
    hiddenParts: { element: string; part: string }[],
    alone: Alone | null,
    through: boolean,
): Omit<Showing, 'marks' | 'dimmed'> {
    const sets = data.project.sets.filter((s) => hiddenSets.includes(s.id));
    const gone = new Set([...hiddenOnes, ...sets.flatMap((s) => s.members)]);
    const inner = new Set(data.project.outlines.filter((o) => o.inner).map((o) => o.id));
    const parts = new Map<string, Set<string>>();
    for (const { element, part } of [...hiddenParts, ...sets.flatMap((s) => s.parts)])
        parts.set(element, (parts.get(element) ?? new Set()).add(part));
    const cells = hiddenParts.filter((p) => p.part.startsWith('cell')).length;
    const lights = hiddenParts.filter((p) => p.part.startsWith('light')).length;
    const members = hiddenParts.length - cells - lights;
    const only = alone?.walls && new Set(alone.walls);
    const these = alone?.openings && new Set(alone.openings);
    const off = (kind: Hideable) => hidden.includes(kind);
    const wallOf = (w: Wall) => !gone.has(w.id) && !off(inner.has(w.outline) ? 'inner' : 'outer') && (!only || only.has(w.id));
    const walls = new Set(data.project.walls.filter(wallOf).map((w) => w.id));
    const opening: Showing['opening'] = (o) =>
        !off('openings') &&
        !gone.has(o.id) &&
        walls.has(o.host) &&
        (!alone?.storey || o.storey === alone.storey) &&
        (!these || these.has(o.id));
    const known = hiddenOnes.filter((id) => data.openings.has(id)).length;
    const bands = layersOf(data).filter((b) => hiddenOnes.includes(b.id)).length;
    const stand = hiddenOnes.filter((id) => data.walls.has(id)).length;
    return {
        frontages: data.project.frontages.filter((f) => f.inner === (face === 'inner') && Object.keys(f.walls).some((w) => walls.has(w))),
        units: !off('units'),
        lines: !off('lines'),
        findings: !off('findings'),
        tracings: !off('tracings'),
        through,
        partial: alone !== null || gone.size > 0 || off('openings') || off('outer') || off('inner'),
        wall: (id) => walls.has(id),
        opening,
        band: (id) => !off('fins') && !gone.has(id) && (!alone?.layers || alone.layers.includes(id)),
        parts,
        said: [
            ...(alone ? [`all but ${alone.name}`] : []),
            ...hidden.map((kind) => hideable[kind]),
            ...sets.map((s) => `set ${s.name}`),
            ...(known > 0 ? [known === 1 ? '1 opening' : `${known} openings`] : []),
            ...(bands > 0 ? [bands === 1 ? '1 band' : `${bands} bands`] : []),
            ...(cells > 0 ? [cells === 1 ? '1 cell' : `${cells} cells`] : []),
            ...(members > 0 ? [members === 1 ? '1 member' : `${members} members`] : []),
            ...(lights > 0 ? [lights === 1 ? '1 rooflight' : `${lights} rooflights`] : []),
            ...(stand > 0 ? [stand === 1 ? '1 wall' : `${stand} walls`] : []),
        ],
    };
}

export const showEverything = () => useDesk.setState({ hidden: [], hiddenSets: [], hiddenOnes: [], hiddenParts: [], alone: null });

export function toggleHidden(kind: Hideable): void {
    useDesk.setState((s) => ({ hidden: s.hidden.includes(kind) ? s.hidden.filter((k) => k !== kind) : [...s.hidden, kind] }));
}

export function toggleSet(id: string): void {
    useDesk.setState((s) => ({ hiddenSets: s.hiddenSets.includes(id) ? s.hiddenSets.filter((k) => k !== id) : [...s.hiddenSets, id] }));
}

/** Works on what is chosen alone: its wall, storey or frontage, the openings, or what stands before walls; asked again, on everything. */
export function workAlone(data: Data): void {
    const { chosen, alone } = useDesk.getState();
    if (alone) return useDesk.setState({ alone: null });
    const openings = chosen.filter((id) => data.openings.has(id));
    const wall = data.walls.get(chosen[0] ?? '');
    const storey = data.storeys.get(chosen[0] ?? '');
    const layers = layersOf(data).filter((l) => chosen.includes(l.id));
    const next: Alone | null =
        layers.length > 0
            ? { name: layers.map((l) => l.name).join(' and '), walls: layers.flatMap((l) => l.before), layers: layers.map((l) => l.id) }
            : storey
              ? { name: storeyName(storey.name).replace(/^S/, 's'), storey: storey.id }
              : wall
                ? { name: `a wall of ${data.frontageOf.get(wall.id)?.name ?? ''}`, walls: chosen.filter((id) => data.walls.has(id)) }
                : openings.length > 0
                  ? { name: openings.length === 1 ? 'one opening' : `${openings.length} openings`, openings }
                  : null;
    if (!next) return;
    useDesk.setState({ alone: next });
}

export function frontageAlone(frontage: Frontage): void {
    useDesk.setState({ alone: { name: frontage.name, walls: Object.keys(frontage.walls) }, face: frontage.inner ? 'inner' : 'outer' });
    useDesk.getState().show([frontage.id]);
}
