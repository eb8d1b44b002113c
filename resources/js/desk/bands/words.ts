import type { useData } from '../data';
import type { Driven } from '../store';

type Data = ReturnType<typeof useData>;

/** What of a piece a law drives, in the words of a card and of its graph. */
export const drives: Record<Driven, { name: string; verb: string; graph: string }> = {
    reach: { name: 'reach', verb: 'reach', graph: 'reach along the run' },
    thickness: { name: 'thickness', verb: 'are thick', graph: 'thickness along the run' },
    length: { name: 'length', verb: 'are long', graph: 'length along the run' },
    turn: { name: 'turn', verb: 'are turned', graph: 'turn along the run' },
    lean: { name: 'lean', verb: 'lean', graph: 'lean along the run' },
};

export const isAngle = (of: Driven) => of === 'turn' || of === 'lean';

const plain = (value: number) => String(Math.round(value * 100) / 100).replace('-', '−');

/** A value of what a law drives, in the project's units or degrees. */
export const said = (data: Data, of: Driven, value: number) => (isAngle(of) ? `${plain(value)}°` : data.length(value));

/** A plain number that was typed, with its sign, a degree or per cent sign left off; null for none. */
export function numberOf(text: string): number | null {
    const value = Number(
        text
            .replace(/[°%\s]/g, '')
            .replace('−', '-')
            .replace(',', '.'),
    );
    return text.trim() === '' || Number.isNaN(value) ? null : value;
}

export const percent = (value: number) => `${plain(value)} %`;
export const degrees = (value: number) => `${plain(value)}°`;
export { plain };
