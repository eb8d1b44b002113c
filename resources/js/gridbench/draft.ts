import { create } from 'zustand';
import { isTry, unanswered } from '../ui/live';
import { api, Problem, type GridBenchView, type GridDraft } from '../api/client';

export type Draft = GridDraft & { mark: string; name: string };
export type Profile = {
    shape: string;
    face: number;
    depth: number;
    setback: number;
    capWidth: number | null;
    capDepth: number;
    flange: number;
    web: number;
    points: number[];
};
export type SettingOut = {
    by: 'module' | 'count' | 'greatest' | 'sizes';
    size: number;
    count: number;
    remainder: 'start' | 'end' | 'both' | 'shared';
    sizes: number[];
    after: 'again' | 'rest' | 'nothing';
    offset: number;
    perStorey: boolean;
    through: boolean;
    restAt: number;
};
export type InfillRule = {
    where: string;
    infill: { kind: string; layers: number[]; density: number; type: string | null; mirrored: boolean };
    numbers: number[];
    below: number;
    above: number;
    every: number;
    first: number;
};
export type Rules = {
    bays: SettingOut;
    rows: SettingOut;
    profiles: Record<Role, Profile | null>;
    order: Role[];
    joint: number;
    cover: number;
    infills: InfillRule[];
    /** sides are mitred with head and foot */
    mitre?: boolean;
    /** by part: a finish of the project */
    finishes?: Partial<Record<FinishOf, string>>;
};
export type FinishOf = 'members' | 'caps' | 'corners' | 'spandrel' | 'solid' | 'louvre';
export type Role = 'mullion' | 'left' | 'right' | 'head' | 'foot' | 'transom';
export type Corner = { kind: 'post' | 'mitred' | 'glass' | 'square-left' | 'square-right'; profile: Profile | null; joint: number };
export type Typical = { width: number | string | null; storeys: number | string | null; storey: number | string | null };

type Bench = {
    project: string;
    draft: Draft | null;
    /** as it is stored, to know what is not saved */
    kept: string;
    typical: Typical;
    view: GridBenchView | null;
    /** what it would be with what is being typed */
    preview: GridBenchView | null;
    past: Draft[];
    future: Draft[];
    /** why what was chosen cannot be */
    wrong: string | null;
    busy: boolean;
    /** the cell that is chosen: its bay and row */
    cell: [number, number] | null;
};

const fresh = {
    draft: null,
    kept: '',
    typical: { width: null, storeys: null, storey: null },
    view: null,
    preview: null,
    past: [],
    future: [],
    wrong: null,
    busy: false,
    cell: null,
};

/** The grid type on the bench: drafts for undo, and what the core made of the latest. */
export const useGridBench = create<Bench>(() => ({ project: '', ...fresh }));

export const rulesOf = (draft: Draft) => draft.rules as unknown as Rules;
export const cornerOf = (draft: Draft) => draft.corner as unknown as Corner;
export const isUnsaved = (b: Bench) => b.draft !== null && JSON.stringify(b.draft) !== b.kept;

const place = (project: string, id: string) => `isleward grid bench ${project} ${id}`;

/** What is not saved outlives loading the page again. */
export function keepUnsaved(id: string): void {
    const { project, draft } = useGridBench.getState();
    if (isUnsaved(useGridBench.getState())) localStorage.setItem(place(project, id), JSON.stringify(draft));
    else localStorage.removeItem(place(project, id));
}

export const forget = (project: string, id: string) => localStorage.removeItem(place(project, id));

/** Puts a type on the bench, or one to begin with. Answers whether what was not saved is there again. */
export async function open(project: string, id: string, from: Draft | null, name: string): Promise<boolean> {
    useGridBench.setState({ project, ...fresh });
    const stored = localStorage.getItem(place(project, id));
    const unsaved = stored === null ? null : (JSON.parse(stored) as Draft);
    const start = unsaved ?? from;
    await inTurn(async () => {
        const view = await api.gridBench(project, start ? { draft: { rules: start.rules, corner: start.corner } } : {});
        const draft = { mark: start?.mark ?? '', name: start?.name ?? name, ...view.draft };
        // the stretch it is looked at on stays as it is while the type changes
        const typical = { width: view.width, storeys: view.storeys, storey: view.storey };
        useGridBench.setState({ draft, view, typical, kept: from ? JSON.stringify(unsaved ? from : draft) : '' });
    });
    return unsaved !== null;
}

let queue: Promise<void> = Promise.resolve();

async function inTurn(work: () => Promise<void>): Promise<void> {
    const mine = queue.then(async () => {
        useGridBench.setState({ busy: true });
        try {
            await work();
        } catch (problem) {
            useGridBench.setState({ wrong: (problem as Error).message });
        } finally {
            useGridBench.setState({ busy: false });
        }
    });
    queue = mine;
    await mine;
}

