import { useState } from 'react';
import { Problem, type Wall, type EditArgs } from '../../api/client';
import { formatArea } from '../../measure/format';
import { Button } from '../../ui/Button';
import { later } from '../../ui/later';
import { Choice } from '../../ui/Choice';
import { complain } from '../../ui/notices';
import { deskActions, wallActions } from '../actions';
import { useData } from '../data';
import { frontageAlone } from '../showing';
import { bearingOf } from '../words';
import { ArcWords } from './ArcWords';
import { CarriesDialog } from './CarriesDialog';
import { Figure } from './Figure';
import { ActionRow, Facts, Heading, Sentence, useSend } from './parts';

const MakeCurtain = later('Curtain walls', () => import('../curtain/MakeCurtain').then((m) => m.MakeCurtain), null);

const BandsBefore = later('Bands', () => import('../bands/BandsBefore').then((m) => m.BandsBefore), null);

const WallEnds = later('What it ends at', () => import('../roofs/WallEnds').then((m) => m.WallEnds), null);

const joints: Record<string, string> = {
    free: 'free',
    flush: 'runs on',
    mitre: 'mitred',
    through: 'runs through',
    butt: 'butts',
    tee: 'ends on a wall',
};

/** One wall, with the outline it belongs to. */
export function WallCard({ wall }: { wall: Wall }) {
    const data = useData();
    const send = useSend();
    const [removing, setRemoving] = useState<string | null>(null);
    const fixed = !data.mayEdit;
    const frontage = data.frontageOf.get(wall.id);
    const outline = data.project.outlines.find((o) => o.id === wall.outline);
    const siblings = data.project.walls.filter((w) => w.outline === wall.outline).map((w) => w.id);
    const storeys = data.project.storeys.map((s) => ({ value: s.id, label: s.name }));
    const units = data.project.settings.units;
    const openings = [...data.openings.values()].filter((o) => o.host === wall.id).length;
    const change = (args: Omit<EditArgs<'wall.change'>, 'walls'>, walls = [wall.id]) => send('wall.change', { walls, ...args });

    async function remove(withContents: boolean) {
        try {
            await data.edit('outline.remove', { id: wall.outline, withContents }, { quiet: true });
            setRemoving(null);
        } catch (problem) {
            if (problem instanceof Problem && problem.code === 'outline.carries') setRemoving(problem.message);
            else complain(problem);
        }
    }

    const along = wall.arc ? 'long along the arc' : 'long';
    const areas = frontage && data.elevations.get(frontage.id)?.areas[wall.id];
    return (
        <>
            <Heading
                title={outline?.inner ? (frontage?.name ?? 'Inner wall') : `${frontage?.name ?? ''} wall`}
                note={
                    outline?.inner
                        ? `${outline.name} · between rooms`
                        : `${outline?.name ?? ''} · outside faces ` +
                          (frontage ? `${frontage.name.toLowerCase().replace(/ \d+$/, '')}, ${bearingOf(frontage)}` : '')
                }
            />
            <ActionRow actions={[...wallActions(data), ...deskActions(data).filter((a) => a.short !== undefined)]} />
            <Sentence>
                <b>{data.length(outline?.inner ? wall.end - wall.start : wall.length)}</b> {along} and{' '}
                <b>{data.length(wall.head - wall.foot)}</b> high{wall.ring && ' at the most'}.
            </Sentence>
            <ArcWords wall={wall} />
            <Sentence>
                <Figure
                    label="Thickness"
                    shown={data.length(wall.thickness)}
                    disabled={fixed}
                    onSend={(text) => change({ thickness: text })}
                />{' '}
                thick{outline?.inner ? '' : ', inward from the outer face'}.
            </Sentence>
            <Sentence>
                From{' '}
                <Choice
                    label="First storey"
                    value={wall.base}
                    options={storeys}
                    disabled={fixed}
                    onChange={(base) => void data.edit('wall.change', { walls: [wall.id], base })}
                />{' '}
                to the head of{' '}
                <Choice
                    label="Last storey"
                    value={wall.top}
                    options={storeys}
                    disabled={fixed}
                    onChange={(top) => void data.edit('wall.change', { walls: [wall.id], top })}
                />
                .
            </Sentence>
            <WallEnds wall={wall} />
            <Facts
                rows={[
                    ...(wall.arc
                        ? ([
                              ['Along its centre line', data.length(wall.arc.centreLine)],
                              ['Along its inner face', data.length(wall.arc.innerFace)],
                          ] as [string, string][])
                        : []),
                    ['Gross', formatArea(areas?.gross ?? 0, units)],
                    ['Openings take out', formatArea(areas?.cutOut ?? 0, units)],
                    ['Openings', openings],
                    ['Left corner', joints[wall.leftJoint] ?? wall.leftJoint],
                    ['Right corner', joints[wall.rightJoint] ?? wall.rightJoint],
                ]}
            />
            {frontage && (
                <p className="mt-2 flex gap-2">
                    <Button small onClick={() => frontageAlone(frontage)}>
                        Only this frontage
                    </Button>
                </p>
            )}
            {outline && <BandsBefore wall={wall} />}
            {data.mayEdit && !outline?.inner && <MakeCurtain wall={wall} />}
            {data.mayEdit && outline && (
                <div className="mt-3 border-t border-hairline pt-2">
                    <p className="mb-1.5 text-quiet">
                        {outline.name}: {siblings.length} walls
                    </p>
                    <Sentence>
                        All{' '}
                        <Figure
                            label="Thickness of all walls of the outline"
                            shown={data.length(wall.thickness)}
                            onSend={(text) => change({ thickness: text }, siblings)}
                        />{' '}
                        thick.
                    </Sentence>
                    <div className="flex gap-2">
                        <Button
                            small
                            onClick={() => void data.edit('outline.turn', { id: outline.id })}
                            title="What is outside becomes inside; openings stay where they are"
                        >
                            Turn round
                        </Button>
                        <Button small look="danger" onClick={() => void remove(false)}>
                            Remove outline
                        </Button>
                    </div>
                </div>
            )}
            <CarriesDialog
                title="Remove the outline?"
                carries={removing}
                onKeep={() => setRemoving(null)}
                onRemove={() => void remove(true)}
            />
        </>
    );
}
