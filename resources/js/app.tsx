import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { StrictMode, useEffect, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { api, Problem, type Schemas } from './api/client';
import { isAway, lost } from './api/reach';
import { useSession } from './api/session';
import { FirstAccountPage } from './projects/FirstAccountPage';
import { SignInPage } from './projects/SignInPage';
import { Announcer } from './ui/announce';
import { NoticeBoard } from './ui/notices';
import { Reach } from './ui/Reach';
import { later } from './ui/later';
import { applyTheme } from './ui/theme';

const desk = () => import('./desk/DeskPage').then((m) => m.DeskPage);
// asked for beside the session, not after it; what cannot be fetched now is said when it is needed
if (/^\/projects\/[\w-]+$/.test(window.location.pathname)) desk().catch(() => undefined);
// what the page needs next takes nothing from a slow line until what it begins with has come
for (const link of document.querySelectorAll<HTMLLinkElement>('link[data-then]')) link.rel = 'modulepreload';
const DeskPage = later('The desk', desk);
// signing in is shown before what only they need has come, which is fetched meanwhile
const projects = () => import('./projects/ProjectsPage').then((m) => m.ProjectsPage);
const ProjectsPage = later('The list of projects', projects, null);
const OwnMenu = later('The menu', () => import('./ui/OwnMenu').then((m) => m.OwnMenu), null);
const SignInAgain = later('The form to sign in again', () => import('./projects/SignInAgain').then((m) => m.SignInAgain), null);
const BenchPage = later('The bench', () => import('./bench/BenchPage').then((m) => m.BenchPage));
const GridBenchPage = later('The grid bench', () => import('./gridbench/GridBenchPage').then((m) => m.GridBenchPage));
const SheetsPage = later('The sheets', () => import('./sheets/SheetsPage').then((m) => m.SheetsPage));
const JoinPage = later('The invitation', () => import('./people/EntrancePage').then((m) => m.JoinPage));
const LookPage = later('The link', () => import('./people/EntrancePage').then((m) => m.LookPage));
const AccountPage = later('Your account', () => import('./people/AccountPage').then((m) => m.AccountPage));
const PasswordPage = later('The page', () => import('./people/EntrancePage').then((m) => m.PasswordPage));
const OutboxPage = later('The outbox', () => import('./people/EntrancePage').then((m) => m.OutboxPage));

setNonce(document.querySelector<HTMLMetaElement>('meta[name=style-nonce]')?.content ?? '');
applyTheme();

const queries = new QueryClient({
    defaultOptions: {
        queries: {
            staleTime: 30_000,
            networkMode: 'always',
            // what does not answer now is asked for until it does; what was refused is not
            retry: (count, problem) => {
                if (!isAway(problem)) return !(problem instanceof Problem) && count < 2;
                lost(problem);
                return true;
            },
            retryDelay: (count) => Math.min(4000, 500 * 2 ** count),
        },
    },
});

/** A menu of one's own at the top right, on pages that have no header. */
function WithOwnMenu({ children }: { children: ReactNode }) {
    return (
        <>
            <div className="fixed top-2 right-3 z-10">
                <OwnMenu />
            </div>
            {children}
        </>
    );
}

/** Where the session has ended on a page that was open. */
function SessionEnded() {
    return useSession((s) => s.ended && s.user !== null) && <SignInAgain />;
}

/** The projects, or where one was going before signing in. */
function Arrived({ user }: { user: Schemas['User'] }) {
    const then = new URLSearchParams(window.location.search).get('then');
    return then !== null && /^\/(join|projects)\/[\w/-]+$/.test(then) ? <Navigate to={then} replace /> : <ProjectsPage user={user} />;
}

/** Who is signed in, as the page said when it came. */
function saidByPage(): Awaited<ReturnType<typeof api.whoAmI>> | undefined {
    const said = document.getElementById('session')?.textContent;
    return said ? (JSON.parse(said) as Awaited<ReturnType<typeof api.whoAmI>>) : undefined;
}

function Gate() {
    const session = useQuery({ queryKey: ['session'], queryFn: api.whoAmI, initialData: saidByPage });
    const signedIn = session.data?.user ?? null;
    useEffect(() => useSession.setState({ user: signedIn }), [signedIn]);
    // what cannot be fetched now is said when it is needed
    const out = session.isSuccess && signedIn === null;
    useEffect(() => {
        if (out) projects().catch(() => undefined);
    }, [out]);
    if (session.isPending) return <p className="p-8 text-quiet">Opening…</p>;
    if (session.isError) return <p className="p-8 text-buoy">{session.error.message}</p>;
    const { user, first } = session.data;
    if (!user)
        return (
            <WithOwnMenu>
                <Routes>
                    <Route path="/join/:token" element={<JoinPage user={null} />} />
                    <Route path="/look/:token" element={<LookPage user={null} />} />
                    <Route path="/password/:token" element={<PasswordPage />} />
                    <Route path="*" element={first ? <FirstAccountPage /> : <SignInPage />} />
                </Routes>
            </WithOwnMenu>
        );
    return (
        <Routes>
            <Route
                path="/join/:token"
                element={
                    <WithOwnMenu>
                        <JoinPage user={user} />
                    </WithOwnMenu>
                }
            />
            <Route
                path="/look/:token"
                element={
                    <WithOwnMenu>
                        <LookPage user={user} />
                    </WithOwnMenu>
                }
            />
            <Route
                path="/password/:token"
                element={
                    <WithOwnMenu>
                        <PasswordPage />
                    </WithOwnMenu>
                }
            />
            <Route path="/account" element={<AccountPage />} />
            <Route path="/outbox" element={<OutboxPage />} />
            <Route path="/" element={<Arrived user={user} />} />
            <Route path="/projects/:project" element={<DeskPage />} />
            <Route path="/projects/:project/bench/:type" element={<BenchPage />} />
            <Route path="/projects/:project/grid-bench/:grid" element={<GridBenchPage />} />
            <Route path="/projects/:project/sheets" element={<SheetsPage />} />
            <Route
                path="*"
                element={
                    <p className="p-8">
                        There is nothing at this address.{' '}
                        <a className="text-tide underline" href="/">
                            To the projects
                        </a>
                    </p>
                }
            />
        </Routes>
    );
}

createRoot(document.getElementById('app')!).render(
    <StrictMode>
        <QueryClientProvider client={queries}>
            <BrowserRouter>
                <Gate />
            </BrowserRouter>
            <Reach />
            <SessionEnded />
            <NoticeBoard />
            <Announcer />
        </QueryClientProvider>
    </StrictMode>,
);
