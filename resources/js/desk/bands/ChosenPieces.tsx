import type { Band, EditArgs } from '../../api/client';
import { Button } from '../../ui/Button';
import { Figure } from '../card/Figure';
import { Sentence, useSend } from '../card/parts';
import { useData } from '../data';
import { useDesk, type Driven } from '../store';
import { typed } from './LawSentence';
import { drives, said } from './words';

type Pin = { piece: number; out?: boolean } & Partial<Record<Driven, number>>;

const sizes: Driven[] = ['reach', 'thickness', 'length', 'turn', 'lean'];

/** Pieces that are chosen of a band: kept as they are now, given figures of their own, left out, or let go. */
export function ChosenPieces({ band, pieces }: { band: Band; pieces: number[] }) {
    const data = useData();
    const send = useSend();
    const pins = (band.pinned as Pin[]).filter((p) => pieces.includes(p.piece));
    const pin = (args: Omit<EditArgs<'band.pin'>, 'id' | 'pieces'>) => data.edit('band.pin', { id: band.id, pieces, ...args });
    const own = pins.length === pieces.length && pins.every((p) => !p.out);
    const shown = (of: Driven) => {
        const values = new Set(pins.map((p) => p[of]));
        return values.size === 1 ? said(data, of, [...values][0] ?? 0) : 'various';
    };
    return (
        <div className="my-2 border-l-3 border-buoy bg-paper px-2 py-1" data-pieces-card>
            <p className="font-semibold">
                {pieces.length === 1 ? `Piece ${pieces[0]! + 1}` : `${pieces.length} pieces`}
                {pins.length > 0 && (
                    <span className="font-normal text-quiet"> · {pins.length === pieces.length ? 'pinned' : `${pins.length} pinned`}</span>
                )}
            </p>
            {own && (
                <Sentence>
                    {sizes.map((of, i) => (
                        <span key={of}>
                            {i > 0 ? ', ' : ''}
                            {drives[of].name}{' '}
                            <Figure
                                label={`Pinned ${drives[of].name}`}
                                shown={shown(of)}
                                disabled={!data.mayEdit}
                                onSend={(text) => typed(of, text, (to) => send('band.pin', { id: band.id, pieces, [of]: to }))}
                            />
                        </span>
                    ))}
                    .
                </Sentence>
            )}
            {data.mayEdit && (
                <div className="flex flex-wrap gap-1.5 py-1">
                    {!own && (
                        <Button small onClick={() => void pin({})}>
                            Keep as now
                        </Button>
                    )}
                    <Button small onClick={() => void pin({ out: true }).then((done) => done && useDesk.setState({ fins: [] }))}>
                        Leave out
                    </Button>
                    {pins.length > 0 && (
                        <Button small onClick={() => void pin({ release: true })}>
                            Follow the law again
                        </Button>
                    )}
                </div>
            )}
            <p className="text-xs text-quiet">Click with Shift for one more; Esc goes back to the band.</p>
        </div>
    );
}
