import { useState, type FormEvent } from 'react';
import { operations } from '../bench/words';
import { look } from '../bench/draft';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { TextField } from '../ui/TextField';
import { useData } from './data';

/** The greatest leaf of each operation, the least clear height of a door, and what frames and infills are weighed by. */
export function UnitLimitsDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
    return (
        <Dialog
            open={open}
            onClose={onClose}
            wide
            title="Limits of sashes and leaves"
            note="Units over them are findings, never refused. They are common practice until you put your supplier’s here."
        >
            <Form onClose={onClose} />
        </Dialog>
    );
}

function Form({ onClose }: { onClose: () => void }) {
    const data = useData();
    const rules = data.project.settings.unitRules;
    const [limits, setLimits] = useState(() =>
        Object.fromEntries(
            Object.entries(rules.limits).map(([o, l]) => [
                o,
                { width: data.length(l.width), height: data.length(l.height), weight: String(l.weight) },
            ]),
        ),
    );
    const [clear, setClear] = useState(data.length(rules.doorClear));
    const [frame, setFrame] = useState(String(rules.frameDensity));
    const [infill, setInfill] = useState(String(rules.infillDensity));
    const [problem, setProblem] = useState<string>();
    const rows = operations.filter((o) => limits[o.value]);

    const save = async (event: FormEvent) => {
        event.preventDefault();
        event.stopPropagation(); // it stands inside another form
        const number = (text: string) => Number(text.replace(',', '.'));
        const unread = [frame, infill, ...rows.map(({ value }) => limits[value]!.weight)].find(
            (text) => text.trim() === '' || !Number.isFinite(number(text)),
        );
        if (unread !== undefined) return setProblem(`“${unread}” is no number.`);
        // figures that were left alone keep the places that are not shown
        const length = (text: string, was: number) => (text === data.length(was) ? was : text);
        try {
            await data.edit(
                'settings.change',
                {
                    unitRules: {
                        limits: Object.fromEntries(
                            rows.map(({ value }) => [
                                value,
                                {
                                    width: length(limits[value]!.width, rules.limits[value]!.width),
                                    height: length(limits[value]!.height, rules.limits[value]!.height),
                                    weight: number(limits[value]!.weight),
                                },
                            ]),
                        ),
                        doorClear: length(clear, rules.doorClear),
                        frameDensity: number(frame),
                        infillDensity: number(infill),
                    },
                },
                { quiet: true },
            );
            await look();
            onClose();
        } catch (error) {
            setProblem((error as Error).message);
        }
    };

    return (
        <form onSubmit={(e) => void save(e)}>
            <table className="w-full">
                <thead className="text-left text-xs text-quiet">
                    <tr>
                        <th className="font-normal">Operation</th>
                        <th className="font-normal">Greatest width</th>
                        <th className="font-normal">Greatest height</th>
                        <th className="font-normal">Greatest weight, kg</th>
                    </tr>
                </thead>
                <tbody>
                    {rows.map(({ value, label }) => (
                        <tr key={value}>
                            <th scope="row" className="pr-3 text-left font-normal whitespace-nowrap">
                                {label}
                            </th>
                            {(['width', 'height', 'weight'] as const).map((what) => (
                                <td key={what} className="py-0.5 pr-2">
                                    <input
                                        aria-label={`Greatest ${what} of a ${label} leaf`}
                                        value={limits[value]![what]}
                                        onChange={(e) => setLimits({ ...limits, [value]: { ...limits[value]!, [what]: e.target.value } })}
                                        className="min-h-6 w-full rounded border border-hairline bg-sheet px-2"
                                    />
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
            <div className="mt-4 grid grid-cols-3 items-end gap-3">
                <TextField label="Least clear height of a door" value={clear} onChange={setClear} />
                <TextField label="Frames weigh, kg/m³" value={frame} onChange={setFrame} />
                <TextField label="Solid infills weigh, kg/m³" value={infill} onChange={setInfill} />
            </div>
            <p role="alert" className="mt-3 text-buoy empty:hidden">
                {problem}
            </p>
            <div className="mt-4 flex justify-end gap-2">
                <Button onClick={onClose}>Cancel</Button>
                <Button look="main" type="submit" disabled={!data.mayEdit}>
                    Save
                </Button>
            </div>
        </form>
    );
}
