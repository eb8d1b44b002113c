import { useState } from 'react';
import type { CurtainGrid, EditArgs, GridCell } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';
import { stretchesOf } from './grids';

type Found = { grid: CurtainGrid; cell: GridCell };
type Axis = 'level' | 'upright';

/** How far a line lies from another of its axis, mm. */
const between = (grid: CurtainGrid, axis: Axis, from: string, to: string): number => {
    const lines = axis === 'level' ? grid.rows : grid.bays;
    const place = (name: string) => lines.find((l) => l.name === name)?.at ?? 0;
    return Math.abs(place(to) - place(from));
};

/** Cells divided by a line more: in their bay or row only, all along the stretch, or all round the run. */
export function DivideWords({ cells }: { cells: Found[] }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const [axis, setAxis] = useState<Axis>('level');
    const [through, setThrough] = useState<'part' | 'stretch' | 'run'>('part');
    const first = cells[0]!;
    const level = axis === 'level';
    const ends = ({ cell }: Found): [string, string] => (level ? [cell.foot, cell.head] : [cell.left, cell.right]);
    const half = between(first.grid, axis, ...ends(first)) / 2;
    const elements = [...new Set(cells.map((c) => c.grid.element))];
    const run = level && elements.length === 1 ? stretchesOf(data, elements[0]!) : elements;
    const everywhere = level && through === 'run' && run.length > 1;
    const by = (at?: string): EditArgs<'curtain.hand'> => ({
        ids: everywhere ? run : elements,
        divide: cells.map(({ grid, cell }) => ({
            element: grid.element,
            left: cell.left,
            foot: cell.foot,
            axis,
            through: everywhere ? 'run' : through === 'part' ? 'part' : 'stretch',
            ...(at === undefined ? {} : { at }),
        })),
    });
    return (
        <div className="mt-3 border-t border-hairline pt-2">
            <Sentence>
                Divide {cells.length === 1 ? 'it' : 'them'} by a{' '}
                <Choice
                    label="Divided by"
                    value={axis}
                    options={[
                        { value: 'level', label: 'transom' },
                        { value: 'upright', label: 'mullion' },
                    ]}
                    onChange={setAxis}
                />{' '}
                <Figure
                    key={`${axis} ${first.cell.left} ${first.cell.foot}`}
                    label="Where it is divided"
                    shown={data.length(half)}
                    onSend={(text) => send('curtain.hand', by(text))}
                />{' '}
                {level ? 'over the line under it, in' : 'right of the line at its left, in'}{' '}
                <Choice
                    label="How far the line runs"
                    value={!level && through === 'run' ? 'stretch' : through}
                    options={[
                        { value: 'part' as const, label: level ? 'its bay only' : 'its row only' },
                        { value: 'stretch' as const, label: 'the whole stretch' },
                        ...(run.length > 1 && level ? [{ value: 'run' as const, label: 'the whole run' }] : []),
                    ]}
                    onChange={setThrough}
                />
                .
            </Sentence>
            <Button small className="mt-1" onClick={() => void ask('curtain.hand', by())}>
                {level ? 'Divide at half the height' : 'Divide at half the width'}
            </Button>
        </div>
    );
}
