import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { api, type Schemas } from '../api/client';
import { Problem } from '../api/problem';
import { Button } from '../ui/Button';
import { Mark } from '../ui/Mark';
import { complain } from '../ui/notices';
import { OwnMenu } from '../ui/OwnMenu';
import { TextField } from '../ui/TextField';
import { DeleteAccount } from './DeleteAccount';

type Account = Schemas['Account'];
type Change = Parameters<typeof api.changeAccount>[0];

/** One's own account: name, email, password, and where one is signed in. */
export function AccountPage() {
    const queries = useQueryClient();
    const account = useQuery({ queryKey: ['account'], queryFn: api.account, staleTime: 0 });
    const taken = (now: Account) => {
        queries.setQueryData(['account'], now);
        queries.setQueryData(['session'], { user: { name: now.name, email: now.email, guest: false }, first: false });
    };
    const end = (ending: Promise<Account>) => void ending.then(taken).catch(complain);
    return (
        <main className="mx-auto flex h-full max-w-2xl flex-col overflow-auto px-6 py-8">
            <header className="mb-8 flex items-center gap-3">
                <Mark />
                <h1 className="grow text-lg font-semibold">Your account</h1>
                <a href="/" className="text-tide underline">
                    To the projects
                </a>
                <OwnMenu />
            </header>
            {account.isPending && <p className="text-quiet">Fetching your account…</p>}
            {account.isError && <p className="text-buoy">{account.error.message}</p>}
            {account.data && (
                <>
                    <Changing title="Name" says="Others see it beside your changes." onTaken={taken}>
                        {(field) => [field('name', 'Your name', { defaultValue: account.data.name, autoComplete: 'name', maxLength: 80 })]}
                    </Changing>
                    <Changing title="Email" says="You sign in with it, and invitations go to it." onTaken={taken}>
                        {(field) => [
                            field('email', 'Email', {
                                defaultValue: account.data.email,
                                type: 'email',
                                autoComplete: 'username',
                                maxLength: 200,
                            }),
                            field('password', 'Your password', { type: 'password', autoComplete: 'current-password' }),
                        ]}
                    </Changing>
                    <Changing title="Password" says="A new one signs you out everywhere else." onTaken={taken}>
                        {(field) => [
                            field('newPassword', 'New password, 10 characters or more', {
                                type: 'password',
                                autoComplete: 'new-password',
                                minLength: 10,
                            }),
                            field('password', 'Your current password', { type: 'password', autoComplete: 'current-password' }),
                        ]}
                    </Changing>
                    <section aria-label="Where you are signed in" className="mb-6 rounded-md border border-hairline bg-sheet p-4">
                        <div className="mb-2 flex items-center gap-3">
                            <h2 className="grow font-semibold">Where you are signed in</h2>
                            {account.data.sessions.length > 1 && (
                                <Button small onClick={() => end(api.endOtherSessions())}>
                                    Sign out everywhere else
                                </Button>
                            )}
                        </div>
                        <ul className="divide-y divide-hairline">
                            {account.data.sessions.map((session) => (
                                <li key={session.id} className="flex min-h-9 items-center gap-3 py-1">
                                    <span className="min-w-0 grow truncate" title={session.agent}>
                                        {browserOf(session.agent)}
                                        <span className="text-quiet">{session.address && ` · ${session.address}`}</span>
                                    </span>
                                    {session.current ? (
                                        <span className="text-quiet">here, now</span>
                                    ) : (
                                        <>
                                            <time className="text-quiet" dateTime={session.last}>
                                                {when(session.last)}
                                            </time>
                                            <Button small onClick={() => end(api.endSession(session.id))}>
                                                Sign out
                                            </Button>
                                        </>
                                    )}
                                </li>
                            ))}
                        </ul>
                    </section>
                    <DeleteAccount alone={account.data.alone} />
                </>
            )}
        </main>
    );
}

type Field = (name: keyof Change, label: string, more: Record<string, string | number>) => ReactNode;

/** A form for one thing: what is refused stays typed, with the reason at its field. */
function Changing(props: { title: string; says: string; onTaken: (now: Account) => void; children: (field: Field) => ReactNode[] }) {
    const { title, says, onTaken, children } = props;
    const [typed, setTyped] = useState<Change>({});
    const [problem, setProblem] = useState<{ field: string; says: string } | null>(null);
    const [done, setDone] = useState(false);
    const save = async (event: FormEvent) => {
        event.preventDefault();
        try {
            onTaken(await api.changeAccount(typed));
            setTyped({});
            setProblem(null);
            setDone(true);
        } catch (error) {
            const field = error instanceof Problem ? error.details.field : undefined;
            if (typeof field === 'string') setProblem({ field, says: (error as Error).message });
            else complain(error);
        }
    };
    const field: Field = (name, label, { defaultValue = '', ...more }) => (
        <TextField
            key={name}
            label={label}
            required
            value={typed[name] ?? String(defaultValue)}
            onChange={(value) => {
                setTyped((now) => ({ ...now, [name]: value }));
                setProblem(null);
                setDone(false);
            }}
            error={problem?.field === name ? problem.says : undefined}
            {...more}
        />
    );
    return (
        <form onSubmit={(e) => void save(e)} aria-label={title} className="mb-6 rounded-md border border-hairline bg-sheet p-4">
            <h2 className="font-semibold">{title}</h2>
            <p className="mb-3 text-quiet">{says}</p>
            <div className="grid gap-3">{children(field)}</div>
            <div className="mt-3 flex items-center gap-3">
                <Button type="submit" disabled={Object.keys(typed).length === 0}>
                    Save
                </Button>
                <span role="status" className="text-quiet">
                    {done ? 'Saved.' : ''}
                </span>
            </div>
        </form>
    );
}

/** A browser by its usual name, as far as what it says of itself tells. */
function browserOf(agent: string): string {
    const on = /Android|iPhone|iPad|Windows|Mac OS X|Linux/.exec(agent)?.[0].replace('Mac OS X', 'macOS');
    const of = /Firefox|Edg|Chrome|Safari/.exec(agent)?.[0].replace('Edg', 'Edge');
    if (!of && !on) return agent || 'A browser';
    return [of ?? 'A browser', on && `on ${on}`].filter(Boolean).join(' ');
}

const when = (at: string) => new Date(at).toLocaleString(undefined, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
