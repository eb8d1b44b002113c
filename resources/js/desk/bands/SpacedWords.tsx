import type { Band, EditArgs } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { useAsk, useSend } from '../card/parts';
import { useData } from '../data';

/** How far apart the pieces of a band stand, where they begin and end, and what they do at corners. */
export function SpacedWords({ band }: { band: Band }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const fixed = !data.mayEdit;
    const { spaced } = band;
    type Spaced = NonNullable<EditArgs<'band.change'>['spaced']>;
    const set = (to: Spaced) => send('band.change', { ids: [band.id], spaced: to });
    const choose = (to: Spaced) => void ask('band.change', { ids: [band.id], spaced: to });
    return (
        <>
            <Choice
                label="How they are spaced"
                value={spaced.by}
                options={[
                    { value: 'pitch', label: 'one every' },
                    { value: 'greatest', label: 'evenly, at most' },
                    { value: 'count', label: 'so many:' },
                ]}
                disabled={fixed}
                onChange={(by) => choose({ by, ...(by === 'count' ? { count: Math.max(1, band.count) } : {}) })}
            />{' '}
            {spaced.by === 'count' ? (
                <Figure
                    label="Count"
                    shown={String(spaced.count)}
                    disabled={fixed}
                    onSend={(text) =>
                        /^\s*\d+\s*$/.test(text) ? set({ count: Number(text) }) : Promise.resolve(`“${text}” is no whole number.`)
                    }
                />
            ) : (
                <>
                    <Figure label="Pitch" shown={data.length(spaced.size)} disabled={fixed} onSend={(text) => set({ size: text })} />
                    {spaced.by === 'greatest' ? ' apart' : ''}
                </>
            )}{' '}
            along the line, the first{' '}
            <Figure label="Start" shown={data.length(spaced.start)} disabled={fixed} onSend={(text) => set({ start: text })} /> from its
            start, the last <Figure label="End" shown={data.length(spaced.end)} disabled={fixed} onSend={(text) => set({ end: text })} /> or
            more from its end.
            {spaced.by === 'pitch' && (
                <>
                    {' '}
                    What is left over lies{' '}
                    <Choice
                        label="What is left over"
                        value={spaced.remainder}
                        options={[
                            { value: 'start', label: 'at the start' },
                            { value: 'end', label: 'at the end' },
                            { value: 'both', label: 'shared' },
                        ]}
                        disabled={fixed}
                        onChange={(remainder) => choose({ remainder })}
                    />
                    .
                </>
            )}
            {band.corners > 0 && (
                <>
                    {' '}
                    At corners{' '}
                    <Choice
                        label="At corners"
                        value={spaced.corners}
                        options={[
                            { value: 'through', label: 'they go on' },
                            { value: 'on', label: 'one stands on each' },
                            { value: 'clear', label: 'none stands nearer than' },
                        ]}
                        disabled={fixed}
                        onChange={(corners) => choose({ corners, ...(corners === 'clear' && spaced.clear === 0 ? { clear: 150 } : {}) })}
                    />
                    {spaced.corners === 'clear' && (
                        <>
                            {' '}
                            <Figure
                                label="Clear of corners"
                                shown={data.length(spaced.clear)}
                                disabled={fixed}
                                onSend={(text) => set({ clear: text })}
                            />
                        </>
                    )}
                    .
                </>
            )}
        </>
    );
}
