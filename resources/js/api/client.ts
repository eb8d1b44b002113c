import createClient from 'openapi-fetch';
import { Problem } from './problem';
import { reached, untilAnswered } from './reach';
import type { components, paths } from './schema.generated';
import { isSignedOut, signedInAgain } from './session';

export { Problem };

export type Schemas = components['schemas'];
export type Project = Schemas['Project'];
export type Storey = Schemas['Storey'];
export type Wall = Schemas['Wall'];
export type Frontage = Schemas['Frontage'];
export type RackType = Schemas['RackType'];
export type Elevation = Schemas['Elevation'];
export type Curtain = Schemas['Curtain'];
export type CurtainGrid = Schemas['CurtainGrid'];
export type GridCell = Schemas['GridCell'];
export type Band = Schemas['Band'];
export type FloorBand = Schemas['FloorBand'];
export type Roof = Schemas['Roof'];
export type Rooflight = Schemas['Rooflight'];
export type Screen = Schemas['Screen'];
export type ScreenPart = Schemas['ScreenPart'];
export type Field = Schemas['Field'];
export type PlacedBand = Schemas['PlacedBand'];
export type Law = Schemas['Law'];
export type LawCurve = Schemas['LawCurve'];
export type RackGrid = Schemas['RackGrid'];
export type GridDraft = Schemas['GridDraft'];
export type GridBenchView = Schemas['GridBenchView'];
export type Catch = Schemas['Catch'];
export type Plan = Schemas['Plan'];
export type Shape = Schemas['Shape'];
export type PlacedOpening = Schemas['PlacedOpening'];
export type Finding = Schemas['Finding'];
export type Outcome = Schemas['Outcome'];
export type SettingOutLine = Schemas['SettingOutLine'];
export type NamedSet = Schemas['NamedSet'];
export type Misfit = Schemas['Misfit'];
export type Place = Schemas['Place'];
export type Task = Schemas['Task'];
export type Revision = Schemas['Revision'];
export type Difference = Schemas['Difference'];
export type Units = Schemas['Settings']['units'];
export type Paper = paths['/projects/{project}/sheets']['post']['requestBody']['content']['application/json']['paper'];
export type SheetPlan = Schemas['SheetPlan'];
export type WantedItem = Schemas['WantedItem'];
export type DrawnSheet = Schemas['DrawnSheet'];
export type Tracing = Schemas['Tracing'];
export type ReadTracing = Schemas['ReadTracing'];
export type Here = Schemas['Here'];
export type SectionLine = Schemas['SectionLine'];
export type Args = Record<string, unknown>;
type EditBody = paths['/projects/{project}/edits']['post']['requestBody']['content']['application/json'];
export type EditName = EditBody['edit'];
/** What an edit is asked with: the compiler holds every one that is sent to its description. */
export type EditArgs<N extends EditName = EditName> = Extract<EditBody, { edit: N }>['args'];
type AnyEdit = { edit: EditName; args: EditArgs };
/** An edit that the core itself proposes, to put something right: it is one that there is. */
export const proposed = ({ edit, args }: { edit: string; args: Args }) => ({ edit, args }) as AnyEdit;
export type Layout = Schemas['Layout'];
export type Report = Schemas['Report'];
export type Reading = Schemas['Reading'];
export type GivenColumn = Schemas['GivenColumn'];
export type Held = Schemas['Held'];
export type Discrepancy = Schemas['Discrepancy'];
export type BenchView = Schemas['BenchView'];
export type BenchLight = Schemas['BenchLight'];
export type BenchDimension = Schemas['BenchDimension'];
export type BenchDivider = Schemas['BenchDivider'];
export type UnitTypeValues = Schemas['UnitTypeValues'];
export type Finish = Schemas['Finish'];

/** That a request which changes something comes from here. */
function ownToken(): string | null {
    const token = /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1];
    return token === undefined ? null : decodeURIComponent(token);
}

const client = createClient<paths>({ baseUrl: '/api' });

client.use({
    onRequest({ request }) {
        const token = request.method === 'GET' ? null : ownToken(); // what only reads needs none
        if (token) request.headers.set('X-XSRF-TOKEN', token);
        request.headers.set('Accept', 'application/json');
        return request;
    },
});

async function once<T>(call: () => Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
    let result;
    try {
        result = await call();
    } catch {
        throw Problem.away();
    }
    if (!result.response.ok) throw Problem.from(result.error, result.response.status);
    reached();
    return result.data as T;
}

