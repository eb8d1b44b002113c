import { useState } from 'react';
import { Sentence } from '../card/parts';
import { useData } from '../data';
import { Entry, Pick, Ticks, useNamed, useUprights, useWord } from './parts';
import { Sheet } from './Sheet';

type Props = { ids: string[] };

const lengths = { mm: ['2400', '450'], m: ['2.4', '0.45'], 'ft-in': ["8'", '18"'] } as const;

/** The same again along the wall. */
export function RepeatSheet({ ids }: Props) {
    const data = useData();
    const [pitch0, pier0] = lengths[data.project.settings.units];
    const [by, setBy] = useWord<'pitch' | 'ends' | 'fit'>('repeat.by', 'pitch');
    const [count, setCount] = useWord('repeat.count', '1');
    const [pitch, setPitch] = useWord('repeat.pitch', pitch0);
    const [pier, setPier] = useWord('repeat.pier', pier0);
    return (
        <Sheet
            title="Repeat"
            to={useNamed(ids)}
            edit="opening.repeat"
            verb="Repeat"
            args={{ ids, by, ...(by === 'pitch' ? { count, pitch } : by === 'ends' ? { count } : { pier }) }}
        >
            <Sentence>
                {by === 'pitch' && (
                    <>
                        Each <Entry label="Pitch" value={pitch} onChange={setPitch} /> to the right of the one before (−: to the left),{' '}
                        <Entry label="How many more" value={count} onChange={setCount} /> more,{' '}
                    </>
                )}
                {by === 'ends' && (
                    <>
                        <Entry label="How many in all" value={count} onChange={setCount} /> in all with equal gaps,{' '}
                    </>
                )}
                {by === 'fit' && (
                    <>
                        With piers of <Entry label="Least pier" value={pier} onChange={setPier} /> at the least,{' '}
                    </>
                )}
                <Pick
                    label="Repeat by"
                    value={by}
                    options={{ pitch: 'by a pitch', ends: 'between the wall’s ends', fit: 'as many as fit' }}
                    onChange={setBy}
                />
                .
            </Sentence>
        </Sheet>
    );
}

/** Even gaps, or even centres. */
export function SpaceSheet({ ids }: Props) {
    const [between, setBetween] = useWord<'outer' | 'ends' | 'lines'>('space.between', 'outer');
    const [by, setBy] = useWord<'gaps' | 'centres'>('space.by', 'gaps');
    const lines = useUprights(ids);
    const [from, setFrom] = useState(lines[0]?.value ?? '');
    const [to, setTo] = useState(lines[1]?.value ?? '');
    const onLines = between === 'lines';
    const ready = !onLines || (from !== '' && to !== '' && from !== to);
    return (
        <Sheet
            title="Space evenly"
            to={useNamed(ids)}
            edit="opening.space"
            verb="Space"
            args={ready ? { ids, between, by, ...(onLines ? { lines: [from, to] } : {}) } : null}
            missing={
                lines.length < 2
                    ? 'This frontage has no two upright setting-out lines yet: add them with L.'
                    : 'Choose two different lines.'
            }
        >
            <Sentence>
                With equal <Pick label="Equal" value={by} options={{ gaps: 'gaps', centres: 'centre to centre' }} onChange={setBy} />{' '}
                between{' '}
                <Pick
                    label="Between"
                    value={between}
                    options={{ outer: 'the outer two', ends: 'the wall’s ends', lines: 'two lines' }}
                    onChange={setBetween}
                />
                {onLines && lines.length > 1 && (
                    <>
                        {' '}
                        <Pick
                            label="First line"
                            value={from}
                            options={Object.fromEntries(lines.map((l) => [l.value, l.label]))}
                            onChange={setFrom}
                        />{' '}
                        and{' '}
                        <Pick
                            label="Second line"
                            value={to}
                            options={Object.fromEntries(lines.map((l) => [l.value, l.label]))}
                            onChange={setTo}
                        />
                    </>
                )}
                , each storey of each wall on its own.
            </Sentence>
        </Sheet>
    );
}

/** Onto other storeys, as high over each one's own floor. */
export function StackSheet({ ids }: Props) {
    const data = useData();
    const own = new Set(ids.map((id) => data.openings.get(id)?.storey));
    const wall = data.walls.get(data.openings.get(ids[0]!)?.host ?? '');
    const others = data.project.storeys.filter((s) => own.size > 1 || !own.has(s.id));
    const [storeys, setStoreys] = useState(() =>
        others.filter((s) => wall && s.floor >= wall.foot - 0.01 && s.ceiling <= wall.head + 0.01).map((s) => s.id),
    );
    return (
        <Sheet
            title="Stack"
            to={useNamed(ids)}
            edit="opening.stack"
            verb="Stack"
            args={storeys.length > 0 ? { ids, storeys } : null}
            missing="Choose the storeys they go onto."
        >
            <Sentence>Onto these storeys, each as high over its own floor:</Sentence>
            <Ticks
                label="Storeys"
                options={[...others].reverse().map((s) => ({ value: s.id, label: s.name }))}
                chosen={storeys}
                onChange={setStoreys}
            />
        </Sheet>
    );
}
