import { api } from '../api/client';
import { complain, tell } from '../ui/notices';
import type { useData } from './data';

type Data = ReturnType<typeof useData>;

/** Ids of the types that were made to the size of openings and fill none any more. */
const left = async (data: Data) => (await api.unusedTypes(data.id)).filter((t) => t.madeToFit).map((t) => t.id);

async function clear(data: Data, ids: string[]): Promise<void> {
    const outcome = await data.edit('type.clear', { ids });
    if (outcome) tell(`${outcome.summary}.`, { label: 'Undo', run: () => void data.undo() });
}

/** Takes types that were made to fit and are used no more off the rack. */
export async function clearMadeToFit(data: Data): Promise<void> {
    try {
        const ids = await left(data);
        if (ids.length === 0) tell('Every type that was made to fit fills something.');
        else await clear(data, ids);
    } catch (problem) {
        complain(problem);
    }
}

/** What was done, and where it left types behind that were made to fit, the offer to clear them. */
export async function offerClearing(data: Data, summary: string): Promise<void> {
    const ids = await left(data);
    if (ids.length === 0) tell(`${summary}.`, { label: 'Undo', run: () => void data.undo() });
    else {
        const which = ids.length === 1 ? 'One type that was made to fit fills' : `${ids.length} types that were made to fit fill`;
        tell(`${summary}. ${which} nothing now.`, { label: 'Clear', run: () => void clear(data, ids) });
    }
}
