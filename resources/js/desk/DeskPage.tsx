import { Maximize2 } from 'lucide-react';
import { startTransition, useEffect, useState, type ReactNode } from 'react';
import { Group, Panel, Separator } from 'react-resizable-panels';
import { useParams, useSearchParams } from 'react-router';
import { DataProvider, Ready, Unfolding, useData, useReady } from './data';
import { ElevationPane } from './elevation/ElevationPane';
import { PerimeterStrip } from './elevation/PerimeterStrip';
import { StoreyLadder } from './elevation/StoreyLadder';
import { useDeskKeys } from './keys';
import { PlanPane } from './plan/PlanPane';
import { startOutline } from './plan/outlining';
import { Going } from './Going';
import { Room } from './drawing/Room';
import { Rack } from './Rack';
import { RemoveHanging } from './RemoveHanging';
import { OutOfIt } from '../people/Others';
import { SectionPane } from './section/SectionPane';
import { later } from '../ui/later';
import { resetDesk, useDesk, type Pane } from './store';

/** Where the header will be. */
const head = <div className="h-[46px] shrink-0 border-b border-hairline bg-sheet" />;

const Header = later('The header', () => import('./Header').then((m) => m.Header), head);
const Card = later('The card', () => import('./card/Card').then((m) => m.Card), null);
const Schedules = later('The schedules', () => import('./schedules/Schedules').then((m) => m.Schedules));
const PicturePane = later('The picture', () => import('./picture/PicturePane').then((m) => m.PicturePane));
const SettingsDialog = later('The settings', () => import('./SettingsDialog').then((m) => m.SettingsDialog), null);
const CommandList = later('The list of commands', () => import('./CommandList').then((m) => m.CommandList), null);
const PeopleDialog = later('The people', () => import('../people/PeopleDialog').then((m) => m.PeopleDialog), null);
const SolidPane = later('The solid view', () => import('./solid/SolidPane').then((m) => m.SolidPane));

const names: Record<Pane, string> = { elevation: 'Elevation', plan: 'Plan', section: 'Section', solid: 'Solid', picture: 'Picture' };
const panes: Record<Pane, ReactNode> = {
    elevation: <ElevationPane />,
    plan: <PlanPane />,
    section: <SectionPane />,
    solid: <SolidPane />,
    picture: <PicturePane />,
};

export function DeskPage() {
    const { project } = useParams();
    useEffect(() => resetDesk, [project]);
    return (
        <DataProvider id={project!} key={project}>
            <Desk />
        </DataProvider>
    );
}

/** What stands beside a drawing that does not come is not held back longer than this, ms. */
const PATIENCE = 1000;

/** Whether there is time for what stands beside the drawing: once that has been painted and the browser has shown it, or is late. */
function useStands(): boolean {
    const ready = useReady();
    const drawn = useDesk((s) => s.drawn);
    const [stands, setStands] = useState(false);
    useEffect(() => {
        if (!ready) return;
        const go = () => startTransition(() => setStands(true));
        let timer = drawn ? 0 : window.setTimeout(go, PATIENCE);
        const frame = drawn ? requestAnimationFrame(() => (timer = window.setTimeout(go))) : 0;
        return () => {
            cancelAnimationFrame(frame);
            window.clearTimeout(timer);
        };
    }, [ready, drawn]);
    return stands;
}

