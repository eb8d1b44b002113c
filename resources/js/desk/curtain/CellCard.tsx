import { formatArea } from '../../measure/format';
import { Button } from '../../ui/Button';
import { Heading, Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';
import { Back } from './Back';
import { DivideWords } from './DivideWords';
import { useDesk, type CellKey } from '../store';
import { alike, cellsChosen } from './grids';
import { cellPart } from './parts';
import { PartsFoot } from './PartsFoot';
import { InfillWords, type InfillValues } from './infill';

/** The cells that are chosen of a curtain wall. */
export function CellCard({ cells: keys }: { cells: CellKey[] }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const cells = cellsChosen(data, keys);
    const first = cells[0];
    if (!first) return null;
    const one = cells.length === 1 ? first.cell : null;
    const element = keys[0]!.element;
    const units = data.project.settings.units;
    const infills = new Set(cells.map((c) => JSON.stringify(c.grid.infills[c.cell.infill])));
    const infill = infills.size === 1 ? (first.grid.infills[first.cell.infill] as InfillValues) : null;
    const ids = [...new Set(keys.map((k) => k.element))];
    const area = cells.reduce((sum, c) => sum + c.cell.clear[2]!, 0);
    const mayJoin = ids.length === 1 && cells.length > 1;
    const filled = (infill: InfillValues) => ({ ids, infills: keys.map((k) => ({ ...k, infill })) });
    const choose = (how: Parameters<typeof alike>[2]) => useDesk.setState({ cells: alike(data, keys[0]!, how) });
    const battens = async () => {
        const { part } = cellPart(keys[0]!);
        const where = data.openings.has(element) ? { opening: element } : { wall: element };
        await data.edit(
            'field.fill',
            { ...where, cell: part, wide: '40 mm', deep: '60 mm', battens: { by: 'fit', size: '60 mm' } },
            { choose: (o) => o.chosen },
        );
    };
    const join = async () => {
        if (!(await ask('curtain.hand', { ids, join: keys }))) return;
        // it is called by the lowest of them, of those the one at the left
        const { cell } = [...cells].sort((a, b) => a.cell.row - b.cell.row || a.cell.bay - b.cell.bay)[0]!;
        useDesk.setState({ cells: [{ element, left: cell.left, foot: cell.foot }] });
    };
    return (
        <>
            <Heading
                title={one ? capital(one.name) : `${cells.length} cells`}
                note={
                    one
                        ? `${data.length(one.clear[0]!)} × ${data.length(one.clear[1]!)} clear` + (one.ring ? ', not a rectangle' : '')
                        : `${formatArea(area, units)} clear together`
                }
            />
            <Sentence>
                {one ? 'It is ' : 'They are '}
                <InfillWords
                    label="What fills it"
                    infill={infill}
                    disabled={!data.mayEdit}
                    onSend={(to) => send('curtain.hand', filled(to))}
                    onPick={(to) => void ask('curtain.hand', filled(to))}
                />
                .
            </Sentence>
            <p className="mt-2 text-quiet">Choose also</p>
            <div className="flex flex-wrap gap-1.5">
                {(
                    [
                        ['row', 'its row'],
                        ['bay', 'its bay'],
                        ['filled', 'all filled alike'],
                        ['all', 'all cells'],
                    ] as const
                ).map(([how, says]) => (
                    <Button key={how} small onClick={() => choose(how)}>
                        {says}
                    </Button>
                ))}
            </div>
            {data.mayEdit && <DivideWords cells={cells} />}
            {data.mayEdit && one && (
                <div className="mt-2">
                    <Button small onClick={() => void battens()}>
                        Battens before it
                    </Button>
                </div>
            )}
            {data.mayEdit && mayJoin && (
                <div className="mt-2">
                    <Button small onClick={() => void join()}>
                        Join {cells.length === 2 ? 'the two' : 'them'}
                    </Button>
                </div>
            )}
            <p className="mt-3 text-xs text-quiet">Click with Shift for one more; Esc goes back to the whole.</p>
            <PartsFoot parts={keys.map(cellPart)} what={one ? one.name : `${cells.length} cells`} />
            <Back element={element} />
        </>
    );
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
