import { Fragment } from 'react';
import { useData, type FoundOpening } from '../data';
import { Figure } from './Figure';
import { Sentence, useSend } from './parts';

/** What is left of the wall beside an opening, to walls that meet it there or to its ends, each typed as a figure. */
export function NibWords({ opening }: { opening: FoundOpening }) {
    const data = useData();
    const send = useSend();
    if (opening.nibs.length === 0) return null;
    return (
        <Sentence>
            {opening.nibs.map((nib, i) => (
                <Fragment key={nib.side}>
                    {i === 0 ? 'Nib of ' : ', of '}
                    <Figure
                        label={`Nib on the ${nib.side}`}
                        shown={data.length(nib.width)}
                        disabled={!data.mayEdit}
                        onSend={(text) => send('opening.change', { id: opening.id, nib: { side: nib.side, width: text } })}
                    />{' '}
                    on the {nib.side}, to {nib.wall ?? 'the end of the wall'}
                </Fragment>
            ))}
            .
        </Sentence>
    );
}
