import { useState } from 'react';
import { Sentence } from '../card/parts';
import { useData } from '../data';
import { useDesk } from '../store';
import { Pick, Ticks, useNamed } from './parts';
import { offerClearing } from '../clearing';
import { Sheet } from './Sheet';

type Props = { ids: string[] };

/** Units into bare openings, each exactly its size. */
export function FillSheet({ ids }: Props) {
    const data = useData();
    const bare = ids.filter((id) => data.openings.get(id)?.type === null);
    const types = data.project.types;
    const [door, setDoor] = useState(types.find((t) => t.door)?.id ?? 'none');
    const [window, setWindow] = useState(types.find((t) => !t.door)?.id ?? 'none');
    const options = { none: 'nothing', ...Object.fromEntries(types.map((t) => [t.id, `${t.mark} ${t.name}`])) } as Record<string, string>;
    const args = { ids: bare, ...(door === 'none' ? {} : { door }), ...(window === 'none' ? {} : { window }) };
    const ready = bare.length > 0 && (door !== 'none' || window !== 'none');
    return (
        <Sheet
            title="Fill"
            to={useNamed(bare)}
            edit="opening.fill"
            verb="Fill"
            args={ready ? args : null}
            missing={bare.length === 0 ? 'None of what is chosen is bare.' : 'Choose what they are filled with.'}
        >
            <Sentence>
                Where the sill is on the floor, like <Pick label="Doors like" value={door} options={options} onChange={setDoor} />; else
                like <Pick label="Windows like" value={window} options={options} onChange={setWindow} />. Each unit is made exactly the size
                of its opening; a type of that make and size is used again.
            </Sentence>
            {bare.length < ids.length && (
                <p className="text-quiet">{ids.length - bare.length} of those chosen are filled already and stay as they are.</p>
            )}
        </Sheet>
    );
}

export function EmptySheet({ ids }: Props) {
    const data = useData();
    const filled = ids.filter((id) => data.openings.get(id)?.type !== null);
    return (
        <Sheet
            title="Empty"
            to={useNamed(filled)}
            edit="opening.empty"
            verb="Empty"
            after={(summary) => offerClearing(data, summary)}
            args={filled.length > 0 ? { ids: filled } : null}
            missing="None of what is chosen has a unit in it."
        >
            <Sentence>The units are taken out; the openings stay as they are, bare.</Sentence>
        </Sheet>
    );
}

const settings = {
    type: 'unit type',
    width: 'width',
    height: 'height',
    sill: 'sill',
    head: 'head',
    setback: 'depth in the wall',
    facing: 'side that faces out',
    handing: 'handing',
    jambs: 'jambs in a curved wall',
    shape: 'outline',
};
type Setting = keyof typeof settings;

/** Chosen settings of one onto others. */
export function CarrySheet({ ids }: Props) {
    const data = useData();
    const source = useDesk((s) => s.source) ?? ids[0]!;
    const bare = data.openings.get(source)?.type === null;
    const targets = useDesk((s) => s.targets).filter(
        (t) => t !== source && data.openings.has(t) && (data.openings.get(t)?.type === null) === bare,
    );
    const [chosen, setChosen] = useState<Setting[]>(['width', 'height', 'sill']);
    const from = data.openings.get(source);
    const offered = (Object.entries(settings) as [Setting, string][]).filter(
        ([key]) =>
            from &&
            (from.type !== null || !['type', 'setback', 'facing', 'handing'].includes(key)) &&
            (key !== 'shape' || from.shape !== null) &&
            (key !== 'jambs' || (data.walls.get(from.host)?.arc ?? null) !== null),
    );
    const named = useNamed([source]);
    return (
        <Sheet
            title="Carry"
            to={`from ${named}`}
            edit="opening.carry"
            verb="Carry to"
            keepChoice
            args={targets.length > 0 && chosen.length > 0 ? { from: source, ids: targets, settings: chosen } : null}
            missing={
                chosen.length === 0
                    ? 'Choose which settings are carried.'
                    : 'Click the openings that get them, or gather them first and choose this one among them with Shift.'
            }
        >
            <Sentence>These settings of it:</Sentence>
            <Ticks label="Settings" options={offered.map(([value, label]) => ({ value, label }))} chosen={chosen} onChange={setChosen} />
            <Sentence>
                onto <b>{targets.length}</b> {targets.length === 1 ? 'opening' : 'openings'}. Click others in the drawing to add or leave
                out.
            </Sentence>
        </Sheet>
    );
}
