import type { EditArgs } from '../../api/client';
import { useState } from 'react';
import { Sentence } from '../card/parts';
import { useData } from '../data';
import { shareOf } from '../shares';
import { useDesk } from '../store';
import { Entry, Pick, useUprights, useWord } from './parts';
import { Sheet } from './Sheet';

/** The wall that a line is added to: the chosen one, that of what is chosen, or the first in view. */
export function useLineWall(): string {
    const data = useData();
    const chosen = useDesk((s) => s.chosen);
    for (const id of chosen) {
        const wall = data.walls.get(id)?.id ?? data.openings.get(id)?.host ?? data.lines.get(id)?.host;
        if (wall) return wall;
    }
    return data.project.walls[0]?.id ?? '';
}

/** One setting-out line across a frontage. */
export function LineSheet() {
    const data = useData();
    const wall = useLineWall();
    const frontage = data.frontageOf.get(wall);
    const first = useDesk.getState().chosen.find((id) => data.openings.has(id));
    const opening = first ? data.openings.get(first) : undefined;
    const [axis, setAxis] = useWord<'upright' | 'level'>('line.axis', 'upright');
    const [from, setFrom] = useState('left');
    const [level, setLevel] = useState('every');
    const [value, setValue] = useWord('line.value', '900');
    const lines = [...data.lines.values()].filter((l) => l.frontage.id === frontage?.id && l.axis === axis);
    const along = {
        left: 'the left end',
        right: 'the right end',
        middle: 'the middle',
        fraction: 'the left end, as a share of the wall',
        ...(opening
            ? {
                  'opening:left': `the left jamb of ${opening.label}`,
                  'opening:centre': `the centre of ${opening.label}`,
                  'opening:right': `the right jamb of ${opening.label}`,
              }
            : {}),
        ...Object.fromEntries(lines.map((l) => [l.id, `line ${l.name}`])),
    } as Record<string, string>;
    const up = {
        every: 'every floor',
        ...Object.fromEntries(data.project.storeys.map((s) => [s.id, `the floor of ${s.name}`])),
        foot: 'the wall’s foot',
        datum: 'the site datum',
        ...(opening ? { 'opening:sill': `the sill of ${opening.label}`, 'opening:head': `the head of ${opening.label}` } : {}),
        ...Object.fromEntries(lines.map((l) => [l.id, `line ${l.name}`])),
    } as Record<string, string>;
    const upright = axis === 'upright';
    const reference = upright ? (from in along ? from : 'left') : level in up ? level : 'every';
    const figure = reference === 'fraction' ? shareOf(value) : value;
    const ref = reference.startsWith('opening:')
        ? { from: 'opening', ref: opening?.id, point: reference.slice(8) }
        : reference.startsWith('li-')
          ? { from: 'line', ref: reference }
          : null;
    const rule = (
        upright
            ? { value: figure, ...(ref ?? { from: reference }) }
            : { height: value, ...(ref ?? { from: reference === 'foot' || reference === 'datum' ? reference : 'floor' }) }
    ) as NonNullable<EditArgs<'line.add'>['rule']>;
    const storey = !upright && data.storeys.has(reference) ? reference : null;
    return (
        <Sheet
            title="Setting-out line"
            to={`across ${frontage?.name ?? ''}`}
            edit="line.add"
            verb="Add"
            many={false}
            args={wall === '' || figure === null ? null : { host: wall, axis, rule, storey }}
            missing={
                wall === ''
                    ? 'There is no wall to lay a line across.'
                    : `“${value}” is not a share: give per cent, or a fraction such as 1/3.`
            }
        >
            <Sentence>
                <Pick label="Direction" value={axis} options={{ upright: 'Upright', level: 'Level' }} onChange={setAxis} />,{' '}
                <Entry label="Distance" value={value} onChange={setValue} />{' '}
                {upright ? (reference === 'right' ? 'left of ' : reference === 'fraction' ? 'from ' : 'right of ') : 'above '}
                <Pick label="Measured from" value={reference} options={upright ? along : up} onChange={upright ? setFrom : setLevel} />.
            </Sentence>
            <p className="text-quiet">Everything catches on it, and what is placed from it follows when it moves.</p>
        </Sheet>
    );
}

/** Several lines at once: a length in equal parts, or by percentages. */
export function DivideSheet() {
    const data = useData();
    const wall = useLineWall();
    const frontage = data.frontageOf.get(wall);
    const [by, setBy] = useWord<'parts' | 'shares'>('divide.by', 'parts');
    const [parts, setParts] = useWord('divide.parts', '3');
    const [shares, setShares] = useWord('divide.shares', '25, 50, 75');
    const lines = useUprights([wall]);
    const [between, setBetween] = useState('ends');
    const [one, setOne] = useState(lines[0]?.value ?? '');
    const [two, setTwo] = useState(lines[1]?.value ?? '');
    const given = shares
        .split(/[;,\s]+/)
        .filter((t) => t !== '')
        .map((t) => Number(t.replace('%', '')));
    const bad = by === 'shares' && (given.length === 0 || given.some((n) => !Number.isFinite(n)));
    const names = Object.fromEntries(lines.map((l) => [l.value, l.label]));
    const args = {
        host: wall,
        axis: 'upright' as const,
        ...(by === 'parts' ? { parts } : { percentages: given }),
        ...(between === 'lines' ? { between: [one, two] } : {}),
    };
    return (
        <Sheet
            title="Divide by lines"
            to={`across ${frontage?.name ?? ''}`}
            edit="line.add"
            verb="Add"
            many={false}
            args={wall === '' || bad ? null : args}
            missing={`“${shares}” are no percentages: give figures from 0 to 100, with commas between them.`}
        >
            <Sentence>
                {by === 'parts' ? (
                    <>
                        <Entry label="Parts" value={parts} onChange={setParts} />{' '}
                    </>
                ) : (
                    <>
                        At <Entry label="Percentages" value={shares} onChange={setShares} wide /> %{' '}
                    </>
                )}
                <Pick label="Divide by" value={by} options={{ parts: 'equal parts', shares: 'per cent' }} onChange={setBy} /> of{' '}
                <Pick
                    label="Of"
                    value={between}
                    options={
                        (lines.length > 1
                            ? { ends: 'the wall’s length', lines: 'the stretch between two lines' }
                            : { ends: 'the wall’s length' }) as Record<string, string>
                    }
                    onChange={setBetween}
                />
                {between === 'lines' && (
                    <>
                        , <Pick label="First line" value={one} options={names} onChange={setOne} /> and{' '}
                        <Pick label="Second line" value={two} options={names} onChange={setTwo} />
                    </>
                )}
                .
            </Sentence>
        </Sheet>
    );
}
