import type { Units } from '../api/client';
import { Choice } from './Choice';

/** The units a project's figures are typed and shown in. */
export function UnitsChoice({ label, value, onChange }: { label: string; value: Units; onChange: (units: Units) => void }) {
    return (
        <div>
            <span className="mb-1 block text-xs text-quiet">{label}</span>
            <Choice
                boxed
                label={label}
                value={value}
                onChange={(v) => onChange(v as Units)}
                options={[
                    { value: 'mm', label: 'millimetres' },
                    { value: 'm', label: 'metres' },
                    { value: 'ft-in', label: 'feet and inches' },
                ]}
            />
        </div>
    );
}
