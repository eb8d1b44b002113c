import { useState } from 'react';
import { formatArea } from '../../measure/format';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { Facts, Heading, Sentence, useSend } from '../card/parts';
import { useData } from '../data';
import { useDesk, type CellKey, type PieceKey } from '../store';
import { alike, cellsChosen, gridsOf } from './grids';
import { InfillWords, type InfillValues } from './infill';

/** The cells that are chosen of a curtain wall. */
export function CellCard({ cells: keys }: { cells: CellKey[] }) {
    const data = useData();
    const send = useSend();
    const cells = cellsChosen(data, keys);
    const first = cells[0];
    if (!first) return null;
    const one = cells.length === 1 ? first.cell : null;
    const element = keys[0]!.element;
    const units = data.project.settings.units;
    const infills = new Set(cells.map((c) => JSON.stringify(c.grid.infills[c.cell.infill])));
    const infill = infills.size === 1 ? (first.grid.infills[first.cell.infill] as InfillValues) : null;
    const ids = [...new Set(keys.map((k) => k.element))];
    const area = cells.reduce((sum, c) => sum + c.cell.clear[2]!, 0);
    const mayJoin = ids.length === 1 && cells.length > 1;
    const hand = (args: object) => send('curtain.hand', { ids, ...args });
    const fill = (to: InfillValues) => hand({ infills: keys.map((k) => ({ ...k, infill: to })) });
    const choose = (how: Parameters<typeof alike>[2]) => useDesk.setState({ cells: alike(data, keys[0]!, how) });
    const join = async () => {
        const why = await hand({ join: keys });
        if (why === null) useDesk.setState({ cells: [keys[0]!] });
    };
    return (
        <>
            <Heading
                title={one ? capital(one.name) : `${cells.length} cells`}
                note={
                    one
                        ? `${data.length(one.clear[0]!)} × ${data.length(one.clear[1]!)} clear` + (one.ring ? ', not a rectangle' : '')
                        : `${formatArea(area, units)} clear together`
                }
            />
            <Sentence>
                {one ? 'It is ' : 'They are '}
                <InfillWords label="What fills it" infill={infill} disabled={!data.mayEdit} onSend={fill} />.
            </Sentence>
            <p className="mt-2 text-quiet">Choose also</p>
            <div className="flex flex-wrap gap-1.5">
                {(
                    [
                        ['row', 'its row'],
                        ['bay', 'its bay'],
                        ['filled', 'all filled alike'],
                        ['all', 'all cells'],
                    ] as const
                ).map(([how, says]) => (
                    <Button key={how} small onClick={() => choose(how)}>
                        {says}
                    </Button>
                ))}
            </div>
            {data.mayEdit && (
                <div className="mt-3 flex flex-wrap gap-1.5 border-t border-hairline pt-3">
                    <Button small onClick={() => void hand({ divide: keys.map((k) => ({ ...k, axis: 'level' })) })}>
                        Divide by a transom
                    </Button>
                    <Button small onClick={() => void hand({ divide: keys.map((k) => ({ ...k, axis: 'upright' })) })}>
                        Divide by a mullion
                    </Button>
                    {mayJoin && (
                        <Button small onClick={() => void join()}>
                            Join {cells.length === 2 ? 'the two' : 'them'}
                        </Button>
                    )}
                </div>
            )}
            <p className="mt-3 text-xs text-quiet">Click with Shift for one more; Esc goes back to the whole.</p>
            <Back element={element} />
        </>
    );
}

