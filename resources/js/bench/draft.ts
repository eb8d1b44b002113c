import { create } from 'zustand';
import { api, Problem, type Args, type BenchView } from '../api/client';

/** What a unit type is, as far as the bench makes it. */
export type Draft = { mark: string; name: string; sill: number; width: number; height: number; tree: Args };

export type Wrong = { field: string; message: string; path: string | null };

type Bench = {
    project: string;
    /** the draft under the drawing; the drawing is always of the last one that can be built */
    draft: Draft | null;
    view: BenchView | null;
    past: Draft[];
    future: Draft[];
    /** the draft as it is kept in the project */
    kept: string;
    /** paths of the lights that are chosen */
    chosen: string[];
    ajar: number | null;
    inside: boolean;
    busy: boolean;
    wrong: Wrong | null;
};

export const useBench = create<Bench>(() => empty());

function empty(): Bench {
    return {
        project: '',
        draft: null,
        view: null,
        past: [],
        future: [],
        kept: '',
        chosen: [],
        ajar: null,
        inside: false,
        busy: false,
        wrong: null,
    };
}

const place = (project: string, type: string) => `bench ${project} ${type}`;

/** Puts a type on the bench; work on it that was left unsaved in this browser is taken up again. */
export async function open(project: string, type: string, stored: Draft, isNew: boolean): Promise<boolean> {
    const left = window.sessionStorage.getItem(place(project, type));
    const text = JSON.stringify(stored);
    const resumed = left !== null && left !== text ? (JSON.parse(left) as Draft) : null;
    useBench.setState({ ...empty(), project, draft: resumed ?? stored, past: resumed ? [stored] : [], kept: isNew ? '' : text });
    await look();
    return resumed !== null;
}

/** Keeps what is on the bench in this browser until it is saved. */
export function keepUnsaved(type: string): void {
    const { draft, project } = useBench.getState();
    if (draft) window.sessionStorage.setItem(place(project, type), JSON.stringify(draft));
}

export function forget(project: string, type: string): void {
    window.sessionStorage.removeItem(place(project, type));
}

export const isUnsaved = (b: Bench): boolean => b.draft !== null && JSON.stringify(b.draft) !== b.kept;

let queue: Promise<unknown> = Promise.resolve();

/** When all steps that were asked for have been taken or refused. */
export const settled = (): Promise<unknown> => queue;

/** Shows the draft as it is, with what was changed about looking at it. */
export async function look(change: Partial<Pick<Bench, 'ajar' | 'inside' | 'chosen'>> = {}): Promise<void> {
    useBench.setState(change);
    await inTurn(async () => {
        const b = useBench.getState();
        if (!b.draft) return;
        useBench.setState({ view: await ask(b, b.draft, []) });
    });
}

/** One step at the bench. What cannot be built leaves the drawing as it was, and the field that asked for it is marked. */
export async function step(name: string, args: Args, field: string): Promise<boolean> {
    let done = false;
    await inTurn(async () => {
        const b = useBench.getState();
        if (!b.draft) return;
        try {
            const view = await ask(b, b.draft, [{ step: name, args }]);
            const next: Draft = { ...b.draft, width: view.width, height: view.height, tree: view.tree };
            done = true;
            if (JSON.stringify(next) === JSON.stringify(b.draft)) return useBench.setState({ view, wrong: null });
            const paths = new Set(view.lights.map((l) => l.path));
            useBench.setState({
                view,
                draft: next,
                past: [...b.past, b.draft],
                future: [],
                wrong: null,
                chosen: follow(b.chosen, paths, view),
            });
        } catch (problem) {
            const path = problem instanceof Problem && typeof problem.details.path === 'string' ? problem.details.path : null;
            useBench.setState({ wrong: { field, message: (problem as Error).message, path } });
        }
    });
    return done;
}

/** A light that was divided hands the choice to its first part; one that was joined, to what holds it now. */
function follow(chosen: string[], paths: Set<string>, view: BenchView): string[] {
    const out = chosen.flatMap((path) => {
        if (paths.has(path)) return [path];
        const inside = view.lights.find((l) => l.path.startsWith(path === '' ? '' : `${path}.`));
        if (inside) return [inside.path];
        const around = view.lights.find((l) => path.startsWith(l.path === '' ? '' : `${l.path}.`));
        return around ? [around.path] : [];
    });
    return [...new Set(out)];
}

/** Mark, name and usual sill: they change no drawing. */
export function rename(values: Partial<Pick<Draft, 'mark' | 'name' | 'sill'>>): void {
    useBench.setState((b) => (b.draft ? { past: [...b.past, b.draft], future: [], draft: { ...b.draft, ...values } } : {}));
}

export async function undo(): Promise<void> {
    const { past, draft, future } = useBench.getState();
    const before = past[past.length - 1];
    if (!before || !draft) return;
    useBench.setState({ draft: before, past: past.slice(0, -1), future: [draft, ...future], wrong: null });
    await lookAgain();
}

export async function redo(): Promise<void> {
    const { past, draft, future } = useBench.getState();
    const [next, ...rest] = future;
    if (!next || !draft) return;
    useBench.setState({ draft: next, past: [...past, draft], future: rest, wrong: null });
    await lookAgain();
}

async function lookAgain(): Promise<void> {
    await look();
    const { view, chosen } = useBench.getState();
    if (view) useBench.setState({ chosen: follow(chosen, new Set(view.lights.map((l) => l.path)), view) });
}

function ask(b: Bench, draft: Draft, steps: { step: string; args: Args }[]): Promise<BenchView> {
    return api.bench(b.project, {
        draft: { width: draft.width, height: draft.height, tree: draft.tree },
        steps,
        ajar: b.ajar,
        light: b.chosen[0] ?? null,
        inside: b.inside,
    });
}

async function inTurn(work: () => Promise<void>): Promise<void> {
    const mine = queue.then(async () => {
        useBench.setState({ busy: true });
        try {
            await work();
        } catch (problem) {
            useBench.setState({ wrong: { field: '', message: (problem as Error).message, path: null } });
        } finally {
            useBench.setState({ busy: false });
        }
    });
    queue = mine;
    await mine;
}

export function choose(path: string | null, add = false): void {
    const { chosen } = useBench.getState();
    const next = path === null ? [] : add ? (chosen.includes(path) ? chosen.filter((c) => c !== path) : [...chosen, path]) : [path];
    if (JSON.stringify(next) === JSON.stringify(chosen)) return;
    void look({ chosen: next });
}
