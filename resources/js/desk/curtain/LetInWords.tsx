import { Link } from 'react-router';
import { Choice } from '../../ui/Choice';
import { Sentence } from '../card/parts';
import { useData, type FoundOpening } from '../data';
import { AlignWords } from './AlignWords';
import { ByHandList } from './ByHandList';
import { gridsOf } from './grids';
import { startSpanning } from './spanning';

/** What an opening that is filled with curtain wall says of it. */
export function LetInWords({ opening }: { opening: FoundOpening }) {
    const data = useData();
    const found = gridsOf(data, opening.id)[0];
    if (!opening.curtain) return null;
    return (
        <>
            <Sentence>
                Filled with curtain wall{' '}
                <Choice
                    label="Grid type"
                    value={opening.curtain.grid}
                    options={data.project.grids.map((g) => ({ value: g.id, label: `${g.mark} ${g.name}` }))}
                    disabled={!data.mayEdit}
                    onChange={(grid) => void data.edit('opening.curtain', { ids: [opening.id], grid })}
                />
                .{' '}
                <Link to={`/projects/${data.id}/grid-bench/${opening.curtain.grid}`} className="text-tide underline">
                    at the bench
                </Link>
            </Sentence>
            <AlignWords
                curtain={opening.curtain}
                wall={opening.host}
                onSet={(to) => void data.edit('opening.curtain', { ids: [opening.id], grid: opening.curtain!.grid, ...to })}
            />
            {data.mayEdit && (
                <p className="flex gap-3">
                    <button type="button" className="min-h-6 text-tide hover:underline" onClick={() => startSpanning(opening.id)}>
                        Draw a free member
                    </button>
                    <button
                        type="button"
                        className="min-h-6 text-tide hover:underline"
                        onClick={() => void data.edit('grid.own', { ids: [opening.id] })}
                    >
                        Own type
                    </button>
                </p>
            )}
            <p className="mt-1 text-xs text-quiet">Click a cell or a line of it in the elevation to change that alone.</p>
            {found && <ByHandList grid={found.grid} />}
        </>
    );
}
