import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, type Args, type Storey } from '../../api/client';
import { Button } from '../../ui/Button';
import { complain, tell } from '../../ui/notices';
import { useData } from '../data';
import { startPointing } from '../plan/pointing';
import { Entry, Pick, useWord } from '../sheets/parts';
import { useDesk, type Candidate } from '../store';

/** What openings made from marks are filled with and how they are rounded, in words that stay for the next. */
export function useMarkWords() {
    const data = useData();
    const [type, setType] = useWord('marks.type', '');
    const [rounded, setRounded] = useWord<'no' | 'yes'>('marks.rounded', 'no');
    const [sill, setSill] = useWord('marks.sill', '');
    const [height, setHeight] = useWord('marks.height', '');
    const known = data.project.types.some((t) => t.id === type) ? type : '';
    const args: Args = { type: known, rounded: rounded === 'yes', ...(sill.trim() ? { sill } : {}), ...(height.trim() ? { height } : {}) };
    return { type: known, setType, rounded, setRounded, sill, setSill, height, setHeight, args };
}

/** The words of {@link useMarkWords} as a sentence of fields. */
export function MarkWords({ words }: { words: ReturnType<typeof useMarkWords> }) {
    const data = useData();
    const type = data.project.types.find((t) => t.id === words.type);
    return (
        <p className="my-1.5 leading-7">
            As{' '}
            <Pick
                label="What fills them"
                value={words.type || 'bare'}
                options={Object.fromEntries([['bare', 'bare openings'], ...data.project.types.map((t) => [t.id, `${t.mark} ${t.name}`])])}
                onChange={(t) => words.setType(t === 'bare' ? '' : t)}
            />
            ,{' '}
            <Pick
                label="Width"
                value={words.rounded}
                options={{ no: 'as wide as their marks', yes: 'rounded to the module' }}
                onChange={words.setRounded}
            />
            , sill <Entry label="Sill over the floor" value={words.sill} onChange={words.setSill} />{' '}
            {words.sill.trim() === '' && <span className="text-quiet">({type ? data.length(type.sill) : data.length(900)})</span>}, height{' '}
            <Entry label="Height" value={words.height} onChange={words.setHeight} />{' '}
            {words.height.trim() === '' && <span className="text-quiet">({type ? data.length(type.height) : data.length(1000)})</span>}.
        </p>
    );
}

/** Openings that the lines of a tracing offer along the walls, to take one by one or together, and jambs that lie off their marks. */
export function Marks({ storey }: { storey: Storey }) {
    const data = useData();
    const words = useMarkWords();
    const found = useQuery({
        queryKey: ['project', data.id, 'plan', 'marks', storey.id, data.project.number],
        queryFn: () => api.marks(data.id, storey.id),
        placeholderData: (old) => old,
    });
    const candidates = found.data?.candidates;
    useEffect(() => {
        useDesk.setState({ candidates: candidates ?? [] });
        return () => useDesk.setState({ candidates: [] });
    }, [candidates]);
    const taking = useDesk((s) => s.taking);
    const place = async (marks: Candidate[]) => {
        try {
            const outcome = await data.edit(
                'opening.from-marks',
                { storey: storey.id, marks: marks.map(({ host, from, to }) => ({ host, from, to })), ...words.args, fit: 'fitting' },
                { quiet: true, many: marks.length },
            );
            if (!outcome) return;
            tell([`${outcome.summary}.`, ...outcome.notes].join(' '), { label: 'Undo', run: () => void data.undo() });
            if (outcome.misfits.length > 0) complain(new Error(`${outcome.misfits.length} would not fit: ${outcome.misfits[0]!.sentence}`));
        } catch (problem) {
            complain(problem);
        }
    };
    useEffect(() => {
        if (!taking) return;
        useDesk.setState({ taking: null });
        void place([taking]);
        // when one was clicked in the plan
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [taking]);
    const off = found.data?.off ?? [];
    const here = [...data.openings.values()].filter((o) => o.storey === storey.id).length;
    const compared = here - (found.data?.undrawn ?? 0);
    const moveable = off.filter((o) => o.args !== null);
    const move = async (all: typeof off) => {
        let done = 0;
        for (const o of all) if (await data.edit('opening.change', o.args!)) done++;
        if (all.length > 1) tell(`${done} of ${all.length} moved to their marks, one step each.`);
    };
    return (
        <div className="mt-3 border-t border-hairline pt-2" data-candidates={candidates?.length ?? ''} data-off={off.length}>
            <p className="font-semibold">From the marks of its lines</p>
            {found.isError && <p className="text-buoy">{found.error.message}</p>}
            {!found.data && !found.isError && <p className="text-quiet">Looking along the walls…</p>}
            {data.mayEdit && found.data && (
                <>
                    <MarkWords words={words} />
                    <p className="flex flex-wrap items-center gap-2">
                        {candidates!.length > 0 ? (
                            <Button small look="main" onClick={() => void place(candidates!)}>
                                Take {candidates!.length === 1 ? 'the one' : `all ${candidates!.length}`} offered
                            </Button>
                        ) : (
                            <span className="text-quiet">
                                {found.data.marks === 0
                                    ? 'No line crosses a wall of this storey yet: scale and place the tracing first.'
                                    : 'No further opening is offered along the walls.'}
                            </span>
                        )}
                        <Button small onClick={() => startPointing({ what: 'marks', points: [], over: null })}>
                            From two marks
                        </Button>
                    </p>
                    {candidates!.length > 0 && (
                        <p className="mt-1 text-xs text-quiet">Dashed in the plan; click one there to take it alone.</p>
                    )}
                </>
            )}
            {found.data && found.data.marks > 0 && (
                <div className="mt-2">
                    <p className="flex items-center justify-between gap-2">
                        <span className={off.length === 0 && compared > 0 ? 'font-semibold text-moss' : 'font-semibold'}>
                            {off.length === 0
                                ? compared === 0
                                    ? 'No opening here is compared with a mark yet.'
                                    : `✓ Every jamb lies within ${data.length(data.project.settings.setting)} of its mark.`
                                : `${off.length} ${off.length === 1 ? 'opening lies' : 'openings lie'} off ${off.length === 1 ? 'its' : 'their'} marks by more than ${data.length(data.project.settings.setting)}:`}
                        </span>
                        {data.mayEdit && moveable.length > 1 && (
                            <Button small onClick={() => void move(moveable)}>
                                Move all {moveable.length}
                            </Button>
                        )}
                    </p>
                    {found.data.undrawn > 0 && (
                        <p className="text-xs text-quiet">{found.data.undrawn} more are in walls of which nothing is drawn.</p>
                    )}
                    <ul className="mt-1 max-h-56 overflow-auto" tabIndex={off.length > 0 ? 0 : -1} aria-label="Openings off their marks">
                        {off.slice(0, 300).map((o) => (
                            <li key={o.opening} className="flex items-center gap-2 border-t border-hairline/60 py-0.5">
                                <button
                                    type="button"
                                    className="min-h-6 min-w-0 grow text-left hover:text-tide"
                                    onClick={() => {
                                        useDesk.getState().choose([o.opening]);
                                        useDesk.getState().show([o.opening]);
                                    }}
                                >
                                    {o.sentence}
                                </button>
                                {data.mayEdit && o.args && (
                                    <Button small onClick={() => void move([o])}>
                                        Move
                                    </Button>
                                )}
                            </li>
                        ))}
                    </ul>
                </div>
            )}
        </div>
    );
}
