import { useState, type FormEvent } from 'react';
import type { Units } from '../api/client';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { TextField } from '../ui/TextField';
import { UnitsChoice } from '../ui/UnitsChoice';
import { useData } from './data';
import { useDesk } from './store';

/** The project's settings: name, units, the margin at corners, the lowest floor's level, north. */
export function SettingsDialog() {
    const open = useDesk((s) => s.settings);
    return (
        <Dialog open={open} onClose={() => useDesk.setState({ settings: false })} title="Settings of the project">
            <Form />
        </Dialog>
    );
}

function Form() {
    const data = useData();
    const { settings } = data.project;
    const close = () => useDesk.setState({ settings: false });
    const [name, setName] = useState(settings.name);
    const [units, setUnits] = useState<Units>(settings.units);
    const [margin, setMargin] = useState(data.length(settings.cornerMargin));
    const [level, setLevel] = useState(data.length(settings.baseLevel));
    const [north, setNorth] = useState(String(settings.north));
    const [problem, setProblem] = useState<string>();

    async function save(event: FormEvent) {
        event.preventDefault();
        const bearing = Number(north.replace(',', '.').replace('°', ''));
        if (!Number.isFinite(bearing) || north.trim() === '') return setProblem(`“${north}” is not a bearing: give degrees from 0 to under 360.`);
        try {
            await data.edit('settings.change', { name, units, north: bearing, ...(margin === data.length(settings.cornerMargin) ? {} : { cornerMargin: margin }), ...(level === data.length(settings.baseLevel) ? {} : { baseLevel: level }) }, { quiet: true });
            close();
        } catch (error) {
            setProblem((error as Error).message);
        }
    }

    return (
        <form onSubmit={save} className="grid gap-3">
            <TextField label="Name" value={name} onChange={setName} required maxLength={80} />
            <UnitsChoice label="Units figures are typed and shown in" value={units} onChange={setUnits} />
            <TextField label="Least distance of an opening from a corner" value={margin} onChange={setMargin} />
            <TextField label="Level of the lowest floor above the site datum" value={level} onChange={setLevel} />
            <TextField label="Bearing of the plan’s upward direction, degrees clockwise from north" value={north} onChange={setNorth} />
            <p role="alert" className="text-buoy empty:hidden">
                {problem}
            </p>
            <div className="flex justify-end gap-2">
                <Button onClick={close}>Cancel</Button>
                <Button look="main" type="submit" disabled={!data.mayEdit}>
                    Save
                </Button>
            </div>
        </form>
    );
}
