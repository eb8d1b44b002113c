import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api } from '../api/client';
import { useData } from '../desk/data';
import { useDesk } from '../desk/store';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Dialog } from '../ui/Dialog';
import { complain, tell } from '../ui/notices';
import { usePresence } from './usePresence';

const roles = { owner: 'owner', editor: 'may edit', viewer: 'may view' } as const;
type Role = keyof typeof roles;

/** Who is in the project and who is there now; for its owners invitations and read-only links. */
export function PeopleDialog() {
    const open = useDesk((s) => s.people);
    return (
        <Dialog open={open} onClose={() => useDesk.setState({ people: false })} title="People" wide>
            <People />
        </Dialog>
    );
}

function People() {
    const data = useData();
    const queries = useQueryClient();
    const navigate = useNavigate();
    const people = useQuery({ queryKey: ['people', data.id], queryFn: () => api.people(data.id), staleTime: 0 });
    const here = usePresence((s) => s.here);
    const again = () => queries.invalidateQueries({ queryKey: ['people', data.id] });
    const run = async (work: Promise<unknown>, said?: string) => {
        try {
            await work;
            if (said) tell(said);
            await again();
            return true;
        } catch (problem) {
            complain(problem);
            return false;
        }
    };
    if (people.isError) return <p className="text-buoy">{people.error.message}</p>;
    if (!people.data) return <p className="text-quiet">Fetching the people…</p>;
    const { members, invitations, links, mayManage } = people.data;
    return (
        <div className="grid gap-4">
            <section aria-label="Members">
                <ul className="divide-y divide-hairline">
                    {members.map((m) => {
                        const there = m.you ? null : here.find((h) => h.id === m.id);
                        return (
                            <li key={m.id} className="flex min-h-9 items-center gap-3 py-1" data-member={m.name}>
                                <span className="min-w-0 grow">
                                    <b>{m.name}</b>
                                    {m.you && <span className="text-quiet"> · you</span>}
                                    {m.email && <span className="text-quiet"> · {m.email}</span>}
                                    {there && (
                                        <span className="block text-xs text-moss">
                                            ● here now{there.place ? `, at ${there.place}` : ''}
                                        </span>
                                    )}
                                </span>
                                {mayManage ? (
                                    <Choice
                                        label={`What ${m.name} may do`}
                                        value={m.role}
                                        options={Object.entries(roles).map(([value, label]) => ({ value, label }))}
                                        onChange={(role) => void run(api.setRole(data.id, m.id, role as Role))}
                                    />
                                ) : (
                                    <span className="text-quiet">{roles[m.role]}</span>
                                )}
                                {(mayManage || m.you) && (
                                    <Button
                                        small
                                        look="plain"
                                        aria-label={m.you ? 'Remove me from the project' : `Remove ${m.name}`}
                                        onClick={() => void run(api.removePerson(data.id, m.id)).then((ok) => ok && m.you && navigate('/'))}
                                    >
                                        {m.you ? 'Remove me' : 'Remove'}
                                    </Button>
                                )}
                            </li>
                        );
                    })}
                </ul>
                {here
                    .filter((h) => !members.some((m) => m.id === h.id))
                    .map((h) => (
                        <p key={h.id} className="py-1 text-moss">
                            ● {h.name}, here now by a link{h.place ? `, at ${h.place}` : ''}
                        </p>
                    ))}
            </section>
            {mayManage && (
                <>
                    <Invite onInvite={(email, role) => run(api.invite(data.id, email, role), `The email to ${email} is in the outbox.`)} />
                    {invitations.length > 0 && (
                        <ul className="divide-y divide-hairline" aria-label="Invitations that wait">
                            {invitations.map((i) => (
                                <li key={i.id} className="flex min-h-9 items-center gap-3 py-1">
                                    <span className="min-w-0 grow">
                                        {i.email}{' '}
                                        <span className="text-quiet">
                                            · invited, {roles[i.role]}, until {day(i.expiresAt)}
                                        </span>
                                    </span>
                                    <Button small look="plain" onClick={() => void run(api.withdraw(data.id, i.id))}>
                                        Withdraw
                                    </Button>
                                </li>
                            ))}
                        </ul>
                    )}
                    <Links
                        links={links}
                        onMade={again}
                        onEnd={(id) => void run(api.endLink(data.id, id), 'The link is ended; whoever had it open is out.')}
                    />
                </>
            )}
        </div>
    );
}

