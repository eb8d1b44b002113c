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
            args={by.trim() === '' || by.trim() === '0' ? null : { wall: walls[0], by }}
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
    const [about, setAbout] = useWord('wall.about', 'middle');
    const turn = Number(degrees.replace(',', '.').replace('°', ''));
    return (
        <Sheet
            title="Turn a wall"
            to={nameOfWall(data, walls[0]!)}
            edit="wall.turn"
            verb="Turn"
            many={false}
            keepChoice
            args={Number.isFinite(turn) && degrees.trim() !== '' ? { wall: walls[0], degrees: turn, about } : null}
            missing={`“${degrees}” is not an angle: give degrees.`}
        >
            <Sentence>
                By <Entry label="Degrees" value={degrees} onChange={setDegrees} />° counter-clockwise in plan about its{' '}
                <Pick
                    label="About"
                    value={about}
                    options={{ left: 'left end', middle: 'middle', right: 'right end' } as Record<string, string>}
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
            args={{ wall: walls[0], from, to, depth }}
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
