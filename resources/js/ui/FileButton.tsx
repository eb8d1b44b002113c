import { useRef } from 'react';
import { Button } from './Button';

type Props = {
    children: string;
    accept: string;
    onFile: (file: File) => void;
    look?: 'main' | 'outline' | 'plain';
    small?: boolean;
    busy?: boolean;
};

/** A button that asks for a file. */
export function FileButton({ children, accept, onFile, look = 'outline', small = false, busy = false }: Props) {
    const input = useRef<HTMLInputElement>(null);
    return (
        <>
            <input
                ref={input}
                type="file"
                accept={accept}
                className="hidden"
                aria-label={children}
                tabIndex={-1}
                onChange={(e) => {
                    const file = e.target.files?.[0];
                    e.target.value = '';
                    if (file) onFile(file);
                }}
            />
            <Button look={look} small={small} disabled={busy} onClick={() => input.current?.click()}>
                {busy ? 'Reading…' : children}
            </Button>
        </>
    );
}