/** What the desk does rather than shows: its keys, its title, and an outline begun where it was opened to draw one. */
function Doing() {
    const data = useData();
    const [search, setSearch] = useSearchParams();
    useDeskKeys(data);

    useEffect(() => {
        document.title = `${data.project.settings.name} · Isleward`;
    }, [data.project.settings.name]);

    const draw = search.has('draw') && data.mayEdit;
    useEffect(() => {
        if (!draw) return;
        setSearch({}, { replace: true });
        startOutline(data);
        // once, when the page was opened to draw
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [draw]);
    return null;
}

/** The frame is laid out while the project is fetched; what it holds comes with it. */
function Desk() {
    const main = useDesk((s) => s.main);
    const schedules = useDesk((s) => s.schedules);
    const settings = useDesk((s) => s.settings);
    const commands = useDesk((s) => s.commands);
    const people = useDesk((s) => s.people);
    const stands = useStands();
    return (
        <div className="flex h-full flex-col">
            <Ready until={head}>
                <Doing />
                {stands ? <Header /> : head}
                <OutOfIt />
            </Ready>
            <main className="min-h-0 grow">
                <Group orientation="horizontal" className="h-full">
                    <Panel minSize="40%" defaultSize="74.4%">
                        <div className="flex h-full flex-col">
                            {stands ? <Rack /> : <div className="h-[92px] shrink-0 border-b border-hairline" />}
                            <div className="min-h-0 grow">
                                <Group orientation="vertical" className="h-full">
                                    <Panel minSize="30%">
                                        <div className="flex h-full">
                                            {main === 'elevation' && <StoreyLadder />}
                                            <Room key={main}>
                                                <Ready until={<Unfolding />}>{panes[main]}</Ready>
                                            </Room>
                                        </div>
                                    </Panel>
                                    {schedules && (
                                        <>
                                            <Bar />
                                            <Panel minSize="20%" defaultSize="42%">
                                                <Schedules />
                                            </Panel>
                                        </>
                                    )}
                                </Group>
                            </div>
                            {main === 'elevation' && (stands ? <PerimeterStrip /> : <div className="h-[58px] shrink-0" />)}
                        </div>
                    </Panel>
                    <Bar upright />
                    <Panel minSize="20%">
                        <Group orientation="vertical" className="h-full">
                            <Panel minSize="20%" defaultSize="36%">
                                {stands && <SidePane />}
                            </Panel>
                            <Bar />
                            <Panel minSize="25%">{stands && <Card />}</Panel>
                        </Group>
                    </Panel>
                </Group>
            </main>
            {stands && (
                <>
                    {commands && <CommandList />}
                    {settings && <SettingsDialog />}
                    {people && <PeopleDialog />}
                    <RemoveHanging />
                    <Going />
                </>
            )}
        </div>
    );
}

/** The two panes that are not enlarged, one at a time. */
function SidePane() {
    const main = useDesk((s) => s.main);
    const side = useDesk((s) => s.side);
    const others = (['solid', 'plan', 'section', 'picture', 'elevation'] as Pane[]).filter((p) => p !== main);
    const shown = side === main ? others[0]! : side;
    return (
        <section aria-label="Beside the drawing" className="flex h-full flex-col bg-sheet">
            <header className="flex flex-wrap items-center gap-x-2.5 px-4 pt-1.5">
                {others.map((p) => (
                    <button
                        key={p}
                        type="button"
                        aria-pressed={p === shown}
                        onClick={() => useDesk.setState({ side: p })}
                        className={`pb-0.5 ${p === shown ? 'border-b-2 border-tide font-semibold' : 'text-quiet hover:text-tide'}`}
                    >
                        {names[p]}
                    </button>
                ))}
                <button
                    type="button"
                    aria-label={`Enlarge the ${names[shown].toLowerCase()}`}
                    title="Enlarge"
                    className="ml-auto p-1 text-quiet hover:text-tide"
                    onClick={() => useDesk.getState().enlarge(shown)}
                >
                    <Maximize2 size={14} />
                </button>
                {main !== 'elevation' && shown !== 'elevation' && (
                    <button
                        type="button"
                        aria-label="Back to the elevation"
                        title="Back to the elevation, large"
                        className="text-xs whitespace-nowrap text-tide underline"
                        onClick={() => useDesk.getState().enlarge('elevation')}
                    >
                        Back
                    </button>
                )}
            </header>
            <div className="min-h-0 grow">{panes[shown]}</div>
        </section>
    );
}

function Bar({ upright = false }: { upright?: boolean }) {
    return <Separator className={`bg-hairline hover:bg-tide data-[separator=active]:bg-tide ${upright ? 'w-[3px]' : 'h-[3px]'}`} />;
}
