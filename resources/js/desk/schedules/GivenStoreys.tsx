import type { Reading } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { useData } from '../data';

/** Names of storeys that the project does not have, each said to be one that it has. */
export function GivenStoreys({ reading, onMean }: { reading: Reading; onMean: (text: string, storey: string) => void }) {
    const data = useData();
    const said = reading.columns.find((c) => c.role === 'storey')?.storeys ?? {};
    const asked = reading.storeyNames.filter((n) => n.storey === null || n.text in said);
    if (asked.length === 0) return null;
    return (
        <p className="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-3 pt-1 text-xs">
            <span className="text-quiet">Storeys of other names:</span>
            {asked.map((n) => (
                <span key={n.text}>
                    “{n.text}” is{' '}
                    <Choice
                        label={`Storey that “${n.text}” is`}
                        value={n.storey ?? 'none'}
                        options={[
                            ...(n.storey === null ? [{ value: 'none', label: 'not in this project' }] : []),
                            ...data.project.storeys.map((s) => ({ value: s.id, label: s.name })),
                        ]}
                        onChange={(storey) => storey !== 'none' && onMean(n.text, storey)}
                    />
                </span>
            ))}
        </p>
    );
}
