import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';
import type { Layer } from './alike';
import { numberOf } from './words';

type Way = 'up' | 'out';

const ways = [
    { value: 'up' as const, label: 'up' },
    { value: 'out' as const, label: 'outward' },
];

/** Bands and floor bands arranged as openings are: copied on, moved, brought to one level, spaced; those of fins mirrored. */
export function ArrangeBands({ bands }: { bands: Layer[] }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const [open, setOpen] = useState(bands.length > 1);
    const [times, setTimes] = useState(1);
    const [shift, setShift] = useState(0);
    const [copied, setCopied] = useState<Way>('up');
    const [moved, setMoved] = useState<Way>('up');
    const [level, setLevel] = useState<'feet' | 'middles' | 'heads'>('feet');
    const [to, setTo] = useState('');
    const [by, setBy] = useState<'gaps' | 'centres'>('gaps');
    if (!data.mayEdit) return null;
    const ids = bands.map((b) => b.id);
    const fins = bands.filter((b) => b.remove === 'band.remove');
    const anchor = bands.find((b) => b.id === to) ?? bands[0]!;
    const further = (way: Way) => (way === 'up' ? 'so much higher' : 'so much farther');
    const args = (way: Way, text: string) => (way === 'up' ? { up: text } : { out: text });
    return (
        <div className="mt-3 border-t border-hairline pt-2" data-arranging={open}>
            <button type="button" aria-expanded={open} className="min-h-6 text-tide hover:underline" onClick={() => setOpen(!open)}>
                {open ? '▾' : '▸'} Arrange {bands.length === 1 ? 'it' : 'them'}
            </button>
            {open && (
                <>
                    <Sentence>
                        Copied{' '}
                        <Figure
                            label="How often"
                            shown={String(times)}
                            onSend={(text) => {
                                if (!/^\s*[1-9]\d{0,2}\s*$/.test(text) || Number(text) > 200)
                                    return Promise.resolve(`“${text}” is no number of copies from 1 to 200.`);
                                setTimes(Number(text));
                                return Promise.resolve(null);
                            }}
                        />{' '}
                        {times === 1 ? 'time' : 'times'}
                        {fins.length > 0 && (
                            <>
                                , the laws shifted on by{' '}
                                <Figure
                                    label="Laws shifted on by % of the run"
                                    shown={String(shift)}
                                    onSend={(text) => {
                                        const value = numberOf(text);
                                        if (value === null) return Promise.resolve(`“${text}” is no number.`);
                                        setShift(value);
                                        return Promise.resolve(null);
                                    }}
                                />{' '}
                                %
                            </>
                        )}
                        , each{' '}
                        <span data-arrange="r">
                            <Figure
                                label={copied === 'up' ? 'Higher by' : 'Farther out by'}
                                shown={further(copied)}
                                onSend={(text) =>
                                    send('band.copy', { ids, times, ...(shift === 0 ? {} : { shift }), ...args(copied, text) })
                                }
                            />
                        </span>{' '}
                        <Choice label="Which way copies go" value={copied} options={ways} onChange={setCopied} />.
                    </Sentence>
                    <Sentence>
                        Moved{' '}
                        <Figure
                            label={moved === 'up' ? 'Moved up by' : 'Moved out by'}
                            shown={further(moved)}
                            onSend={(text) => send('band.move', { ids, ...args(moved, text) })}
                        />{' '}
                        <Choice label="Which way they are moved" value={moved} options={ways} onChange={setMoved} />.
                    </Sentence>
                    {bands.length > 1 && (
                        <Sentence>
                            Their{' '}
                            <Choice
                                label="What is brought to one level"
                                value={level}
                                options={[
                                    { value: 'feet', label: 'feet' },
                                    { value: 'middles', label: 'middles' },
                                    { value: 'heads', label: 'heads' },
                                ]}
                                onChange={setLevel}
                            />{' '}
                            at the level of{' '}
                            <Choice
                                label="Whose level"
                                value={anchor.id}
                                options={bands.map((b) => ({ value: b.id, label: b.name }))}
                                onChange={setTo}
                            />{' '}
                            <span data-arrange="a">
                                <Button small onClick={() => void ask('band.move', { ids, level, to: anchor.id })}>
                                    Align
                                </Button>
                            </span>
                        </Sentence>
                    )}
                    <Sentence>
                        Spaced upward by equal{' '}
                        <Choice
                            label="Equal"
                            value={by}
                            options={[
                                { value: 'gaps', label: 'gaps' },
                                { value: 'centres', label: 'centres' },
                            ]}
                            onChange={setBy}
                        />
                    </Sentence>
                    <div className="mt-1 flex flex-wrap items-center gap-1.5">
                        <span className="contents" data-arrange="e">
                            {bands.length > 2 && (
                                <Button small onClick={() => void ask('band.space', { ids, by })}>
                                    Between the lowest and highest
                                </Button>
                            )}
                            <Button small onClick={() => void ask('band.space', { ids, by, ends: true })}>
                                {bands.length === 1 ? 'In the middle of its storey' : 'Over their storeys'}
                            </Button>
                        </span>
                        {fins.length > 0 && fins.length === bands.length && (
                            <span data-arrange="m">
                                <Button small onClick={() => void ask('band.mirror', { ids })}>
                                    Mirror end for end
                                </Button>
                            </span>
                        )}
                    </div>
                </>
            )}
        </div>
    );
}
