import type { Wall } from '../../api/client';
import { Button } from '../../ui/Button';
import { useData } from '../data';
import { useDesk } from '../store';

/** Chooses curtain walls that are like one: its run, those of its type, those on its frontage's side, or all. */
export function LikeRuns({ wall }: { wall: Wall }) {
    const data = useData();
    const chosen = useDesk((s) => s.chosen);
    const curtained = data.project.walls.filter((w) => w.curtain !== null);
    const run = data.project.runs.find((r) => r.walls.includes(wall.id));
    const type = data.project.grids.find((g) => g.id === wall.curtain?.grid);
    const facing = data.frontageOf.get(wall.id)?.facing;
    const groups: [string, string[]][] = [
        ['its run', run?.walls ?? []],
        [`all by ${type?.mark ?? 'its type'}`, curtained.filter((w) => w.curtain?.grid === type?.id).map((w) => w.id)],
        [`all facing ${facing?.toLowerCase()}`, curtained.filter((w) => data.frontageOf.get(w.id)?.facing === facing).map((w) => w.id)],
        ['all curtain walls', curtained.map((w) => w.id)],
    ];
    // what would choose nothing more is not offered
    const more = groups.filter(([, ids], i) => ids.length > 1 && groups.findIndex(([, other]) => other.join() === ids.join()) === i);
    if (more.length === 0) return null;
    return (
        <p className="mt-2 flex flex-wrap items-baseline gap-1.5">
            <span className="text-quiet">Choose</span>
            {more.map(([says, ids]) => (
                <Button
                    key={says}
                    small
                    disabled={ids.length === chosen.length && ids.every((id) => chosen.includes(id))}
                    // the one that they are like stays the first
                    onClick={() => useDesk.getState().choose([wall.id, ...ids.filter((id) => id !== wall.id)])}
                >
                    {says}
                </Button>
            ))}
        </p>
    );
}
