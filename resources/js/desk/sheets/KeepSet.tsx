import { useState } from 'react';
import { Button } from '../../ui/Button';
import { complain, tell } from '../../ui/notices';

import { useData } from '../data';
import type { PartName } from '../store';

/** Keeps what is chosen as a set, under a name. */
export function KeepSet({ members, parts = [], what }: { members: string[]; parts?: PartName[]; what: string }) {
    const data = useData();
    const [name, setName] = useState('');
    if (!data.mayEdit) return null;
    return (
        <form
            className="mt-3 flex items-center gap-2 border-t border-hairline pt-2"
            onSubmit={async (e) => {
                e.preventDefault();
                try {
                    await data.edit('set.keep', { name, members, parts }, { quiet: true });
                    tell(`Kept ${what} as the set “${name}”.`);
                    setName('');
                } catch (error) {
                    complain(error);
                }
            }}
        >
            <input
                type="text"
                aria-label="Name of the set"
                placeholder="Name of a set"
                value={name}
                maxLength={80}
                onChange={(e) => setName(e.target.value)}
                className="min-w-0 grow rounded-sm border-b border-tide bg-tide-wash px-1"
            />
            <Button small type="submit" disabled={name.trim() === '' || members.length + parts.length === 0}>
                Keep as a set
            </Button>
        </form>
    );
}
