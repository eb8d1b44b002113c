import { Dialog as Primitive } from 'radix-ui';
import type { ReactNode } from 'react';

type Props = { open: boolean; onClose: () => void; title: string; note?: string; children: ReactNode; wide?: boolean };

/** A sheet over the page. Esc and a click beside it close it. */
export function Dialog({ open, onClose, title, note, children, wide = false }: Props) {
    return (
        <Primitive.Root open={open} onOpenChange={(now) => !now && onClose()}>
            <Primitive.Portal>
                <Primitive.Overlay className="fixed inset-0 z-40 bg-ink/30" />
                <Primitive.Content
                    className={`fixed top-24 left-1/2 z-50 max-h-[75vh] w-[92vw] -translate-x-1/2 overflow-auto rounded-md border border-hairline bg-sheet p-5 shadow-xl ${wide ? 'max-w-2xl' : 'max-w-md'}`}
                    {...(note ? {} : { 'aria-describedby': undefined })}
                >
                    <Primitive.Title className="text-base font-semibold">{title}</Primitive.Title>
                    {note && <Primitive.Description className="mt-1 text-quiet">{note}</Primitive.Description>}
                    <div className="mt-4">{children}</div>
                </Primitive.Content>
            </Primitive.Portal>
        </Primitive.Root>
    );
}
