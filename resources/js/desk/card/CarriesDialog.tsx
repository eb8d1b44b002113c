import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';

type Props = { title: string; carries: string | null; onKeep: () => void; onRemove: () => void };

/** Says what would go with something before it goes. */
export function CarriesDialog({ title, carries, onKeep, onRemove }: Props) {
    return (
        <Dialog open={carries !== null} onClose={onKeep} title={title} note={carries ?? ''}>
            <div className="flex justify-end gap-2">
                <Button onClick={onKeep}>Cancel</Button>
                <Button look="warn" onClick={onRemove}>
                    Remove with what it carries
                </Button>
            </div>
        </Dialog>
    );
}
