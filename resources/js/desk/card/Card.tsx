import { useData } from '../data';
import { useDesk } from '../store';
import { OpenSheet } from '../sheets/OpenSheet';
import { FindingsList } from './FindingsList';
import { GoneCard } from './GoneCard';
import { LineCard } from './LineCard';
import { ManyCard } from './ManyCard';
import { OpeningCard } from './OpeningCard';
import { ProjectCard } from './ProjectCard';
import { StoreyCard } from './StoreyCard';
import { WallCard } from './WallCard';

/** The sheet that states what is chosen and takes exact figures. */
export function Card() {
    const data = useData();
    const chosen = useDesk((s) => s.chosen);
    const listFindings = useDesk((s) => s.listFindings);
    const sheet = useDesk((s) => s.sheet);
    const one = chosen.length === 1 ? chosen[0]! : null;
    const opening = one ? data.openings.get(one) : undefined;
    const gone = one && !opening ? data.wasThere(one) : undefined;
    const wall = one ? data.walls.get(one) : undefined;
    const line = one ? data.lines.get(one) : undefined;
    const storey = one ? data.storeys.get(one) : undefined;
    const outline = one ? data.project.outlines.find((o) => o.id === one) : undefined;
    const outlineWall = outline && data.project.walls.find((w) => w.outline === outline.id);
    return (
        <section aria-label="Card" className="h-full overflow-auto bg-sheet px-4 py-3" data-card>
            {sheet ? (
                <OpenSheet />
            ) : listFindings ? (
                <FindingsList />
            ) : opening ? (
                <OpeningCard key={opening.id} opening={opening} />
            ) : wall ? (
                <WallCard key={wall.id} wall={wall} />
            ) : outlineWall ? (
                <WallCard key={outlineWall.id} wall={outlineWall} />
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
            )}
        </section>
    );
}
