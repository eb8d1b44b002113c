import type { CurtainGrid, Frontage, GridCell } from '../../api/client';
import type { useData } from '../data';
import { toScreen, type Size } from '../drawing/view';
import { useDesk, type CellKey, type PartName, type PieceKey, type View } from '../store';

type Data = ReturnType<typeof useData>;

/** How near a pointer must come to a member to mean its line, px. */
const REACH = 5;

export type FoundGrid = { grid: CurtainGrid; frontage: Frontage };

/** The curtain walls of the frontages that have come. */
export function gridsOf(data: Data, element?: string): FoundGrid[] {
    return data.project.frontages.flatMap((frontage) =>
        (data.elevations.get(frontage.id)?.grids ?? [])
            .filter((grid) => element === undefined || grid.element === element)
            .map((grid) => ({ grid, frontage })),
    );
}

/** The stretches of the run that one is of; of what is let in that alone. */
export const stretchesOf = (data: Data, element: string): string[] =>
    data.project.runs.find((run) => run.walls.includes(element))?.walls ?? [element];

/** Of a line in one bay or row only: "in bay 3 only". */
export function partlyWords(grid: CurtainGrid, { axis }: PieceKey, only: string): string {
    const cell = grid.cells.find((c) => (axis === 'upright' ? c.foot : c.left) === only);
    if (axis === 'upright') return `in row ${(cell?.row ?? 0) + 1} only`;
    return `in bay ${(cell?.bay ?? 0) + 1} only`;
}

export const isCell = (key: CellKey) => (grid: CurtainGrid, cell: GridCell) =>
    grid.element === key.element && cell.left === key.left && cell.foot === key.foot;

/** The cells that are chosen, as they are now; what is not there any more is left out. */
export function cellsChosen(data: Data, keys: CellKey[]): { grid: CurtainGrid; frontage: Frontage; cell: GridCell }[] {
    return keys.flatMap((key) =>
        gridsOf(data, key.element).flatMap(({ grid, frontage }) =>
            grid.cells.filter((cell) => isCell(key)(grid, cell)).map((cell) => ({ grid, frontage, cell })),
        ),
    );
}

/** Where a point of the developed elevation lies on a grid: along it from its left end, and up its face. */
export const onGrid = ({ grid, frontage }: FoundGrid, x: number, y: number): [number, number] => {
    const along = x - frontage.offset - grid.u;
    return [grid.mirrored ? grid.width - along : along, (y - grid.foot) / grid.upright];
};

const inRing = (ring: number[], x: number, y: number): boolean => {
    let inside = false;
    for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
        const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[j]!, ring[j + 1]!];
        if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
    }
    return inside;
};

export type FoundPart =
    | { cell: CellKey; piece: null; named: null }
    | { cell: null; piece: PieceKey; named: null }
    | { cell: null; piece: null; named: PartName };

/** The cell, the piece of a line, the free member or what stands at a corner at a point of the developed elevation. */
export function partAt(data: Data, element: string, x: number, y: number, k: number, gone: Map<string, Set<string>>): FoundPart | null {
    const hidden = gone.get(element);
    for (const found of gridsOf(data, element)) {
        const { grid, frontage } = found;
        const u = x - frontage.offset;
        if (u < grid.u || u > grid.u + grid.width) continue;
        const slack = REACH / k;
        const thin = (from: number, to: number, at: number) =>
            at >= Math.min(from, (from + to) / 2 - slack) && at <= Math.max(to, (from + to) / 2 + slack);
        const named = [...grid.free, ...grid.corners].find((m) => !gone.get(m.element)?.has(m.part) && inRing(m.ring, u, y));
        if (named) return { cell: null, piece: null, named: { element: named.element, part: named.part } };
        const cell = grid.cells.find(
            (c) =>
                !hidden?.has(`cell ${c.left} ${c.foot}`) &&
                (c.ring ? inRing(c.ring, u, y) : u > c.box[0]! && u < c.box[2]! && y > c.box[1]! && y < c.box[3]!),
        );
        const member = grid.members.find(
            (m) =>
                !hidden?.has(`${m.axis} ${m.line} ${m.from}`) &&
                (m.axis === 'upright'
                    ? thin(m.box[0]!, m.box[2]!, u) && y >= m.box[1]! && y <= m.box[3]!
                    : thin(m.box[1]!, m.box[3]!, y) && u >= m.box[0]! && u <= m.box[2]!),
        );
        const [along, up] = onGrid(found, x, y);
        if (member) {
            const crossing = member.axis === 'upright' ? grid.rows : grid.bays;
            const at = member.axis === 'upright' ? up : along;
            const from = [...crossing]
                .sort((a, b) => a.at - b.at)
                .filter((l) => l.at <= at && l.name !== 'end')
                .at(-1);
            const facet = member.axis === 'level' ? grid.facet : null;
            if (!cell || (member.box[2]! - member.box[0]!) * k < 14)
                return {
                    cell: null,
                    piece: { element, axis: member.axis, line: member.line, from: facet ?? from?.name ?? '0' },
                    named: null,
                };
        }
        if (cell) return { cell: { element, left: cell.left, foot: cell.foot }, piece: null, named: null };
    }
    return null;
}

