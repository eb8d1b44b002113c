import { Key } from '../../ui/Key';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Heading, RemoveButton, Sentence } from '../card/parts';
import { useData } from '../data';
import { KeepSet } from '../sheets/KeepSet';
import { useDesk } from '../store';
import { ArrangeBands } from './ArrangeBands';
import { counted, words, type Layer } from './alike';

/** Several bands, fields, floor bands, screens or roofs chosen together: made alike, hidden, kept, removed. */
export function LayersCard({ layers }: { layers: Layer[] }) {
    const data = useData();
    const [as, setAs] = useState<string | null>(null);
    const kinds = [...new Set(layers.map((l) => l.remove))];
    const ids = layers.map((l) => l.id);
    const source = layers.find((l) => l.id === as) ?? layers[0]!;
    const title = kinds.map((kind) => counted(layers.filter((l) => l.remove === kind).length, words[kind])).join(', ');
    const hide = () => useDesk.setState((s) => ({ hiddenOnes: [...new Set([...s.hiddenOnes, ...ids])], chosen: [] }));
    const remove = async () => {
        for (const kind of kinds) {
            const of = layers.filter((l) => l.remove === kind).map((l) => l.id);
            if (!(await data.edit(kind, { ids: of }))) return;
        }
        useDesk.getState().choose([]);
    };
    return (
        <>
            <Heading title={title} note="chosen together" />
            {kinds.length === 1 && data.mayEdit && (
                <Sentence>
                    Make all as{' '}
                    <Choice
                        label="Made as"
                        value={source.id}
                        options={layers.map((l) => ({ value: l.id, label: l.name }))}
                        onChange={setAs}
                    />{' '}
                    is; each stays where it stands and keeps its name.{' '}
                    <Button
                        small
                        onClick={() => void data.edit('layer.carry', { id: source.id, to: ids.filter((id) => id !== source.id) })}
                    >
                        Make them alike
                    </Button>
                </Sentence>
            )}
            {layers.every((l) => l.remove === 'band.remove' || l.remove === 'floor-band.remove') && <ArrangeBands bands={layers} />}
            <ul className="mt-2 border-t border-hairline pt-2">
                {layers.map((layer) => (
                    <li key={layer.id} className="flex items-baseline gap-2">
                        <button
                            type="button"
                            className="min-h-6 grow text-left text-tide hover:underline"
                            onClick={() => useDesk.getState().choose([layer.id])}
                        >
                            {layer.name}
                        </button>
                        <span className="text-xs text-quiet">{data.storeys.get(layer.storey ?? '')?.name}</span>
                    </li>
                ))}
            </ul>
            <div className="mt-2">
                <Button small onClick={hide}>
                    Hide <Key of="H" />
                </Button>
            </div>
            <KeepSet members={ids} what={title} />
            {data.mayEdit && <RemoveButton label={`Remove these ${layers.length}`} onClick={() => void remove()} />}
        </>
    );
}
