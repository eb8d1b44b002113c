import type { EditArgs, Wall } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { Button } from '../../ui/Button';
import { Figure } from '../card/Figure';
import { Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';

type Edge = NonNullable<EditArgs<'wall.edge'>['head']>;
type Points = NonNullable<Edge['points']>;
type End = 'head' | 'foot';

/** What the head and the foot of a wall follow: its storeys' levels, a roof, or levels by figures. */
export function WallEnds({ wall }: { wall: Wall }) {
    return (
        <>
            <EndWords wall={wall} which="head" />
            <EndWords wall={wall} which="foot" />
        </>
    );
}

/** The same of one of them: of curtain walls, whose foot is level, the head. */
export function EndWords({ wall, which }: { wall: Wall; which: End }) {
    const data = useData();
    const ask = useAsk();
    const edge = which === 'head' ? wall.headEdge : wall.footEdge;
    const now = edge?.roof ?? (edge ? 'figures' : 'level');
    const set = (to: Edge | null) => void ask('wall.edge', { walls: [wall.id], [which]: to });
    const flat: Points = [
        { along: 0, over: 0 },
        { along: Math.round(wall.length * 100) / 100, over: 0 },
    ];
    // nothing to say of a foot on its floor while there is no roof it could stand on
    if (which === 'foot' && !edge && (data.project.roofs.length === 0 || !data.mayEdit)) return null;
    if (!edge && !data.mayEdit) return null;
    return (
        <>
            <Sentence>
                Its {which}{' '}
                <Choice
                    label={`Its ${which}`}
                    value={now}
                    options={[
                        { value: 'level', label: which === 'head' ? 'is level' : 'stands on its floor' },
                        ...data.project.roofs.map((r) => ({
                            value: r.id,
                            label: which === 'head' ? `runs up to ${r.name}` : `stands on ${r.name}`,
                        })),
                        { value: 'figures', label: 'is set by figures' },
                    ]}
                    disabled={!data.mayEdit}
                    onChange={(to) => set(to === 'level' ? null : to === 'figures' ? { points: flat } : { roof: to })}
                />
                {!edge?.points && '.'}
            </Sentence>
            {edge?.points && <Levels wall={wall} which={which} points={edge.points} />}
        </>
    );
}

/** Levels along a wall, from its left end on: each place a figure, two at one place a step. */
function Levels({ wall, which, points }: { wall: Wall; which: End; points: Points }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const args = (to: Points) => ({ walls: [wall.id], [which]: { points: to } });
    const put = (i: number, change: Partial<Record<'along' | 'over', string>>) =>
        send('wall.edge', args(points.map((p, k) => (k === i ? { ...p, ...change } : p)) as Points));
    const last = points.at(-1)!;
    const before = points.at(-2) ?? { along: 0, over: last.over };
    const middle = { along: (Number(before.along) + Number(last.along)) / 2, over: Number(last.over) };
    const name = which === 'head' ? 'Head' : 'Foot';
    return (
        <div className="mb-2 border-l-2 border-hairline pl-2" role="group" aria-label={`Levels of the ${which}`}>
            {points.map((p, i) => (
                <p key={i} className="flex min-h-7 flex-wrap items-baseline gap-x-1">
                    <Figure
                        label={`${name} ${i + 1} over`}
                        shown={data.length(Number(p.over))}
                        disabled={!data.mayEdit}
                        onSend={(over) => put(i, { over })}
                    />
                    <span className="text-quiet">over it at</span>
                    <Figure
                        label={`${name} ${i + 1} along`}
                        shown={data.length(Number(p.along))}
                        disabled={!data.mayEdit}
                        onSend={(along) => put(i, { along })}
                    />
                    {data.mayEdit && points.length > 1 && (
                        <button
                            type="button"
                            aria-label={`Remove level ${i + 1} of the ${which}`}
                            title="Remove this level"
                            className="ml-auto px-1 text-quiet hover:text-buoy"
                            onClick={() => void ask('wall.edge', args(points.filter((_, k) => k !== i)))}
                        >
                            ×
                        </button>
                    )}
                </p>
            ))}
            {data.mayEdit && (
                <p className="flex gap-1.5">
                    <Button
                        small
                        title="One more place, halfway between the last two"
                        onClick={() => void ask('wall.edge', args([...points.slice(0, -1), middle, last]))}
                    >
                        Add a level
                    </Button>
                    <Button
                        small
                        title="Two levels at one place, halfway between the last two"
                        onClick={() =>
                            void ask('wall.edge', args([...points.slice(0, -1), { ...before, along: middle.along }, middle, last]))
                        }
                    >
                        Add a step
                    </Button>
                </p>
            )}
            <p className="text-xs text-quiet">Places count from the left end; two at one place are a step.</p>
        </div>
    );
}
