import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type EditArgs } from '../../api/client';
import { Button } from '../../ui/Button';
import { useData, type FoundOpening } from '../data';
import { useDesk } from '../store';
import { Heading } from './parts';
import { useTyping } from './typing';

const figures: Record<string, string> = { Width: 'width', Height: 'height' };

/** An opening that someone else has removed while it was chosen: who and when, what was being typed, and the same again as a new one. */
export function GoneCard({ opening }: { opening: FoundOpening }) {
    const data = useData();
    // as it was when it went: nothing else is typed into it
    const [typed] = useState(useTyping.getState());
    const [problem, setProblem] = useState<string | null>(null);
    const about = useQuery({
        queryKey: ['changes', data.id, 'about', opening.id],
        queryFn: () => api.changes(data.id, opening.id),
        staleTime: Infinity,
    });
    const removed = about.data?.changes[0];
    const field = typed ? figures[typed.label] : undefined;
    const again = async () => {
        const { host, storey, type, width, height, position, sill, facesOut, mirrored, setback, shape } = opening;
        const args: EditArgs<'opening.place'> = {
            host,
            storey,
            type,
            width,
            height,
            position,
            sill,
            facesOut,
            mirrored,
            setback,
            ...(shape ? { shape } : {}),
            ...(field && typed ? { [field]: typed.text } : {}),
        };
        try {
            await data.edit('opening.place', args, { quiet: true, choose: (o) => o.chosen });
        } catch (error) {
            setProblem((error as Error).message);
        }
    };
    return (
        <div data-gone={opening.id}>
            <Heading title={opening.label} note={`${opening.frontage.name} · ${data.storeys.get(opening.storey)?.name ?? ''}`} />
            <p className="my-2 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-buoy" role="alert">
                {removed
                    ? `${removed.person} removed this at ${new Date(removed.at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })} (“${removed.summary}”).`
                    : 'This was removed by someone else.'}
            </p>
            {typed && (
                <p className="my-2">
                    You were typing <b>{typed.text}</b> for its {typed.label.toLowerCase()}.
                </p>
            )}
            {problem && <p className="my-2 text-buoy">{problem}</p>}
            <div className="flex gap-2">
                {data.mayEdit && (
                    <Button look="main" onClick={() => void again()}>
                        {field ? `Place it again, ${typed!.label.toLowerCase()} ${typed!.text}` : 'Place it again'}
                    </Button>
                )}
                <Button onClick={() => useDesk.getState().choose([])}>Close</Button>
            </div>
        </div>
    );
}
