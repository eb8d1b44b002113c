import type { CurtainGrid, Elevation } from '../../api/client';
import type { useData } from '../data';
import type { Showing } from '../showing';
import { useDesk, type CellKey, type PartName, type PieceKey } from '../store';
import { gridsOf, lit } from './grids';

type Data = ReturnType<typeof useData>;

export const cellPart = ({ element, left, foot }: CellKey): PartName => ({ element, part: `cell ${left} ${foot}` });

type Member = CurtainGrid['members'][number];

const memberPart = (m: Member) => `${m.axis} ${m.line} ${m.from}`;

/** The members that pieces are of: one is hidden, kept and coloured as long as it is. */
export function memberParts(data: Data, pieces: PieceKey[]): PartName[] {
    const names = pieces.flatMap((piece) => {
        const grids = gridsOf(data, piece.element).map((g) => g.grid);
        return grids.flatMap((grid) =>
            lit(grids, grid, piece).flatMap((box) => {
                const [x, y] = [(box[0]! + box[2]!) / 2, (box[1]! + box[3]!) / 2];
                const m = grid.members.find(
                    (m) => m.axis === piece.axis && m.box[0]! <= x && m.box[2]! >= x && m.box[1]! <= y && m.box[3]! >= y,
                );
                return m ? [memberPart(m)] : [];
            }),
        );
    });
    return [...new Set(names)].map((part) => ({ element: pieces[0]!.element, part }));
}

/** What is chosen of a curtain wall, by name. */
export const chosenParts = (data: Data, cells: CellKey[], pieces: PieceKey[], named: PartName[]): PartName[] => [
    ...cells.map(cellPart),
    ...memberParts(data, pieces),
    ...named,
];

/** What a set keeps of curtain walls, as it is chosen. */
function keysOf(parts: PartName[]): { cells: CellKey[]; pieces: PieceKey[]; named: PartName[]; fins: number[] } {
    const cells: CellKey[] = [];
    const pieces: PieceKey[] = [];
    const named: PartName[] = [];
    const fins: number[] = [];
    for (const { element, part } of parts) {
        const [kind, a, b] = part.split(' ') as [string, string, string];
        if (kind === 'light') fins.push(Number(a));
        else if (kind === 'corner' || kind === 'free') named.push({ element, part });
        else if (kind === 'cell') cells.push({ element, left: a, foot: b });
        else pieces.push({ element, axis: kind as PieceKey['axis'], line: a, from: b });
    }
    return { cells, pieces, named, fins };
}

/** Chooses what a set keeps: its elements, and with them its cells and members; those alone with the curtain walls they are of. */
export function chooseSet(elements: string[], parts: PartName[]): void {
    useDesk.getState().choose([...new Set([...elements, ...parts.map((p) => p.element)])]);
    useDesk.setState(keysOf(parts));
}

/** Whether a set's part is there as the design is now; of frontages that have not come it is taken to be. */
export function isThere(data: Data, { element, part }: PartName): boolean {
    const roof = data.project.roofs.find((r) => r.id === element);
    if (roof) return roof.lights.some(({ n }) => part === `light ${n}`);
    const grids = gridsOf(data, element);
    if (grids.length === 0) return data.walls.has(element) || data.openings.has(element);
    return grids.some(
        ({ grid }) =>
            grid.cells.some((c) => cellPart({ element, left: c.left, foot: c.foot }).part === part) ||
            grid.members.some((m) => memberPart(m) === part) ||
            [...grid.corners, ...grid.free].some((m) => m.element === element && m.part === part),
    );
}

/** Where on a frontage cells and members are hidden: rings [u, level, u, level …]. */
export function hiddenRings(elevation: Elevation, showing: Showing, of?: string): number[][] {
    if (showing.parts.size === 0) return [];
    const box = ([x0, y0, x1, y1]: number[]) => [x0!, y0!, x1!, y0!, x1!, y1!, x0!, y1!];
    return elevation.grids.flatMap((grid) => {
        const gone = showing.parts.get(grid.element);
        if (of !== undefined && grid.element !== of) return [];
        return [
            ...grid.cells.filter((c) => gone?.has(`cell ${c.left} ${c.foot}`)).map((c) => c.ring ?? box(c.box)),
            ...grid.members.filter((m) => gone?.has(memberPart(m))).map((m) => box(m.box)),
            ...[...grid.corners, ...grid.free].filter((m) => showing.parts.get(m.element)?.has(m.part)).map((m) => m.ring),
        ];
    });
}
