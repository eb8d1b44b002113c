import { useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { api } from '../api/client';
import { Button } from '../ui/Button';
import { Mark } from '../ui/Mark';
import { TextField } from '../ui/TextField';

export function SignInPage() {
    const queries = useQueryClient();
    const [email, setEmail] = useState('');
    const [password, setPassword] = useState('');
    const [problem, setProblem] = useState<string>();
    const [busy, setBusy] = useState(false);
    const [sent, setSent] = useState('');

    async function forgotten() {
        if (!email.includes('@')) {
            setSent('Type your email above first: a link to set a new password goes there.');
            return;
        }
        try {
            await api.passwordForgotten(email);
            setSent(`If ${email} has an account here, a link to set a new password is on its way there. It is good for an hour.`);
        } catch (error) {
            setSent((error as Error).message);
        }
    }

    async function signIn(event: FormEvent) {
        event.preventDefault();
        setBusy(true);
        try {
            queries.setQueryData(['session'], await api.signIn(email, password));
        } catch (error) {
            setProblem((error as Error).message);
            setBusy(false);
        }
    }

    return (
        <main className="flex h-full items-start justify-center pt-[14vh]">
            <form onSubmit={signIn} className="w-88 rounded-md border border-hairline bg-sheet p-7">
                <div className="mb-6 flex items-center gap-3">
                    <Mark size={34} />
                    <div>
                        <h1 className="text-lg font-semibold">Isleward</h1>
                        <p className="text-quiet">The building’s envelope, set out exactly</p>
                    </div>
                </div>
                <TextField label="Email" type="email" autoComplete="username" required autoFocus value={email} onChange={setEmail} />
                <TextField
                    className="mt-3"
                    label="Password"
                    type="password"
                    autoComplete="current-password"
                    required
                    value={password}
                    onChange={setPassword}
                    error={problem}
                />
                <Button look="main" type="submit" className="mt-5 w-full justify-center" disabled={busy}>
                    Sign in
                </Button>
                <p className="mt-3 text-center">
                    <button type="button" className="min-h-6 text-tide underline" onClick={() => void forgotten()}>
                        Password forgotten?
                    </button>
                </p>
                <p role="status" className="mt-1 text-quiet empty:hidden">
                    {sent}
                </p>
            </form>
        </main>
    );
}
