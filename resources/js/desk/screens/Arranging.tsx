import { useState } from 'react';
import type { Screen, ScreenPart } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';
import { useDesk } from '../store';

/** Cut-outs arranged as openings are: copied on, stacked onto storeys, before another wall, mirrored, spaced. */
export function Arranging({ screen, parts }: { screen: Screen; parts: ScreenPart[] }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const [times, setTimes] = useState(1);
    const [up, setUp] = useState(false);
    const [by, setBy] = useState<'gaps' | 'centres'>('gaps');
    const [keep, setKeep] = useState(true);
    const numbers = parts.map((p) => p.n);
    const args = { id: screen.id, parts: numbers };
    if (parts.some((p) => p.wall === null)) return null;
    const wall = data.walls.get(parts[0]!.wall!);
    const others = data.project.storeys.filter((s) => s.id !== screen.storey);
    const walls = screen.before.filter((id) => id !== wall?.id);
    return (
        <div className="mt-3 border-t border-hairline pt-2">
            <Sentence>
                Copied{' '}
                <Figure
                    label="How often"
                    shown={String(times)}
                    onSend={(text) => {
                        if (!/^\s*[1-9]\d{0,2}\s*$/.test(text)) return Promise.resolve(`“${text}” is no number of copies from 1 to 500.`);
                        setTimes(Number(text));
                        return Promise.resolve(null);
                    }}
                />{' '}
                {times === 1 ? 'time' : 'times'}, each{' '}
                <span data-arrange="r">
                    <Figure
                        label={up ? 'Higher by' : 'Further by'}
                        shown={up ? 'so much higher' : 'so much further'}
                        onSend={(text) => send('screen.copy', { ...args, times, ...(up ? { dv: text } : { du: text }) })}
                    />
                </span>{' '}
                <Choice
                    label="Which way"
                    value={up ? 'up' : 'along'}
                    options={[
                        { value: 'along', label: 'along the wall' },
                        { value: 'up', label: 'up' },
                    ]}
                    onChange={(to) => setUp(to === 'up')}
                />
                .
            </Sentence>
            <Sentence>
                <Choice
                    label="What is mirrored"
                    value={keep ? 'copy' : 'move'}
                    options={[
                        { value: 'copy', label: 'A mirror image' },
                        { value: 'move', label: 'Mirrored themselves' },
                    ]}
                    onChange={(to) => setKeep(to === 'copy')}
                />{' '}
                about{' '}
                <span data-arrange="m">
                    <Figure
                        label="Mirrored about"
                        shown={wall ? data.length(wall.length / 2) : 'the middle'}
                        onSend={(about) => send('screen.mirror', { ...args, about, keep })}
                    />
                </span>{' '}
                from the wall’s left end.
            </Sentence>
            <div className="mt-1 flex flex-wrap items-center gap-1.5">
                {wall && (
                    <Button small onClick={() => void ask('screen.mirror', { ...args, about: wall.length / 2, keep })}>
                        Mirror about the wall’s middle
                    </Button>
                )}
                {others.length > 0 && (
                    <span data-arrange="t">
                        <Button small onClick={() => void ask('screen.copy', { ...args, storeys: others.map((s) => s.id) })}>
                            Onto all storeys
                        </Button>
                    </span>
                )}
                <span data-arrange="c" className="contents">
                    {walls.map((id, i) => (
                        <Button key={id} small onClick={() => void ask('screen.copy', { ...args, to: id })}>
                            {walls.length === 1 ? 'Before its other wall' : `Before ${data.frontageOf.get(id)?.name ?? `wall ${i + 1}`}`}
                        </Button>
                    ))}
                </span>
            </div>
            <Sentence>
                Spaced by equal{' '}
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
            <div className="mt-1 flex flex-wrap items-center gap-1.5" data-arrange="e">
                {parts.length > 2 && (
                    <Button small onClick={() => void ask('screen.space', { ...args, by, up })}>
                        Between the outer two
                    </Button>
                )}
                <Button small onClick={() => void ask('screen.space', { ...args, by, up, ends: true })}>
                    Between the ends of the screen
                </Button>
                {screen.parts.length > parts.length && (
                    <Button
                        small
                        onClick={() =>
                            useDesk.setState({
                                fins: screen.parts.filter((p) => p.cut && p.wall === parts[0]!.wall).map((p) => p.n),
                            })
                        }
                    >
                        Choose all before this wall
                    </Button>
                )}
            </div>
        </div>
    );
}
