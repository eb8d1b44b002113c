import { useData } from '../data';
import { useDesk } from '../store';
import { gathered } from './alike';

/** Gathers others of its kind with a layer: made alike, before the same walls, of its storey, all. */
export function ChooseAlso({ id }: { id: string }) {
    const ways = gathered(useData(), id);
    if (ways.length === 0) return null;
    return (
        <p className="mt-3 flex flex-wrap gap-x-3 border-t border-hairline pt-2">
            <span className="text-quiet">Choose also</span>
            {ways.map(({ says, ids }) => (
                <button key={says} type="button" className="min-h-6 text-tide underline" onClick={() => useDesk.getState().choose(ids)}>
                    {says} ({ids.length - 1})
                </button>
            ))}
        </p>
    );
}
