import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { useData } from '../data';
import { outlineOf, useDesk, type OutlineInHand, type StretchKind } from '../store';
import { drawAs, finishOutline, useOutlining } from './outlining';
import { StartShape } from './StartShape';

/** What the walls of the outline being drawn will be, and the ways to end it. */
export function OutlineBar() {
    const data = useData();
    const { thickness, base, top, inner, line, grid, band, slab, built } = useOutlining();
    const outline = useDesk(outlineOf);
    if (!outline) return null;
    const storeys = data.project.storeys.map((s) => ({ value: s.id, label: s.name }));
    const sides = outline.corners.length;
    const heading = () => {
        if (slab) return slab === 'new' ? 'New slab' : 'Opening in a slab';
        if (band) return 'Line of a band of fins';
        if (grid) return 'New run';
        return inner ? 'Inner walls' : 'New outline';
    };
    return (
        <div className="absolute top-2 right-3 left-3 flex flex-wrap items-center gap-x-3 gap-y-1 rounded-md border border-hairline bg-paper px-3 py-2">
            <span className="font-semibold">{heading()}</span>
            {slab && slab !== 'new' ? null : band ? (
                <span>
                    {slab ? 'the floor of' : 'standing on'}{' '}
                    <Choice label="Storey" value={base ?? ''} options={storeys} onChange={(v) => useOutlining.setState({ base: v })} />
                    {!slab && '; its outside to the right'}
                </span>
            ) : (
                <span>
                    <Choice
                        label="Built as"
                        value={grid ?? 'walls'}
                        options={[
                            { value: 'walls', label: 'walls' },
                            ...data.project.grids.map((g) => ({ value: g.id, label: `curtain wall ${g.mark}` })),
                        ]}
                        onChange={(v) => useOutlining.setState({ grid: v === 'walls' ? null : v })}
                    />{' '}
                    {grid === null && (
                        <>
                            <input
                                aria-label="Thickness"
                                value={thickness}
                                onChange={(e) => useOutlining.setState({ thickness: e.target.value })}
                                className="w-16 rounded-sm border-b border-tide bg-tide-wash px-1 font-semibold"
                            />{' '}
                            thick,{' '}
                            {inner ? (
                                <>
                                    drawn by their{' '}
                                    <Choice
                                        label="Drawn by"
                                        value={line}
                                        options={[
                                            { value: 'centre', label: 'centre line' },
                                            { value: 'face', label: 'face on the right' },
                                        ]}
                                        onChange={(v) => useOutlining.setState({ line: v })}
                                    />
                                    ,{' '}
                                </>
                            ) : (
                                'inward, '
                            )}
                        </>
                    )}
                    from{' '}
                    <Choice
                        label="First storey"
                        value={base ?? ''}
                        options={storeys}
                        onChange={(v) => useOutlining.setState({ base: v })}
                    />{' '}
                    to{' '}
                    <Choice label="Last storey" value={top ?? ''} options={storeys} onChange={(v) => useOutlining.setState({ top: v })} />
                </span>
            )}
            <span>
                Next{' '}
                <Choice
                    label="Next stretch"
                    value={outline.kind}
                    options={[
                        { value: 'straight', label: 'straight' },
                        { value: 'arc', label: 'an arc through a point' },
                        ...(sides > 1 ? [{ value: 'on', label: 'an arc that runs on' }] : []),
                    ]}
                    onChange={(kind) => drawAs(kind as StretchKind)}
                />
            </span>
            <span className="grow text-xs text-quiet">{hint(outline, inner, built, (grid !== null || band) && !slab)}</span>
            {sides === 0 && !inner && <StartShape />}
            <Button
                small
                look={(inner || grid || band) && !slab ? 'outline' : 'main'}
                disabled={sides < (outline.corners.some((c) => c.rise) ? 2 : 3)}
                onClick={() => void finishOutline(data, true)}
            >
                {slab === 'new' ? 'Close and build' : slab ? 'Close and cut' : band ? 'Close and stand them' : 'Close and build'}
            </Button>
            {!slab && (
                <Button
                    small
                    look={inner || grid || band ? 'main' : 'outline'}
                    disabled={sides < 2}
                    onClick={() => void finishOutline(data, false)}
                >
                    {band ? 'Stand them' : inner || grid ? 'Build' : 'Build open'}
                </Button>
            )}
            <Button small look="plain" onClick={() => useDesk.getState().leave()}>
                {built > 0 ? 'Done' : 'Cancel'}
            </Button>
            {outline.refusal && (
                <p role="alert" className="w-full border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-xs text-buoy">
                    {outline.refusal}
                </p>
            )}
        </div>
    );
}

/** What to do next. */
function hint(outline: OutlineInHand, inner: boolean, built: number, run: boolean): string {
    if (outline.corners.length === 0 && run) return 'Click where the run begins: its outside lies on the right of the way it is drawn.';
    if (outline.corners.length === 0 && inner && built > 0) return 'Built. Click where the next begins; Esc when there are no more.';
    if (outline.corners.length === 0)
        return inner ? 'Click where the wall begins: it catches on the faces of walls.' : 'Click the first corner, or Enter for 0, 0.';
    if (outline.end) return 'Click a point on the arc, or type its rise; Tab for radius, arc length, angle; Enter.';
    if (outline.kind === 'on') return 'Click where the arc ends, or type its radius, Tab, the angle it turns by, Enter.';
    const end = outline.kind === 'arc' ? 'Click where the arc ends' : 'Click the next corner';
    return `${end}, or type a length, Tab, an angle (° from east), Enter. A: ${outline.kind === 'straight' ? 'an arc' : 'another kind'}.`;
}
