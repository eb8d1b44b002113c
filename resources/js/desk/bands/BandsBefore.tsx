import type { Wall } from '../../api/client';
import { Button } from '../../ui/Button';
import { useData } from '../data';
import { standBand } from '../plan/outlining';
import { startRegion } from '../screens/cutting';
import { useDesk } from '../store';

/** The bands that stand before a wall, and one more along it or round its outline. */
export function BandsBefore({ wall }: { wall: Wall }) {
    const data = useData();
    const active = useDesk((s) => s.storey);
    const outline = data.project.outlines.find((o) => o.id === wall.outline);
    const bands = data.project.bands.filter((b) => b.before.includes(wall.id));
    const floors = data.project.floorBands.filter((b) => b.before.includes(wall.id));
    const screens = data.project.screens.filter((s) => s.before.includes(wall.id));
    const within = data.project.storeys.filter((s) => s.floor >= wall.foot - 1 && s.ceiling <= wall.head + 1);
    const storey = within.find((s) => s.id === active) ?? within[0] ?? data.storeys.get(wall.base);
    const slabbed = data.project.floorBands.some((b) => b.outline === outline?.id && b.depth === null);
    const many = data.project.walls.filter((w) => w.outline === wall.outline).length > 1;
    if (!storey || !outline || (bands.length + floors.length + screens.length === 0 && !data.mayEdit)) return null;
    const usual = {
        storey: storey.id,
        gap: 0,
        spaced: { by: 'greatest' as const, size: data.project.settings.units === 'mm' ? 200 : '200 mm' },
    };
    const theNew = { choose: (o: { chosen: string[] }) => o.chosen };
    const standScreen = (where: { walls?: string[]; outline?: string }) =>
        data.edit('screen.add', { ...where, storey: storey.id, gap: '150 mm', thick: '20 mm' }, theNew);
    return (
        <div className="mt-3 border-t border-hairline pt-2">
            {bands.map((b) => (
                <p key={b.id} className="flex min-h-7 items-center gap-2">
                    <button
                        type="button"
                        className="min-w-0 grow truncate text-left font-semibold text-tide hover:underline"
                        onClick={() => useDesk.getState().choose([b.id])}
                    >
                        {b.name}
                    </button>
                    <span className="text-quiet">
                        {b.count} before {b.before.length === 1 ? 'it' : `${b.before.length} walls`}
                    </span>
                </p>
            ))}
            {floors.map((b) => (
                <p key={b.id} className="flex min-h-7 items-center gap-2">
                    <button
                        type="button"
                        className="min-w-0 grow truncate text-left font-semibold text-tide hover:underline"
                        onClick={() => useDesk.getState().choose([b.id])}
                    >
                        {b.name}
                    </button>
                    <span className="text-quiet">at {b.rows.length === 1 ? 'one floor' : `${b.rows.length} floors`}</span>
                </p>
            ))}
            {screens.map((s) => (
                <p key={s.id} className="flex min-h-7 items-center gap-2">
                    <button
                        type="button"
                        className="min-w-0 grow truncate text-left font-semibold text-tide hover:underline"
                        onClick={() => useDesk.getState().choose([s.id])}
                    >
                        {s.name}
                    </button>
                    <span className="text-quiet">{data.length(s.gap)} before it</span>
                </p>
            ))}
            {data.mayEdit && (
                <div className="flex flex-wrap gap-1.5">
                    <Button small onClick={() => void standScreen({ walls: [wall.id] })}>
                        A screen before it
                    </Button>
                    <Button small onClick={() => startRegion(wall.id, 'rectangle')}>
                        Battens in a rectangle
                    </Button>
                    <Button small onClick={() => startRegion(wall.id, 'polygon')}>
                        Battens in a polygon
                    </Button>
                    {many && (
                        <Button small onClick={() => void standScreen({ outline: wall.outline })}>
                            A screen {outline.closed ? 'all round' : 'along'} {outline.name}
                        </Button>
                    )}
                    <Button small onClick={() => void standBand(data, { ...usual, walls: [wall.id] })}>
                        Stand fins before it on {storey.name}
                    </Button>
                    <Button
                        small
                        onClick={() =>
                            void data.edit(
                                'floor-band.add',
                                {
                                    outline: outline.id,
                                    storey: storey.id,
                                    top: within.at(-1)?.id ?? storey.id,
                                    out: data.project.settings.units === 'mm' ? 150 : '150 mm',
                                    height: data.project.settings.units === 'mm' ? 250 : '250 mm',
                                },
                                theNew,
                            )
                        }
                    >
                        Floor bands {outline.closed ? 'round' : 'along'} {outline.name}
                    </Button>
                    {outline.closed && !outline.inner && !slabbed && (
                        <Button
                            small
                            onClick={() =>
                                void data.edit(
                                    'floor-band.add',
                                    {
                                        outline: outline.id,
                                        depth: null,
                                        inner: true,
                                    },
                                    theNew,
                                )
                            }
                        >
                            Storey slabs in {outline.name}
                        </Button>
                    )}
                    {outline.closed && !outline.inner && !data.project.roofs.some((r) => r.outline === outline.id) && (
                        <Button small onClick={() => void data.edit('roof.add', { outline: outline.id }, theNew)}>
                            A roof over {outline.name}
                        </Button>
                    )}
                    {many && (
                        <Button small onClick={() => void standBand(data, { ...usual, outline: wall.outline })}>
                            {outline.closed ? 'All round' : 'Along'} {outline.name}
                        </Button>
                    )}
                </div>
            )}
        </div>
    );
}
