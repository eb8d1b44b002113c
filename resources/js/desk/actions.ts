import type { useData } from './data';
import { layersOf } from './bands/placed';
import { chosenParts } from './curtain/parts';
import { chosenLights, lightParts } from './roofs/lights';
import { sectionThrough, startSection } from './section/cutting';
import { startMeasuring } from './measuring';
import { clearMadeToFit } from './clearing';
import { startOutline, startSlab } from './plan/outlining';
import { chosenOf } from './screens/placed';
import { showEverything, toggleHidden, workAlone } from './showing';
import { hideable, useDesk, type Hideable, type Sheet, type PartName } from './store';

type Data = ReturnType<typeof useData>;

/** Something that can be done: under this name in the command list, by this key on the desk, on the card of what it is done to. */
export type Action = { name: string; key?: string; short?: string; run: () => void };

const openings = (data: Data) => useDesk.getState().chosen.filter((id) => data.openings.has(id));
const walls = (data: Data) => useDesk.getState().chosen.filter((id) => data.walls.has(id));
const bands = (data: Data) => useDesk.getState().chosen.filter((id) => layersOf(data).some((l) => l.id === id));
const sheet = (name: string, which: Sheet, key?: string, short?: string): Action => ({
    name,
    key,
    short,
    run: () => useDesk.getState().open(which),
});

/** Whether the chosen openings hold one type of unit. */
function oneType(data: Data): boolean {
    const types = new Set(openings(data).map((id) => data.openings.get(id)!.type));
    return types.size === 1 && !types.has(null);
}

/** What can be done with the chosen openings, in the order of a working day. */
export function openingActions(data: Data): Action[] {
    if (openings(data).length === 0) return [];
    const gather = sheet('Gather all alike', 'gather', 'g', 'Gather');
    if (!data.mayEdit) return [gather];
    return [
        gather,
        sheet('Repeat along the wall', 'repeat', 'r', 'Repeat'),
        sheet('Space evenly', 'space', 'e', 'Space'),
        sheet('Copy to other walls', 'copy', 'c', 'Copy'),
        sheet('Stack onto other storeys', 'stack', 't', 'Stack'),
        sheet('Mirror', 'mirror', 'm', 'Mirror'),
        sheet('Align heads, sills, jambs or centres', 'align', 'a', 'Align'),
        sheet('Carry settings to others', 'carry', 'y', 'Carry'),
        sheet('Fill bare openings with units', 'fill', 'f', 'Fill'),
        sheet('Empty: take the units out', 'empty', 'b', 'Empty'),
        ...(openings(data).length === 1
            ? [{ name: 'Section through the opening', key: 'k', short: 'Section', run: () => sectionThrough(openings(data)[0]!) }]
            : []),
        ...(oneType(data)
            ? [
                  {
                      name: 'Make the unit a type of its own',
                      short: 'Own type',
                      run: () => void data.edit('opening.own-type', { ids: openings(data) }),
                  },
              ]
            : []),
    ];
}

/** Brings one to the place on the card where it is said how, which is opened first where it is shut. */
function toArrange(name: string, key: string, short: string): Action {
    const field = () => document.querySelector<HTMLElement>(`[data-arrange="${key}"] :is(input, button)`);
    return {
        name,
        key,
        short,
        run: () => {
            if (!field()) document.querySelector<HTMLElement>('[data-arranging="false"] > button')?.click();
            requestAnimationFrame(() => field()?.focus());
        },
    };
}

