import { Link } from 'react-router';
import type { EditArgs, Wall } from '../../api/client';
import { formatArea } from '../../measure/format';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { ActionRow, Facts, FindingNote, Heading, Sentence, useAsk, useSend } from '../card/parts';
import { deskActions, wallActions } from '../actions';
import { later } from '../../ui/later';
import { useData } from '../data';
import { frontageAlone } from '../showing';
import { bearingOf } from '../words';
import { ArcWords } from '../card/ArcWords';
import { AlignWords } from './AlignWords';
import { BandsBefore } from '../bands/BandsBefore';
import { ByHandList } from './ByHandList';
import { gridsOf } from './grids';
import { LeanFigure } from './LeanFigure';
import { LikeRuns } from './LikeRuns';
import { startSpanning } from './spanning';

const EndWords = later('What it ends at', () => import('../roofs/WallEnds').then((m) => m.EndWords), null);

/** A stretch of curtain wall, with the run it is of. */
export function CurtainCard({ wall }: { wall: Wall }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const curtain = wall.curtain!;
    const fixed = !data.mayEdit;
    const frontage = data.frontageOf.get(wall.id);
    const outline = data.project.outlines.find((o) => o.id === wall.outline);
    const run = data.project.runs.find((r) => r.walls.includes(wall.id));
    const type = data.project.grids.find((g) => g.id === curtain.grid);
    const place = run ? run.walls.indexOf(wall.id) : 0;
    const grids = gridsOf(data, wall.id).map((f) => f.grid);
    const units = data.project.settings.units;
    const findings = data.findings.filter((f) => f.host === wall.id);
    const storeys = data.project.storeys.map((s) => ({ value: s.id, label: s.name }));
    const mine = (args: Omit<EditArgs<'curtain.set'>, 'walls'>) => send('curtain.set', { walls: [wall.id], ...args });
    const all = (args: Omit<EditArgs<'curtain.set'>, 'walls'>) => send('curtain.set', { walls: run?.walls ?? [wall.id], ...args });
    const choose = (args: Omit<EditArgs<'curtain.set'>, 'walls'>) => void ask('curtain.set', { walls: [wall.id], ...args });
    const chooseAll = (args: Omit<EditArgs<'curtain.set'>, 'walls'>) =>
        void ask('curtain.set', { walls: run?.walls ?? [wall.id], ...args });
    const corner = curtain.corner as { kind: string; profile: { face: number; depth: number } | null } | null;
    const sum = (of: 'area' | 'glass' | 'faceArea') => grids.reduce((total, g) => total + g[of], 0);
    const meets = place > 0 || (run && run.walls.length > 1 && data.walls.get(run.walls.at(-1)!)?.toX === wall.fromX);
    return (
        <>
            <Heading
                title={`${type?.mark ?? 'Curtain wall'} ${type?.name ?? ''}`}
                note={
                    (run && run.walls.length > 1 ? `Stretch ${place + 1} of ${run.walls.length} of a run` : 'A run of one stretch') +
                    (frontage ? ` · outside faces ${frontage.facing.toLowerCase()}, ${bearingOf(frontage)}` : '')
                }
            />
            <ActionRow
                actions={[
                    ...(data.mayEdit && !wall.arc
                        ? [{ name: 'Draw a free member across the cells', short: 'Free member', run: () => startSpanning(wall.id) }]
                        : []),
                    ...wallActions(data),
                    ...deskActions(data).filter((a) => a.short !== undefined),
                ]}
            />
            <Sentence>
                By{' '}
                <Choice
                    label="Grid type"
                    value={curtain.grid}
                    options={data.project.grids.map((g) => ({ value: g.id, label: `${g.mark} ${g.name}` }))}
                    disabled={fixed}
                    onChange={(grid) => choose({ grid })}
                />
                , <b>{data.length(wall.length)}</b> long and <b>{data.length(wall.head - wall.foot)}</b> high.{' '}
                <Link to={`/projects/${data.id}/grid-bench/${curtain.grid}`} className="text-tide underline">
                    at the bench
                </Link>
            </Sentence>
            <AlignWords curtain={curtain} wall={wall.id} onSet={choose} />
            <ArcWords wall={wall} />
            {wall.arc ? (
                <Sentence>
                    Its glass is{' '}
                    <Choice
                        label="Glass of the arc"
                        value={curtain.faceted ? 'facets' : 'bent'}
                        options={[
                            { value: 'bent', label: 'bent to the arc' },
                            { value: 'facets', label: 'flat, in facets' },
                        ]}
                        disabled={fixed}
                        onChange={(to) => choose({ faceted: to === 'facets' })}
                    />
                    .
                </Sentence>
            ) : (
                <Sentence>
                    It stands <LeanFigure lean={curtain.lean} disabled={fixed} onSend={(lean) => mine({ lean })} /> from the ground
                    {curtain.lean !== 0 && (
                        <>
                            , leaning {curtain.lean > 0 ? 'in' : 'out'}, its foot and head cut{' '}
                            <Choice
                                label="How foot and head are cut"
                                value={curtain.square ? 'square' : 'level'}
                                options={[
                                    { value: 'level', label: 'level' },
                                    { value: 'square', label: 'square to its face' },
                                ]}
                                disabled={fixed}
                                onChange={(to) => choose({ square: to === 'square' })}
                            />
                        </>
                    )}
                    .
                </Sentence>
            )}
            <Sentence>
                Foot <Figure label="Foot" shown={data.length(curtain.foot)} disabled={fixed} onSend={(foot) => all({ foot })} /> over{' '}
                <Choice
                    label="Foot measured from"
                    value={curtain.footFrom ?? 'floor'}
                    options={[
                        { value: 'floor' as const, label: 'the floor' },
                        { value: 'datum' as const, label: 'the datum' },
                    ]}
                    disabled={fixed}
                    onChange={(footFrom) => chooseAll({ footFrom })}
                />
                , from{' '}
                <Choice
                    label="First storey"
                    value={wall.base}
                    options={storeys}
                    disabled={fixed}
                    onChange={(base) => chooseAll({ base })}
                />
                , head{' '}
                {curtain.height === null ? (
                    <>
                        at the ceiling of{' '}
                        <Choice
                            label="Last storey"
                            value={wall.top}
                            options={storeys}
                            disabled={fixed}
                            onChange={(top) => chooseAll({ top })}
                        />
                        , or{' '}
                    </>
                ) : null}
                <Figure
                    label="Height of its own"
                    shown={curtain.height === null ? 'a height' : data.length(curtain.height)}
                    disabled={fixed}
                    onSend={(text) => all({ height: text })}
                />{' '}
                {curtain.height === null ? 'of its own.' : 'over it.'}
            </Sentence>
            {(wall.headEdge || (!wall.arc && curtain.lean === 0)) && <EndWords wall={wall} which="head" />}
            {meets && (
                <Sentence>
                    At its left corner:{' '}
                    <Choice
                        label="Left corner"
                        value={corner?.kind ?? 'type'}
                        options={[
                            { value: 'type', label: 'as its type says' },
                            { value: 'post', label: 'a post fitted to the angle' },
                            { value: 'square-right', label: 'a post square to this side' },
                            { value: 'square-left', label: 'a post square to the side left of it' },
                            { value: 'mitred', label: 'a mitred pair' },
                            { value: 'glass', label: 'glass to glass' },
                        ]}
                        disabled={fixed}
                        onChange={(kind) =>
                            choose({
                                corner:
                                    kind === 'type'
                                        ? null
                                        : kind === 'glass'
                                          ? { kind, joint: 10 }
                                          : { kind, profile: corner?.profile ?? { shape: 'rectangle', face: 60, depth: wall.thickness } },
                            })
                        }
                    />
                    {corner?.profile && (
                        <>
                            ,{' '}
                            <Figure
                                label="Section at the corner"
                                shown={`${data.length(corner.profile.face)} × ${data.length(corner.profile.depth)}`}
                                disabled={fixed}
                                onSend={(text) => {
                                    const sizes = text.split(/[×x*]/);
                                    return sizes.length !== 2
                                        ? Promise.resolve('A section is its face and its depth: 60 × 150.')
                                        : mine({
                                              corner: {
                                                  kind: corner.kind,
                                                  profile: { shape: 'rectangle', face: sizes[0]!.trim(), depth: sizes[1]!.trim() },
                                              },
                                          });
                                }}
                            />
                        </>
                    )}
                    .
                </Sentence>
            )}
            {outline && (
                <Sentence>
                    On a slab of its own,{' '}
                    <Figure
                        label="Thickness of its slab"
                        shown={outline.slab === null ? 'none' : data.length(outline.slab)}
                        disabled={fixed}
                        onSend={(text) => send('outline.change', { id: outline.id, slab: /^\s*(none|0|-)?\s*$/i.test(text) ? null : text })}
                    />
                    {outline.slab === null ? '' : ' thick'}.
                </Sentence>
            )}
            <p className="mt-2 text-xs text-quiet">Click a cell or a line of it in the elevation to change that alone.</p>
            {grids[0] && <ByHandList grid={grids[0]} />}
            <Facts
                rows={[
                    ['Face', formatArea(sum('faceArea'), units)],
                    ['Vision glass', formatArea(sum('glass'), units)],
                    ['Infills together', formatArea(sum('area'), units)],
                    ['Cells', grids.reduce((n, g) => n + g.cells.length, 0)],
                    ['The run', run ? data.length(run.length) : ''],
                ]}
            />
            <BandsBefore wall={wall} />
            <LikeRuns wall={wall} />
            {findings.map((f) => (
                <FindingNote key={f.key} finding={f} />
            ))}
            <div className="mt-3 flex flex-wrap gap-1.5 border-t border-hairline pt-3">
                {frontage && (
                    <Button small onClick={() => frontageAlone(frontage)}>
                        Only this frontage
                    </Button>
                )}
                {data.mayEdit && outline && (
                    <>
                        <Button
                            small
                            onClick={() => void data.edit('grid.own', { ids: run?.walls ?? [wall.id] })}
                            disabled={type === undefined}
                        >
                            Own type
                        </Button>
                        <Button
                            small
                            onClick={() => void data.edit('outline.turn', { id: outline.id })}
                            title="What is outside becomes inside"
                        >
                            Turn outside round
                        </Button>
                        <Button small onClick={() => choose({ grid: null, thickness: 300 })}>
                            Make it a wall
                        </Button>
                        <Button
                            small
                            look="danger"
                            onClick={() => void data.edit('outline.remove', { id: outline.id, withContents: true })}
                        >
                            Remove {outline.name}
                        </Button>
                    </>
                )}
            </div>
        </>
    );
}
