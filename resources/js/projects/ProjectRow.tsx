import { MoreHorizontal } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type Schemas } from '../api/client';
import { underOneKey } from '../api/keys';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { Menu, type MenuItem } from '../ui/Menu';
import { TextField } from '../ui/TextField';
import { complain, tell } from '../ui/notices';

type Line = Schemas['ProjectLine'];

const roles = { owner: 'yours', editor: 'shared, you may edit', viewer: 'shared, view only' };
const DAYS = 30;

const day = (date: Date) => date.toLocaleString(undefined, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/** When what is in the bin goes for good. */
const goes = (binned: string) =>
    new Date(new Date(binned).getTime() + DAYS * 86_400_000).toLocaleDateString(undefined, { day: 'numeric', month: 'long' });

/** A project in the list, with its picture and what can be done with it as a whole. */
export function ProjectRow({ project: p, onChanged }: { project: Line; onChanged: () => void }) {
    const [asked, setAsked] = useState<'rename' | 'duplicate' | 'remove' | null>(null);
    const navigate = useNavigate();
    const mine = p.role === 'owner';
    const doing = async (work: () => Promise<unknown>, said: string, back?: () => Promise<unknown>) => {
        try {
            await work();
            onChanged();
            tell(said, back && { label: 'Undo', run: () => void back().then(onChanged).catch(complain) });
        } catch (problem) {
            complain(problem);
        }
    };
    const archive = (archived: boolean) =>
        doing(
            () => api.keepProject(p.id, { archived }),
            archived ? `${p.name} is archived.` : `${p.name} is among your projects again.`,
            () => api.keepProject(p.id, { archived: !archived }),
        );
    const restore = () => api.keepProject(p.id, { binned: false });
    const items: MenuItem[] = p.binned
        ? [
              { label: 'Restore', onSelect: () => void doing(restore, `${p.name} is restored.`) },
              { label: 'Delete for good…', warn: true, onSelect: () => setAsked('remove') },
          ]
        : [
              { label: 'Open', onSelect: () => void navigate(`/projects/${p.id}`) },
              ...(p.role === 'viewer' ? [] : [{ label: 'Rename…', onSelect: () => setAsked('rename') }]),
              { label: 'Duplicate…', onSelect: () => setAsked('duplicate') },
              ...(mine
                  ? [
                        { label: p.archived ? 'Take out of the archive' : 'Archive', onSelect: () => void archive(!p.archived) },
                        'line' as const,
                        {
                            label: 'Delete',
                            warn: true,
                            onSelect: () => void doing(() => api.removeProject(p.id), `${p.name} is in the bin for ${DAYS} days.`, restore),
                        },
                    ]
                  : []),
          ];
    const close = () => setAsked(null);
    return (
        <li className="flex items-center gap-4 px-3 py-2" data-project={p.name}>
            <span className="flex h-[54px] w-[90px] shrink-0 items-center justify-center overflow-hidden rounded-sm border border-hairline bg-white">
                {!p.binned && <img src={`/api/projects/${p.id}/picture`} alt="" loading="lazy" width={90} height={54} />}
            </span>
            <span className="min-w-0 grow">
                {p.binned ? (
                    <span className="block truncate font-semibold">{p.name}</span>
                ) : (
                    <Link to={`/projects/${p.id}`} className="block truncate font-semibold text-ink hover:text-tide">
                        {p.name}
                    </Link>
                )}
                <span className="text-xs text-quiet">
                    {p.storeys} storeys · {p.openings} openings · {roles[p.role]}
                    {p.demo && <b className="ml-2 rounded bg-tide-wash px-1.5 py-0.5 font-semibold text-tide">Demo</b>}
                </span>
            </span>
            <time className="shrink-0 text-right text-xs text-quiet" dateTime={p.binned ?? p.updatedAt}>
                {p.binned ? `deleted for good on ${goes(p.binned)}` : day(new Date(p.updatedAt))}
            </time>
            <Menu
                trigger={
                    <Button look="plain" small aria-label={`What to do with ${p.name}`}>
                        <MoreHorizontal size={16} />
                    </Button>
                }
                items={items}
            />
            {asked === 'rename' && (
                <Named
                    title={`Rename ${p.name}`}
                    name={p.name}
                    verb="Rename"
                    onClose={close}
                    onName={async (name) => {
                        await underOneKey((key) => api.edit(p.id, 'settings.change', { name }, p.number, key));
                        onChanged();
                    }}
                />
            )}
            {asked === 'duplicate' && (
                <Named
                    title={`Duplicate ${p.name}`}
                    note="All that is in it, as it is now; without its changes, revisions and people."
                    name={`${p.name.slice(0, 73)}, copy`}
                    verb="Duplicate"
                    onClose={close}
                    onName={async (name) => {
                        const made = await underOneKey((key) => api.duplicateProject(p.id, name, key));
                        onChanged();
                        tell(`${name} is made.`, { label: 'Open', run: () => void navigate(`/projects/${made.id}`) });
                    }}
                />
            )}
            <Dialog
                open={asked === 'remove'}
                onClose={close}
                title={`Delete ${p.name} for good?`}
                note={`With its ${p.openings} openings and all its changes. This cannot be undone.`}
            >
                <div className="flex justify-end gap-2">
                    <Button onClick={close}>Cancel</Button>
                    <Button look="warn" onClick={() => void doing(() => api.removeProject(p.id), `${p.name} is deleted.`).then(close)}>
                        Delete for good
                    </Button>
                </div>
            </Dialog>
        </li>
    );
}

type NamedProps = {
    title: string;
    note?: string;
    name: string;
    verb: string;
    onClose: () => void;
    onName: (name: string) => Promise<void>;
};

/** Asks for a name; what cannot be stays typed, with the reason. */
function Named({ title, note, name, verb, onClose, onName }: NamedProps) {
    const [text, setText] = useState(name);
    const [problem, setProblem] = useState<string>();
    const [busy, setBusy] = useState(false);
    const send = async (event: FormEvent) => {
        event.preventDefault();
        setBusy(true);
        try {
            await onName(text.trim());
            onClose();
        } catch (error) {
            setProblem((error as Error).message);
            setBusy(false);
        }
    };
    return (
        <Dialog open onClose={onClose} title={title} note={note}>
            <form onSubmit={(e) => void send(e)}>
                <TextField
                    label="Name"
                    aria-label="Name of the project"
                    required
                    maxLength={80}
                    autoFocus
                    value={text}
                    onChange={setText}
                    error={problem}
                />
                <div className="mt-4 flex justify-end gap-2">
                    <Button onClick={onClose}>Cancel</Button>
                    <Button look="main" type="submit" disabled={busy || text.trim() === ''}>
                        {busy ? 'Working…' : verb}
                    </Button>
                </div>
            </form>
        </Dialog>
    );
}
