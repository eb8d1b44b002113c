import { create } from 'zustand';
import type { EditArgs, EditName, Place } from '../api/client';
import { nextKey } from '../api/keys';

/** Something that was asked for and has no answer yet, as it is sent, under its own key. */
export type Kept = {
    key: string;
    name: EditName | 'undo' | 'redo';
    args: EditArgs | Record<string, never>;
    base: number;
    many: number;
    place: Place | null;
};

const place = (project: string) => `isleward.kept.${project}`;

/** What waits for an answer, oldest first. It outlives a reload of the page: under its key nothing is done twice. */
export const useKept = create<{ project: string; all: Kept[] }>(() => ({ project: '', all: [] }));

function set(project: string, all: Kept[]): void {
    useKept.setState({ project, all });
    if (all.length === 0) sessionStorage.removeItem(place(project));
    else sessionStorage.setItem(place(project), JSON.stringify(all));
}

const now = (project: string) => (useKept.getState().project === project ? useKept.getState().all : []);

export function keep(project: string, what: Omit<Kept, 'key'>): Kept {
    const kept = { ...what, key: nextKey() };
    set(project, [...now(project), kept]);
    return kept;
}

export function answered(project: string, key: string): void {
    set(
        project,
        now(project).filter((k) => k.key !== key),
    );
}

/** What this window had asked for before it was loaded again. */
export function fromBefore(project: string): Kept[] {
    if (useKept.getState().project === project) return [];
    let all: Kept[] = [];
    try {
        const read: unknown = JSON.parse(sessionStorage.getItem(place(project)) ?? '[]');
        all = Array.isArray(read) ? (read as Kept[]) : [];
    } catch {
        // not ours, or of an older version: it cannot be sent
    }
    set(project, all);
    return all;
}

window.addEventListener('beforeunload', (event) => {
    if (useKept.getState().all.length > 0) event.preventDefault();
});
