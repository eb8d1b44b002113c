import { useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { api } from '../api/client';
import { Problem } from '../api/problem';
import { Button } from '../ui/Button';
import { Mark } from '../ui/Mark';
import { NewPassword } from '../ui/NewPassword';
import { TextField } from '../ui/TextField';

/** The first page of an empty installation: whoever comes first makes the first account. */
export function FirstAccountPage() {
    const queries = useQueryClient();
    const [name, setName] = useState('');
    const [email, setEmail] = useState('');
    const [password, setPassword] = useState('');
    const [problem, setProblem] = useState<{ field: string; says: string }>();
    const [busy, setBusy] = useState(false);

    async function make(event: FormEvent) {
        event.preventDefault();
        setBusy(true);
        try {
            const { user } = await api.firstAccount({ name, email, password });
            queries.setQueryData(['session'], { user, first: false });
        } catch (error) {
            const field = error instanceof Problem ? error.details.field : undefined;
            setProblem({ field: typeof field === 'string' ? field : 'password', says: (error as Error).message });
            setBusy(false);
        }
    }
    const of = (field: string) => (problem?.field === field ? problem.says : undefined);
    return (
        <main className="flex h-full items-start justify-center pt-[12vh]">
            <form onSubmit={make} className="grid w-96 gap-3 rounded-md border border-hairline bg-sheet p-7">
                <div className="mb-2 flex items-center gap-3">
                    <Mark size={34} />
                    <div>
                        <h1 className="text-lg font-semibold">Isleward</h1>
                        <p className="text-quiet">Nobody has an account here yet. Make the first.</p>
                    </div>
                </div>
                <TextField
                    label="Your name, as others will see it"
                    autoComplete="name"
                    required
                    maxLength={80}
                    autoFocus
                    value={name}
                    onChange={setName}
                    error={of('name')}
                />
                <TextField
                    label="Email"
                    type="email"
                    autoComplete="username"
                    required
                    maxLength={200}
                    value={email}
                    onChange={setEmail}
                    error={of('email')}
                />
                <NewPassword value={password} onChange={setPassword} error={of('password')} />
                <Button look="main" type="submit" className="mt-2 justify-center" disabled={busy}>
                    Create the account
                </Button>
            </form>
        </main>
    );
}
