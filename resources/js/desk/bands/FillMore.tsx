import { useState } from 'react';
import type { EditArgs, Field } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Sentence } from '../card/parts';
import { alike } from '../curtain/grids';
import { cellPart } from '../curtain/parts';
import { useData } from '../data';

type Where = { says: string; args: Omit<EditArgs<'field.copy'>, 'id'>; count: number };

/** Fills more places as a field fills its own: other openings of its size, other cut-outs of its screen, other cells. */
export function FillMore({ field }: { field: Field }) {
    const data = useData();
    const places = placesFor(data, field);
    const [which, setWhich] = useState('');
    const where = places.find((p) => p.says === which) ?? places[0];
    if (!where || !data.mayEdit) return null;
    const fill = async () => {
        await data.edit('field.copy', { id: field.id, ...where.args }, { choose: (o) => [field.id, ...o.chosen] });
    };
    return (
        <Sentence>
            The same battens in{' '}
            <Choice
                label="Where else"
                value={where.says}
                options={places.map((p) => ({ value: p.says, label: p.says }))}
                onChange={setWhich}
            />{' '}
            <Button small onClick={() => void fill()}>
                Fill {where.count === 1 ? 'it' : 'them'}
            </Button>
        </Sentence>
    );
}

function placesFor(data: ReturnType<typeof useData>, field: Field): Where[] {
    const { fields } = data.project;
    const out: Where[] = [];
    const add = (of: string[], word: string, args: (of: string[]) => Where['args']) => {
        const says = of.length === 1 ? `the other ${word}` : `the ${of.length} other ${word.replace(/^\S+/, (noun) => `${noun}s`)}`;
        if (of.length > 0 && !out.some((o) => o.count === of.length)) out.push({ says, args: args(of), count: of.length });
    };
    if (field.cell !== null) {
        const element = field.opening ?? field.wall;
        const [, left, foot] = field.cell.split(' ') as [string, string, string];
        const taken = new Set(fields.filter((f) => (f.opening ?? f.wall) === element).map((f) => f.cell));
        const free = (how: Parameters<typeof alike>[2]) =>
            alike(data, { element, left, foot }, how)
                .map((key) => cellPart(key).part)
                .filter((cell) => !taken.has(cell));
        add(free('row'), 'cell of its row', (cells) => ({ cells }));
        add(free('bay'), 'cell of its bay', (cells) => ({ cells }));
        add(free('filled'), 'cell filled alike', (cells) => ({ cells }));
        return out;
    }
    if (field.cut !== null) {
        const screen = data.project.screens.find((s) => s.id === field.screen);
        const taken = new Set(fields.filter((f) => f.screen === field.screen).map((f) => f.cut));
        const cuts = screen?.parts.filter((p) => p.cut && !taken.has(p.n)) ?? [];
        add(
            cuts.map((p) => String(p.n)),
            `cut-out of ${screen?.name ?? 'its screen'}`,
            (of) => ({ cuts: of.map(Number) }),
        );
        return out;
    }
    const opening = data.openings.get(field.opening ?? '');
    if (!opening) return out;
    const taken = new Set(fields.map((f) => f.opening));
    const alikes = [...data.openings.values()].filter(
        (o) => !taken.has(o.id) && Math.abs(o.width - opening.width) < 0.05 && Math.abs(o.height - opening.height) < 0.05,
    );
    const ids = (of: typeof alikes) => of.map((o) => o.id);
    add(ids(alikes.filter((o) => o.host === opening.host)), 'opening of its size in this wall', (openings) => ({ openings }));
    add(ids(alikes.filter((o) => o.frontage.id === opening.frontage.id)), 'opening of its size in this frontage', (openings) => ({
        openings,
    }));
    add(ids(alikes), 'opening of its size', (openings) => ({ openings }));
    return out;
}
