import { useState, type FormEvent } from 'react';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { TextField } from '../ui/TextField';
import { useData } from './data';

/** From where on something of fins, battens and screens is a finding. */
export function LayerLimitsDialog({ onClose }: { onClose: () => void }) {
    const data = useData();
    const rules = data.project.settings.layerRules;
    const [covered, setCovered] = useState(String(Math.round(rules.covered * 1e4) / 100));
    const [apart, setApart] = useState(data.length(rules.apart));
    const [short, setShort] = useState(data.length(rules.short));
    const [problem, setProblem] = useState<string>();
    const save = async (event: FormEvent) => {
        event.preventDefault();
        event.stopPropagation(); // it stands inside another form
        const share = Number(covered.replace(',', '.').replace('%', ''));
        if (covered.trim() === '' || !Number.isFinite(share)) return setProblem(`“${covered}” is no number.`);
        try {
            const layerRules = { covered: share / 100, apart, short };
            await data.edit('settings.change', { layerRules }, { quiet: true });
            onClose();
        } catch (wrong) {
            setProblem((wrong as Error).message);
        }
    };
    return (
        <Dialog
            open
            onClose={onClose}
            title="Limits of fins, battens and screens"
            note="What is over them is a finding, never refused. They are common practice until you put your own here."
        >
            <form className="grid gap-3" onSubmit={(e) => void save(e)}>
                <TextField label="An opening counts as covered from, %" value={covered} onChange={setCovered} />
                <TextField label="The least distance of fins" value={apart} onChange={setApart} />
                <TextField label="The shortest batten" value={short} onChange={setShort} />
                <p role="alert" className="text-buoy empty:hidden">
                    {problem}
                </p>
                <div className="flex justify-end gap-2">
                    <Button onClick={onClose}>Cancel</Button>
                    <Button look="main" type="submit" disabled={!data.mayEdit}>
                        Save
                    </Button>
                </div>
            </form>
        </Dialog>
    );
}
