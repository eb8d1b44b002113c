import { getNonce } from 'get-nonce';
import { Select } from 'radix-ui';

export type Option<T extends string = string> = { value: T; label: string };
type Props<T extends string> = {
    label: string;
    value: T;
    options: Option<T>[];
    onChange: (value: T) => void;
    disabled?: boolean;
    boxed?: boolean;
};

/** One of a few, set into a sentence or into a form (boxed). */
export function Choice<T extends string>({ label, value, options, onChange, disabled = false, boxed = false }: Props<T>) {
    const look = boxed
        ? 'w-full justify-between rounded border border-hairline bg-sheet px-2.5 min-h-8'
        : 'rounded-sm border-b border-tide bg-tide-wash px-1 font-semibold';
    return (
        <Select.Root value={value} onValueChange={(chosen) => onChange(chosen as T)} disabled={disabled}>
            <Select.Trigger
                aria-label={label}
                className={`inline-flex items-center gap-1 text-ink hover:text-tide disabled:border-transparent disabled:bg-transparent ${look}`}
            >
                <Select.Value />
                {!disabled && <Select.Icon className="text-[9px] text-quiet">▾</Select.Icon>}
            </Select.Trigger>
            <Select.Portal>
                <Select.Content
                    position="popper"
                    sideOffset={3}
                    className="z-50 max-h-72 overflow-auto rounded-md border border-hairline bg-sheet p-1 shadow-lg"
                >
                    <Select.Viewport nonce={getNonce()}>
                        {options.map((o) => (
                            <Select.Item
                                key={o.value}
                                value={o.value}
                                className="cursor-default rounded px-2 py-1.5 outline-none data-[highlighted]:bg-tide-wash data-[state=checked]:font-semibold"
                            >
                                <Select.ItemText>{o.label}</Select.ItemText>
                            </Select.Item>
                        ))}
                    </Select.Viewport>
                </Select.Content>
            </Select.Portal>
        </Select.Root>
    );
}
