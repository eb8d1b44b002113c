import { useState } from 'react';
import type { Band } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { complain } from '../../ui/notices';
import { useData } from '../data';
import { numberOf } from './words';

/** Carries the laws of a band to another, or the band itself to other storeys: shifted, mirrored, scaled. */
export function CarryWords({ band }: { band: Band }) {
    const data = useData();
    const [open, setOpen] = useState(false);
    const [to, setTo] = useState('');
    const [storeys, setStoreys] = useState<string[]>([]);
    const [shift, setShift] = useState('0');
    const [scale, setScale] = useState('1');
    const [mirrored, setMirrored] = useState(false);
    const others = data.project.bands.filter((b) => b.id !== band.id);
    const above = data.project.storeys.filter((s) => s.id !== band.storey);
    const target = others.find((b) => b.id === to)?.id ?? others[0]?.id ?? '';
    const go = async (where: { to: string[] } | { storeys: string[] }) => {
        const [by, times] = [numberOf(shift), numberOf(scale)];
        if (by === null || times === null) return complain(new Error(`“${by === null ? shift : scale}” is no number.`));
        const up = 'storeys' in where;
        const args = { id: band.id, ...where, shift: by, scale: times, mirrored };
        const done = await data.edit('band.carry', args, up ? { choose: (o) => o.chosen } : {});
        if (done && up) setStoreys([]);
    };
    if (others.length === 0 && above.length === 0) return null;
    const field = 'w-16 rounded-sm border-b border-tide bg-tide-wash px-1 text-center font-semibold';
    return (
        <div className="mt-3 border-t border-hairline pt-2">
            <button type="button" aria-expanded={open} className="min-h-6 text-tide hover:underline" onClick={() => setOpen(!open)}>
                {open ? '▾' : '▸'} Carry its laws, or copy it to storeys
            </button>
            {open && (
                <div className="py-1 leading-8">
                    Shifted{' '}
                    <input
                        aria-label="Shifted by % of the run"
                        className={field}
                        value={shift}
                        onChange={(e) => setShift(e.target.value)}
                    />{' '}
                    % of the run for each, scaled{' '}
                    <input aria-label="Scaled by" className={field} value={scale} onChange={(e) => setScale(e.target.value)} />{' '}
                    <label className="inline-flex items-center gap-1">
                        <input type="checkbox" checked={mirrored} onChange={(e) => setMirrored(e.target.checked)} /> mirrored
                    </label>
                    {others.length > 0 && (
                        <p>
                            to{' '}
                            <Choice
                                label="Carried to"
                                value={target}
                                options={others.map((b) => ({ value: b.id, label: b.name }))}
                                onChange={setTo}
                            />{' '}
                            <Button small onClick={() => void go({ to: [target] })}>
                                Carry
                            </Button>
                        </p>
                    )}
                    {above.length > 0 && (
                        <p>
                            {above.map((s) => (
                                <label key={s.id} className="mr-3 inline-flex items-center gap-1">
                                    <input
                                        type="checkbox"
                                        checked={storeys.includes(s.id)}
                                        onChange={(e) =>
                                            setStoreys(e.target.checked ? [...storeys, s.id] : storeys.filter((one) => one !== s.id))
                                        }
                                    />
                                    {s.name}
                                </label>
                            ))}
                            {storeys.length > 0 && (
                                <Button small onClick={() => void go({ storeys })}>
                                    Copy to {storeys.length === 1 ? 'it' : `${storeys.length} storeys`}
                                </Button>
                            )}
                        </p>
                    )}
                </div>
            )}
        </div>
    );
}
