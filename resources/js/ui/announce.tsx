import { create } from 'zustand';
import { isTold } from './notices';

const useSaid = create<{ text: string; turn: boolean }>(() => ({ text: '', turn: false }));

/** A notice of the same comes within this, ms: then that is heard. */
const WAIT = 150;

/** Says to those who hear the screen what others see happen in the drawing. */
export function announce(text: string): void {
    window.setTimeout(() => {
        // the same said twice is heard twice
        if (!isTold(text)) useSaid.setState((s) => ({ text, turn: !s.turn }));
    }, WAIT);
}

/** Where it is said. */
export function Announcer() {
    const { text, turn } = useSaid();
    return (
        <div role="status" aria-live="polite" className="sr-only" data-announced={text}>
            {text}
            {turn ? '\u00a0' : ''}
        </div>
    );
}
