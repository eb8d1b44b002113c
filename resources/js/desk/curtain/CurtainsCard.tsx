import type { EditArgs, Wall } from '../../api/client';
import { formatArea } from '../../measure/format';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { wallActions } from '../actions';
import { Figure } from '../card/Figure';
import { ActionRow, Facts, FindingNote, Heading, Sentence, useAsk, useSend } from '../card/parts';
import { later } from '../../ui/later';
import { useData } from '../data';
import { KeepSet } from '../sheets/KeepSet';
import { useDesk } from '../store';
import { gridsOf } from './grids';
import { LeanFigure } from './LeanFigure';
import { LikeRuns } from './LikeRuns';

const RunUpAll = later('Roofs', () => import('../roofs/RunUpAll').then((m) => m.RunUpAll), null);

/** Stretches of curtain wall that are chosen together: what is the same in all, changed in all. */
export function CurtainsCard({ walls }: { walls: Wall[] }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const fixed = !data.mayEdit;
    const ids = walls.map((w) => w.id);
    const units = data.project.settings.units;
    const one = <T,>(of: (w: Wall) => T): T | null => (walls.every((w) => of(w) === of(walls[0]!)) ? of(walls[0]!) : null);
    const set = (args: Omit<EditArgs<'curtain.set'>, 'walls'>) => send('curtain.set', { walls: ids, ...args });
    const grid = one((w) => w.curtain!.grid);
    const lean = one((w) => w.curtain!.lean);
    const foot = one((w) => w.curtain!.foot);
    const curved = walls.some((w) => w.arc);
    const grids = ids.flatMap((id) => gridsOf(data, id).map((f) => f.grid));
    const sum = (of: 'faceArea' | 'glass') => grids.reduce((total, g) => total + g[of], 0);
    const about = data.findings.filter((f) => ids.includes(f.host));
    return (
        <>
            <Heading
                title={`${walls.length} stretches of curtain wall`}
                note={[...new Set(ids.map((id) => data.frontageOf.get(id)?.name ?? ''))].join(', ')}
            />
            <ActionRow actions={wallActions(data)} />
            <Sentence>
                By{' '}
                <Choice
                    label="Grid type"
                    value={grid ?? 'various'}
                    options={[
                        ...(grid === null ? [{ value: 'various', label: 'various types' }] : []),
                        ...data.project.grids.map((g) => ({ value: g.id, label: `${g.mark} ${g.name}` })),
                    ]}
                    disabled={fixed}
                    onChange={(to) => to !== 'various' && void ask('curtain.set', { walls: ids, grid: to })}
                />
                .
            </Sentence>
            {!curved && (
                <Sentence>
                    They stand <LeanFigure lean={lean} disabled={fixed} onSend={(to) => set({ lean: to })} /> from the ground.
                </Sentence>
            )}
            {!fixed && <RunUpAll walls={ids} />}
            {walls.every((w) => w.curtain!.footFrom === undefined) && (
                <Sentence>
                    Foot{' '}
                    <Figure
                        label="Foot over the floor"
                        shown={foot === null ? 'various' : data.length(foot)}
                        disabled={fixed}
                        onSend={(text) => set({ foot: text })}
                    />{' '}
                    over the floor.
                </Sentence>
            )}
            <LikeRuns wall={walls[0]!} />
            <Facts
                rows={[
                    ['Long together', data.length(walls.reduce((total, w) => total + w.length, 0))],
                    ['Face', formatArea(sum('faceArea'), units)],
                    ['Vision glass', formatArea(sum('glass'), units)],
                    ['Cells', grids.reduce((n, g) => n + g.cells.length, 0)],
                ]}
            />
            {about.slice(0, 5).map((f) => (
                <FindingNote
                    key={`${f.key} ${f.figure}`}
                    finding={f}
                    place={f.frontage.name}
                    onGo={() => useDesk.getState().choose([f.elements[0]!])}
                />
            ))}
            {data.mayEdit && (
                <div className="mt-3 flex flex-wrap gap-1.5 border-t border-hairline pt-3">
                    <Button small onClick={() => void data.edit('grid.own', { ids })}>
                        Own type
                    </Button>
                </div>
            )}
            <KeepSet members={ids} what={`${ids.length} stretches`} />
        </>
    );
}
