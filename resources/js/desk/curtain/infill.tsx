import { Choice } from '../../ui/Choice';
import { useData } from '../data';
import { Figure } from '../card/Figure';

export type InfillValues = { kind: string; layers?: (number | string)[]; density?: number; type?: string | null; mirrored?: boolean };

const kinds = [
    { value: 'vision', label: 'vision glass' },
    { value: 'spandrel', label: 'spandrel' },
    { value: 'solid', label: 'a solid panel' },
    { value: 'louvre', label: 'louvre' },
    { value: 'void', label: 'open' },
];

type Props = {
    /** of what it is, for a screen reader */
    label: string;
    infill: InfillValues | null;
    disabled?: boolean;
    /** what was typed; answers with why not, or null */
    onSend: (infill: InfillValues) => Promise<string | null>;
    /** what was chosen from a list: a refusal is said by whoever takes it */
    onPick: (infill: InfillValues) => void;
};

/** What fills a cell, in a sentence: its kind, its build-up, or a unit from the rack. */
export function InfillWords({ label, infill, disabled = false, onSend, onPick }: Props) {
    const data = useData();
    const unit = infill?.kind === 'unit' || infill?.kind === 'door';
    const value = infill === null ? 'several' : unit ? `type ${infill.type}` : infill.kind;
    const options = [
        ...(infill === null ? [{ value: 'several', label: 'several kinds' }] : []),
        ...kinds,
        ...data.project.types.map((t) => ({ value: `type ${t.id}`, label: `${t.mark} ${t.name}` })),
    ];
    const pick = (to: string) => {
        const type = to.startsWith('type ') ? data.project.types.find((t) => t.id === to.slice(5)) : undefined;
        if (type) onPick({ kind: type.door ? 'door' : 'unit', type: type.id });
        else if (to !== 'several') onPick({ kind: to });
    };
    return (
        <>
            <Choice label={label} value={value} options={options} disabled={disabled} onChange={pick} />
            {infill && !unit && infill.kind !== 'void' && (
                <>
                    ,{' '}
                    <Figure
                        label={`${label}: build-up`}
                        shown={(infill.layers ?? []).map((l) => (typeof l === 'number' ? data.length(l) : l)).join('-')}
                        disabled={disabled}
                        onSend={(text) => onSend({ kind: infill.kind, layers: text.split('-').map((t) => t.trim()) })}
                    />
                </>
            )}
            {unit && (
                <>
                    ,{' '}
                    <Choice
                        label={`${label}: handing`}
                        value={infill.mirrored ? 'mirrored' : 'drawn'}
                        options={[
                            { value: 'drawn', label: 'handed as drawn' },
                            { value: 'mirrored', label: 'handed the other way' },
                        ]}
                        disabled={disabled}
                        onChange={(to) => onPick({ kind: infill.kind, type: infill.type ?? null, mirrored: to === 'mirrored' })}
                    />
                </>
            )}
        </>
    );
}
