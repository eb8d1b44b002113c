import { useState } from 'react';
import { Problem } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Dialog } from '../ui/Dialog';
import { useData } from '../desk/data';

type Props = { type: string; mark: string; openings: number; open: boolean; onClose: () => void; onRemoved: () => void };

/** Takes a type off the rack; one in use says what takes its place. */
export function RemoveType({ type, mark, openings, open, onClose, onRemoved }: Props) {
    const data = useData();
    const [picked, setInstead] = useState<string | null>(null);
    const [why, setWhy] = useState<string | null>(null);
    const others = data.project.types.filter((t) => t.id !== type);
    const instead = picked ?? (openings > 0 ? (others[0]?.id ?? null) : null);
    const remove = async () => {
        try {
            await data.edit('type.remove', { id: type, ...(instead ? { instead } : {}) }, { quiet: true });
            onRemoved();
        } catch (problem) {
            setWhy((problem as Error).message);
            if (problem instanceof Problem && problem.code === 'type.in_use' && others[0]) setInstead(instead ?? others[0].id);
        }
    };
    const close = () => {
        setWhy(null);
        setInstead(null);
        onClose();
    };
    const held = openings === 1 ? '1 opening' : openings > 1 ? `${openings} openings` : 'openings';
    return (
        <Dialog open={open} onClose={close} title={`Remove ${mark} from the rack`} note="It can be undone at the desk.">
            {why && (
                <p role="alert" className="mb-3 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-buoy">
                    {why}
                </p>
            )}
            {instead !== null && (
                <p className="mb-3">
                    It is in {held}: in its place there goes{' '}
                    <Choice
                        label="Instead"
                        value={instead}
                        options={others.map((t) => ({ value: t.id, label: `${t.mark} ${t.name}` }))}
                        onChange={setInstead}
                    />
                    .
                </p>
            )}
            <div className="flex justify-end gap-2">
                <Button onClick={close}>Cancel</Button>
                <Button look="main" onClick={() => void remove()}>
                    Remove
                </Button>
            </div>
        </Dialog>
    );
}
