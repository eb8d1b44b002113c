import { create } from 'zustand';
import { Problem } from './problem';

type Person = { name: string; email: string; guest: boolean };

/** Who is signed in on this page; and whether they have to sign in again before what was asked for can go on. */
export const useSession = create<{ user: Person | null; ended: boolean }>(() => ({ user: null, ended: false }));

let waiting: { go: () => void; leave: (problem: Problem) => void }[] = [];

export function isSignedOut(problem: unknown): problem is Problem {
    return problem instanceof Problem && (problem.status === 401 || problem.status === 419);
}

/** Waits until the same person is signed in again. Guests by a link cannot: for them it is over. */
export function signedInAgain(problem: Problem): Promise<void> {
    const { user } = useSession.getState();
    if (!user || user.guest) return Promise.reject(problem);
    useSession.setState({ ended: true });
    return new Promise((go, leave) => waiting.push({ go, leave }));
}

export function goOn(): void {
    useSession.setState({ ended: false });
    const all = waiting;
    waiting = [];
    for (const { go } of all) go();
}