/** An answer; where the session has ended, one that comes after signing in again over the page. */
async function answer<T>(call: () => Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
    return afterSigningIn(() => once(call));
}

async function afterSigningIn<T>(ask: () => Promise<T>): Promise<T> {
    for (let tries = 0; ; tries++) {
        try {
            return await ask();
        } catch (problem) {
            if (!isSignedOut(problem) || tries > 4) throw problem;
            // the page may only be older than its session: asking who one is renews what is sent along
            const { user } = await once(() => client.GET('/session'));
            if (!user || tries > 0) await signedInAgain(problem);
        }
    }
}

const at = (project: string) => ({ params: { path: { project } } });

const edits = <N extends EditName>(
    project: string,
    query: { try?: 1; job?: 1 },
    body: { edit: N; args: EditArgs<N>; base: number; key?: string },
) => client.POST('/projects/{project}/edits', { params: { path: { project }, query }, body: body as EditBody });

export const api = {
    whoAmI: () => once(() => client.GET('/session')),
    signIn: (email: string, password: string) => once(() => client.POST('/session', { body: { email, password } })),
    firstAccount: (body: { name: string; email: string; password: string }) => once(() => client.POST('/accounts/first', { body })),
    passwordForgotten: (email: string) => once(() => client.POST('/passwords', { body: { email } })),
    setPassword: (token: string, password: string) =>
        once(() => client.POST('/passwords/{token}', { params: { path: { token } }, body: { password } })),
    signOut: () => answer(() => client.DELETE('/session')),
    removeAccount: (body: { password: string; heirs: Record<string, number | 'delete'> }) =>
        once(() => client.DELETE('/account', { body })),
    account: () => answer(() => client.GET('/account')),
    changeAccount: (body: { name?: string; email?: string; newPassword?: string; password?: string }) =>
        once(() => client.PATCH('/account', { body })),
    endSession: (session: string) => answer(() => client.DELETE('/account/sessions/{session}', { params: { path: { session } } })),
    endOtherSessions: () => answer(() => client.DELETE('/account/sessions')),
    projects: () => answer(() => client.GET('/projects')),
    createProject: (body: paths['/projects']['post']['requestBody']['content']['application/json']) =>
        answer(() => client.POST('/projects', { body })),
    removeProject: (project: string) => answer(() => client.DELETE('/projects/{project}', at(project))),
    keepProject: (project: string, body: { archived?: boolean; binned?: false }) =>
        answer(() => client.PATCH('/projects/{project}', { ...at(project), body })),
    duplicateProject: (project: string, name: string, key: string) =>
        answer(() => client.POST('/projects/{project}/duplicates', { ...at(project), body: { name, key } })),
    project: (project: string) => answer(() => client.GET('/projects/{project}', at(project))),
    elevation: (project: string, frontage: string, signal?: AbortSignal) =>
        answer(() => client.GET('/projects/{project}/elevations/{frontage}', { params: { path: { project, frontage } }, signal })),
    plan: (project: string, storey: string) =>
        answer(() => client.GET('/projects/{project}/plans/{storey}', { params: { path: { project, storey } } })),
    section: (project: string, query: paths['/projects/{project}/sections']['get']['parameters']['query']) =>
        answer(() => client.GET('/projects/{project}/sections', { params: { path: { project }, query } })),
    edit: <N extends EditName>(project: string, edit: N, args: EditArgs<N>, base: number, key: string) =>
        answer(() => edits(project, {}, { edit, args, base, key })) as Promise<Outcome>,
    tryEdit: <N extends EditName>(project: string, edit: N, args: EditArgs<N>, base: number) =>
        answer(() => edits(project, { try: 1 }, { edit, args, base })) as Promise<Outcome>,
    beginEdit: <N extends EditName>(project: string, edit: N, args: EditArgs<N>, base: number, key: string) =>
        answer(() => edits(project, { job: 1 }, { edit, args, base, key })) as Promise<Task>,
    task: (project: string, task: string) =>
        answer(() => client.GET('/projects/{project}/tasks/{task}', { params: { path: { project, task } } })),
    stopTask: (project: string, task: string) =>
        answer(() => client.DELETE('/projects/{project}/tasks/{task}', { params: { path: { project, task } } })),
    gather: (project: string, query: paths['/projects/{project}/gather']['get']['parameters']['query']) =>
        answer(() => client.GET('/projects/{project}/gather', { params: { path: { project }, query } })),
    undo: (project: string, key: string) => answer(() => client.POST('/projects/{project}/undo', { ...at(project), body: { key } })),
    redo: (project: string, key: string) => answer(() => client.POST('/projects/{project}/redo', { ...at(project), body: { key } })),
    schedule: (project: string, layout: string) =>
        answer(() => client.GET('/projects/{project}/schedules/{layout}', { params: { path: { project, layout } } })),
    tryLayout: (project: string, body: Layout) => answer(() => client.POST('/projects/{project}/schedules', { ...at(project), body })),
    exportTried: (project: string, format: 'csv' | 'xlsx' | 'pdf', body: Layout) =>
        answer(() =>
            client.POST('/projects/{project}/exports/schedule.{format}', { params: { path: { project, format } }, body, parseAs: 'blob' }),
        ) as unknown as Promise<Blob>,
    readSchedule: (project: string, body: paths['/projects/{project}/readings']['post']['requestBody']['content']['application/json']) =>
        answer(() => client.POST('/projects/{project}/readings', { ...at(project), body })),
    held: (project: string, given: string) =>
        answer(() => client.GET('/projects/{project}/givens/{given}/held', { params: { path: { project, given } } })),
    revisions: (project: string) => answer(() => client.GET('/projects/{project}/revisions', at(project))),
    keepRevision: (project: string, note: string, key: string) =>
        answer(() => client.POST('/projects/{project}/revisions', { ...at(project), body: { note, key } })),
    difference: (project: string, letter: string, to?: string) =>
        answer(() =>
            client.GET('/projects/{project}/revisions/{letter}/difference', {
                params: { path: { project, letter }, query: to ? { to } : {} },
            }),
        ),
    restoreRevision: (project: string, letter: string, base: number, key: string) =>
        answer(() =>
            client.POST('/projects/{project}/revisions/{letter}/restore', { params: { path: { project, letter } }, body: { base, key } }),
        ),
    changes: (project: string, about?: string) =>
        answer(() => client.GET('/projects/{project}/changes', { params: { path: { project }, query: about ? { about } : {} } })),
    unitType: (project: string, type: string) =>
        answer(() => client.GET('/projects/{project}/types/{type}', { params: { path: { project, type } } })),
    typeDrawings: (project: string, ids: string[]) =>
        answer(() =>
            client.GET('/projects/{project}/type-drawings', { params: { path: { project }, query: { ids: ids.join() } } }),
        ) as Promise<Record<string, Shape[]>>,
    unusedTypes: (project: string) => answer(() => client.GET('/projects/{project}/unused-types', at(project))),
    unitSheet: (project: string, type: string, paper: Paper) =>
        answer(() => client.GET('/projects/{project}/types/{type}/sheet', { params: { path: { project, type }, query: { paper } } })),
    makeSheets: (project: string, body: paths['/projects/{project}/sheets']['post']['requestBody']['content']['application/json']) =>
        answer(() => client.POST('/projects/{project}/sheets', { ...at(project), body })),
    drawSheet: (project: string, body: paths['/projects/{project}/sheet-plans']['post']['requestBody']['content']['application/json']) =>
        answer(() => client.POST('/projects/{project}/sheet-plans', { ...at(project), body })),
    /** A tracing's lines: what of a kept file ends in .json. */
    file: async (project: string, file: string) => {
        const read = await answer(() => client.GET('/projects/{project}/files/{file}', { params: { path: { project, file } } }));
        if (typeof read === 'string') throw new TypeError(`${file} holds a picture, not lines.`);
        return read;
    },
    /** Whether a picture's file is there, without fetching it. */
    fileIsThere: async (project: string, file: string) =>
        (await fetch(`/api/projects/${project}/files/${file}`, { method: 'HEAD', cache: 'no-store' })).status !== 404,
    marks: (project: string, storey: string) =>
        answer(() => client.GET('/projects/{project}/marks/{storey}', { params: { path: { project, storey } } })),
    people: (project: string) => answer(() => client.GET('/projects/{project}/people', at(project))),
    invite: (project: string, email: string, role: 'editor' | 'viewer') =>
        answer(() => client.POST('/projects/{project}/invitations', { ...at(project), body: { email, role } })),
    withdraw: (project: string, invitation: string) =>
        answer(() => client.DELETE('/projects/{project}/invitations/{invitation}', { params: { path: { project, invitation } } })),
    setRole: (project: string, user: number, role: 'owner' | 'editor' | 'viewer') =>
        answer(() => client.PATCH('/projects/{project}/people/{user}', { params: { path: { project, user } }, body: { role } })),
    removePerson: (project: string, user: number) =>
        answer(() => client.DELETE('/projects/{project}/people/{user}', { params: { path: { project, user } } })),
    makeLink: (project: string, name: string) => answer(() => client.POST('/projects/{project}/links', { ...at(project), body: { name } })),
    endLink: (project: string, link: string) =>
        answer(() => client.DELETE('/projects/{project}/links/{link}', { params: { path: { project, link } } })),
    presence: (project: string, place: string) =>
        answer(() => client.POST('/projects/{project}/presence', { ...at(project), body: { place } })),
    outbox: () => answer(() => client.GET('/outbox')),
    invitation: (token: string) => answer(() => client.GET('/invitations/{token}', { params: { path: { token } } })),
    join: (token: string, body: { name?: string; password?: string }) =>
        answer(() => client.POST('/invitations/{token}', { params: { path: { token } }, body })),
    link: (token: string) => answer(() => client.GET('/links/{token}', { params: { path: { token } } })),
    openLink: (token: string) => answer(() => client.POST('/links/{token}', { params: { path: { token } } })),
    bench: (project: string, body: paths['/projects/{project}/bench']['post']['requestBody']['content']['application/json']) =>
        answer(() => client.POST('/projects/{project}/bench', { ...at(project), body })),
    gridBench: (project: string, body: paths['/projects/{project}/grid-bench']['post']['requestBody']['content']['application/json']) =>
        answer(() => client.POST('/projects/{project}/grid-bench', { ...at(project), body })),
    exportTypes: (project: string) =>
        answer(() => client.GET('/projects/{project}/exports/types.json', { params: { path: { project } } })) as Promise<TypesDocument>,
    readLength: (text: string, units: Units) => answer(() => client.GET('/lengths', { params: { query: { text, units } } })),
};

