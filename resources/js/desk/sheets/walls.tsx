import { useState } from 'react';
import { Sentence } from '../card/parts';
import { useData } from '../data';
import { useDesk } from '../store';
import { nameOfWall } from './elsewhere';
import { Entry, Pick, Ticks, useWord } from './parts';
import { Sheet } from './Sheet';

type Props = { walls: string[] };

/** Walls with their openings onto other storeys. */
export function WallStackSheet({ walls }: Props) {
    const data = useData();
    const active = useDesk.getState().storey;
    const wall = data.walls.get(walls[0]!);
    const reached = data.project.storeys.filter((s) => wall && s.floor >= wall.foot - 0.01 && s.ceiling <= wall.head + 0.01);
    const [from, setFrom] = useState(reached.find((s) => s.id === active)?.id ?? reached[0]?.id ?? '');
    const [storeys, setStoreys] = useState<string[]>([]);
    return (
        <Sheet
            title="Stack walls"
            to={walls.map((w) => nameOfWall(data, w)).join(', ')}
            edit="wall.stack"
            verb="Stack"
            args={storeys.length > 0 ? { walls, from, storeys } : null}
            missing="Choose the storeys they go onto."
        >
            <Sentence>
                With their openings of{' '}
                <Pick
                    label="From storey"
                    value={from}
                    options={Object.fromEntries(reached.map((s) => [s.id, s.name]))}
                    onChange={setFrom}
                />{' '}
                onto:
            </Sentence>
            <Ticks
                label="Storeys"
                options={[...data.project.storeys]
                    .reverse()
                    .filter((s) => s.id !== from)
                    .map((s) => ({ value: s.id, label: s.name }))}
                chosen={storeys}
                onChange={setStoreys}
            />
            <p className="text-quiet">
                Where the wall already runs through a storey its openings are stacked; elsewhere it is built there again.
            </p>
        </Sheet>
    );
}

export function WallMoveSheet({ walls }: Props) {
    const data = useData();
    const [by, setBy] = useWord('wall.by', '0');
    return (
        <Sheet
            title="Move a wall"
            to={nameOfWall(data, walls[0]!)}
            edit="wall.move"
            verb="Move"
            many={false}
            keepChoice
            args={by.trim() === '' || by.trim() === '0' ? null : { wall: walls[0]!, by }}
            missing="Say by how much."
        >
            <Sentence>
                By <Entry label="By" value={by} onChange={setBy} /> outward, square to itself (−: inward). The walls it meets follow;
                openings keep their rules.
            </Sentence>
        </Sheet>
    );
}

export function WallTurnSheet({ walls }: Props) {
    const data = useData();
    const [degrees, setDegrees] = useWord('wall.degrees', '5');
    const [about, setAbout] = useWord<'left' | 'middle' | 'right'>('wall.about', 'middle');
    const turn = Number(degrees.replace(',', '.').replace('°', ''));
    return (
        <Sheet
            title="Turn a wall"
            to={nameOfWall(data, walls[0]!)}
            edit="wall.turn"
            verb="Turn"
            many={false}
            keepChoice
            args={Number.isFinite(turn) && degrees.trim() !== '' ? { wall: walls[0]!, degrees: turn, about } : null}
            missing={`“${degrees}” is not an angle: give degrees.`}
        >
            <Sentence>
                By <Entry label="Degrees" value={degrees} onChange={setDegrees} />° counter-clockwise in plan about its{' '}
                <Pick
                    label="About"
                    value={about}
                    options={{ left: 'left end', middle: 'middle', right: 'right end' }}
                    onChange={setAbout}
                />
                , with its openings.
            </Sentence>
        </Sheet>
    );
}

export function RecessSheet({ walls }: Props) {
    const data = useData();
    const [from, setFrom] = useWord('recess.from', '0');
    const [to, setTo] = useWord(
        'recess.to',
        data.project.settings.units === 'mm' ? '3000' : data.project.settings.units === 'm' ? '3' : "10'",
    );
    const [depth, setDepth] = useWord(
        'recess.depth',
        data.project.settings.units === 'mm' ? '1200' : data.project.settings.units === 'm' ? '1.2' : "4'",
    );
    return (
        <Sheet
            title="Recess"
            to={nameOfWall(data, walls[0]!)}
            edit="outline.recess"
            verb="Set back"
            many={false}
            args={{ wall: walls[0]!, from, to, depth }}
            keepChoice
        >
            <Sentence>
                The stretch from <Entry label="From" value={from} onChange={setFrom} /> to <Entry label="To" value={to} onChange={setTo} />,
                from its left end, is set back by <Entry label="Depth" value={depth} onChange={setDepth} /> (−: brought forward). A stretch
                that reaches a corner recesses the corner.
            </Sentence>
        </Sheet>
    );
}

