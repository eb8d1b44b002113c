import { useState, type FormEvent } from 'react';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { TextField } from '../ui/TextField';
import { useData } from './data';

/** From where on something of a curtain wall is a finding, and the bars its members are cut from. */
export function CurtainLimitsDialog({ onClose }: { onClose: () => void }) {
    return (
        <Dialog
            open
            onClose={onClose}
            title="Limits and bars of curtain walls"
            note="What is over them is a finding, never refused. They are common practice until you put your supplier’s here."
        >
            <Form onClose={onClose} />
        </Dialog>
    );
}

function Form({ onClose }: { onClose: () => void }) {
    const data = useData();
    const rules = data.project.settings.curtainRules;
    const [sliver, setSliver] = useState(data.length(rules.sliver));
    const [apart, setApart] = useState(data.length(rules.apart));
    const [weight, setWeight] = useState(String(rules.weight));
    const [area, setArea] = useState(String(rules.area / 1e6));
    const [bars, setBars] = useState(rules.bars.map((b) => data.length(b)).join(', '));
    const [kerf, setKerf] = useState(data.length(rules.kerf));
    const [trim, setTrim] = useState(data.length(rules.trim));
    const [problem, setProblem] = useState<string>();
    const save = async (event: FormEvent) => {
        event.preventDefault();
        event.stopPropagation(); // it stands inside another form
        const number = (text: string) => Number(text.replace(',', '.'));
        const unread = [weight, area].find((text) => text.trim() === '' || !Number.isFinite(number(text)));
        if (unread !== undefined) return setProblem(`“${unread}” is no number.`);
        try {
            const curtainRules = {
                sliver,
                apart,
                weight: number(weight),
                area: number(area) * 1e6,
                bars: bars.split(/[,;]/).map((t) => t.trim()),
                kerf,
                trim,
            };
            await data.edit('settings.change', { curtainRules }, { quiet: true });
            onClose();
        } catch (wrong) {
            setProblem((wrong as Error).message);
        }
    };
    return (
        <form className="grid gap-3" onSubmit={(e) => void save(e)}>
            <TextField label="The narrowest bay" value={sliver} onChange={setSliver} />
            <TextField label="The least distance of a line by hand to the next" value={apart} onChange={setApart} />
            <div className="grid grid-cols-2 gap-3">
                <TextField label="The heaviest infill, kg" value={weight} onChange={setWeight} />
                <TextField label="The largest infill, m²" value={area} onChange={setArea} />
            </div>
            <TextField label="Lengths of bars" value={bars} onChange={setBars} />
            <div className="grid grid-cols-2 gap-3">
                <TextField label="What the saw takes" value={kerf} onChange={setKerf} />
                <TextField label="Trimmed off both ends" value={trim} onChange={setTrim} />
            </div>
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
    );
}
