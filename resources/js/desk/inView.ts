import { useEffect, useState } from 'react';
import type { Frontage } from '../api/client';
import { useDesk } from './store';

/** So many frontages are fetched at once while the first have not come: those that come into view when a desk opens. */
const FIRST = 2;

/** Of frontages laid side by side those that a view shows; before there is one, the first of them. */
function shown(frontages: Frontage[]): string[] {
    const { views, sizes, face } = useDesk.getState();
    const here = frontages.filter((f) => f.inner === (face === 'inner'));
    const view = views.elevation;
    if (!view || sizes.elevation.width === 0) return here.slice(0, FIRST).map((f) => f.id);
    const half = sizes.elevation.width / 2 / view.k;
    const seen = here.filter((f) => f.offset < view.x + half && f.offset + f.width > view.x - half);
    return (seen.length > 0 ? seen : here.slice(0, FIRST)).map((f) => f.id);
}

/**
 * Which frontages are to be fetched: what is in view first, and when that has come and the browser has time, all the others.
 *
 * @param has whether a frontage has come
 */
export function useInViewFirst(frontages: Frontage[], has: (id: string) => boolean): (id: string) => boolean {
    const [rest, setRest] = useState(false);
    // only what opens the desk: later all is asked for at once
    const seen = useDesk((s) => (rest || s.views.elevation === null ? '' : shown(frontages).join(' ')));
    const first = rest ? [] : seen === '' ? shown(frontages) : seen.split(' ');
    const waiting = first.some((id) => !has(id));
    useEffect(() => {
        if (rest || waiting || frontages.length === 0) return;
        const go = () => setRest(true);
        if (typeof window.requestIdleCallback !== 'function') {
            const timer = window.setTimeout(go, 0);
            return () => window.clearTimeout(timer);
        }
        const idle = window.requestIdleCallback(go, { timeout: 500 });
        return () => window.cancelIdleCallback(idle);
    }, [rest, waiting, frontages.length]);
    return (id) => rest || first.includes(id);
}
