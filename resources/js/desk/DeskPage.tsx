import { Maximize2 } from 'lucide-react';
import { startTransition, useEffect, useState, type ReactNode } from 'react';
import { Group, Panel, Separator } from 'react-resizable-panels';
import { useParams } from 'react-router';
import { Doing } from './Doing';
import { DataProvider, Ready, Unfolding, useData, useReady } from './data';
import { ElevationPane } from './elevation/ElevationPane';
import { StoreyLadder } from './elevation/StoreyLadder';
import { Room } from './drawing/Room';
import { OutOfIt } from '../people/Others';
import { later } from '../ui/later';
import { resetDesk, useDesk, type Pane } from './store';

/** Where the header will be. */
const head = <div className="h-[46px] shrink-0 border-b border-hairline bg-sheet" />;

/** Where the rack and the strip of frontages will be. */
const rack = <div className="h-[92px] shrink-0 border-b border-hairline" />;
const strip = <div className="h-[58px] shrink-0" />;

// This page begins with the drawing alone. What stands beside it is a file of its own, which comes while that is being drawn.
const Rack = later('The rack', () => import('./Rack').then((m) => m.Rack), rack);
const PerimeterStrip = later('The strip of frontages', () => import('./elevation/PerimeterStrip').then((m) => m.PerimeterStrip), strip);
const RemoveHanging = later('The question', () => import('./RemoveHanging').then((m) => m.RemoveHanging), null);
const Going = later('The way out', () => import('./Going').then((m) => m.Going), null);
const PlanPane = later('The plan', () => import('./plan/PlanPane').then((m) => m.PlanPane));
const SectionPane = later('The section', () => import('./section/SectionPane').then((m) => m.SectionPane));
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

/** Whether the browser has nothing else to do since all that is in the way of work stands: a model takes a slow machine a second. */
function useAtEase(stands: boolean): boolean {
    const [ease, setEase] = useState(false);
    useEffect(() => {
        if (!stands || ease) return;
        const id = requestIdleCallback(() => startTransition(() => setEase(true)), { timeout: 2 * PATIENCE });
        return () => cancelIdleCallback(id);
    }, [stands, ease]);
    return ease;
}

function Title() {
    const { name } = useData().project.settings;
    useEffect(() => {
        document.title = `${name} · Isleward`;
    }, [name]);
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
    const beside = useAtEase(stands);
    return (
        <div className="flex h-full flex-col">
            <Ready until={head}>
                <Title />
                <Doing />
                {stands ? <Header /> : head}
                <OutOfIt />
            </Ready>
            <main className="min-h-0 grow">
                <Group orientation="horizontal" className="h-full">
                    <Panel minSize="40%" defaultSize="74.4%">
                        <div className="flex h-full flex-col">
                            {stands ? <Rack /> : rack}
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
                            {main === 'elevation' && (stands ? <PerimeterStrip /> : strip)}
                        </div>
                    </Panel>
                    <Bar upright />
                    <Panel minSize="20%">
                        <Group orientation="vertical" className="h-full">
                            <Panel minSize="20%" defaultSize="36%">
                                {beside && <SidePane />}
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
