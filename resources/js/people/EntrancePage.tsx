import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { OwnMenu } from '../ui/OwnMenu';
import { Mark } from '../ui/Mark';
import { NewPassword } from '../ui/NewPassword';
import { TextField } from '../ui/TextField';

type User = Schemas['User'] | null;

/** Where an invitation leads: into the project, with the account one has or a new one. */
export function JoinPage({ user }: { user: User }) {
    const { token } = useParams();
    const queries = useQueryClient();
    const navigate = useNavigate();
    const invitation = useQuery({ queryKey: ['invitation', token], queryFn: () => api.invitation(token!), retry: false, staleTime: 0 });
    const [name, setName] = useState('');
    const [password, setPassword] = useState('');
    const [problem, setProblem] = useState<string>();
    const join = async (event: FormEvent) => {
        event.preventDefault();
        try {
            const { id } = await api.join(token!, user && !user.guest ? {} : { name, password });
            await queries.invalidateQueries({ queryKey: ['session'] });
            void navigate(`/projects/${id}`);
        } catch (error) {
            setProblem((error as Error).message);
        }
    };
    const i = invitation.data;
    const signedIn = user !== null && !user.guest;
    return (
        <Box title={i ? `${i.by} invites you to ${i.role === 'editor' ? 'work on' : 'view'} “${i.project}”` : 'Invitation'}>
            {invitation.isError && <p className="text-buoy">{invitation.error.message}</p>}
            {i?.over && (
                <p className="text-buoy">
                    {i.over}{' '}
                    <a className="underline" href="/">
                        To Isleward
                    </a>
                </p>
            )}
            {i && !i.over && (
                <form onSubmit={(e) => void join(e)} className="grid gap-3">
                    {signedIn ? (
                        <p>
                            It is for {i.email}. You are signed in as {user.email}.
                        </p>
                    ) : i.hasAccount ? (
                        <p>
                            {i.email} has an account.{' '}
                            <a className="text-tide underline" href={`/?then=${encodeURIComponent(`/join/${token}`)}`}>
                                Sign in
                            </a>{' '}
                            and it opens here again.
                        </p>
                    ) : (
                        <>
                            <p>Your account will be for {i.email}.</p>
                            <TextField
                                label="Your name, as others will see it"
                                value={name}
                                onChange={setName}
                                required
                                maxLength={80}
                                autoFocus
                            />
                            <NewPassword value={password} onChange={setPassword} />
                        </>
                    )}
                    <p role="alert" className="text-buoy empty:hidden">
                        {problem}
                    </p>
                    {(signedIn || !i.hasAccount) && (
                        <Button look="main" type="submit" className="justify-center">
                            Accept the invitation
                        </Button>
                    )}
                </form>
            )}
        </Box>
    );
}

