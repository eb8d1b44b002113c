import { create } from 'zustand';
import type { EditArgs, Schemas, Difference, Finding, Misfit, Outcome, Place } from '../api/client';

export type Pane = 'elevation' | 'plan' | 'section' | 'solid' | 'picture';
/** Panes that are drawn on canvas, panned and zoomed. */
export type DrawnPane = Exclude<Pane, 'solid' | 'picture'>;
export type Dimension = 'left' | 'right' | 'sill' | 'head' | 'width' | 'height';
export const dimensions: Dimension[] = ['left', 'right', 'sill', 'head', 'width', 'height'];

/** What the next opening is made of: a type from the rack, or a bare opening, with the size and sill used last. */
export type InHand = {
    type: string | null;
    grid?: string;
    label: string;
    width: number;
    height: number;
    sill: number;
    /** it goes into this rather than into the wall behind; the level of its floor */
    screen?: { id: string; name: string; floor: number } | null;
};

/** A cell of a curtain wall: of which stretch or opening, by the lines at its left and under it. */
export type CellKey = { element: string; left: string; foot: string };

/** A part of a curtain wall by its name within it, as sets and the solid model have it. */
export type PartName = { element: string; part: string };

/** What of a band's pieces a law drives. */
export type Driven = Schemas['LawCurve']['of'];

/** A piece of a line of a curtain wall, from the crossing line it begins at. */
export type PieceKey = {
    element: string;
    axis: 'upright' | 'level';
    line: string;
    from: string;
    /** what else is meant: its line, all in its bay (or row), all that stand as it does; none for it alone */
    reach?: 'line' | 'bay' | 'alike';
};

/** An opening that is being placed or moved and is not there yet. Lengths in mm; left from the wall's left end, sill as a level. */
export type Ghost = {
    /** the opening that is being moved, or null for a new one */
    moving: string | null;
    host: string;
    storey: string;
    left: number;
    sill: number;
    width: number;
    /** from jamb to jamb along the wall's face: its width, in a flat wall */
    span: number;
    height: number;
    /** what the caught line is called, sideways and upright */
    caught: {
        along: string | null;
        up: string | null;
        alongAt?: number;
        upAt?: number;
        line?: string | null;
        point?: 'near' | 'far' | 'centre';
        level?: string | null;
        edge?: 'sill' | 'head';
    };
    /** whether the middle of the wall holds its centre */
    centred: boolean;
    typed: Partial<Record<Dimension, string>>;
    lit: Dimension;
    refusal: string | null;
    findings: Finding[];
};

/** How a stretch of an outline is said to run, beside where it ends. */
export type Stretch = Exclude<NonNullable<EditArgs<'outline.draw'>['points']>[number], unknown[]>;

/** A corner of an outline being drawn; the stretch that leads there may be an arc: said so, and with the rise it has. */
export type Corner = { x: number; y: number; how?: Stretch; rise?: number };

/** How the next stretch of an outline is drawn: straight, an arc with a point on it, or one that runs on from the stretch before. */
export type StretchKind = 'straight' | 'arc' | 'on';

/** What is typed of a stretch; of an arc with both its ends given, one of its figures. */
export type StretchFigure = 'length' | 'angle' | 'rise' | 'radius' | 'arc';

/**
 * Drawing an outline in plan: the corners so far, and what is typed for the next side. An arc's end is put down before the arc is: then it
 * is `end`.
 */
export type OutlineInHand = {
    corners: Corner[];
    kind: StretchKind;
    end: { x: number; y: number; closes: boolean } | null;
    typed: Partial<Record<StretchFigure, string>>;
    lit: StretchFigure;
    refusal: string | null;
};

export type View = { x: number; y: number; k: number; flip?: boolean };

/** What is done to what is chosen on a sheet of its own, shown before it is done. */
export type Sheet =
    | 'gather'
    | 'number'
    | 'tracings'
    | 'repeat'
    | 'space'
    | 'copy'
    | 'stack'
    | 'mirror'
    | 'align'
    | 'carry'
    | 'fill'
    | 'empty'
    | 'line'
    | 'divide'
    | 'wallStack'
    | 'wallMove'
    | 'wallTurn'
    | 'wallBend'
    | 'round'
    | 'recess'
    | 'revisions';

/** What a sheet would come to, as tried. */
export type Preview = {
    placed: Place[];
    misfits: Misfit[];
    notes: string[];
    wanted: number;
    refusal: string | null;
    findings: Finding[];
    lines: Outcome['lines'];
    walls: Outcome['walls'];
};

/** What is worked on alone. */
export type Alone = { name: string; walls?: string[]; storey?: string; openings?: string[]; layers?: string[] };

export const hideable = {
    openings: 'openings',
    units: 'units',
    lines: 'setting-out lines',
    findings: 'findings',
    outer: 'outer walls',
    inner: 'inner walls',
    fins: 'screens, fins, floor bands and battens',
    tracings: 'tracings',
} as const;
export type Hideable = keyof typeof hideable;

