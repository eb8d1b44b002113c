import { formatArea } from '../../measure/format';
import { Button } from '../../ui/Button';
import { useData } from '../data';
import { startOutline } from '../plan/outlining';
import { useDesk } from '../store';
import { Facts, Heading } from './parts';

/** The whole project, when nothing is chosen: how much there is, and what to do next. */
export function ProjectCard() {
    const data = useData();
    const { project } = data;
    const units = project.settings.units;
    const gross = project.walls.reduce((sum, w) => sum + w.length * (w.head - w.foot), 0);
    const cut = [...data.openings.values()].reduce((sum, o) => sum + o.width * o.height, 0);
    return (
        <>
            <Heading title={project.settings.name} note={`${project.storeys.length} storeys · ${project.frontages.length} frontages`} />
            {project.walls.length === 0 ? (
                <div className="my-3">
                    <p className="mb-2">There are no walls yet. Draw the building’s outline in plan: click its corners, or type lengths and angles.</p>
                    {data.mayEdit && (
                        <Button look="main" onClick={() => startOutline(data)}>
                            Draw an outline
                        </Button>
                    )}
                </div>
            ) : (
                <>
                    <p className="my-2">
                        {data.openings.size === 0
                            ? 'Take a unit from the rack above, move over a wall, and click where it belongs.'
                            : 'Choose an opening, a wall or a storey to see and change its figures here.'}
                    </p>
                    <Facts
                        rows={[
                            ['Walls, gross', formatArea(gross, units)],
                            ['Openings', `${data.openings.size} · ${formatArea(cut, units)}`],
                            ['Share of the walls', `${gross > 0 ? Math.round((cut / gross) * 100) : 0} %`],
                            ['Findings', data.findings.length],
                        ]}
                    />
                    {data.mayEdit && (
                        <div className="mt-3 flex flex-wrap gap-2">
                            <Button small onClick={() => startOutline(data)}>
                                Draw an outline
                            </Button>
                            <Button small onClick={() => useDesk.setState({ settings: true })}>
                                Settings
                            </Button>
                        </div>
                    )}
                </>
            )}
        </>
    );
}
