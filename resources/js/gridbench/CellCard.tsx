import { useState } from 'react';
import { Choice } from '../ui/Choice';
import { Heading, Sentence } from '../desk/card/parts';
import { InfillWords, type InfillValues } from '../desk/curtain/infill';
import { useData } from '../desk/data';
import { choose, rulesOf, useGridBench, type InfillRule } from './draft';

const likes = [
    { value: 'storey-rows', label: 'this row of each storey' },
    { value: 'rows', label: 'this row' },
    { value: 'bays', label: 'this bay' },
    { value: 'every-bay', label: 'every other bay from this' },
    { value: 'chequer', label: 'every other cell from this' },
    { value: 'everywhere', label: 'every cell' },
] as const;

/** The cell that is chosen, and for which others a rule says what fills it. */
export function CellCard() {
    const data = useData();
    const draft = useGridBench((b) => b.draft)!;
    const at = useGridBench((b) => b.cell);
    const view = useGridBench((b) => b.view);
    const [like, setLike] = useState<(typeof likes)[number]['value']>('storey-rows');
    const cell = view?.cells.find((c) => at && c.bay === at[0] && c.row === at[1]);
    if (!cell) return <p className="text-quiet">Click a cell in the drawing: what fills it is said for its row, its bay or all like it.</p>;
    const alike = (view?.cells ?? []).filter((c) => c.says === cell.says).length;
    const rules = rulesOf(draft);
    const rule = (): Partial<InfillRule> =>
        like === 'storey-rows'
            ? { where: like, numbers: [cell.storeyRow + 1] }
            : like === 'rows'
              ? { where: like, numbers: [cell.row + 1] }
              : like === 'bays'
                ? { where: like, numbers: [cell.bay + 1] }
                : like === 'every-bay'
                  ? { where: like, every: 2, first: cell.bay + 1 }
                  : { where: like, first: ((cell.bay + cell.row) % 2) + 1 };
    const fill = (infill: InfillValues) => {
        if (like === 'everywhere') return choose('rules.infills.0.infill', infill);
        const wanted = rule();
        const same = rules.infills.findIndex(
            (r, i) =>
                i > 0 &&
                Object.entries(wanted).every(([key, value]) => JSON.stringify(r[key as keyof InfillRule]) === JSON.stringify(value)),
        );
        return same > 0 ? choose(`rules.infills.${same}.infill`, infill) : choose('rules.infills.+', { ...wanted, infill });
    };
    return (
        <>
            <Heading
                title={cell.name.charAt(0).toUpperCase() + cell.name.slice(1)}
                note={`${data.length(cell.clear[0]!)} × ${data.length(cell.clear[1]!)} clear · ${alike} filled like it`}
            />
            <Sentence>
                It is{' '}
                <InfillWords
                    label="What fills it"
                    infill={cell.infill as InfillValues}
                    disabled={!data.mayEdit}
                    onSend={fill}
                    onPick={(to) => void fill(to)}
                />
                .
            </Sentence>
            <Sentence>
                A change is for{' '}
                <Choice label="Cells like it" value={like} options={[...likes]} disabled={!data.mayEdit} onChange={setLike} />.
            </Sentence>
            <p className="mt-2 text-xs text-quiet">
                Single cells of one run are changed on the desk; here a rule is for all places of the type.
            </p>
        </>
    );
}