/** A point that is measured from or to: developed x and level in elevation, east and north in plan. */
export type Spot = { x: number; y: number; name: string; on?: Schemas['PlanSpot'][] };

/** Points picked in plan one after the other: the ends of a section line, points of a tracing and where they belong, marks. */
export type Pointing = {
    what: 'section' | 'scale' | 'put' | 'marks' | 'rooflight';
    points: Spot[];
    over: Spot | null;
    tracing?: string;
    /** of a rooflight: the roof it is placed in, and its unit type */
    roof?: string;
    type?: string;
};

/** An opening that a tracing offers along a wall. */
export type Candidate = Schemas['Candidate'];

export type Measuring = { pane: 'elevation' | 'plan'; from: Spot | null; to: Spot | null; over: Spot | null };

/** The one thing that is going on in the drawings; what keys and the pointer do then is in modes.ts. */
export type Mode =
    | { is: 'nothing' }
    | { is: 'placing'; inHand: InHand; ghost: Ghost | null }
    /** an opening is dragged */
    | { is: 'moving'; ghost: Ghost }
    | { is: 'outlining'; outline: OutlineInHand }
    | ({ is: 'measuring' } & Measuring)
    /** the next drag in the elevation draws a frame */
    | { is: 'framing' }
    /** an opening waits for a picked point to be measured from */
    | { is: 'picking'; opening: string }
    /** a free member is drawn across the cells of a curtain wall */
    | { is: 'spanning'; element: string; from: [number, number] | null; to: [number, number] | null }
    /** a cut-out in a screen is drawn, or a piece added to it */
    | ({ is: 'cutting' } & CutInHand)
    | ({ is: 'pointing' } & Pointing);

/** A shape that is drawn on a screen: places before one wall, u from its left end and the level, and what is typed of its size. */
export type CutInHand = {
    /** none where the shape is a region of a wall that battens will fill */
    screen: string | null;
    cut: boolean;
    form: 'rectangle' | 'slot' | 'round' | 'polygon';
    wall: string | null;
    points: [number, number][];
    over: { wall: string; at: [number, number] } | null;
    typed: string;
};

const nothing: Mode = { is: 'nothing' };

/** What goes on for a sheet, which stays open beside it. */
const besideSheets: Mode['is'][] = ['pointing', 'framing', 'picking'];

/** A long edit that is going on. */
export type Going = { id: string; what: string; done: number; total: number; state: string };

type Desk = {
    chosen: string[];
    /** of a chosen curtain wall */
    cells: CellKey[];
    pieces: PieceKey[];
    /** of a chosen curtain wall what stands at its corners, and free members */
    named: PartName[];
    /** of a chosen band, or of a screen its cut-outs, by their numbers */
    fins: number[];
    /** whose law's curve is drawn */
    driven: Driven;
    storey: string | null;
    mode: Mode;
    sheet: Sheet | null;
    preview: Preview | null;
    /** what would become of it with what is being typed in a card */
    tried: Pick<Outcome, 'placed' | 'curtains' | 'bands'> | null;
    /** what differs between two states, drawn while they are compared */
    differing: Difference[];
    /** the building's outside, or the inner walls */
    face: 'outer' | 'inner';
    /** frontages seen from inside the building; an inner wall from its other side */
    inside: boolean;
    hidden: Hideable[];
    hiddenSets: string[];
    hiddenOnes: string[];
    /** cells and members of curtain walls that are hidden by themselves */
    hiddenParts: { element: string; part: string }[];
    alone: Alone | null;
    /** outer walls are seen through in the solid model */
    through: boolean;
    /** fins are seen through in the elevation */
    dimmed: boolean;
    dimensions: boolean;
    /** marks are written under the openings */
    marks: boolean;
    going: Going | null;
    /** what a sheet is done to besides what is chosen: walls to copy to, openings to carry to */
    targets: string[];
    /** the opening that settings are carried from */
    source: string | null;
    /** what is to be removed, once it is known what hangs on it */
    removingLines: string[] | 'all' | null;
    removingOpenings: string[] | null;
    main: Pane;
    side: Pane;
    /** whether the elevation has been painted, as far as it had come */
    drawn: boolean;
    schedules: boolean;
    commands: boolean;
    listFindings: boolean;
    settings: boolean;
    people: boolean;
    views: Record<DrawnPane, View | null>;
    sizes: Record<DrawnPane, { width: number; height: number }>;
    /** the section that is shown: a kept one, or square through an opening */
    section: { line: string } | { opening: string } | null;
    /** openings that the tracings of the storey offer, and the one that was clicked */
    candidates: Candidate[];
    taking: Candidate | null;
    /** a request to bring something into view: everything, or these elements */
    goTo: { what: 'all' | string[]; count: number };
    set: (part: Partial<Desk>) => void;
    choose: (ids: string[], add?: boolean) => void;
    look: (pane: DrawnPane, view: View | null) => void;
    show: (what: 'all' | string[]) => void;
    enlarge: (pane: Pane) => void;
    /** Something begins, and whatever was going on ends. */
    enter: (mode: Mode) => void;
    leave: () => void;
    /** ends it if it is still this; false when something else goes on by now, and whoever does that is not disturbed */
    leaveStill: (what: Mode['is']) => boolean;
    open: (sheet: Sheet | null) => void;
};

