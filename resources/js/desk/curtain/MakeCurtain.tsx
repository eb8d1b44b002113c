import { useState } from 'react';
import { Problem, type Wall } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { complain } from '../../ui/notices';
import { CarriesDialog } from '../card/CarriesDialog';
import { Sentence } from '../card/parts';
import { useData } from '../data';
import { MakeBefore } from './MakeBefore';

/** Makes a wall, or storeys of it, curtain wall. */
export function MakeCurtain({ wall }: { wall: Wall }) {
    const data = useData();
    const [grid, setGrid] = useState(data.project.grids[0]?.id ?? '');
    const [base, setBase] = useState(wall.base);
    const [top, setTop] = useState(wall.top);
    const [carries, setCarries] = useState<string | null>(null);
    if (data.project.grids.length === 0) return null;
    const through = data.project.storeys.filter((s) => s.floor >= wall.foot - 1 && s.ceiling <= wall.head + 1);
    const storeys = through.map((s) => ({ value: s.id, label: s.name }));
    const make = async (withContents: boolean) => {
        try {
            await data.edit('curtain.set', { walls: [wall.id], grid, base, top, withContents }, { quiet: true });
            setCarries(null);
        } catch (problem) {
            if (problem instanceof Problem && problem.code === 'curtain.openings') setCarries(problem.message);
            else complain(problem);
        }
    };
    return (
        <div className="mt-3 border-t border-hairline pt-2">
            <Sentence>
                In its place curtain wall{' '}
                <Choice
                    label="Grid type in its place"
                    value={grid}
                    options={data.project.grids.map((g) => ({ value: g.id, label: `${g.mark} ${g.name}` }))}
                    onChange={setGrid}
                />{' '}
                from <Choice label="Curtain wall from storey" value={base} options={storeys} onChange={setBase} /> to{' '}
                <Choice label="Curtain wall to storey" value={top} options={storeys} onChange={setTop} />.
            </Sentence>
            <Button small onClick={() => void make(false)}>
                Make it curtain wall
            </Button>
            <CarriesDialog title="Openings would go" carries={carries} onKeep={() => setCarries(null)} onRemove={() => void make(true)} />
            <MakeBefore wall={wall} />
        </div>
    );
}
