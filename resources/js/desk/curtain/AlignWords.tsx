import { useState } from 'react';
import type { Curtain, EditArgs } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { Sentence } from '../card/parts';
import { useData } from '../data';

type Axis = 'bays' | 'rows';
export type Alignment = NonNullable<EditArgs<'curtain.set'>['bays']>;
type To = Alignment['to'];

const what: Record<Axis, Record<To, string>> = {
    bays: {
        lines: 'at setting-out lines of',
        sides: 'in line with the jambs of openings of',
        middles: 'in line with the middles of openings of',
        grid: 'in line with the bays of curtain walls of',
    },
    rows: {
        lines: 'at level lines of',
        sides: 'in line with sills and heads of openings of',
        middles: 'in line with the middles of openings of',
        grid: 'in line with the rows of curtain walls of',
    },
};

type Props = {
    curtain: Curtain;
    /** the wall it is, or is let into */
    wall: string;
    onSet: (args: Partial<Record<Axis, Alignment | null>>) => void;
};

/** What the bays and the rows of a curtain wall are in line with, in place of what its type says. */
export function AlignWords(props: Props) {
    return (
        <Sentence>
            Bays <One {...props} axis="bays" />; rows <One {...props} axis="rows" />.
        </Sentence>
    );
}

function One({ axis, curtain, wall, onSet }: Props & { axis: Axis }) {
    const data = useData();
    const alignment = curtain[axis];
    const frontages = data.project.frontages;
    const own = data.frontageOf.get(wall);
    /** what is wanted, before it is said of which frontage */
    const [wanted, setWanted] = useState<To | null>(null);
    const to = alignment?.to ?? wanted;
    const of = frontages.find((f) => alignment?.walls.some((w) => w in f.walls));
    const set = (to: To, frontage: string) =>
        onSet({ [axis]: { walls: Object.keys(frontages.find((f) => f.id === frontage)!.walls), to } });
    const options = (Object.keys(what[axis]) as To[]).map((value) => ({ value, label: what[axis][value] }));
    return (
        <>
            <Choice
                label={axis === 'bays' ? 'How its bays are set out' : 'How its rows are set out'}
                value={to ?? 'type'}
                options={[{ value: 'type' as const, label: 'as its type says' }, ...options]}
                disabled={!data.mayEdit}
                onChange={(next) => {
                    if (next !== 'type' && of) return set(next, of.id);
                    setWanted(next === 'type' ? null : next);
                    if (next === 'type' && alignment) onSet({ [axis]: null });
                }}
            />
            {to && (
                <>
                    {' '}
                    <Choice
                        label={axis === 'bays' ? 'What its bays are in line with' : 'What its rows are in line with'}
                        value={of?.id ?? 'which'}
                        options={[
                            ...(of ? [] : [{ value: 'which', label: 'which frontage?' }]),
                            ...frontages.map((f) => ({ value: f.id, label: f.id === own?.id ? `${f.name}, its own` : f.name })),
                        ]}
                        disabled={!data.mayEdit}
                        onChange={(frontage) => frontage !== 'which' && set(to, frontage)}
                    />
                </>
            )}
        </>
    );
}
