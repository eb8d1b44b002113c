import { useMemo } from 'react';
import { cellsChosen } from '../curtain/grids';
import { useData } from '../data';
import { later } from '../../ui/later';
import { Live } from '../../ui/live';
import { useDesk } from '../store';
import { dropTried } from '../tried';
import { OpenSheet } from '../sheets/OpenSheet';
import { OpeningCard } from './OpeningCard';
import { ProjectCard } from './ProjectCard';
import { WallCard } from './WallCard';

const FindingsList = later('The findings', () => import('./FindingsList').then((m) => m.FindingsList));
const GoneCard = later('What was removed', () => import('./GoneCard').then((m) => m.GoneCard));
const ManyCard = later('The card of many', () => import('./ManyCard').then((m) => m.ManyCard));
const LineCard = later('The card of the line', () => import('./LineCard').then((m) => m.LineCard));
const StoreyCard = later('The card of the storey', () => import('./StoreyCard').then((m) => m.StoreyCard));
const CurtainCard = later('The card of the curtain wall', () => import('../curtain/CurtainCard').then((m) => m.CurtainCard));
const CellCard = later('The card of the cells', () => import('../curtain/CellCard').then((m) => m.CellCard));
const PiecesCard = later('The card of the members', () => import('../curtain/PiecesCard').then((m) => m.PiecesCard));
const NamedCard = later('The card of the member', () => import('../curtain/NamedCard').then((m) => m.NamedCard));
const PieceCard = later('The card of the line', () => import('../curtain/PieceCard').then((m) => m.PieceCard));

const BandCard = later('The card of the band', () => import('../bands/BandCard').then((m) => m.BandCard));

const FieldCard = later('The card of the field', () => import('../bands/FieldCard').then((m) => m.FieldCard));
const ScreenCard = later('The card of the screen', () => import('../screens/ScreenCard').then((m) => m.ScreenCard));
const RoofCard = later('The card of the roof', () => import('../roofs/RoofCard').then((m) => m.RoofCard));
const FloorBandCard = later('The card of the floor band', () => import('../bands/FloorBandCard').then((m) => m.FloorBandCard));

const tries = { drop: dropTried };

/** The sheet that states what is chosen and takes exact figures. */
export function Card() {
    const data = useData();
    const chosen = useDesk((s) => s.chosen);
    const listFindings = useDesk((s) => s.listFindings);
    const sheet = useDesk((s) => s.sheet);
    const keys = useDesk((s) => s.cells);
    const cells = useMemo(() => (cellsChosen(data, keys).length > 0 ? keys : []), [data, keys]);
    const pieces = useDesk((s) => s.pieces);
    const named = useDesk((s) => s.named);
    const piece = pieces.length === 1 ? pieces[0] : undefined;
    const one = chosen.length === 1 ? chosen[0]! : null;
    const opening = one ? data.openings.get(one) : undefined;
    const gone = one && !opening ? data.wasThere(one) : undefined;
    const wall = one ? data.walls.get(one) : undefined;
    const line = one ? data.lines.get(one) : undefined;
    const storey = one ? data.storeys.get(one) : undefined;
    const band = one ? data.project.bands.find((b) => b.id === one) : undefined;
    const field = one ? data.project.fields.find((f) => f.id === one) : undefined;
    const floor = one ? data.project.floorBands.find((b) => b.id === one) : undefined;
    const roof = one ? data.project.roofs.find((r) => r.id === one) : undefined;
    const screen = one ? data.project.screens.find((s) => s.id === one) : undefined;
    const outline = one ? data.project.outlines.find((o) => o.id === one) : undefined;
    const outlineWall = outline && data.project.walls.find((w) => w.outline === outline.id);
    const what = sheet ? (
        <OpenSheet />
    ) : listFindings ? (
        <FindingsList />
    ) : cells.length > 0 ? (
        <CellCard cells={cells} />
    ) : named.length > 0 ? (
        <NamedCard named={named} />
    ) : pieces.length > 1 ? (
        <PiecesCard pieces={pieces} />
    ) : piece ? (
        <PieceCard key={`${piece.element} ${piece.axis} ${piece.line} ${piece.from}`} piece={piece} />
    ) : opening ? (
        <OpeningCard key={opening.id} opening={opening} />
    ) : wall?.curtain ? (
        <CurtainCard key={wall.id} wall={wall} />
    ) : wall ? (
        <WallCard key={wall.id} wall={wall} />
    ) : outlineWall ? (
        <WallCard key={outlineWall.id} wall={outlineWall} />
    ) : band ? (
        <BandCard key={band.id} band={band} />
    ) : field ? (
        <FieldCard key={field.id} field={field} />
    ) : screen ? (
        <ScreenCard key={screen.id} screen={screen} />
    ) : roof ? (
        <RoofCard key={roof.id} roof={roof} />
    ) : floor ? (
        <FloorBandCard key={floor.id} band={floor} />
    ) : line ? (
        <LineCard key={line.id} line={line} />
    ) : storey ? (
        <StoreyCard key={storey.id} storey={storey} />
    ) : gone ? (
        <GoneCard key={gone.id} opening={gone} />
    ) : chosen.length > 1 ? (
        <ManyCard ids={chosen} />
    ) : (
        <ProjectCard />
    );
    // what is typed of one thing is shown at once what it would make; of many that is said by their sheets
    const live = chosen.length === 1 && !sheet && !listFindings ? tries : null;
    return (
        <section aria-label="Card" className="h-full overflow-auto bg-sheet px-4 py-3" data-card>
            <Live value={live}>{what}</Live>
        </section>
    );
}
