import { useQueryClient } from '@tanstack/react-query';
import { Check, CircleUserRound } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../api/client';
import { useSession } from '../api/session';
import { complain } from './notices';
import { keptTheme, setTheme, useTheme, type Theme } from './theme';

const themes: { value: Theme; label: string }[] = [
    { value: 'light', label: 'Light' },
    { value: 'dark', label: 'Dark' },
    { value: 'system', label: 'As the system' },
];

const row = 'flex cursor-default items-center justify-between gap-6 rounded px-2 py-1.5 outline-none data-[highlighted]:bg-tide-wash';

const round =
    'inline-flex size-8 shrink-0 items-center justify-center rounded-full ' + 'text-quiet hover:text-tide data-[state=open]:text-tide';

/** A menu of one's own, at the top right of every page: who one is, light or dark, the way out. */
export function OwnMenu() {
    const user = useSession((s) => s.user);
    const queries = useQueryClient();
    const navigate = useNavigate();
    const [theme, choose] = useState(keptTheme);
    const now = useTheme();
    const signOut = async () => {
        await api.signOut().catch(complain);
        // nothing is asked for any more that one would have to be signed in for
        queries.setQueryData(['session'], { user: null, first: false });
        void navigate('/');
        queries.removeQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
    };
    return (
        <DropdownMenu.Root modal={false} onOpenChange={() => choose(keptTheme())}>
            <DropdownMenu.Trigger asChild>
                <button type="button" aria-label="Your menu" title={user ? user.name : 'Light or dark'} className={round}>
                    <CircleUserRound size={20} />
                </button>
            </DropdownMenu.Trigger>
            <DropdownMenu.Portal>
                <DropdownMenu.Content
                    align="end"
                    sideOffset={4}
                    className="z-50 min-w-52 rounded-md border border-hairline bg-sheet p-1 shadow-lg"
                >
                    {user && (
                        <>
                            <p className="px-2 pt-1.5 leading-tight font-semibold">{user.name}</p>
                            {!user.guest && <p className="px-2 pb-1.5 text-xs text-quiet">{user.email}</p>}
                            <Line />
                        </>
                    )}
                    <DropdownMenu.RadioGroup
                        aria-label={`Light or dark: now ${now}`}
                        value={theme}
                        onValueChange={(to) => {
                            setTheme(to as Theme);
                            choose(to as Theme);
                        }}
                    >
                        {themes.map(({ value, label }) => (
                            <DropdownMenu.RadioItem key={value} value={value} className={row} onSelect={(e) => e.preventDefault()}>
                                {label}
                                <DropdownMenu.ItemIndicator>
                                    <Check size={14} aria-label="chosen" />
                                </DropdownMenu.ItemIndicator>
                            </DropdownMenu.RadioItem>
                        ))}
                    </DropdownMenu.RadioGroup>
                    {user && !user.guest && (
                        <>
                            <Line />
                            <DropdownMenu.Item className={row} onSelect={() => void navigate('/')}>
                                Projects
                            </DropdownMenu.Item>
                            <DropdownMenu.Item className={row} onSelect={() => void navigate('/account')}>
                                Your account
                            </DropdownMenu.Item>
                            <DropdownMenu.Item className={row} onSelect={() => void signOut()}>
                                Sign out
                            </DropdownMenu.Item>
                        </>
                    )}
                </DropdownMenu.Content>
            </DropdownMenu.Portal>
        </DropdownMenu.Root>
    );
}

const Line = () => <DropdownMenu.Separator className="my-1 h-px bg-hairline" />;