/** Sends a file's bytes; the server reads them and keeps only what it read. It waits for its turn, and for the server to be there again. */
async function upload<T>(address: string, file: File): Promise<T> {
    const send = async () => {
        const token = ownToken();
        let response;
        try {
            response = await fetch(`${address}${address.includes('?') ? '&' : '?'}name=${encodeURIComponent(file.name)}`, {
                method: 'POST',
                body: file,
                headers: {
                    'Content-Type': 'application/octet-stream',
                    Accept: 'application/json',
                    ...(token ? { 'X-XSRF-TOKEN': token } : {}),
                },
            });
        } catch {
            throw Problem.away();
        }
        const body: unknown = await response.json().catch(() => null);
        if (!response.ok) throw Problem.from(body, response.status);
        return body as T;
    };
    return untilAnswered(() => afterSigningIn(send));
}

export const uploadTracing = (project: string, file: File, page = 1) =>
    upload<ReadTracing>(`/api/projects/${project}/uploads/tracing?page=${page}`, file);
export const uploadPicture = (project: string, file: File) =>
    upload<ReadTracing>(`/api/projects/${project}/uploads/tracing?picture=1`, file);
export const uploadSchedule = (project: string, file: File) => upload<Reading>(`/api/projects/${project}/uploads/schedule`, file);

/** Unit types as they are exported. */
export type TypesDocument = { types: { mark: string; name: string; width: number; height: number }[] } & Record<string, unknown>;

/** A unit that is being made, as GLB. */
export const benchSolid = (project: string, draft: Args, ajar: number | null) =>
    answer(() =>
        client.POST('/projects/{project}/bench/solid', { ...at(project), body: { draft, ajar }, parseAs: 'arrayBuffer' }),
    ) as unknown as Promise<ArrayBuffer>;

/** A frontage's solid parts; the browser's cache asks whether they changed. */
export const fetchScene = (project: string, frontage: string) =>
    answer(() =>
        client.GET('/projects/{project}/scenes/{frontage}', { params: { path: { project, frontage } }, parseAs: 'arrayBuffer' }),
    ) as unknown as Promise<ArrayBuffer>;