type Value = { path: string; value: unknown };

const ask = (b: Bench, draft: Draft, set: Value[], typical = b.typical) =>
    api.gridBench(b.project, { draft: { rules: draft.rules, corner: draft.corner }, set, ...typical });

/** As it is seen: with what is being typed, where that can be. */
export const seenOf = (b: Bench) => b.preview ?? b.view;

let tries = 0;

export function dropTry(): void {
    tries++;
    useGridBench.setState({ preview: null });
}

/** Shows what values, or another typical stretch, would make; of several tries the last. What cannot be shows nothing new. */
async function tryOut(values: Value[], typical?: Typical): Promise<void> {
    const mine = ++tries;
    const b = useGridBench.getState();
    if (!b.draft) return;
    // why it cannot be is said when it is sent, not while it is typed
    const preview = await ask(b, b.draft, values, typical).catch(() => null);
    if (mine === tries) useGridBench.setState({ preview });
}

/** Changes values, all or none. What cannot be leaves the drawing as it was; why not comes back, and stands at the field. */
export async function setAll(values: Value[]): Promise<string | null> {
    if (isTry()) {
        await tryOut(values);
        return unanswered();
    }
    tries++;
    let why: string | null = null;
    await inTurn(async () => {
        const b = useGridBench.getState();
        if (!b.draft) return;
        try {
            const view = await ask(b, b.draft, values);
            const draft: Draft = { ...b.draft, ...view.draft };
            useGridBench.setState({
                view,
                preview: null,
                draft,
                wrong: null,
                ...(JSON.stringify(draft) === JSON.stringify(b.draft) ? {} : { past: [...b.past, b.draft], future: [] }),
            });
        } catch (problem) {
            why = problem instanceof Problem ? problem.message : (problem as Error).message;
        }
    });
    return why;
}

export const set = (path: string, value: unknown) => setAll([{ path, value }]);

/** Two sizes in one field, "60 × 150". */
export function setBoth(path: string, first: string, second: string, text: string): Promise<string | null> {
    const sizes = text.split(/[×x*]/).map((size) => size.trim());
    if (sizes.length !== 2) return Promise.resolve('Give two figures: 60 × 150.');
    return setAll([
        { path: `${path}.${first}`, value: sizes[0] },
        { path: `${path}.${second}`, value: sizes[1] },
    ]);
}

/** A count as it was typed, for the core to judge. */
export const counted = (text: string) => (/^\s*\d+\s*$/.test(text) ? Number(text) : text);

/** Changes what has no field of its own to say why not: that stands over the card. */
export async function chooseAll(values: Value[]): Promise<string | null> {
    const why = await setAll(values);
    if (why !== null) useGridBench.setState({ wrong: why });
    return why;
}

export const choose = (path: string, value: unknown) => chooseAll([{ path, value }]);

/** Another typical stretch to look at it on. */
export async function lookOn(typical: Partial<Typical>): Promise<string | null> {
    if (isTry()) {
        await tryOut([], { ...useGridBench.getState().typical, ...typical });
        return unanswered();
    }
    tries++;
    let why: string | null = null;
    await inTurn(async () => {
        const b = useGridBench.getState();
        if (!b.draft) return;
        const next = { ...b.typical, ...typical };
        try {
            const view = await ask(b, b.draft, [], next);
            useGridBench.setState({
                view,
                preview: null,
                typical: { width: view.width, storeys: view.storeys, storey: view.storey },
                wrong: null,
                cell: null,
            });
        } catch (problem) {
            why = (problem as Error).message;
        }
    });
    return why;
}

export function rename(values: Partial<Pick<Draft, 'mark' | 'name'>>): void {
    useGridBench.setState((b) => (b.draft ? { past: [...b.past, b.draft], future: [], draft: { ...b.draft, ...values } } : {}));
}

async function go(draft: Draft, past: Draft[], future: Draft[]): Promise<void> {
    await inTurn(async () => {
        const b = useGridBench.getState();
        useGridBench.setState({ draft, past, future, wrong: null, preview: null, view: await ask(b, draft, []) });
    });
}

export async function undo(): Promise<void> {
    const { past, draft, future } = useGridBench.getState();
    const before = past.at(-1);
    if (before && draft) await go(before, past.slice(0, -1), [draft, ...future]);
}

export async function redo(): Promise<void> {
    const { past, draft, future } = useGridBench.getState();
    const [next, ...rest] = future;
    if (next && draft) await go(next, [...past, draft], rest);
}