function Invite({ onInvite }: { onInvite: (email: string, role: 'editor' | 'viewer') => Promise<boolean> }) {
    const [email, setEmail] = useState('');
    const [role, setRole] = useState<'editor' | 'viewer'>('editor');
    return (
        <form
            className="flex flex-wrap items-center gap-2 border-t border-hairline pt-3"
            onSubmit={(e) => {
                e.preventDefault();
                void onInvite(email.trim(), role).then((ok) => ok && setEmail(''));
            }}
        >
            Invite{' '}
            <input
                type="email"
                required
                aria-label="Email to invite"
                placeholder="name@place.example"
                value={email}
                onChange={(e) => setEmail(e.target.value)}
                className="min-h-8 min-w-48 grow rounded border border-hairline bg-sheet px-2.5"
            />{' '}
            to{' '}
            <Choice
                label="What they may do"
                value={role}
                options={[
                    { value: 'editor', label: 'edit' },
                    { value: 'viewer', label: 'look' },
                ]}
                onChange={(r) => setRole(r as 'editor' | 'viewer')}
            />
            <Button look="main" type="submit">
                Invite
            </Button>
            <Link to="/outbox" target="_blank" className="text-xs text-tide underline">
                Outbox
            </Link>
        </form>
    );
}

type LinkLine = { id: string; name: string; createdAt: string; usedAt: string | null };

function Links({ links, onMade, onEnd }: { links: LinkLine[]; onMade: () => Promise<void>; onEnd: (id: string) => void }) {
    const data = useData();
    const [name, setName] = useState('');
    const [made, setMade] = useState<string | null>(null);
    const make = async () => {
        try {
            setMade((await api.makeLink(data.id, name.trim())).address);
            setName('');
            await onMade();
        } catch (problem) {
            complain(problem);
        }
    };
    return (
        <section aria-label="Read-only links" className="border-t border-hairline pt-3">
            <form
                className="flex flex-wrap items-center gap-2"
                onSubmit={(e) => {
                    e.preventDefault();
                    void make();
                }}
            >
                Read-only link for{' '}
                <input
                    type="text"
                    aria-label="Whom the link is for"
                    placeholder="whom it is for"
                    value={name}
                    maxLength={80}
                    onChange={(e) => setName(e.target.value)}
                    className="min-h-8 min-w-40 grow rounded border border-hairline bg-sheet px-2.5"
                />
                <Button type="submit">Create a link</Button>
            </form>
            {made && (
                <p className="mt-2 flex items-center gap-2 bg-tide-wash px-2 py-1.5">
                    <input
                        readOnly
                        aria-label="Link"
                        value={made}
                        onFocus={(e) => e.target.select()}
                        className="min-w-0 grow bg-transparent"
                    />
                    <Button small onClick={() => void navigator.clipboard.writeText(made).then(() => tell('Copied.'), complain)}>
                        Copy
                    </Button>
                    <span className="text-xs text-quiet">shown only now</span>
                </p>
            )}
            <ul className="divide-y divide-hairline">
                {links.map((l) => (
                    <li key={l.id} className="flex min-h-9 items-center gap-3 py-1">
                        <span className="min-w-0 grow">
                            {l.name || 'A link'}{' '}
                            <span className="text-quiet">
                                · since {day(l.createdAt)}, {l.usedAt ? `opened last on ${day(l.usedAt)}` : 'not opened yet'}
                            </span>
                        </span>
                        <Button small look="plain" aria-label={`End the link ${l.name}`} onClick={() => onEnd(l.id)}>
                            End
                        </Button>
                    </li>
                ))}
            </ul>
        </section>
    );
}

const day = (at: string) => new Date(at).toLocaleDateString(undefined, { day: 'numeric', month: 'short' });
