import { useState } from 'react';
import type { Wall } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Sentence } from '../card/parts';
import { useData } from '../data';
import { useDesk } from '../store';

/** Draws a run of curtain wall before a wall, or all round its outline, at a distance. */
export function MakeBefore({ wall }: { wall: Wall }) {
    const data = useData();
    const [grid, setGrid] = useState(data.project.grids[0]?.id ?? '');
    const [offset, setOffset] = useState(data.length(600));
    const [problem, setProblem] = useState<string | null>(null);
    const [round, setRound] = useState<'wall' | 'outline'>('wall');
    if (data.project.grids.length === 0) return null;
    const make = async () => {
        const walls = round === 'wall' ? [wall.id] : data.project.walls.filter((w) => w.outline === wall.outline).map((w) => w.id);
        try {
            const outcome = await data.edit(
                'curtain.before',
                { walls, grid, offset },
                { quiet: true, choose: (o) => o.chosen.slice(0, 1) },
            );
            if (useDesk.getState().chosen[0] === outcome!.chosen[0]) useDesk.getState().show(outcome!.chosen);
        } catch (refused) {
            setProblem((refused as Error).message);
        }
    };
    return (
        <div className="mt-3">
            <Sentence>
                Or a run of{' '}
                <Choice
                    label="Grid type of the run before it"
                    value={grid}
                    options={data.project.grids.map((g) => ({ value: g.id, label: `${g.mark} ${g.name}` }))}
                    onChange={setGrid}
                />{' '}
                <input
                    aria-label="How far before it"
                    value={offset}
                    size={Math.max(offset.length, 3)}
                    aria-invalid={problem !== null}
                    onChange={(e) => {
                        setOffset(e.target.value);
                        setProblem(null);
                    }}
                    onKeyDown={(e) => {
                        if (e.key === 'Enter') void make();
                    }}
                    className="field-sizing-content min-w-8 rounded-sm border-b border-tide bg-tide-wash px-1 text-center font-semibold"
                />{' '}
                before{' '}
                <Choice
                    label="Before what it stands"
                    value={round}
                    options={[
                        { value: 'wall', label: 'this wall' },
                        { value: 'outline', label: 'the whole outline' },
                    ]}
                    onChange={setRound}
                />
                .
            </Sentence>
            {problem && (
                <p
                    ref={(said) => said?.scrollIntoView({ block: 'nearest' })}
                    role="alert"
                    className="my-1 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-xs leading-snug text-buoy"
                >
                    {problem}
                </p>
            )}
            <Button small onClick={() => void make()}>
                Draw it before
            </Button>
        </div>
    );
}
