import { create } from 'zustand';
import { Problem } from './problem';

/**
 * Whether the server is reached. While it is not, what was asked for is kept and asked for again, in order; nothing is said of it that is
 * not known.
 */
export const useReach = create<{ lostAt: number | null; waitsFor: string | null }>(() => ({ lostAt: null, waitsFor: null }));

const LONGEST_PAUSE = 5000;
let waiting: (() => void)[] = [];

export function reached(): void {
    const { lostAt, waitsFor } = useReach.getState();
    if (lostAt !== null || waitsFor !== null) useReach.setState({ lostAt: null, waitsFor: null });
}

/** The server, or a part of it, does not answer just now: nothing is known of what was asked for. */
export function isAway(problem: unknown): problem is Problem {
    return problem instanceof Problem && (problem.code === 'server.unreachable' || [502, 503, 504].includes(problem.status));
}

/** It will be done when it is asked for again. */
export function isPassing(problem: unknown): problem is Problem {
    return isAway(problem) || (problem instanceof Problem && (problem.status === 423 || problem.code === 'file.waiting'));
}

export function lost(problem: Problem): void {
    const { message } = problem;
    if (isAway(problem)) useReach.setState((s) => ({ lostAt: s.lostAt ?? Date.now() }));
    else useReach.setState({ waitsFor: message });
}

/** A pause that ends early when the network is back, or someone does not want to wait. */
function pause(ms: number): Promise<void> {
    return new Promise((over) => {
        const timer = window.setTimeout(end, ms);
        function end() {
            window.clearTimeout(timer);
            waiting = waiting.filter((w) => w !== end);
            over();
        }
        waiting.push(end);
    });
}

export function tryNow(): void {
    for (const end of [...waiting]) end();
}

window.addEventListener('online', tryNow);

/** Asks again until there is an answer: done or refused. */
export async function untilAnswered<T>(ask: () => Promise<T>): Promise<T> {
    for (let tries = 0; ; tries++) {
        try {
            const answer = await ask();
            reached();
            return answer;
        } catch (problem) {
            if (!isPassing(problem)) {
                reached();
                if (tries > 2 && problem instanceof Problem) problem.late = true;
                throw problem;
            }
            lost(problem);
            await pause(problem.status === 423 ? 600 : Math.min(LONGEST_PAUSE, 500 * 2 ** Math.min(tries, 5)));
        }
    }
}