/** Where a read-only link leads: in as its guest, at once when nobody is signed in. */
export function LookPage({ user }: { user: User }) {
    const { token } = useParams();
    const queries = useQueryClient();
    const navigate = useNavigate();
    const link = useQuery({ queryKey: ['link', token], queryFn: () => api.link(token!), retry: false, staleTime: 0 });
    const [problem, setProblem] = useState<string>();
    const going = useRef(false);
    const open = async () => {
        if (going.current) return;
        going.current = true;
        try {
            const { id } = await api.openLink(token!);
            queries.removeQueries({ queryKey: ['projects'] });
            await queries.invalidateQueries({ queryKey: ['session'] });
            void navigate(`/projects/${id}`, { replace: true });
        } catch (error) {
            setProblem((error as Error).message);
            going.current = false;
        }
    };
    const atOnce = link.data && !link.data.over && (user === null || user.guest || link.data.hasAccount);
    useEffect(() => {
        if (atOnce) void open();
        // once, when it is known that it can be
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [atOnce]);
    return (
        <Box title={link.data ? `“${link.data.project}”, to view` : 'A link to view'}>
            {link.isError && <p className="text-buoy">{link.error.message}</p>}
            {(link.data?.over ?? problem) && <p className="text-buoy">{link.data?.over ?? problem}</p>}
            {link.data && !link.data.over && !atOnce && user && (
                <>
                    <p className="mb-3">
                        You are signed in as {user.name} and are not in this project. As a guest you can view it; that signs you out here.
                    </p>
                    <Button look="main" onClick={() => void open()}>
                        View as a guest
                    </Button>
                </>
            )}
            {atOnce && !problem && <p className="text-quiet">Opening…</p>}
        </Box>
    );
}

/** The simulated outbox: letters go nowhere but here. */
export function OutboxPage() {
    const letters = useQuery({ queryKey: ['outbox'], queryFn: api.outbox, staleTime: 0 });
    return (
        <main className="mx-auto max-w-3xl px-6 py-8">
            <header className="mb-4 flex items-center gap-3">
                <Mark />
                <h1 className="grow text-lg font-semibold">Outbox</h1>
                <a href="/" className="text-tide underline">
                    To the projects
                </a>
                <OwnMenu />
            </header>
            <p className="mb-4 text-quiet">
                A stand-in for a mail server: emails sent in your name are kept here and go nowhere. Give the link in one to whom it is for.
            </p>
            {letters.isError && <p className="text-buoy">{letters.error.message}</p>}
            {letters.data?.letters.length === 0 && (
                <p className="rounded-md border border-dashed border-hairline p-6 text-quiet">
                    Nothing was sent yet. Invite someone from a project’s People.
                </p>
            )}
            {letters.data?.letters.map((l) => (
                <article key={l.id} className="mb-4 rounded-md border border-hairline bg-sheet p-4" data-letter={l.to}>
                    <p className="flex justify-between gap-3">
                        <b>{l.subject}</b>
                        <time className="text-quiet" dateTime={l.at}>
                            {new Date(l.at).toLocaleString(undefined, {
                                day: 'numeric',
                                month: 'short',
                                hour: '2-digit',
                                minute: '2-digit',
                            })}
                        </time>
                    </p>
                    <p className="text-quiet">to {l.to}</p>
                    <p className="mt-2 whitespace-pre-wrap">
                        {l.body.split(/(https?:\/\/\S+)/).map((part, i) =>
                            part.startsWith('http') ? (
                                <a key={i} href={part} className="break-all text-tide underline">
                                    {part}
                                </a>
                            ) : (
                                part
                            ),
                        )}
                    </p>
                </article>
            ))}
        </main>
    );
}

/** Where the link of a forgotten password leads: a new one is set, and one is signed in. */
export function PasswordPage() {
    const { token } = useParams();
    const queries = useQueryClient();
    const navigate = useNavigate();
    const [password, setPassword] = useState('');
    const [problem, setProblem] = useState<string>();
    const set = async (event: FormEvent) => {
        event.preventDefault();
        try {
            await api.setPassword(token!, password);
            await queries.invalidateQueries({ queryKey: ['session'] });
            void navigate('/');
        } catch (error) {
            setProblem((error as Error).message);
        }
    };
    return (
        <Box title="A new password">
            <form onSubmit={(e) => void set(e)} className="grid gap-3">
                <NewPassword value={password} onChange={setPassword} autoFocus error={problem} />
                <p className="text-quiet">You are signed out everywhere else then.</p>
                <Button look="main" type="submit" className="justify-center">
                    Set it and sign in
                </Button>
            </form>
        </Box>
    );
}

function Box({ title, children }: { title: string; children: React.ReactNode }) {
    return (
        <main className="flex h-full items-start justify-center pt-[14vh]">
            <section className="w-96 rounded-md border border-hairline bg-sheet p-7">
                <div className="mb-5 flex items-center gap-3">
                    <Mark size={34} />
                    <h1 className="text-base font-semibold">{title}</h1>
                </div>
                {children}
            </section>
        </main>
    );
}