export function WallBendSheet({ walls }: Props) {
    const data = useData();
    const wall = data.walls.get(walls[0]!);
    const [by, setBy] = useWord<'rise' | 'radius' | 'angle' | 'length'>('bend.by', 'rise');
    const [figure, setFigure] = useWord('bend.figure', { mm: '1200', m: '1.2', 'ft-in': "4'" }[data.project.settings.units]);
    const [way, setWay] = useWord<'outward' | 'inward'>('bend.way', 'outward');
    const turn = Number(figure.replace(',', '.').replace('°', ''));
    const value = by === 'angle' ? (Number.isFinite(turn) && figure.trim() !== '' ? turn : null) : figure.trim() === '' ? null : figure;
    return (
        <Sheet
            title={wall?.arc ? 'Change an arc' : 'Bend a wall'}
            to={nameOfWall(data, walls[0]!)}
            edit="wall.bend"
            verb="Bend"
            many={false}
            keepChoice
            args={
                value === null
                    ? null
                    : { wall: walls[0]!, ...(by === 'angle' ? { angle: turn } : { [by]: figure }), outward: way === 'outward', keeps: by }
            }
            missing={by === 'angle' ? `“${figure}” is not an angle: give degrees.` : 'Say by how much.'}
        >
            <Sentence>
                To{' '}
                <Pick
                    label="By"
                    value={by}
                    options={{ rise: 'a rise', radius: 'a radius', angle: 'an angle', length: 'an arc length' }}
                    onChange={setBy}
                />{' '}
                of <Entry label="Figure" value={figure} onChange={setFigure} />
                {by === 'angle' ? '°' : ''}, bulging{' '}
                <Pick label="Bulging" value={way} options={{ outward: 'outward', inward: 'inward' }} onChange={setWay} />. That figure stays
                when an end moves. Openings keep their rules.
            </Sentence>
            {wall?.arc && (
                <p>
                    <button
                        type="button"
                        className="text-tide underline"
                        onClick={() => void data.edit('wall.bend', { wall: walls[0]!, rise: 0 }).then(() => useDesk.getState().open(null))}
                    >
                        Straighten it
                    </button>
                </p>
            )}
        </Sheet>
    );
}

export function RoundSheet({ walls }: Props) {
    const data = useData();
    const [radius, setRadius] = useWord('round.radius', { mm: '1500', m: '1.5', 'ft-in': "5'" }[data.project.settings.units]);
    const [which, setWhich] = useWord<'left' | 'right' | 'all'>('round.which', 'left');
    const wall = data.walls.get(walls[0]!);
    const chain = data.project.walls.filter((w) => w.outline === wall?.outline);
    const next = wall && (chain[chain.indexOf(wall) + 1] ?? chain[0]);
    const corners = which === 'all' ? {} : { walls: [which === 'left' ? walls[0]! : (next?.id ?? walls[0]!)] };
    return (
        <Sheet
            title="Round corners"
            to={which === 'all' ? (data.project.outlines.find((o) => o.id === wall?.outline)?.name ?? '') : nameOfWall(data, walls[0]!)}
            edit="outline.round"
            verb="Round"
            many={false}
            keepChoice
            args={radius.trim() === '' || !wall ? null : { outline: wall.outline, radius, ...corners }}
            missing="Say by what radius."
        >
            <Sentence>
                <Pick
                    label="Which"
                    value={which}
                    options={{
                        left: 'The corner at its left end',
                        right: 'The corner at its right end',
                        all: 'All corners of its outline',
                    }}
                    onChange={setWhich}
                />{' '}
                by a radius of <Entry label="Radius" value={radius} onChange={setRadius} />. The walls beside it grow shorter; their
                openings stay where they are.
            </Sentence>
        </Sheet>
    );
}
