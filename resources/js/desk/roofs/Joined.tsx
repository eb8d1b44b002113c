import type { Roof } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { Sentence, useAsk } from '../card/parts';
import { useData } from '../data';

/** The outlines that a roof lies over in one, and those that it is cut round. */
export function Joined({ roof }: { roof: Roof }) {
    const data = useData();
    const ask = useAsk();
    const { outlines, roofs } = data.project;
    const taken = new Set(roofs.filter((r) => r.storey === roof.storey).flatMap((r) => [r.outline, ...r.also]));
    const closed = outlines.filter((o) => o.closed && !o.inner);
    const free = closed.filter((o) => !taken.has(o.id));
    const around = closed.filter((o) => ![roof.outline, ...roof.also, ...roof.through].includes(o.id));
    const set = (args: { also?: string[]; through?: string[] }) => void ask('roof.change', { id: roof.id, ...args });
    return (
        <>
            {(roof.also.length > 0 || (free.length > 0 && data.mayEdit)) && (
                <Sentence>
                    It lies over {outlines.find((o) => o.id === roof.outline)?.name ?? 'its outline'} and{' '}
                    <Outlines ids={roof.also} more={free} what="under it" onChange={(also) => set({ also })} />.
                </Sentence>
            )}
            {(roof.through.length > 0 || (around.length > 0 && data.mayEdit)) && (
                <Sentence>
                    Cut out round what stands up through it:{' '}
                    <Outlines ids={roof.through} more={around} what="through it" onChange={(through) => set({ through })} />.
                </Sentence>
            )}
        </>
    );
}

type Props = { ids: string[]; more: { id: string; name: string }[]; what: string; onChange: (ids: string[]) => void };

/** Outlines by name, each to be taken out, and one more to be put in. */
function Outlines({ ids, more, what, onChange }: Props) {
    const data = useData();
    const name = (id: string) => data.project.outlines.find((o) => o.id === id)?.name ?? 'an outline';
    return (
        <>
            {ids.map((id, i) => (
                <span key={id}>
                    {i > 0 && ' and '}
                    <b>{name(id)}</b>
                    {data.mayEdit && (
                        <button
                            type="button"
                            aria-label={`Take ${name(id)} out, ${what}`}
                            className="min-h-6 px-1 text-tide hover:underline"
                            onClick={() => onChange(ids.filter((o) => o !== id))}
                        >
                            ×
                        </button>
                    )}
                </span>
            ))}
            {more.length > 0 && data.mayEdit && (
                <>
                    {ids.length > 0 && ' and '}
                    <Choice
                        label={`Outline ${what}`}
                        value="none"
                        options={[
                            { value: 'none', label: ids.length > 0 ? 'no other' : 'no other outline' },
                            ...more.map((o) => ({ value: o.id, label: o.name })),
                        ]}
                        onChange={(id) => id !== 'none' && onChange([...ids, id])}
                    />
                </>
            )}
        </>
    );
}
