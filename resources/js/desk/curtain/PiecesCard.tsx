import { Button } from '../../ui/Button';
import { Heading, Sentence, useAsk, useSend } from '../card/parts';
import { useData } from '../data';
import { useDesk, type PieceKey } from '../store';
import { Back } from './Back';
import { gridsOf, piecesOf } from './grids';
import { memberParts } from './parts';
import { PartsFoot, SectionField } from './PartsFoot';

/** Several members of a curtain wall that are chosen together. */
export function PiecesCard({ pieces: keys }: { pieces: PieceKey[] }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const element = keys[0]!.element;
    const grids = gridsOf(data, element).map((g) => g.grid);
    if (grids.length === 0) return null;
    const pieces = keys.flatMap((key) => piecesOf(grids, key));
    const upright = keys.filter((k) => k.axis === 'upright').length;
    const hand = (profile: object | null) => ({ ids: [element], members: pieces.map((p) => ({ ...p, profile })) });
    const takeOut = async () => {
        if (await ask('curtain.hand', hand(null))) useDesk.setState({ pieces: [] });
    };
    return (
        <>
            <Heading title={`${keys.length} members`} note={`${upright} upright, ${keys.length - upright} level`} />
            {data.mayEdit && (
                <>
                    <Sentence>
                        They are <SectionField label="Section of these members" onSend={(profile) => send('curtain.hand', hand(profile))} />
                        .
                    </Sentence>
                    <div className="mt-2">
                        <Button small onClick={() => void takeOut()}>
                            Take them out
                        </Button>
                    </div>
                </>
            )}
            <p className="mt-3 text-xs text-quiet">Click with Shift for one more or one less; Esc goes back to the whole.</p>
            <PartsFoot parts={memberParts(data, keys)} what={`${keys.length} members`} />
            <Back element={element} />
        </>
    );
}
