import { Choice } from '../../ui/Choice';
import { useData, type FoundOpening } from '../data';
import { Sentence } from './parts';

/** How an opening is cut into a curved wall, and what that comes to; nothing in a flat one. */
export function JambWords({ opening }: { opening: FoundOpening }) {
    const data = useData();
    const { arc } = data.walls.get(opening.host) ?? {};
    if (!arc) return null;
    const usual = data.project.settings.jambs;
    const bow = Math.abs(opening.bow);
    return (
        <Sentence>
            Cut{' '}
            <Choice
                label="Jambs"
                value={opening.jambs ?? 'usual'}
                disabled={!data.mayEdit}
                options={[
                    { value: 'usual', label: usual === 'parallel' ? 'as usual: parallel jambs' : 'as usual: radial jambs' },
                    { value: 'parallel', label: 'parallel jambs, square to the chord' },
                    { value: 'radial', label: 'radial jambs, towards the centre' },
                    { value: 'bent', label: 'radial jambs, the unit bent' },
                ]}
                onChange={(to) => void data.edit('opening.change', { id: opening.id, jambs: to === 'usual' ? null : to })}
            />
            , <b>{data.length(opening.span)}</b> along the arc
            {opening.jambs === 'bent' ? (
                ', bent to it.'
            ) : (
                <>
                    : it stands flat on its chord, and the wall bows <b>{data.length(bow)}</b>{' '}
                    {opening.bow >= 0 ? 'out before' : 'in behind'} it.
                </>
            )}
        </Sentence>
    );
}
