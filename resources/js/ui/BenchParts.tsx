import { Redo2, Undo2 } from 'lucide-react';
import { useEffect, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Button } from './Button';
import { Mark } from './Mark';
import { OwnMenu } from './OwnMenu';

type StepProps = { past: number; future: number; onUndo: () => Promise<unknown>; onRedo: () => Promise<unknown> };

/** Steps back and forward on a bench. */
export function UndoRedo({ past, future, onUndo, onRedo }: StepProps) {
    return (
        <>
            <Button
                look="plain"
                aria-label="Undo"
                title="Undo (Ctrl Z)"
                disabled={past === 0}
                onClick={() => void onUndo()}
                className="px-1.5"
            >
                <Undo2 size={15} /> Undo
            </Button>
            <Button
                look="plain"
                aria-label="Redo"
                title="Redo (Ctrl Shift Z)"
                disabled={future === 0}
                onClick={() => void onRedo()}
                className="px-1.5"
            >
                <Redo2 size={15} /> Redo
            </Button>
        </>
    );
}

type TabsProps<T extends string> = { tabs: readonly (readonly [T, string])[]; tab: T; onTab: (tab: T) => void };

/** What the card of a bench shows. */
export function CardTabs<T extends string>({ tabs, tab, onTab }: TabsProps<T>) {
    return (
        <nav className="flex gap-3 border-b border-hairline px-4 pt-2" aria-label="What the card shows">
            {tabs.map(([name, label]) => (
                <button
                    key={name}
                    type="button"
                    aria-pressed={tab === name}
                    onClick={() => onTab(name)}
                    className={`min-h-6 pb-0.5 ${tab === name ? 'border-b-2 border-tide font-semibold' : 'text-quiet hover:text-tide'}`}
                >
                    {label}
                </button>
            ))}
        </nav>
    );
}

type NameProps = {
    label: string;
    value: string;
    placeholder: string;
    width: string;
    disabled: boolean;
    onChange: (text: string) => void;
};

/** A mark or a name in a bench's header; sent when it is left, or by Enter. */
function NameField({ label, value, placeholder, width, disabled, onChange }: NameProps) {
    const [text, setText] = useState(value);
    useEffect(() => setText(value), [value]);
    const send = () => {
        if (text.trim() !== value) onChange(text.trim());
    };
    return (
        <input
            aria-label={label}
            value={text}
            placeholder={placeholder}
            readOnly={disabled}
            maxLength={80}
            onChange={(e) => setText(e.target.value)}
            onBlur={send}
            onKeyDown={(e) => {
                if (e.key === 'Enter') e.currentTarget.blur();
            }}
            className={
                `min-h-8 ${width} rounded border border-hairline bg-sheet px-2 font-semibold ` +
                'placeholder:font-normal hover:border-tide focus:border-tide'
            }
        />
    );
}

type HeadProps = {
    title: string;
    /** the address of the desk */
    desk: string;
    mark: string;
    name: string;
    isNew: boolean;
    /** where the type stands: "in 2 runs" */
    stands: string;
    unsaved: boolean;
    disabled: boolean;
    onRename: (values: { mark?: string; name?: string }) => void;
    children: ReactNode;
};

/** The header of a bench: back to the desk, the type's mark and name, where it stands; then what can be done. */
export function BenchHead({ title, desk, mark, name, isNew, stands, unsaved, disabled, onRename, children }: HeadProps) {
    return (
        <header className="flex h-[46px] shrink-0 items-center gap-3 border-b border-hairline bg-sheet px-3">
            <Link to={desk} aria-label="To the desk" className="flex items-center gap-2 font-semibold whitespace-nowrap hover:text-tide">
                <Mark size={26} /> Desk
            </Link>
            <h1 className="sr-only">{title}</h1>
            <NameField
                label="Mark"
                value={mark}
                placeholder={isNew ? 'next free' : ''}
                width="w-20"
                disabled={disabled}
                onChange={(text) => onRename({ mark: text })}
            />
            <NameField
                label="Name"
                value={name}
                placeholder="Name"
                width="w-56"
                disabled={disabled}
                onChange={(text) => onRename({ name: text })}
            />
            <span className="rounded border border-hairline px-2 py-0.5 text-xs whitespace-nowrap text-quiet">
                {isNew ? 'not on the rack yet' : stands}
                {unsaved && !isNew ? ' · not saved' : ''}
            </span>
            <span className="grow" />
            {children}
            <OwnMenu />
        </header>
    );
}
