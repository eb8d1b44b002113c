import { useState } from 'react';
import { Sentence } from '../card/parts';
import { useData } from '../data';
import { useDesk } from '../store';
import { Entry, Pick, Ticks, Tick, useNamed, useUprights, useWord } from './parts';
import { Sheet } from './Sheet';

type Props = { ids: string[] };

/** About the wall's middle, a line, or the outline's centre line, handing too. */
export function MirrorSheet({ ids }: Props) {
    const [about, setAbout] = useWord<'middle' | 'line' | 'outline'>('mirror.about', 'middle');
    const [how, setHow] = useWord<'copy' | 'move'>('mirror.how', 'copy');
    const [along, setAlong] = useWord<'across' | 'along'>('mirror.along', 'across');
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
                <Pick label="Move or copy" value={how} options={{ copy: 'Copy', move: 'Move' }} onChange={setHow} /> them to the other side
                of{' '}
                <Pick
                    label="Mirror about"
                    value={about}
                    options={{ middle: 'the middle of their wall', line: 'a setting-out line', outline: 'the outline’s centre line' }}
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
                            options={{ across: 'square to their wall', along: 'parallel to their wall' }}
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
    const [how, setHow] = useWord<'walls' | 'opposite' | 'point'>('copy.how', 'walls');
    const [facing, setFacing] = useWord<'across' | 'left'>('copy.facing', 'across');
    const [point, setPoint] = useWord<'left' | 'centre' | 'right'>('copy.point', 'left');
    const [from, setFrom] = useWord('copy.from', 'left');
    const [value, setValue] = useWord('copy.value', '0');
    const held = data.openings.get(ids[0]!);
    const [wall, setWall] = useState(held?.host ?? '');
    const [storey, setStorey] = useState(held?.storey ?? '');
    const lines = useUprights([wall]);
    const line = from.startsWith('li-') ? (lines.find((l) => l.value === from)?.value ?? null) : null;
    const there = [...data.openings.values()].filter((o) => o.host === wall && o.storey === storey).sort((a, b) => a.left - b.left);
    const [ofOpening, atPoint] = from.startsWith('op-') ? (from.split(' ') as [string, string]) : [null, null];
    const onOpening = ofOpening !== null && there.some((o) => o.id === ofOpening);
    const walls = targets.filter((t) => data.walls.has(t));
    const args =
        how === 'opposite'
            ? { ids, walls: 'opposite' as const, ...(facing === 'left' ? { fromLeft: true } : {}) }
            : how === 'walls'
              ? walls.length > 0
                  ? { ids, walls }
                  : null
              : (from.startsWith('li-') && line === null) || (from.startsWith('op-') && !onOpening)
                ? null
                : {
                      ids,
                      pick: { opening: ids[0]!, point },
                      put: {
                          host: wall,
                          storey,
                          value,
                          ...(line
                              ? { from: 'line' as const, ref: line }
                              : onOpening
                                ? { from: 'opening' as const, ref: ofOpening, point: atPoint as 'left' | 'centre' | 'right' }
                                : { from: from as 'left' | 'middle' | 'right' }),
                      },
                  };
    const wallNames = data.project.walls.map((w) => ({ value: w.id, label: nameOfWall(data, w.id) }));
    return (
        <Sheet
            title="Copy"
            to={useNamed(ids)}
            edit="opening.copy"
            verb="Copy"
            args={args}
            missing={how === 'walls' ? 'Choose walls in the list, or click them in the drawing.' : 'Choose where it is put down.'}
        >
            <Sentence>
                <Pick
                    label="Copy to"
                    value={how}
                    options={{ walls: 'To other walls', opposite: 'To the opposite side', point: 'From point to point' }}
                    onChange={setHow}
                />
                {how === 'point'
                    ? ': picked up at the '
                    : how === 'walls'
                      ? ', with the same sill and the same way of measuring.'
                      : ', with the same sill, '}
                {how === 'opposite' && (
                    <>
                        <Pick
                            label="How it lies there"
                            value={facing}
                            options={{ across: 'facing where it comes from', left: 'as it is from the left' }}
                            onChange={setFacing}
                        />
                        .
                    </>
                )}
                {how === 'point' && (
                    <>
                        <Pick
                            label="Picked up at"
                            value={point}
                            options={{ left: 'left jamb', centre: 'centre', right: 'right jamb' }}
                            onChange={setPoint}
                        />{' '}
                        of {held?.label}, put down with it <Entry label="Put down at" value={value} onChange={setValue} /> from the{' '}
                        <Pick
                            label="Put down from"
                            value={line ?? (onOpening ? from : /^(li|op)-/.test(from) ? 'left' : from)}
                            options={
                                {
                                    left: 'left end',
                                    right: 'right end',
                                    middle: 'middle',
                                    ...Object.fromEntries(lines.map((l) => [l.value, `line ${l.label}`])),
                                    ...Object.fromEntries(
                                        there.flatMap((o) =>
                                            (['left', 'centre', 'right'] as const).map((at) => [
                                                `${o.id} ${at}`,
                                                `${at === 'centre' ? 'centre' : `${at} jamb`} of ${o.label} at ${data.length(o.fromLeft)}`,
                                            ]),
                                        ),
                                    ),
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
                    options={wallNames.filter((w) => w.value !== held?.host)}
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
    const [edge, setEdge] = useWord<'head' | 'sill' | 'left' | 'right' | 'centre'>('align.edge', 'head');
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
                    options={{ head: 'heads', sill: 'sills', left: 'left jambs', right: 'right jambs', centre: 'centres' }}
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