/** What these come to is seen in plan. */
const inPlan: Sheet[] = ['wallMove', 'wallTurn', 'recess'];

const plain = {
    differing: [] as Difference[],
    sheet: null as Sheet | null,
    preview: null,
    tried: null,
    face: 'outer' as const,
    inside: false,
    hidden: [],
    hiddenSets: [],
    hiddenOnes: [],
    hiddenParts: [],
    alone: null,
    through: false,
    dimmed: false,
    dimensions: false,
    marks: false,
    going: null,
    targets: [],
    source: null,
    section: null,
    candidates: [],
    taking: null,
    removingLines: null,
    removingOpenings: null,
};

/** What the desk shows and holds; nothing of the design itself. */
export const useDesk = create<Desk>((set, get) => ({
    chosen: [],
    cells: [],
    pieces: [],
    named: [],
    fins: [],
    driven: 'reach',
    storey: null,
    mode: nothing,
    ...plain,
    main: 'elevation',
    side: 'solid',
    drawn: false,
    schedules: false,
    commands: false,
    listFindings: false,
    settings: false,
    people: false,
    views: { elevation: null, plan: null, section: null },
    sizes: { elevation: { width: 0, height: 0 }, plan: { width: 0, height: 0 }, section: { width: 0, height: 0 } },
    goTo: { what: 'all', count: 0 },
    set: (part) => set(part),
    choose: (ids, add = false) =>
        set((s) => {
            if (!add) return { chosen: ids, cells: [], pieces: [], named: [], fins: [], listFindings: false };
            if (ids.length > 1) return { chosen: [...new Set([...s.chosen, ...ids])], listFindings: false };
            const kept = s.chosen.filter((id) => !ids.includes(id));
            return { chosen: kept.length === s.chosen.length ? [...s.chosen, ...ids] : kept };
        }),
    look: (pane, view) => set((s) => ({ views: { ...s.views, [pane]: view } })),
    show: (what) => set((s) => ({ goTo: { what, count: s.goTo.count + 1 } })),
    enlarge: (pane) =>
        set((s) =>
            s.main === pane
                ? {}
                : {
                      views: { elevation: null, plan: null, section: null },
                      main: pane,
                      side: s.main === 'elevation' || s.side === pane ? s.main : s.side,
                  },
        ),
    enter: (mode) => set({ mode, ...(besideSheets.includes(mode.is) ? {} : { sheet: null }), preview: null }),
    leave: () => set({ mode: nothing }),
    leaveStill: (what) => {
        const now = get().mode.is;
        if (now === what) set({ mode: nothing });
        return now === what || now === 'nothing';
    },
    open: (sheet) =>
        set((s) => ({
            ...(sheet && inPlan.includes(sheet) && s.main !== 'plan' ? { side: 'plan' as const } : {}),
            targets: sheet === 'carry' ? s.chosen.slice(1) : [],
            source: sheet === 'carry' ? (s.chosen[0] ?? null) : null,
            mode: nothing,
            sheet,
            preview: null,
            differing: [],
            listFindings: false,
        })),
}));

export const resetDesk = () =>
    useDesk.setState({
        ...plain,
        chosen: [],
        cells: [],
        pieces: [],
        named: [],
        fins: [],
        driven: 'reach',
        storey: null,
        mode: nothing,
        main: 'elevation',
        side: 'solid',
        drawn: false,
        schedules: false,
        listFindings: false,
        settings: false,
        people: false,
        views: { elevation: null, plan: null, section: null },
    });

type WithMode = { mode: Mode };
export const inHandOf = ({ mode }: WithMode) => (mode.is === 'placing' ? mode.inHand : null);
export const ghostOf = ({ mode }: WithMode) => (mode.is === 'placing' || mode.is === 'moving' ? mode.ghost : null);
export const outlineOf = ({ mode }: WithMode) => (mode.is === 'outlining' ? mode.outline : null);
export const measuringOf = ({ mode }: WithMode) => (mode.is === 'measuring' ? mode : null);
export const pickingOf = ({ mode }: WithMode) => (mode.is === 'picking' ? mode.opening : null);
export const pointingOf = ({ mode }: WithMode) => (mode.is === 'pointing' ? mode : null);

/** The ghost becomes another, if there still is one. */
export const changeGhost = (to: (ghost: Ghost) => Ghost) =>
    useDesk.setState(({ mode }) =>
        (mode.is === 'placing' || mode.is === 'moving') && mode.ghost ? { mode: { ...mode, ghost: to(mode.ghost) } } : {},
    );
