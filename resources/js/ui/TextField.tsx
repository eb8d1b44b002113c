import { useId, type InputHTMLAttributes } from 'react';

type Props = Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange'> & {
    label: string;
    value: string;
    onChange: (value: string) => void;
    error?: string;
};

/** A labelled field of a form. */
export function TextField({ label, value, onChange, error, className = '', ...rest }: Props) {
    const id = useId();
    return (
        <div className={className}>
            <label htmlFor={id} className="mb-1 block text-xs text-quiet">
                {label}
            </label>
            <input
                id={id}
                value={value}
                onChange={(e) => onChange(e.target.value)}
                aria-invalid={error !== undefined}
                aria-describedby={error ? `${id}-error` : undefined}
                className={`min-h-8 w-full rounded border bg-sheet px-2.5 ${error ? 'border-buoy' : 'border-hairline'}`}
                {...rest}
            />
            {error && (
                <p id={`${id}-error`} className="mt-1 text-xs text-buoy">
                    {error}
                </p>
            )}
        </div>
    );
}
