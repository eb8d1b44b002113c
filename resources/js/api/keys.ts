import { untilAnswered } from './reach';

const letters = 'ABCDEFGHJKLMNPQRSTUVWXYZabcdefghijkmnopqrstuvwxyz23456789';
const made = Array.from(crypto.getRandomValues(new Uint8Array(16)), (n) => letters[n % letters.length]).join('');
let count = 0;

/** This page's own name for the next thing it asks for: under it nothing is done twice, and it is found again what became of it. */
export function nextKey(): string {
    return `${made}.${++count}`;
}

/** Asks until there is an answer, under one key: what was done but whose answer was lost is not done again. */
export function underOneKey<T>(ask: (key: string) => Promise<T>): Promise<T> {
    const key = nextKey();
    return untilAnswered(() => ask(key));
}
