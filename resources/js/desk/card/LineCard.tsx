import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { useData, type FoundLine } from '../data';
import { shareOf } from '../shares';
import { toggleHidden } from '../showing';
import { useDesk } from '../store';
import { Figure } from './Figure';
import { Facts, Heading, RemoveButton, Sentence, useSend } from './parts';

const names: Record<string, string> = {
    left: 'right of the left end',
    right: 'left of the right end',
    middle: 'right of the middle',
    fraction: 'of the wall, from the left',
    floor: 'above the floor',
    foot: 'above the wall’s foot',
    datum: 'above the site datum',
};

/** One setting-out line: what it is measured from, where it falls, and where else it goes. */
export function LineCard({ line }: { line: FoundLine }) {
    const data = useData();
    const send = useSend();
    const fixed = !data.mayEdit;
    const rule = line.rule as { from: string; value?: number; height?: number; ref: string | null; point: string };
    const figure = rule.value ?? rule.height ?? 0;
    const share = rule.from === 'fraction';
    const other = rule.ref ? (data.lines.get(rule.ref)?.name ?? data.openings.get(rule.ref)?.label ?? 'something that is not in view') : '';
    const said =
        rule.ref === null
            ? (names[rule.from] ?? rule.from)
            : rule.from === 'line'
              ? `from line ${other}`
              : `from the ${rule.point}${rule.point === 'left' || rule.point === 'right' ? ' jamb' : ''} of ${other}`;
    const sendFigure = (text: string) => {
        if (!share) return send('line.change', { id: line.id, value: text });
        const value = shareOf(text);
        return value === null
            ? Promise.resolve(`“${text}” is not a share: give per cent, or a fraction such as 1/3.`)
            : send('line.change', { id: line.id, value });
    };
    const across = (side: 'left' | 'right') => void data.edit('line.across', { id: line.id, side }, { choose: (o) => o.chosen });
    return (
        <>
            <Heading title={`Line ${line.name}`} note={`${line.frontage.name} · ${line.axis}`} />
            <Sentence>
                Called{' '}
                <Figure label="Name" shown={line.name} disabled={fixed} onSend={(name) => send('line.change', { id: line.id, name })} />.
            </Sentence>
            {rule.from === 'across' ? (
                <Sentence>As far from the corner as line {other} is on the other side; it follows that one.</Sentence>
            ) : (
                <Sentence>
                    <Figure
                        label="Distance"
                        shown={share ? `${+(figure * 100).toFixed(3)} %` : data.length(figure)}
                        disabled={fixed}
                        onSend={sendFigure}
                    />{' '}
                    {said}
                    {rule.from === 'floor' && (
                        <>
                            {' '}
                            of{' '}
                            <Choice
                                label="Storey of the line"
                                value={line.storey ?? 'every'}
                                disabled={fixed}
                                options={[
                                    { value: 'every', label: 'every storey' },
                                    ...data.project.storeys.map((s) => ({ value: s.id, label: s.name })),
                                ]}
                                onChange={(to) => void data.edit('line.change', { id: line.id, storey: to === 'every' ? null : to })}
                            />
                        </>
                    )}
                    .
                </Sentence>
            )}
            {!fixed && (
                <Sentence>
                    Move it by <Figure label="Move by" shown="0" onSend={(by) => send('line.change', { id: line.id, by })} /> or drag it.
                    What is placed from it follows.
                </Sentence>
            )}
            <Facts
                rows={[
                    ...(line.u === null
                        ? line.levels
                              .slice(0, 6)
                              .map(
                                  (l) =>
                                      [l.storey ? `Level on ${data.storeys.get(l.storey)?.name ?? ''}` : 'Level', data.length(l.level)] as [
                                          string,
                                          string,
                                      ],
                              )
                        : ([
                              ['From the frontage’s left end', data.length(line.u)],
                              ['To its right end', data.length(line.frontage.width - line.u)],
                          ] as [string, string][])),
                    ['Placed from it', line.hangs],
                ]}
            />
            {data.mayEdit && (
                <>
                    <div className="mt-3 flex flex-wrap gap-2">
                        <Button small onClick={() => across('left')} title="To the next frontage on the left, as far from the corner">
                            Across the left corner
                        </Button>
                        <Button small onClick={() => across('right')} title="To the next frontage on the right, as far from the corner">
                            Across the right corner
                        </Button>
                    </div>
                    <div className="flex flex-wrap gap-x-3">
                        <RemoveButton label="Remove this line" onClick={() => useDesk.setState({ removingLines: [line.id] })} />
                        {data.lines.size > 1 && (
                            <RemoveButton
                                keyed={false}
                                label={`Remove all ${data.lines.size} lines`}
                                onClick={() => useDesk.setState({ removingLines: 'all' })}
                            />
                        )}
                        <Button small look="plain" className="mt-3" onClick={() => toggleHidden('lines')}>
                            Hide all lines
                        </Button>
                    </div>
                </>
            )}
        </>
    );
}
