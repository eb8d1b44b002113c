import { Key } from '../../ui/Key';
import { formatArea } from '../../measure/format';
import { Button } from '../../ui/Button';
import type { NamedSet } from '../../api/client';
import { useData } from '../data';
import { startOutline, startSlab } from '../plan/outlining';
import { chooseSet, isThere } from '../curtain/parts';
import { toggleSet } from '../showing';
import { layersOf } from '../bands/placed';
import { useDesk } from '../store';
import { Facts, Heading } from './parts';

/** Faces of the outer or of the inner walls, added up. */
function faces(data: ReturnType<typeof useData>, inner: boolean) {
    const sum = { frontages: 0, gross: 0, cutOut: 0, openings: 0, shapes: 0 };
    for (const f of data.project.frontages) {
        if (f.inner !== inner) continue;
        sum.frontages++;
        for (const [wall, a] of Object.entries(data.elevations.get(f.id)?.areas ?? {})) {
            if (data.walls.get(wall)?.curtain) continue;
            sum.gross += a.gross;
            sum.cutOut += a.cutOut;
            sum.shapes += a.shapes;
            sum.openings += a.openings;
        }
    }
    return sum;
}

/** All curtain walls, standing and let in: their faces and their glass. */
function curtains(data: ReturnType<typeof useData>) {
    const all = [...data.elevations.values()].flatMap((e) => e.grids);
    return { face: all.reduce((n, g) => n + g.faceArea, 0), glass: all.reduce((n, g) => n + g.glass, 0) };
}

/** The whole project, when nothing is chosen: how much there is, and what to do next. */
export function ProjectCard() {
    const data = useData();
    const { project } = data;
    const units = project.settings.units;
    const outer = faces(data, false);
    const inner = faces(data, true);
    const curtain = curtains(data);
    const share = outer.gross > 0 ? `${Math.round((outer.cutOut / outer.gross) * 100)} %` : '–';
    return (
        <>
            <Heading title={project.settings.name} note={`${project.storeys.length} storeys · ${outer.frontages} frontages`} />
            {project.walls.length === 0 ? (
                <div className="my-3">
                    <p className="mb-2">
                        There are no walls yet. Draw the building’s outline in plan: click its corners, or type lengths and angles.
                    </p>
                    {data.mayEdit && (
                        <Button look="main" onClick={() => startOutline(data)}>
                            Draw an outline
                        </Button>
                    )}
                </div>
            ) : (
                <>
                    <p className="my-2">
                        {!data.whole
                            ? `${data.elevations.size} of ${project.frontages.length} frontages are drawn. Figures follow with the last.`
                            : data.openings.size === 0
                              ? 'Take a unit from the rack above, move over a wall, and click where it belongs.'
                              : 'Choose an opening, a wall or a storey to see and change its figures here.'}
                    </p>
                    <Facts
                        rows={(
                            [
                                ['Outer walls, gross', formatArea(outer.gross, units)],
                                ['Openings in outer walls', `${outer.openings} · ${formatArea(outer.shapes, units)}`],
                                ['Share of the outer walls', share],
                                ...(inner.frontages > 0
                                    ? ([
                                          ['Inner walls, gross', formatArea(inner.gross, units)],
                                          ['Openings in inner walls', `${inner.openings} · ${formatArea(inner.shapes, units)}`],
                                      ] as [string, string][])
                                    : []),
                                ...(curtain.face > 0
                                    ? ([
                                          ['Curtain walls', formatArea(curtain.face, units)],
                                          [
                                              'Glass in them',
                                              `${formatArea(curtain.glass, units)} · ${Math.round((curtain.glass / curtain.face) * 100)} %`,
                                          ],
                                      ] as [string, string][])
                                    : []),
                                ['Findings', data.findings.length],
                            ] as [string, string | number][]
                        ).map(([name, figure]) => [name, data.whole ? figure : '…'])}
                    />
                    {data.mayEdit && (
                        <div className="mt-3 flex flex-wrap gap-2">
                            <Button small onClick={() => startOutline(data)}>
                                Draw an outline
                            </Button>
                            <Button small onClick={() => startOutline(data, true)}>
                                Draw inner walls
                            </Button>
                            <Button small onClick={() => startSlab(data)}>
                                Draw a slab
                            </Button>
                            <Button small onClick={() => useDesk.getState().open('line')}>
                                Setting-out line <Key of="L" />
                            </Button>
                            <Button small onClick={() => useDesk.setState({ settings: true })}>
                                Settings
                            </Button>
                        </div>
                    )}
                    {layersOf(data).length > 0 && <BandList />}
                    {data.project.sets.length > 0 && (
                        <div className="mt-3 border-t border-hairline pt-2">
                            <p className="text-quiet">Sets</p>
                            {data.project.sets.map((s) => (
                                <SetRow key={s.id} set={s} />
                            ))}
                        </div>
                    )}
                </>
            )}
        </>
    );
}

/** The bands there are, to choose one. */
function BandList() {
    const data = useData();
    return (
        <div className="mt-3 border-t border-hairline pt-2">
            <p className="text-quiet">Before the walls</p>
            {layersOf(data).map((b) => (
                <p key={b.id} className="flex min-h-7 items-center gap-2">
                    <button
                        type="button"
                        className="min-w-0 grow truncate text-left font-semibold text-tide hover:underline"
                        onClick={() => {
                            useDesk.getState().choose([b.id]);
                            useDesk.getState().show([b.id]);
                        }}
                    >
                        {b.name}
                    </button>
                </p>
            ))}
        </div>
    );
}

/** A set: a choice that is kept, to return to, hide, or do away with. */
function SetRow({ set }: { set: NamedSet }) {
    const data = useData();
    const hidden = useDesk((s) => s.hiddenSets.includes(set.id));
    const here = set.members.filter((m) => data.openings.has(m) || data.walls.has(m) || layersOf(data).some((b) => b.id === m));
    const parts = set.parts.filter((p) => isThere(data, p));
    return (
        <p className="flex min-h-7 items-center gap-2">
            <button
                type="button"
                className="min-w-0 grow truncate text-left font-semibold text-tide hover:underline"
                onClick={() => chooseSet(here, parts)}
            >
                {set.name}
            </button>
            <span className="text-quiet">{data.whole ? here.length + parts.length : '…'}</span>
            <Button small look="plain" onClick={() => toggleSet(set.id)}>
                {hidden ? 'Show' : 'Hide'}
            </Button>
            {data.mayEdit && (
                <Button
                    small
                    look="plain"
                    aria-label={`Delete the set ${set.name}`}
                    title="Delete this set; what is in it stays"
                    onClick={() => void data.edit('set.remove', { id: set.id })}
                >
                    ×
                </Button>
            )}
        </p>
    );
}