/** Chooses a part of a curtain wall, or with Shift one more, or one less. */
export function choosePart(part: NonNullable<ReturnType<typeof partAt>>, add: boolean): void {
    const toggled = <T extends { element: string }>(all: T[], key: T, same: (k: T) => boolean) => {
        const here = all.filter((k) => k.element === key.element);
        return !add ? [key] : here.some(same) ? here.filter((k) => !same(k)) : [...here, key];
    };
    if (part.named) {
        const key = part.named;
        const all = useDesk.getState().named;
        const same = (p: PartName) => p.element === key.element && p.part === key.part;
        const named = !add ? [key] : all.some(same) ? all.filter((p) => !same(p)) : [...all, key];
        return useDesk.setState({ named, pieces: [], cells: [] });
    }
    if (part.piece) {
        const key = part.piece;
        const same = (p: PieceKey) => p.axis === key.axis && p.line === key.line && p.from === key.from;
        return useDesk.setState((s) => ({ pieces: toggled(s.pieces, key, same), cells: [], named: [] }));
    }
    const key = part.cell;
    const same = (c: CellKey) => c.left === key.left && c.foot === key.foot;
    useDesk.setState((s) => ({ pieces: [], cells: toggled(s.cells, key, same), named: [] }));
}

/** All cells of a curtain wall that are like one: of its row, of its bay, of its row in every storey, or filled alike. */
export function alike(data: Data, key: CellKey, how: 'row' | 'bay' | 'filled' | 'all'): CellKey[] {
    const grids = gridsOf(data, key.element);
    const first = cellsChosen(data, [key])[0];
    if (!first) return [key];
    const kind = (grid: CurtainGrid, cell: GridCell) => grid.infills[cell.infill]!.says;
    return grids.flatMap(({ grid }) =>
        grid.cells
            .filter((cell) =>
                how === 'row'
                    ? cell.foot === first.cell.foot
                    : how === 'bay'
                      ? cell.left === first.cell.left
                      : how === 'filled'
                        ? kind(grid, cell) === kind(first.grid, first.cell)
                        : true,
            )
            .map((cell) => ({ element: key.element, left: cell.left, foot: cell.foot })),
    );
}

const isEdge = (line: string) => line === '0' || line === 'end';

/** The pieces that are meant with one of a curtain wall: it alone, its line, all in its bay or row, all mullions or transoms. */
export function piecesOf(
    grids: CurtainGrid[],
    { axis, line, from, reach }: PieceKey,
): { axis: PieceKey['axis']; line: string; from: string }[] {
    const grid = grids[0]!;
    const [own, crossing] = axis === 'upright' ? [grid.bays, grid.rows] : [grid.rows, grid.bays];
    const facets = axis === 'level' ? grids.flatMap((g) => g.facet ?? []) : [];
    const froms = facets.length > 0 ? facets : crossing.filter((l) => l.name !== 'end' && l.only === undefined).map((l) => l.name);
    const lines = own.filter((l) => (reach === 'line' || isEdge(line) ? l.name === line : !isEdge(l.name)));
    if (reach === undefined) return [{ axis, line, from }];
    return lines.flatMap((l) =>
        (l.only === undefined ? froms : [l.only])
            .filter((name) => reach !== 'bay' || name === from)
            .map((name) => ({ axis, line: l.name, from: name })),
    );
}

/** What of the members is meant with a piece, as it is lit: boxes on the frontage, from one crossing line to the next. */
export function lit(grids: CurtainGrid[], grid: CurtainGrid, piece: PieceKey): number[][] {
    const upright = piece.axis === 'upright';
    if (grid.facet !== null && !upright) {
        const meant = piecesOf(grids, piece).filter((p) => p.from === grid.facet);
        return grid.members.filter((m) => m.axis === 'level' && meant.some((p) => p.line === m.line)).map((m) => m.box);
    }
    const crossing = (upright ? grid.rows : grid.bays)
        .filter((l) => l.only === undefined)
        .map((l) => ({ name: l.name, at: l.at }))
        .sort((a, b) => a.at - b.at);
    const place = (at: number) => (upright ? grid.foot + at * grid.upright : grid.u + (grid.mirrored ? grid.width - at : at));
    const [low, high] = upright ? [1, 3] : [0, 2];
    return piecesOf(grids, piece).flatMap(({ line, from }) => {
        const k = crossing.findIndex((l) => l.name === from);
        if (k < 0) return grid.members.filter((m) => m.axis === piece.axis && m.line === line && m.from === from).map((m) => m.box);
        const ends = [place(crossing[k]!.at), place(crossing[k + 1]?.at ?? crossing[k]!.at)];
        const [a, b] = [Math.min(...ends), Math.max(...ends)];
        return grid.members
            .filter((m) => m.axis === piece.axis && m.line === line && m.box[low]! < b - 1 && m.box[high]! > a + 1)
            .map((m) => m.box.map((mm, i) => (i === low ? Math.max(mm, a) : i === high ? Math.min(mm, b) : mm)));
    });
}

/** A ring [x, y, x, y …] of a frontage that begins so far along the developed elevation, as an SVG polygon’s points. */
export function pointsOf(view: View, size: Size, from: number, ring: number[]): string {
    const points = [];
    for (let i = 0; i < ring.length; i += 2) {
        const p = toScreen(view, size, from + ring[i]!, ring[i + 1]!);
        points.push(`${p.x},${p.y}`);
    }
    return points.join(' ');
}
