import { Key } from '../../ui/Key';
import { Button } from '../../ui/Button';
import { hideParts } from '../actions';
import { Figure } from '../card/Figure';
import { KeepSet } from '../sheets/KeepSet';
import type { PartName } from '../store';

/** What is done with cells and members alike: hidden by themselves, kept as a set. */
export function PartsFoot({ parts, what }: { parts: PartName[]; what: string }) {
    return (
        <>
            <div className="mt-2">
                <Button small onClick={() => hideParts(parts)}>
                    Hide <Key of="H" />
                </Button>
            </div>
            <KeepSet members={[]} parts={parts} what={what} />
        </>
    );
}

/** A section of their own for members: its face and its depth. */
export function SectionField({ label, onSend }: { label: string; onSend: (profile: object) => Promise<string | null> }) {
    return (
        <Figure
            label={label}
            shown="as its type says"
            onSend={(text) => {
                const [face, depth, more] = text.split(/[×x*]/).map((size) => size.trim());
                return face === undefined || depth === undefined || more !== undefined
                    ? Promise.resolve('A section is its face and its depth: 60 × 150.')
                    : onSend({ shape: 'rectangle', face, depth });
            }}
        />
    );
}
