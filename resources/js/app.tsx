import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Route, Routes } from 'react-router';
import { api, Problem } from './api/client';
import { BenchPage } from './bench/BenchPage';
import { SheetsPage } from './sheets/SheetsPage';
import { DeskPage } from './desk/DeskPage';
import { ProjectsPage } from './projects/ProjectsPage';
import { SignInPage } from './projects/SignInPage';
import { NoticeBoard } from './ui/notices';
import { applyTheme } from './ui/theme';

setNonce(document.querySelector<HTMLMetaElement>('meta[name=style-nonce]')?.content ?? '');
applyTheme();

const queries = new QueryClient({
    defaultOptions: { queries: { staleTime: 30_000, retry: (count, problem) => !(problem instanceof Problem && problem.status > 0) && count < 2 } },
});

function Gate() {
    const session = useQuery({ queryKey: ['session'], queryFn: api.whoAmI });
    if (session.isPending) return <p className="p-8 text-quiet">Opening…</p>;
    if (session.isError) return <p className="p-8 text-buoy">{session.error.message}</p>;
    if (!session.data.user) return <SignInPage />;
    return (
        <Routes>
            <Route path="/" element={<ProjectsPage user={session.data.user} />} />
            <Route path="/projects/:project" element={<DeskPage />} />
            <Route path="/projects/:project/bench/:type" element={<BenchPage />} />
            <Route path="/projects/:project/sheets" element={<SheetsPage />} />
            <Route path="*" element={<p className="p-8">There is nothing at this address. <a className="text-tide underline" href="/">To the projects</a></p>} />
        </Routes>
    );
}

createRoot(document.getElementById('app')!).render(
    <StrictMode>
        <QueryClientProvider client={queries}>
            <BrowserRouter>
                <Gate />
            </BrowserRouter>
            <NoticeBoard />
        </QueryClientProvider>
    </StrictMode>,
);
