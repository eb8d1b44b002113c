import { create } from 'zustand';

/** What is being typed in a field of the card and not sent yet: it is not lost when what it belongs to goes. */
export const useTyping = create<{ label: string; text: string } | null>(() => null);

export function typing(label: string, text: string): void {
    useTyping.setState({ label, text }, true);
}

export function typedOut(label: string): void {
    if (useTyping.getState()?.label === label) useTyping.setState(null, true);
}
