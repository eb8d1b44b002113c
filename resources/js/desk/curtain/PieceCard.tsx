import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { Facts, Heading, Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';
import { useDesk, type PieceKey } from '../store';
import { Back } from './Back';
import { gridsOf, partlyWords, piecesOf, stretchesOf } from './grids';
import { memberParts } from './parts';
import { PartsFoot, SectionField } from './PartsFoot';

type From = 'start' | 'end' | 'before' | 'after';
type Through = 'stretch' | 'part' | 'run';

/** A line of a curtain wall, and the piece of it that was clicked. */
export function PieceCard({ piece }: { piece: PieceKey }) {
    const data = useData();
    const fixed = !data.mayEdit;
    const send = useSend();
    const ask = useAsk();
    const [from, setFrom] = useState<From>('start');
    const [through, setThrough] = useState<Through>('stretch');
    const upright = piece.axis === 'upright';
    const grids = gridsOf(data, piece.element).map((g) => g.grid);
    const grid = grids.find((g) => g.facet === piece.from && !upright) ?? grids[0];
    if (!grid) return null;
    const faceted = grid.facet !== null;
    const all = [...(upright ? grid.bays : grid.rows)].sort((a, b) => a.at - b.at);
    const line = all.find((l) => l.name === piece.line);
    // lines of another bay or row do not stand beside this one
    const lines = all.filter((l) => l.only === undefined || l.only === line?.only);
    const i = line ? lines.indexOf(line) : -1;
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
    const pieces = piecesOf(grids, piece);
    const run = stretchesOf(data, piece.element);
    const part = line?.only === undefined && !piece.line.startsWith('+');
    const everywhere = through === 'run' && part && !upright ? run : [piece.element];
    const hand = (args: object, ids = [piece.element]) => send('curtain.hand', { ids, ...args });
    const place = data.length(at);
    const move = (text: string) => {
        const within = part && through === 'part' ? { within: piece.from } : {};
        return hand({ lines: [{ axis: piece.axis, line: piece.line, done: 'moved', from, at: text, ...within }] }, everywhere).then(
            (why) => {
                // what was moved in one bay only is a line of its own there
                if (why === null && 'within' in within && !faceted)
                    useDesk.setState({ pieces: [{ ...piece, line: `${piece.line}@${piece.from}` }] });
                return why;
            },
        );
    };
    const words = upright
        ? { start: 'the left end', end: 'the right end', before: 'the line before it', after: 'the line after it' }
        : { start: 'the foot', end: 'the head', before: 'the line under it', after: 'the line over it' };
    const remove = async () => {
        const lines = [{ axis: piece.axis, line: piece.line, done: 'removed' as const }];
        if (await ask('curtain.hand', { ids: everywhere, lines })) useDesk.setState({ pieces: [] });
    };
    const takeOut = async () => {
        const members = pieces.map((p) => ({ ...p, profile: null }));
        if (await ask('curtain.hand', { ids: [piece.element], members })) useDesk.setState({ pieces: [] });
    };
    return (
        <>
            <Heading
                title={titleOf(piece)}
                note={line?.only === undefined ? `of the ${upright ? 'bays' : 'rows'}` : partlyWords(grid, piece, line.only)}
            />
            {line && !edge && (
                <Sentence>
                    It stands <Figure key={from} label="Place of the line" shown={place} disabled={fixed} onSend={move} /> from{' '}
                    <Choice
                        label="Line measured from"
                        value={from}
                        options={(Object.keys(words) as From[]).map((value) => ({ value, label: words[value] }))}
                        onChange={setFrom}
                    />
                    {part && data.mayEdit && (
                        <>
                            {' '}
                            in{' '}
                            <Choice
                                label="Where the line is moved"
                                value={upright && through === 'run' ? 'stretch' : through}
                                options={[
                                    { value: 'stretch' as const, label: 'the whole stretch' },
                                    { value: 'part' as const, label: upright ? 'this row only' : 'this bay only' },
                                    ...(run.length > 1 && !upright ? [{ value: 'run' as const, label: 'the whole run' }] : []),
                                ]}
                                onChange={setThrough}
                            />
                        </>
                    )}
                    .
                </Sentence>
            )}
            {faceted && upright && <Sentence>It stands where the facets end, as the type says.</Sentence>}
            {data.mayEdit && !(faceted && upright) && (
                <>
                    <Sentence>
                        <Choice
                            label="Which pieces"
                            value={piece.reach ?? 'piece'}
                            options={[
                                { value: 'piece' as const, label: 'The piece that was clicked is' },
                                { value: 'line' as const, label: 'All of its line are' },
                                ...(edge
                                    ? []
                                    : [
                                          { value: 'bay' as const, label: upright ? 'All in its row are' : 'All in its bay are' },
                                          { value: 'alike' as const, label: upright ? 'All mullions are' : 'All transoms are' },
                                      ]),
                            ]}
                            onChange={(to) => {
                                const { element, axis, line, from } = piece;
                                const one = { element, axis, line, from };
                                useDesk.setState({ pieces: [to === 'piece' ? one : { ...one, reach: to }] });
                            }}
                        />{' '}
                        <SectionField
                            label="Section of this piece"
                            onSend={(profile) => hand({ members: pieces.map((p) => ({ ...p, profile })) })}
                        />
                        .
                    </Sentence>
                    <div className="mt-2 flex flex-wrap gap-1.5">
                        <Button small onClick={() => void takeOut()}>
                            {piece.reach === undefined ? 'Take this piece out' : 'Take them out'}
                        </Button>
                        {!edge && (
                            <Button small look="danger" onClick={() => void remove()}>
                                {everywhere.length > 1 ? 'Remove the line in the run' : 'Remove the whole line'}
                            </Button>
                        )}
                    </div>
                </>
            )}
            {line && !(faceted && upright) && (
                <Facts
                    rows={[
                        [`From ${words.start}`, data.length(line.at)],
                        [`From ${words.end}`, data.length(length - line.at)],
                    ]}
                />
            )}
            <PartsFoot parts={memberParts(data, [piece])} what={titleOf(piece).toLowerCase()} />
            <Back element={piece.element} />
        </>
    );
}

function titleOf({ axis, line }: PieceKey): string {
    const upright = axis === 'upright';
    if (line === '0') return upright ? 'Left side' : 'Foot';
    if (line === 'end') return upright ? 'Right side' : 'Head';
    return `${upright ? 'Upright' : 'Level'} line ${line.replace('+', 'added ').replace(/@.*/, '')}`;
}
