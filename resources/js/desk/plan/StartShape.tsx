import { Popover } from 'radix-ui';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/TextField';
import { useData } from '../data';
import { build } from './outlining';

const sizes = {
    mm: { width: '24000', depth: '14000', corner: '3000', radius: '5000' },
    m: { width: '24', depth: '14', corner: '3', radius: '5' },
    'ft-in': { width: "80'", depth: "45'", corner: "10'", radius: "16'" },
};

/** An outline begun as a whole: a rectangle, with rounded corners or not, or a circle, about a place in plan. */
export function StartShape() {
    const data = useData();
    const [open, setOpen] = useState<'rectangle' | 'circle' | null>(null);
    return (
        <span className="flex gap-2">
            {(['rectangle', 'circle'] as const).map((shape) => (
                <Popover.Root key={shape} open={open === shape} onOpenChange={(on) => setOpen(on ? shape : null)}>
                    <Popover.Trigger asChild>
                        <Button small>{shape === 'rectangle' ? 'Rectangle…' : 'Circle…'}</Button>
                    </Popover.Trigger>
                    <Popover.Portal>
                        <Popover.Content
                            sideOffset={4}
                            align="end"
                            className="z-40 w-64 rounded-md border border-hairline bg-sheet p-3 shadow-lg"
                        >
                            <ShapeForm shape={shape} usual={sizes[data.project.settings.units]} />
                        </Popover.Content>
                    </Popover.Portal>
                </Popover.Root>
            ))}
        </span>
    );
}

function ShapeForm({ shape, usual }: { shape: 'rectangle' | 'circle'; usual: (typeof sizes)['mm'] }) {
    const data = useData();
    const [x, setX] = useState('0');
    const [y, setY] = useState('0');
    const [width, setWidth] = useState(usual.width);
    const [depth, setDepth] = useState(usual.depth);
    const [corner, setCorner] = useState(usual.corner);
    const [radius, setRadius] = useState(usual.radius);
    return (
        <form
            className="grid gap-2"
            onSubmit={(event) => {
                event.preventDefault();
                void build(
                    data,
                    shape === 'circle'
                        ? { circle: { x, y, radius }, closed: true }
                        : { rectangle: { x, y, width, depth, ...(corner.trim() === '' ? {} : { radius: corner }) }, closed: true },
                );
            }}
        >
            {shape === 'circle' ? (
                <TextField label="Radius" value={radius} onChange={setRadius} />
            ) : (
                <>
                    <TextField label="Width, west to east" value={width} onChange={setWidth} />
                    <TextField label="Depth, south to north" value={depth} onChange={setDepth} />
                    <TextField label="Corners rounded by (0: not)" value={corner} onChange={setCorner} />
                </>
            )}
            <div className="grid grid-cols-2 gap-2">
                <TextField label={shape === 'circle' ? 'Centre, east' : 'Corner, east'} value={x} onChange={setX} />
                <TextField label={shape === 'circle' ? 'Centre, north' : 'Corner, north'} value={y} onChange={setY} />
            </div>
            <Button look="main" type="submit">
                Build
            </Button>
        </form>
    );
}
