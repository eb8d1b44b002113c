import { storeyName } from './storeyName';
import { Command } from 'cmdk';
import { useNavigate } from 'react-router';
import type { Frontage } from '../api/client';
import { currentTheme, setTheme } from '../ui/theme';
import { words as layerWords } from './bands/alike';
import { layersOf } from './bands/placed';
import { useData } from './data';
import { download, exportsOffered } from './exporting';
import { takeInHand } from './placing';
import { deskActions, lookActions, bandActions, openingActions, cutOutActions, wallActions } from './actions';
import { chooseSet, isThere } from './curtain/parts';
import { frontageAlone, toggleSet } from './showing';
import { useDesk } from './store';

/** `found` is what it is found by, where that is not its name. */
type Action = { name: string; found?: string; keys?: string; run: () => void };

/** Brings a frontage into view, on the face it belongs to. */
export function goToFrontage(f: Frontage): void {
    useDesk.setState({ face: f.inner ? 'inner' : 'outer' });
    useDesk.getState().show([f.id]);
}

/** Every action under its plain name, and every place to go. */
export function CommandList() {
    const data = useData();
    const navigate = useNavigate();
    const open = useDesk((s) => s.commands);
    const chosen = useDesk((s) => s.chosen);
    const desk = useDesk.getState();
    const close = () => desk.set({ commands: false });
    const layers = layersOf(data);
    const groups: [string, Action[]][] = [
        [
            'Do',
            [
                ...[...openingActions(data), ...cutOutActions(data), ...bandActions(data), ...wallActions(data), ...deskActions(data)].map(
                    ({ name, key, run }) => ({
                        name,
                        keys: key?.toUpperCase(),
                        run,
                    }),
                ),
                ...(data.mayEdit
                    ? [
                          ...(data.project.undo
                              ? [{ name: `Undo: ${data.project.undo}`, found: 'Undo', keys: 'Ctrl Z', run: () => void data.undo() }]
                              : []),
                          ...(data.project.redo
                              ? [{ name: `Redo: ${data.project.redo}`, found: 'Redo', keys: 'Ctrl Shift Z', run: () => void data.redo() }]
                              : []),
                          ...data.project.types.map((t) => ({
                              name: `Place ${t.mark} ${t.name}`,
                              run: () => takeInHand(data, { type: t.id, label: t.mark, width: t.width, height: t.height, sill: t.sill }),
                          })),
                          { name: 'Make a new unit at the bench', run: () => void navigate(`/projects/${data.id}/bench/new`) },
                          {
                              name: 'Place a bare opening',
                              run: () => takeInHand(data, { type: null, label: 'bare opening', width: 1000, height: 1000, sill: 900 }),
                          },
                          ...(chosen.some((id) => data.openings.has(id))
                              ? [
                                    {
                                        name: 'Remove what is chosen',
                                        keys: 'Delete',
                                        run: () => desk.set({ removingOpenings: chosen.filter((id) => data.openings.has(id)) }),
                                    },
                                ]
                              : []),
                      ]
                    : []),
                ...data.project.types.map((t) => ({
                    name: `${t.mark} ${t.name} at the bench`,
                    run: () => void navigate(`/projects/${data.id}/bench/${t.id}`),
                })),
                { name: 'Sheets', run: () => void navigate(`/projects/${data.id}/sheets`) },
                ...exportsOffered.map((e) => ({ name: `Export: ${e.label}`, run: () => download(data.id, e.file) })),
                { name: 'People: invite, links, who may do what', run: () => desk.set({ people: true }) },
                { name: 'Settings of the project', run: () => desk.set({ settings: true }) },
            ],
        ],
        [
            'Look',
            [
                { name: 'Show everything', keys: 'Home', run: () => desk.show('all') },
                ...(chosen.length ? [{ name: 'Show what is chosen', keys: 'End', run: () => desk.show(chosen) }] : []),
                { name: 'Enlarge the elevation', keys: 'Alt 1', run: () => desk.enlarge('elevation') },
                { name: 'Enlarge the plan', keys: 'Alt 2', run: () => desk.enlarge('plan') },
                { name: 'Enlarge the solid model', keys: 'Alt 3', run: () => desk.enlarge('solid') },
                {
                    name: 'Picture beside the desk',
                    run: () => useDesk.setState((s) => (s.main === 'picture' ? {} : { side: 'picture' as const })),
                },
                { name: 'Enlarge the section', keys: 'Alt 4', run: () => desk.enlarge('section') },
                ...data.project.sections.map((s) => ({
                    name: `Section ${s.name}`,
                    run: () =>
                        useDesk.setState((d) => ({
                            section: { line: s.id },
                            ...(d.main === 'section' ? {} : { side: 'section' as const }),
                        })),
                })),
                ...lookActions(data).map(({ name, key, run }) => ({ name, keys: key?.toUpperCase(), run })),
                { name: 'Revisions and changes', run: () => desk.open('revisions') },
                { name: 'Schedules', run: () => desk.set({ schedules: true }) },
                { name: 'Findings', run: () => desk.set({ listFindings: true }) },
                {
                    name: currentTheme() === 'dark' ? 'Light theme' : 'Dark theme',
                    run: () => setTheme(currentTheme() === 'dark' ? 'light' : 'dark'),
                },
                { name: 'All projects', run: () => void navigate('/') },
            ],
        ],
        [
            'Go to',
            [
                ...data.project.frontages.map((f) => ({ name: `Frontage ${f.name}`, run: () => goToFrontage(f) })),
                ...data.project.frontages.map((f) => ({ name: `Only frontage ${f.name}`, run: () => frontageAlone(f) })),
                ...data.project.sets.map((s) => ({
                    name: `Set ${s.name}: choose`,
                    run: () =>
                        chooseSet(
                            s.members.filter((m) => data.openings.has(m) || data.walls.has(m) || layers.some((l) => l.id === m)),
                            s.parts.filter((p) => isThere(data, p)),
                        ),
                })),
                ...data.project.sets.map((s) => ({
                    name: `Set ${s.name}: ${useDesk.getState().hiddenSets.includes(s.id) ? 'show' : 'hide'}`,
                    run: () => toggleSet(s.id),
                })),
                ...layers.map(({ id, name, remove }) => ({
                    name: `${name}, ${layerWords[remove]}`,
                    run: () => {
                        desk.choose([id]);
                        desk.show([id]);
                    },
                })),
                ...data.project.storeys.map((s) => ({
                    name: storeyName(s.name),
                    run: () => useDesk.setState({ storey: s.id, chosen: [s.id] }),
                })),
            ],
        ],
    ];
    return (
        <Command.Dialog
            open={open}
            onOpenChange={(now) => !now && close()}
            label="Find or do"
            overlayClassName="fixed inset-0 z-40 bg-ink/25"
            contentClassName="fixed top-14 left-1/2 z-50 w-[34rem] max-w-[92vw] -translate-x-1/2 overflow-hidden rounded-md border border-hairline bg-sheet shadow-xl"
        >
            <Command.Input
                autoFocus
                placeholder="Find or do…"
                className="w-full border-b border-hairline bg-transparent px-4 py-3 text-[14px] outline-none"
            />
            <Command.List className="max-h-[55vh] overflow-auto p-1.5">
                <Command.Empty className="px-3 py-4 text-quiet">Nothing found.</Command.Empty>
                {groups.map(([heading, actions]) => (
                    <Command.Group
                        key={heading}
                        heading={heading}
                        className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-xs [&_[cmdk-group-heading]]:text-quiet"
                    >
                        {actions.map((action) => (
                            <Command.Item
                                key={action.name}
                                value={action.found ?? action.name}
                                onSelect={() => {
                                    close();
                                    action.run();
                                }}
                                className="flex cursor-default justify-between rounded px-3 py-1.5 data-[selected=true]:bg-tide-wash"
                            >
                                {action.name}
                                {action.keys && <kbd className="font-sans text-xs text-quiet">{action.keys}</kbd>}
                            </Command.Item>
                        ))}
                    </Command.Group>
                ))}
            </Command.List>
        </Command.Dialog>
    );
}
