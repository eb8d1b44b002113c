import { useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();

export type Theme = 'light' | 'dark' | 'system';

const system = window.matchMedia('(prefers-color-scheme: dark)');

/** What was chosen on this machine. */
export function keptTheme(): Theme {
    const kept = window.localStorage.getItem('theme');
    return kept === 'light' || kept === 'dark' ? kept : 'system';
}

/** The theme chosen on this machine, else what the system asks for. */
export function currentTheme(): 'light' | 'dark' {
    const kept = keptTheme();
    return kept === 'system' ? (system.matches ? 'dark' : 'light') : kept;
}

export function setTheme(theme: Theme): void {
    if (theme === 'system') window.localStorage.removeItem('theme');
    else window.localStorage.setItem('theme', theme);
    applyTheme();
}

// the system may change its mind, and so may another tab
system.addEventListener('change', applyTheme);
window.addEventListener('storage', (event) => event.key === 'theme' && applyTheme());

export function applyTheme(): void {
    document.documentElement.dataset.theme = currentTheme();
    // now, while nothing of the page has to be laid out anew for it
    PAINTED.forEach(colour);
    listeners.forEach((tell) => tell());
}

export function useTheme(): 'light' | 'dark' {
    return useSyncExternalStore((tell) => {
        listeners.add(tell);
        return () => listeners.delete(tell);
    }, currentTheme);
}

const colours = new Map<string, string>();

/** What drawings are painted with. */
const PAINTED = [
    ...(['ink', 'quiet', 'hairline', 'sheet', 'tide', 'tide-wash'] as const),
    ...(['wall', 'cut', 'glass', 'frame', 'opening', 'spandrel', 'screen', 'fin', 'roof'] as const),
];
type Painted = (typeof PAINTED)[number];

/** A colour of the theme, for what is painted rather than styled; looked up once a theme, as it is asked for in every frame. */
export function colour(name: Painted): string {
    const key = `${document.documentElement.dataset.theme}-${name}`;
    let found = colours.get(key);
    if (found === undefined) colours.set(key, (found = getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim()));
    return found;
}
