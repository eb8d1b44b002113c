import { useState } from 'react';
import { Sentence } from '../card/parts';
import { useData } from '../data';
import { useDesk } from '../store';
import { Entry, Pick, Ticks, Tick, useNamed, useUprights, useWord } from './parts';
import { Sheet } from './Sheet';

type Props = { ids: string[] };

const lengths = { mm: ['2400', '450'], m: ['2.4', '0.45'], 'ft-in': ["8'", '18"'] } as const;

/** The same again along the wall. */
export function RepeatSheet({ ids }: Props) {
    const data = useData();
    const [pitch0, pier0] = lengths[data.project.settings.units];
    const [by, setBy] = useWord('repeat.by', 'pitch');
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
                    options={{ pitch: 'by a pitch', ends: 'between the wall’s ends', fit: 'as many as fit' } as Record<string, string>}
                    onChange={setBy}
                />
                .
            </Sentence>
        </Sheet>
    );
}

/** Even gaps, or even centres. */
export function SpaceSheet({ ids }: Props) {
    const [between, setBetween] = useWord('space.between', 'outer');
    const [by, setBy] = useWord('space.by', 'gaps');
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
                With equal{' '}
                <Pick
                    label="Equal"
                    value={by}
                    options={{ gaps: 'gaps', centres: 'centre to centre' } as Record<string, string>}
                    onChange={setBy}
                />{' '}
                between{' '}
                <Pick
                    label="Between"
                    value={between}
                    options={{ outer: 'the outer two', ends: 'the wall’s ends', lines: 'two lines' } as Record<string, string>}
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
    const wall = data.walls.get(data.openings.get(ids[0]!)?.wall ?? '');
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

/** About the wall's middle, a line, or the outline's centre line, handing too. */
export function MirrorSheet({ ids }: Props) {
    const [about, setAbout] = useWord('mirror.about', 'middle');
    const [how, setHow] = useWord('mirror.how', 'copy');
    const [along, setAlong] = useWord('mirror.along', 'across');
    const lines = useUprights(ids);
    const [line, setLine] = useState(lines[0]?.value ?? '');
    const args = {
        ids,
        about,
        copy: how === 'copy',
        ...(about === 'line' ? { line } : {}),
        ...(about === 'outline' ? { along: along === 'along' } : {}),
    };
    return (
        <Sheet
            title="Mirror"
            to={useNamed(ids)}
            edit="opening.mirror"
            verb="Mirror"
            args={about === 'line' && line === '' ? null : args}
            missing="This frontage has no upright setting-out line yet: add one with L."
        >
            <Sentence>
                <Pick
                    label="Move or copy"
                    value={how}
                    options={{ copy: 'Copy', move: 'Move' } as Record<string, string>}
                    onChange={setHow}
                />{' '}
                them to the other side of{' '}
                <Pick
                    label="Mirror about"
                    value={about}
                    options={
                        { middle: 'the middle of their wall', line: 'a setting-out line', outline: 'the outline’s centre line' } as Record<
                            string,
                            string
                        >
                    }
                    onChange={setAbout}
                />
                {about === 'line' && lines.length > 0 && (
                    <>
                        {' '}
                        <Pick
                            label="Line"
                            value={line}
                            options={Object.fromEntries(lines.map((l) => [l.value, l.label]))}
                            onChange={setLine}
                        />
                    </>
                )}
                {about === 'outline' && (
                    <>
                        {' '}
                        that runs{' '}
                        <Pick
                            label="Direction of the centre line"
                            value={along}
                            options={{ across: 'square to their wall', along: 'parallel to their wall' } as Record<string, string>}
                            onChange={setAlong}
                        />
                    </>
                )}
                ; their handing is mirrored too.
            </Sentence>
        </Sheet>
    );
}

/** To other walls, to the opposite side, or from a named point to another. */
export function CopySheet({ ids }: Props) {
    const data = useData();
    const targets = useDesk((s) => s.targets);
    const [how, setHow] = useWord('copy.how', 'walls');
    const [point, setPoint] = useWord('copy.point', 'left');
    const [from, setFrom] = useWord('copy.from', 'left');
    const [value, setValue] = useWord('copy.value', '0');
    const held = data.openings.get(ids[0]!);
    const [wall, setWall] = useState(held?.wall ?? '');
    const [storey, setStorey] = useState(held?.storey ?? '');
    const lines = useUprights([wall]);
    const line = from.startsWith('li-') ? (lines.find((l) => l.value === from)?.value ?? null) : null;
    const walls = targets.filter((t) => data.walls.has(t));
    const args =
        how === 'opposite'
            ? { ids, walls: 'opposite' }
            : how === 'walls'
              ? walls.length > 0
                  ? { ids, walls }
                  : null
              : from.startsWith('li-') && line === null
                ? null
                : {
                      ids,
                      pick: { opening: ids[0], point },
                      put: { wall, storey, value, ...(line ? { from: 'line', ref: line } : { from }) },
                  };
    const wallNames = data.project.walls.map((w) => ({ value: w.id, label: nameOfWall(data, w.id) }));
    return (
        <Sheet
            title="Copy"
            to={useNamed(ids)}
            edit="opening.copy"
            verb="Copy"
            args={args}
            missing={how === 'walls' ? 'Choose the walls below, or click them in the drawing.' : 'Choose where it is put down.'}
        >
            <Sentence>
                <Pick
                    label="Copy to"
                    value={how}
                    options={
                        { walls: 'To other walls', opposite: 'To the opposite side', point: 'From point to point' } as Record<
                            string,
                            string
                        >
                    }
                    onChange={setHow}
                />
                {how === 'point' ? ': picked up at the ' : ', with the same sill and the same way of measuring.'}
                {how === 'point' && (
                    <>
                        <Pick
                            label="Picked up at"
                            value={point}
                            options={{ left: 'left jamb', centre: 'centre', right: 'right jamb' } as Record<string, string>}
                            onChange={setPoint}
                        />{' '}
                        of {held?.label}, put down with it <Entry label="Put down at" value={value} onChange={setValue} /> from the{' '}
                        <Pick
                            label="Put down from"
                            value={line ?? (from.startsWith('li-') ? 'left' : from)}
                            options={
                                {
                                    left: 'left end',
                                    right: 'right end',
                                    middle: 'middle',
                                    ...Object.fromEntries(lines.map((l) => [l.value, `line ${l.label}`])),
                                } as Record<string, string>
                            }
                            onChange={setFrom}
                        />{' '}
                        of{' '}
                        <Pick
                            label="Wall"
                            value={wall}
                            options={Object.fromEntries(wallNames.map((w) => [w.value, w.label]))}
                            onChange={setWall}
                        />{' '}
                        on{' '}
                        <Pick
                            label="Storey"
                            value={storey}
                            options={Object.fromEntries(data.project.storeys.map((s) => [s.id, s.name]))}
                            onChange={setStorey}
                        />
                        .
                    </>
                )}
            </Sentence>
            {how === 'walls' && (
                <Ticks
                    label="Walls"
                    options={wallNames.filter((w) => w.value !== held?.wall)}
                    chosen={walls}
                    onChange={(t) => useDesk.setState({ targets: t })}
                />
            )}
        </Sheet>
    );
}

/** What people call a wall: its frontage, and its outline when that is not the only one there. */
export function nameOfWall(data: ReturnType<typeof useData>, id: string): string {
    const wall = data.walls.get(id);
    const frontage = data.frontageOf.get(id);
    if (!wall || !frontage) return 'wall';
    const several = Object.keys(frontage.walls).length > 1;
    return several
        ? `${frontage.name}, ${data.project.outlines.find((o) => o.id === wall.outline)?.name ?? ''} ${wall.position + 1}`
        : frontage.name;
}

/** Heads, sills, jambs and centres in line with one of them, or with the storey below. */
export function AlignSheet({ ids }: Props) {
    const data = useData();
    const [edge, setEdge] = useWord('align.edge', 'head');
    const [hold, setHold] = useState(false);
    const [to, setTo] = useState(ids.length > 1 ? ids[0]! : 'below');
    const named = Object.fromEntries(
        ids
            .slice(0, 60)
            .map((id) => [
                id,
                `${data.openings.get(id)?.label ?? ''}, ${data.openings.get(id)?.frontage.name ?? ''} ${data.storeys.get(data.openings.get(id)?.storey ?? '')?.name ?? ''}, ${data.length(data.openings.get(id)?.fromLeft ?? 0)}`,
            ]),
    );
    return (
        <Sheet title="Align" to={useNamed(ids)} edit="opening.align" verb="Align" args={{ ids, edge, to, hold }} keepChoice>
            <Sentence>
                Their{' '}
                <Pick
                    label="Edge"
                    value={edge}
                    options={
                        { head: 'heads', sill: 'sills', left: 'left jambs', right: 'right jambs', centre: 'centres' } as Record<
                            string,
                            string
                        >
                    }
                    onChange={setEdge}
                />{' '}
                in line with{' '}
                <Pick
                    label="In line with"
                    value={to}
                    options={{ below: 'the nearest of the storey below', ...(ids.length > 1 ? named : {}) } as Record<string, string>}
                    onChange={setTo}
                />
                .
            </Sentence>
            <Tick label="Keep them in line: they follow when that one moves" on={hold} onChange={setHold} />
        </Sheet>
    );
}
