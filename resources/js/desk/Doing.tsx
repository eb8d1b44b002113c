import { useEffect } from 'react';
import { useSearchParams } from 'react-router';
import { useData } from './data';
import { useDeskKeys } from './keys';
import { startOutline } from './plan/outlining';

/** What the desk does rather than shows: its keys, and an outline begun where it was opened to draw one. */
export function Doing() {
    const data = useData();
    const [search, setSearch] = useSearchParams();
    useDeskKeys(data);

    const draw = search.has('draw') && data.mayEdit;
    useEffect(() => {
        if (!draw) return;
        setSearch({}, { replace: true });
        startOutline(data);
        // once, when the page was opened to draw
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [draw]);
    return null;
}