/** What can be done with the chosen bands of fins and floor bands, by the keys of openings. */
export function bandActions(data: Data): Action[] {
    const { chosen } = useDesk.getState();
    const bands = layersOf(data).filter((l) => chosen.includes(l.id));
    const arranged = bands.filter((l) => l.remove === 'band.remove' || l.remove === 'floor-band.remove');
    if (!data.mayEdit || arranged.length === 0 || arranged.length < chosen.length) return [];
    const what = arranged.length === 1 ? 'the band' : 'the bands';
    return [
        toArrange(`Repeat ${what} up or outward`, 'r', 'Repeat'),
        toArrange(`Space ${what} evenly`, 'e', 'Space'),
        ...(arranged.length > 1 ? [toArrange('Align feet, middles or heads of the bands', 'a', 'Align')] : []),
        ...(arranged.every((l) => l.remove === 'band.remove') ? [toArrange(`Mirror ${what} end for end`, 'm', 'Mirror')] : []),
    ];
}

/** What can be done with the chosen cut-outs of a screen, by the keys of openings: brings one to its place on their card. */
export function cutOutActions(data: Data): Action[] {
    const chosen = data.mayEdit ? chosenOf(data) : null;
    if (!chosen || chosen.screen.parts.some((p) => chosen.parts.includes(p.n) && p.wall === null)) return [];
    const to = toArrange;
    return [
        to('Repeat the cut-outs along the wall or up', 'r', 'Repeat'),
        to('Space the cut-outs evenly', 'e', 'Space'),
        ...(chosen.screen.before.length > 1 ? [to('Copy the cut-outs before another wall', 'c', 'Copy')] : []),
        ...(data.project.storeys.length > 1 ? [to('Stack the cut-outs onto other storeys', 't', 'Stack')] : []),
        to('Mirror the cut-outs', 'm', 'Mirror'),
    ];
}

export function wallActions(data: Data): Action[] {
    if (!data.mayEdit || walls(data).length === 0) return [];
    return [
        sheet('Stack the wall onto other storeys', 'wallStack', undefined, 'Stack'),
        sheet('Move the wall', 'wallMove', undefined, 'Move'),
        sheet('Turn the wall about an end', 'wallTurn', undefined, 'Turn'),
        sheet('Bend the wall to an arc', 'wallBend', undefined, 'Bend'),
        sheet('Round corners of the outline', 'round', undefined, 'Round'),
        sheet('Recess a stretch or a corner', 'recess', undefined, 'Recess'),
    ];
}

/** What needs nothing chosen. */
export function deskActions(data: Data): Action[] {
    const lines = [...data.lines.values()];
    return data.mayEdit
        ? [
              ...(openings(data).length === 0 && data.openings.size > 0 ? [sheet('Gather openings', 'gather', 'g')] : []),
              ...(data.project.walls.length > 0
                  ? [
                        sheet('Add a setting-out line', 'line', 'l', 'Line'),
                        sheet('Divide a frontage by setting-out lines', 'divide', 'd', 'Divide'),
                        ...(data.openings.size > 0 ? [sheet('Mark openings by a rule', 'number')] : []),
                    ]
                  : []),
              ...(lines.length > 0
                  ? [{ name: 'Remove all setting-out lines', run: () => useDesk.setState({ removingLines: 'all' }) }]
                  : []),
              ...(data.project.walls.length > 0 ? [{ name: 'Cut a section along a line', key: 's', run: startSection }] : []),
              sheet('Tracings under the plan', 'tracings', 'j'),
              { name: 'Draw an outline of walls', run: () => startOutline(data) },
              { name: 'Draw inner walls', run: () => startOutline(data, true) },
              { name: 'Clear types made to fit that fill nothing', run: () => void clearMadeToFit(data) },
              { name: 'Draw a slab', run: () => startSlab(data) },
              ...(data.project.storeys.length > 0 && data.project.walls.length > 0
                  ? [{ name: 'Draw a line for a band of fins', run: () => startOutline(data, false, null, true) }]
                  : []),
              ...data.project.grids.map((g) => ({
                  name: `Draw a run of curtain wall ${g.mark}`,
                  run: () => startOutline(data, false, g.id),
              })),
          ]
        : [];
}

