import type { Outcome } from '../api/client';
import { useDesk } from './store';

let tries = 0;

/** What was shown of a field's typing goes. */
export function dropTried(): void {
    tries++;
    useDesk.setState({ tried: null });
}

/** Shows what a field's typing would make; of several tries the last. Why it cannot be is said when it is sent, not while it is typed. */
export async function showTried(outcome: Promise<Outcome>): Promise<void> {
    const mine = ++tries;
    const tried = await outcome.catch(() => null);
    if (mine === tries) useDesk.setState({ tried });
}
