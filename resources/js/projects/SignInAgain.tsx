import { useQueryClient } from '@tanstack/react-query';
import { Dialog as Primitive } from 'radix-ui';
import { useEffect, useState, type FormEvent } from 'react';
import { api } from '../api/client';
import { goOn, useSession } from '../api/session';
import { Button } from '../ui/Button';
import { TextField } from '../ui/TextField';

/** Over the page, when the session has ended meanwhile: whoever was working signs in, and what was being done goes on. */
export function SignInAgain() {
    const { user, ended } = useSession();
    const queries = useQueryClient();
    const [password, setPassword] = useState('');
    const [problem, setProblem] = useState<string>();
    const [busy, setBusy] = useState(false);
    useEffect(() => {
        if (!ended || !user) return;
        // signed in again in another window
        const look = () =>
            void api.whoAmI().then(
                (now) => {
                    if (now.user?.email === user.email) goOn();
                    else if (now.user)
                        setProblem(
                            `${now.user.name} is signed in in another window. What waits here is ${user.name}’s: sign in as ${user.name}.`,
                        );
                },
                () => undefined,
            );
        window.addEventListener('focus', look);
        return () => window.removeEventListener('focus', look);
    }, [ended, user]);
    if (!ended || !user) return null;
    async function signIn(event: FormEvent) {
        event.preventDefault();
        setBusy(true);
        try {
            queries.setQueryData(['session'], await api.signIn(user!.email, password));
            setPassword('');
            setProblem(undefined);
            goOn();
        } catch (error) {
            setProblem((error as Error).message);
        } finally {
            setBusy(false);
        }
    }
    return (
        <Primitive.Root open>
            <Primitive.Portal>
                <Primitive.Overlay className="fixed inset-0 z-60 bg-ink/30" />
                <Primitive.Content
                    className="fixed top-24 left-1/2 z-70 w-[92vw] max-w-md -translate-x-1/2 rounded-md border border-hairline bg-sheet p-5 shadow-xl"
                    data-sign-in-again
                >
                    <Primitive.Title className="text-base font-semibold">Sign in again</Primitive.Title>
                    <Primitive.Description className="mt-1 text-quiet">
                        Your session has ended. What you typed and what was under way is kept, and goes on when you are signed in.
                    </Primitive.Description>
                    <form onSubmit={signIn} className="mt-4">
                        <p className="mb-3">
                            {user.name} <span className="text-quiet">· {user.email}</span>
                        </p>
                        <TextField
                            label="Password"
                            type="password"
                            autoComplete="current-password"
                            required
                            autoFocus
                            value={password}
                            onChange={setPassword}
                            error={problem}
                        />
                        <div className="mt-4 flex items-center justify-between">
                            <a href="/" className="text-tide underline">
                                Sign in as someone else
                            </a>
                            <Button look="main" type="submit" disabled={busy}>
                                Sign in
                            </Button>
                        </div>
                    </form>
                </Primitive.Content>
            </Primitive.Portal>
        </Primitive.Root>
    );
}
