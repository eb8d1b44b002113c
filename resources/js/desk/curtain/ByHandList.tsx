import type { CurtainGrid } from '../../api/client';
import { useAsk } from '../card/parts';
import { useData } from '../data';

/** What was changed by hand against the rules, each to be reset; free members also mirrored and copied. */
export function ByHandList({ grid }: { grid: CurtainGrid }) {
    const data = useData();
    const ask = useAsk();
    const hand = (args: object) => void ask('curtain.hand', { ids: [grid.element], ...args });
    if (grid.byHand.length === 0 && grid.lost.length === 0) return null;
    return (
        <section aria-label="Changed by hand" className="mt-3 border-t border-hairline pt-2">
            <p className="flex items-baseline">
                <b className="grow">Changed by hand</b>
                {data.mayEdit && (
                    <button type="button" className="min-h-6 text-tide hover:underline" onClick={() => hand({ resetAll: true })}>
                        reset all
                    </button>
                )}
            </p>
            <ul>
                {grid.byHand.map((one) => (
                    <li key={`${one.of} ${one.place}`} className="flex items-baseline gap-2 leading-snug">
                        <span className="grow py-0.5">{one.says}</span>
                        {data.mayEdit && one.of === 'free' && (
                            <button
                                type="button"
                                className="min-h-6 text-tide hover:underline"
                                title="A copy the other way about the middle"
                                onClick={() => hand({ mirror: { places: [one.place] } })}
                            >
                                mirror
                            </button>
                        )}
                        {data.mayEdit && (
                            <button
                                type="button"
                                className="min-h-6 text-tide hover:underline"
                                aria-label={`${one.of === 'free' ? 'Remove' : 'Reset'}: ${one.says}`}
                                onClick={() => hand({ reset: [{ of: one.of, places: [one.place] }] })}
                            >
                                {one.of === 'free' ? 'remove' : 'reset'}
                            </button>
                        )}
                    </li>
                ))}
            </ul>
            {grid.lost.map((says) => (
                <p key={says} className="mt-1 border-l-3 border-buoy bg-buoy-wash px-2 py-1 leading-snug">
                    {says}
                </p>
            ))}
        </section>
    );
}
