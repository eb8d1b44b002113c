import { useState } from 'react';
import { Button } from '../../ui/Button';

type Props = { open: string; label: string; onAccept: (note: string) => Promise<boolean> };

/** Accepts a finding, or those that are alike, with a reason that is typed. */
export function Accepting({ open, label, onAccept }: Props) {
    const [note, setNote] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    if (note === null)
        return (
            <button type="button" className="min-h-6 text-tide underline" onClick={() => setNote('')}>
                {open}
            </button>
        );
    const accept = async () => {
        setBusy(true);
        if (await onAccept(note)) setNote(null);
        setBusy(false);
    };
    return (
        <span className="flex grow gap-1.5 pt-1">
            <input
                autoFocus
                aria-label={label}
                placeholder="Reason"
                value={note}
                maxLength={500}
                onChange={(e) => setNote(e.target.value)}
                onKeyDown={(e) => {
                    if (e.key === 'Enter') void accept();
                    if (e.key === 'Escape') setNote(null);
                }}
                className="min-w-0 grow rounded-sm border-b border-tide bg-tide-wash px-1"
            />
            <Button small disabled={busy} onClick={() => void accept()}>
                Accept
            </Button>
        </span>
    );
}
