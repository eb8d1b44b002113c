import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { underOneKey } from '../api/keys';
import { api, type Units } from '../api/client';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { TextField } from '../ui/TextField';
import { UnitsChoice } from '../ui/UnitsChoice';

const usual: Record<Units, { storey: string; width: string; depth: string; thickness: string }> = {
    mm: { storey: '3600', width: '18000', depth: '12000', thickness: '300' },
    m: { storey: '3.6', width: '18', depth: '12', thickness: '0.3' },
    'ft-in': { storey: `12'`, width: `60'`, depth: `40'`, thickness: '12"' },
};

/** Starts a project: name, units, storeys, and a rectangle or an outline drawn afterwards. */
export function NewProjectDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
    const navigate = useNavigate();
    const [name, setName] = useState('');
    const [units, setUnits] = useState<Units>('mm');
    const [heights, setHeights] = useState<string[]>(['3600', '3600', '3600']);
    const [alike, setAlike] = useState(true);
    const [outline, setOutline] = useState<'rectangle' | 'drawn'>('rectangle');
    const [size, setSize] = useState(usual.mm);
    const [problem, setProblem] = useState<string>();

    function changeUnits(to: Units) {
        setUnits(to);
        setSize(usual[to]);
        setHeights(heights.map(() => usual[to].storey));
    }

    function changeCount(text: string) {
        const count = Math.min(200, Math.max(1, Math.floor(Number(text)) || 1));
        setHeights(Array.from({ length: count }, (_, i) => heights[i] ?? heights.at(-1) ?? usual[units].storey));
    }

    async function start(event: FormEvent) {
        event.preventDefault();
        try {
            const wanted = {
                name,
                units,
                storeys: heights.map((height, i) => ({ name: i === 0 ? 'Ground' : `Storey ${i}`, height })),
                ...(outline === 'rectangle' ? { rectangle: { width: size.width, depth: size.depth, thickness: size.thickness } } : {}),
            };
            const made = await underOneKey((key) => api.createProject({ ...wanted, key }));
            await navigate(`/projects/${made.id}${outline === 'drawn' ? '?draw=1' : ''}`);
        } catch (error) {
            setProblem((error as Error).message);
        }
    }

    return (
        <Dialog open={open} onClose={onClose} title="Start a project" wide>
            <form onSubmit={start} className="grid grid-cols-2 gap-x-4 gap-y-3">
                <TextField label="Name" required maxLength={80} autoFocus value={name} onChange={setName} />
                <UnitsChoice label="Units" value={units} onChange={changeUnits} />
                <TextField label="Storeys" type="number" min={1} max={200} value={String(heights.length)} onChange={changeCount} />
                <div className="max-h-28 overflow-auto">
                    <span className="mb-1 flex justify-between text-xs text-quiet">
                        {alike ? 'Floor to floor' : 'Floor to floor, lowest first'}
                        <label className="flex items-center gap-1.5">
                            <input
                                type="checkbox"
                                checked={alike}
                                onChange={(e) => {
                                    setAlike(e.target.checked);
                                    if (e.target.checked) setHeights(heights.map(() => heights[0]!));
                                }}
                                className="accent-(--tide)"
                            />
                            all alike
                        </label>
                    </span>
                    <div className={alike ? '' : 'grid grid-cols-3 gap-1.5'}>
                        {(alike ? heights.slice(0, 1) : heights).map((h, i) => (
                            <input
                                key={i}
                                aria-label={alike ? 'Height of every storey' : `Height of storey ${i + 1}`}
                                value={h}
                                onChange={(e) => setHeights(heights.map((old, j) => (alike || j === i ? e.target.value : old)))}
                                className="min-h-8 w-full rounded border border-hairline bg-sheet px-2"
                            />
                        ))}
                    </div>
                </div>
                <fieldset className="col-span-2 flex gap-5">
                    <legend className="mb-1 text-xs text-quiet">Outline</legend>
                    {(['rectangle', 'drawn'] as const).map((kind) => (
                        <label key={kind} className="flex items-center gap-2">
                            <input
                                type="radio"
                                name="outline"
                                checked={outline === kind}
                                onChange={() => setOutline(kind)}
                                className="accent-(--tide)"
                            />
                            {kind === 'rectangle' ? 'a rectangle' : 'drawn in plan next'}
                        </label>
                    ))}
                </fieldset>
                {outline === 'rectangle' && (
                    <div className="col-span-2 grid grid-cols-3 gap-4">
                        <TextField label="Width, west to east" value={size.width} onChange={(width) => setSize({ ...size, width })} />
                        <TextField label="Depth, south to north" value={size.depth} onChange={(depth) => setSize({ ...size, depth })} />
                        <TextField
                            label="Wall thickness, inward"
                            value={size.thickness}
                            onChange={(thickness) => setSize({ ...size, thickness })}
                        />
                    </div>
                )}
                <p role="alert" className="col-span-2 text-buoy empty:hidden">
                    {problem}
                </p>
                <div className="col-span-2 mt-1 flex justify-end gap-2">
                    <Button onClick={onClose}>Cancel</Button>
                    <Button look="main" type="submit">
                        Start
                    </Button>
                </div>
            </form>
        </Dialog>
    );
}
