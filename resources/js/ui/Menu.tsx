import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';

export type MenuItem = { label: string; note?: string; onSelect: () => void; warn?: boolean } | 'line';

/** A button that opens a list of actions. */
export function Menu({ trigger, items, align = 'end' }: { trigger: ReactNode; items: MenuItem[]; align?: 'start' | 'end' }) {
    return (
        <DropdownMenu.Root modal={false}>
            <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
            <DropdownMenu.Portal>
                <DropdownMenu.Content
                    align={align}
                    sideOffset={4}
                    className="z-50 max-h-[70vh] min-w-48 overflow-auto rounded-md border border-hairline bg-sheet p-1 shadow-lg"
                >
                    {items.map((item, i) =>
                        item === 'line' ? (
                            <DropdownMenu.Separator key={i} className="my-1 h-px bg-hairline" />
                        ) : (
                            <DropdownMenu.Item
                                key={i}
                                onSelect={item.onSelect}
                                className={`flex cursor-default items-baseline justify-between gap-6 rounded px-2 py-1.5 outline-none data-[highlighted]:bg-tide-wash ${item.warn ? 'text-buoy' : ''}`}
                            >
                                {item.label}
                                {item.note && <span className="text-xs text-quiet">{item.note}</span>}
                            </DropdownMenu.Item>
                        ),
                    )}
                </DropdownMenu.Content>
            </DropdownMenu.Portal>
        </DropdownMenu.Root>
    );
}
