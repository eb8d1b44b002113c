import { useState, type FormEvent } from 'react';
import type { Units } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Dialog } from '../ui/Dialog';
import { TextField } from '../ui/TextField';
import { UnitsChoice } from '../ui/UnitsChoice';
import { useData } from './data';
import { useDesk } from './store';
import { later } from '../ui/later';

const UnitLimitsDialog = later('The limits of units', () => import('./UnitLimitsDialog').then((m) => m.UnitLimitsDialog));
const CurtainLimitsDialog = later(
    'The limits of curtain walls',
    () => import('./CurtainLimitsDialog').then((m) => m.CurtainLimitsDialog),
    null,
);
const LayerLimitsDialog = later('The limits of fins', () => import('./LayerLimitsDialog').then((m) => m.LayerLimitsDialog), null);
const FinishesDialog = later('The finishes', () => import('../bench/Finishes').then((m) => m.FinishesDialog));

/** The project's settings: name, units, the margin at corners, the nib in inner walls, masonry, the lowest floor's level, north. */
export function SettingsDialog() {
    const open = useDesk((s) => s.settings);
    return (
        <Dialog open={open} onClose={() => useDesk.setState({ settings: false })} title="Settings of the project">
            <Form />
        </Dialog>
    );
}

const brick = { length: 225, height: 75, joint: 10 };
const isBrick = (m: typeof brick) => m.length === brick.length && m.height === brick.height && m.joint === brick.joint;

function Form() {
    const data = useData();
    const { settings } = data.project;
    const close = () => useDesk.setState({ settings: false });
    const [name, setName] = useState(settings.name);
    const [units, setUnits] = useState<Units>(settings.units);
    const [margin, setMargin] = useState(data.length(settings.cornerMargin));
    const [level, setLevel] = useState(data.length(settings.baseLevel));
    const [north, setNorth] = useState(String(settings.north));
    const [nib, setNib] = useState(data.length(settings.nib));
    const [masonry, setMasonry] = useState(settings.module === null ? 'none' : isBrick(settings.module) ? 'brick' : 'own');
    const [module, setModule] = useState(() => {
        const m = settings.module ?? brick;
        return { length: data.length(m.length), height: data.length(m.height), joint: data.length(m.joint) };
    });
    const [slab, setSlab] = useState(data.length(settings.slab));
    const [setting, setSetting] = useState(data.length(settings.setting));
    const [jambs, setJambs] = useState(settings.jambs);
    const [problem, setProblem] = useState<string>();
    const [further, setFurther] = useState<'limits' | 'curtain' | 'layers' | 'finishes' | null>(null);

    async function save(event: FormEvent) {
        event.preventDefault();
        const bearing = Number(north.replace(',', '.').replace('°', ''));
        if (!Number.isFinite(bearing) || north.trim() === '')
            return setProblem(`“${north}” is not a bearing: give degrees from 0 to under 360.`);
        try {
            await data.edit(
                'settings.change',
                {
                    name,
                    units,
                    north: bearing,
                    ...(margin === data.length(settings.cornerMargin) ? {} : { cornerMargin: margin }),
                    ...(level === data.length(settings.baseLevel) ? {} : { baseLevel: level }),
                    ...(slab === data.length(settings.slab) ? {} : { slab }),
                    ...(jambs === settings.jambs ? {} : { jambs }),
                    ...(setting === data.length(settings.setting) ? {} : { setting }),
                    ...(nib === data.length(settings.nib) ? {} : { nib }),
                    module: masonry === 'none' ? null : masonry === 'brick' ? brick : module,
                },
                { quiet: true },
            );
            close();
        } catch (error) {
            setProblem((error as Error).message);
        }
    }

    return (
        <form onSubmit={save} className="grid gap-3">
            <TextField label="Name" value={name} onChange={setName} required maxLength={80} />
            <UnitsChoice label="Units figures are typed and shown in" value={units} onChange={setUnits} />
            <TextField label="Least distance of an opening from a corner" value={margin} onChange={setMargin} />
            <TextField label="Least nib beside a door in an inner wall" value={nib} onChange={setNib} />
            <div>
                <p className="mb-1 text-xs text-quiet">Masonry that sizes and piers are coordinated to</p>
                <Choice
                    boxed
                    label="Masonry"
                    value={masonry}
                    onChange={setMasonry}
                    options={[
                        { value: 'brick', label: 'Brick, 225 × 75 with joints of 10' },
                        { value: 'own', label: 'A module of our own' },
                        { value: 'none', label: 'None' },
                    ]}
                />
                {masonry === 'own' && (
                    <div className="mt-2 grid grid-cols-3 gap-2">
                        <TextField
                            label="Length with joint"
                            value={module.length}
                            onChange={(length) => setModule({ ...module, length })}
                        />
                        <TextField
                            label="Height with joint"
                            value={module.height}
                            onChange={(height) => setModule({ ...module, height })}
                        />
                        <TextField label="Joint" value={module.joint} onChange={(joint) => setModule({ ...module, joint })} />
                    </div>
                )}
            </div>
            <div>
                <p className="mb-1 text-xs text-quiet">Openings in curved walls are cut</p>
                <Choice
                    boxed
                    label="Openings in curved walls"
                    value={jambs}
                    onChange={setJambs}
                    options={[
                        { value: 'parallel', label: 'with parallel jambs, square to the chord' },
                        { value: 'radial', label: 'with radial jambs, towards the centre' },
                    ]}
                />
            </div>
            <TextField label="Thickness of new slabs" value={slab} onChange={setSlab} />
            <TextField label="How far a jamb may lie from its mark on a tracing" value={setting} onChange={setSetting} />
            <TextField label="Level of the lowest floor above the site datum" value={level} onChange={setLevel} />
            <TextField label="Bearing of the plan’s upward direction, degrees clockwise from north" value={north} onChange={setNorth} />
            <p className="flex flex-wrap gap-x-4 gap-y-1">
                <button type="button" className="text-tide underline" onClick={() => setFurther('limits')}>
                    Limits of sashes and leaves…
                </button>
                <button type="button" className="text-tide underline" onClick={() => setFurther('curtain')}>
                    Curtain walls…
                </button>
                <button type="button" className="text-tide underline" onClick={() => setFurther('layers')}>
                    Fins and screens…
                </button>
                <button type="button" className="text-tide underline" onClick={() => setFurther('finishes')}>
                    Finishes…
                </button>
            </p>
            {further === 'limits' && <UnitLimitsDialog open onClose={() => setFurther(null)} />}
            {further === 'curtain' && <CurtainLimitsDialog onClose={() => setFurther(null)} />}
            {further === 'layers' && <LayerLimitsDialog onClose={() => setFurther(null)} />}
            {further === 'finishes' && <FinishesDialog open onClose={() => setFurther(null)} />}
            <p role="alert" className="text-buoy empty:hidden">
                {problem}
            </p>
            <div className="flex justify-end gap-2">
                <Button onClick={close}>Cancel</Button>
                <Button look="main" type="submit" disabled={!data.mayEdit}>
                    Save
                </Button>
            </div>
        </form>
    );
}
