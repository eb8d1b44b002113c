import type { Reading } from '../../api/client';

type Revised = NonNullable<Reading['revised']>;

const kinds = [
    ['new', 'new'],
    ['gone', 'gone'],
    ['changed', 'changed'],
] as const;

/** What a schedule would change of the one in whose place it comes: how many lines, and which. */
export function WhatIsRevised({ revised, name }: { revised: Revised; name: string }) {
    if (revised.problem !== null)
        return <p className="px-3 pt-1 text-xs text-buoy">{`What ${name} says cannot be read any more: ${revised.problem}`}</p>;
    const all = kinds.flatMap(([kind, word]) => revised[kind].map((line) => ({ ...line, word })));
    const counts = kinds.filter(([kind]) => revised[kind].length > 0).map(([kind, word]) => `${revised[kind].length} ${word}`);
    return (
        <details className="px-3 pt-1 text-xs" data-revised={all.length}>
            <summary className="cursor-pointer">
                {`In place of ${name}: `}
                {all.length === 0 ? 'every line is as it was' : `${counts.join(', ')}, ${revised.same} as they were`}.
            </summary>
            <table className="mt-1 block max-h-44 overflow-auto border-collapse" tabIndex={0} aria-label="Lines that are otherwise">
                <tbody>
                    {all.map((line, i) => (
                        <tr key={i} className="border-b border-hairline/50">
                            <td className="py-0.5 pr-3 text-quiet">{line.word}</td>
                            <td className="pr-3 font-semibold whitespace-nowrap">{line.mark || 'no mark'}</td>
                            <td className="pr-3">{line.what}</td>
                            <td className="text-quiet">{line.word === 'gone' ? `row ${line.row} before` : `row ${line.row}`}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </details>
    );
}