/** A line of a curtain wall, and the piece of it that was clicked. */
export function PieceCard({ piece }: { piece: PieceKey }) {
    const data = useData();
    const send = useSend();
    const [from, setFrom] = useState<'start' | 'end' | 'before' | 'after'>('start');
    const found = gridsOf(data, piece.element)[0];
    if (!found) return null;
    const { grid } = found;
    const upright = piece.axis === 'upright';
    const lines = [...(upright ? grid.bays : grid.rows)].sort((a, b) => a.at - b.at);
    const i = lines.findIndex((l) => l.name === piece.line);
    const line = lines[i];
    const edge = piece.line === '0' || piece.line === 'end';
    const length = upright ? grid.width : grid.height;
    const at = line
        ? {
              start: line.at,
              end: length - line.at,
              before: line.at - (lines[i - 1]?.at ?? 0),
              after: (lines[i + 1]?.at ?? length) - line.at,
          }[from]
        : 0;
    const hand = (args: object) => send('curtain.hand', { ids: [piece.element], ...args });
    const title = edge
        ? { '0': upright ? 'Left side' : 'Foot', end: upright ? 'Right side' : 'Head' }[piece.line as '0' | 'end']
        : `${upright ? 'Upright' : 'Level'} line ${piece.line.replace('+', 'added ')}`;
    const words = upright
        ? { start: 'the left end', end: 'the right end', before: 'the line before it', after: 'the line after it' }
        : { start: 'the foot', end: 'the head', before: 'the line under it', after: 'the line over it' };
    const remove = async () => {
        if ((await hand({ lines: [{ axis: piece.axis, line: piece.line, done: 'removed' }] })) === null) useDesk.setState({ piece: null });
    };
    return (
        <>
            <Heading title={title} note={`of the ${upright ? 'bays' : 'rows'}`} />
            {line && !edge && (
                <Sentence>
                    It stands{' '}
                    <Figure
                        key={from}
                        label="Place of the line"
                        shown={data.length(at)}
                        disabled={!data.mayEdit}
                        onSend={(text) => hand({ lines: [{ axis: piece.axis, line: piece.line, done: 'moved', from, at: text }] })}
                    />{' '}
                    from{' '}
                    <Choice
                        label="Line measured from"
                        value={from}
                        options={(Object.keys(words) as (keyof typeof words)[]).map((value) => ({ value, label: words[value] }))}
                        onChange={setFrom}
                    />
                    .
                </Sentence>
            )}
            {data.mayEdit && (
                <>
                    <Sentence>
                        The piece that was clicked is{' '}
                        <Figure
                            label="Section of this piece"
                            shown="as its type says"
                            onSend={(text) => {
                                const sizes = text.split(/[×x*]/);
                                return sizes.length !== 2
                                    ? Promise.resolve('A section is its face and its depth: 60 × 150.')
                                    : hand({
                                          members: [
                                              {
                                                  axis: piece.axis,
                                                  line: piece.line,
                                                  from: piece.from,
                                                  profile: { shape: 'rectangle', face: sizes[0]!.trim(), depth: sizes[1]!.trim() },
                                              },
                                          ],
                                      });
                            }}
                        />
                        .
                    </Sentence>
                    <div className="mt-2 flex flex-wrap gap-1.5">
                        <Button
                            small
                            onClick={() =>
                                void hand({ members: [{ axis: piece.axis, line: piece.line, from: piece.from, profile: null }] }).then(
                                    (why) => why === null && useDesk.setState({ piece: null }),
                                )
                            }
                        >
                            Take this piece out
                        </Button>
                        {!edge && (
                            <Button small look="danger" onClick={() => void remove()}>
                                Remove the whole line
                            </Button>
                        )}
                    </div>
                </>
            )}
            {line && (
                <Facts
                    rows={[
                        [`From ${words.start}`, data.length(line.at)],
                        [`From ${words.end}`, data.length(length - line.at)],
                    ]}
                />
            )}
            <Back element={piece.element} />
        </>
    );
}

function Back({ element }: { element: string }) {
    return (
        <p className="mt-3">
            <button
                type="button"
                className="min-h-6 text-tide underline"
                onClick={() => useDesk.setState({ cells: [], piece: null, chosen: [element] })}
            >
                The whole curtain wall
            </button>
        </p>
    );
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
