import type { EditArgs, Wall } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { useData } from '../data';
import { Figure } from './Figure';
import { Sentence, useSend } from './parts';

const kept = { rise: 'rise', radius: 'radius', angle: 'angle', length: 'arc length' };

/** How a wall is curved, every figure of it a field; of a straight one how far it would rise. */
export function ArcWords({ wall }: { wall: Wall }) {
    const data = useData();
    const send = useSend();
    const fixed = !data.mayEdit;
    const bend = (args: Omit<EditArgs<'wall.bend'>, 'wall'>) => send('wall.bend', { wall: wall.id, ...args });
    const degrees = (text: string) => Number(text.replace(',', '.').replace('°', ''));
    const { arc } = wall;
    if (!arc)
        return fixed ? null : (
            <Sentence>
                Straight: it rises <Figure label="Rise" shown={data.length(0)} onSend={(rise) => bend({ rise })} /> over its chord.
            </Sentence>
        );
    return (
        <>
            <Sentence>
                An arc that bulges{' '}
                <Choice
                    label="Bulges"
                    value={arc.radius > 0 ? 'outward' : 'inward'}
                    disabled={fixed}
                    options={[
                        { value: 'outward', label: 'outward' },
                        { value: 'inward', label: 'inward' },
                    ]}
                    onChange={(way) => void data.edit('wall.bend', { wall: wall.id, outward: way === 'outward' })}
                />
                : radius{' '}
                <Figure label="Radius" shown={data.length(Math.abs(arc.radius))} disabled={fixed} onSend={(radius) => bend({ radius })} />,
                rise <Figure label="Rise" shown={data.length(Math.abs(wall.rise))} disabled={fixed} onSend={(rise) => bend({ rise })} />,
                arc <Figure label="Arc length" shown={data.length(wall.length)} disabled={fixed} onSend={(length) => bend({ length })} />{' '}
                over a chord of <Figure label="Chord" shown={data.length(arc.chord)} disabled={fixed} onSend={(chord) => bend({ chord })} />
                , turning{' '}
                <Figure
                    label="Angle"
                    shown={`${+((Math.abs(arc.turn) * 180) / Math.PI).toFixed(3)}°`}
                    disabled={fixed}
                    onSend={(text) => {
                        const angle = degrees(text);
                        return Number.isFinite(angle) && text.trim() !== ''
                            ? bend({ angle })
                            : Promise.resolve(`“${text}” is not an angle: give degrees.`);
                    }}
                />
                .
            </Sentence>
            <Sentence>
                When one of its ends moves, its{' '}
                <Choice
                    label="What stays when an end moves"
                    value={wall.keeps}
                    disabled={fixed}
                    options={(Object.entries(kept) as [Wall['keeps'], string][]).map(([value, label]) => ({ value, label }))}
                    onChange={(keeps) => void data.edit('wall.bend', { wall: wall.id, keeps })}
                />{' '}
                stays.
            </Sentence>
        </>
    );
}