/** Ways to look. */
export function lookActions(data: Data): Action[] {
    const desk = useDesk.getState();
    const some = desk.chosen.length > 0;
    return [
        { name: 'Measure between two points', key: 'i', run: () => startMeasuring() },
        {
            name: desk.dimensions ? 'Hide the chain of dimensions' : 'Chain of dimensions along a storey',
            key: 'q',
            run: () => useDesk.setState((s) => ({ dimensions: !s.dimensions })),
        },
        {
            name: desk.marks ? 'Hide marks in the elevation' : 'Show marks under the openings',
            key: 'z',
            run: () => useDesk.setState((s) => ({ marks: !s.marks })),
        },
        { name: 'Choose by a frame', key: 'x', run: () => useDesk.getState().enter({ is: 'framing' }) },
        {
            name: desk.inside ? 'Look from outside' : 'Look from inside',
            key: 'n',
            run: () => useDesk.setState((s) => ({ inside: !s.inside })),
        },
        ...(data.project.outlines.some((o) => o.inner)
            ? [
                  {
                      name: desk.face === 'outer' ? 'Inner walls in elevation' : 'The outside in elevation',
                      key: 'w',
                      run: () => lookAtFace(desk.face === 'outer' ? 'inner' : 'outer'),
                  },
              ]
            : []),
        ...(some || bands(data).length > 0 || desk.alone
            ? [{ name: desk.alone ? 'Work on everything again' : 'Work on what is chosen alone', key: 'o', run: () => workAlone(data) }]
            : []),
        ...(openings(data).length + walls(data).length + bands(data).length + desk.cells.length + desk.pieces.length + desk.named.length > 0
            ? [{ name: 'Hide what is chosen', key: 'h', run: () => hideChosen(data) }]
            : []),
        { name: 'Show all that is hidden', key: 'u', run: showEverything },
        {
            name: desk.through ? 'Walls solid again' : 'See through the outer walls',
            key: 'v',
            run: () => useDesk.setState((s) => ({ through: !s.through })),
        },
        ...(layersOf(data).length > 0
            ? [
                  {
                      name: desk.dimmed ? 'Fins solid again' : 'See through the fins',
                      key: 'p',
                      run: () => useDesk.setState((s) => ({ dimmed: !s.dimmed })),
                  },
              ]
            : []),
        ...(Object.keys(hideable) as Hideable[]).map((kind) => ({
            name: `${desk.hidden.includes(kind) ? 'Show' : 'Hide'} ${hideable[kind]}`,
            run: () => toggleHidden(kind),
        })),
    ];
}

export function lookAtFace(face: 'outer' | 'inner'): void {
    useDesk.setState((s) => ({ face, views: { ...s.views, elevation: null } }));
}

function hideChosen(data: Data): void {
    const { cells, pieces, named } = useDesk.getState();
    const lights = chosenLights(data);
    if (lights)
        return hideParts(
            lightParts(
                lights.roof.id,
                lights.lights.map((l) => l.n),
            ),
        );
    if (cells.length + pieces.length + named.length > 0) return hideParts(chosenParts(data, cells, pieces, named));
    const ids = [...openings(data), ...walls(data), ...bands(data)];
    useDesk.setState((s) => ({ hiddenOnes: [...new Set([...s.hiddenOnes, ...ids])], chosen: [] }));
}

/** Hides cells and members of a curtain wall by themselves; the whole stays chosen. */
export function hideParts(parts: PartName[]): void {
    const same = (a: PartName) => (b: PartName) => a.element === b.element && a.part === b.part;
    useDesk.setState((s) => ({
        hiddenParts: [...s.hiddenParts, ...parts.filter((p) => !s.hiddenParts.some(same(p)))],
        cells: [],
        pieces: [],
        named: [],
        fins: [],
    }));
}

/** The action of a key, if there is one now. */
export function actionOf(data: Data, key: string): Action | undefined {
    return [...openingActions(data), ...cutOutActions(data), ...bandActions(data), ...deskActions(data), ...lookActions(data)].find(
        (a) => a.key === key,
    );
}
