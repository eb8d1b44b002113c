import { useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();

/** The theme chosen on this machine, else what the system asks for. */
export function currentTheme(): 'light' | 'dark' {
    const kept = window.localStorage.getItem('theme');
    if (kept === 'light' || kept === 'dark') return kept;
    return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

export function setTheme(theme: 'light' | 'dark'): void {
    window.localStorage.setItem('theme', theme);
    applyTheme();
}

export function applyTheme(): void {
    document.documentElement.dataset.theme = currentTheme();
    listeners.forEach((tell) => tell());
}

export function useTheme(): 'light' | 'dark' {
    return useSyncExternalStore((tell) => {
        listeners.add(tell);
        return () => listeners.delete(tell);
    }, currentTheme);
}

/** A colour of the theme, for what is painted rather than styled. */
export function colour(name: string): string {
    return getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim();
}
