import { useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Dialog } from '../ui/Dialog';
import { TextField } from '../ui/TextField';

/** Deletes one's account: what becomes of the projects that nobody else owns is said before. */
export function DeleteAccount({ alone }: { alone: Schemas['Account']['alone'] }) {
    const queries = useQueryClient();
    const navigate = useNavigate();
    const [open, setOpen] = useState(false);
    const [heirs, setHeirs] = useState<Record<string, string>>({});
    const [password, setPassword] = useState('');
    const [problem, setProblem] = useState<string>();
    const shared = alone.filter((p) => p.others.length > 0);
    const own = alone.filter((p) => p.others.length === 0);
    const undecided = shared.some((p) => heirs[p.id] === undefined);
    const remove = async (event: FormEvent) => {
        event.preventDefault();
        try {
            const said = Object.entries(heirs).map(([id, to]) => [id, to === 'delete' ? ('delete' as const) : Number(to)] as const);
            await api.removeAccount({ password, heirs: Object.fromEntries(said) });
            queries.clear();
            void navigate('/');
            await queries.invalidateQueries();
        } catch (error) {
            setProblem((error as Error).message);
        }
    };
    return (
        <section className="mb-6">
            <Button look="danger" className="-ml-3" onClick={() => setOpen(true)}>
                Delete your account…
            </Button>
            <Dialog
                open={open}
                onClose={() => setOpen(false)}
                title="Delete your account?"
                note="Your name and email go. What you changed in others’ projects stays. This cannot be undone."
            >
                <form onSubmit={(e) => void remove(e)} className="grid gap-3">
                    {own.length > 0 && <p>Deleted with it, as nobody shares them: {own.map((p) => p.name).join(', ')}.</p>}
                    {shared.map((p) => (
                        <p key={p.id}>
                            <b>{p.name}</b>{' '}
                            <Choice
                                label={`What becomes of ${p.name}`}
                                value={heirs[p.id] ?? 'ask'}
                                options={[
                                    ...(heirs[p.id] === undefined ? [{ value: 'ask', label: 'choose what becomes of it' }] : []),
                                    ...p.others.map((o) => ({ value: String(o.id), label: `is owned by ${o.name} then` })),
                                    { value: 'delete', label: 'is deleted' },
                                ]}
                                onChange={(to) => to !== 'ask' && setHeirs((now) => ({ ...now, [p.id]: to }))}
                            />
                        </p>
                    ))}
                    <TextField
                        label="Your password"
                        type="password"
                        autoComplete="current-password"
                        required
                        value={password}
                        onChange={setPassword}
                        error={problem}
                    />
                    <div className="flex justify-end gap-2">
                        <Button onClick={() => setOpen(false)}>Cancel</Button>
                        <Button look="warn" type="submit" disabled={undecided || password === ''}>
                            Delete the account
                        </Button>
                    </div>
                </form>
            </Dialog>
        </section>
    );
}
