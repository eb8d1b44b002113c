import { useState } from 'react';
import type { Roof } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { useData } from '../data';
import { startPointing } from '../plan/pointing';
import { useDesk } from '../store';

/** The rooflights of a roof: each to be chosen, and one more placed in plan. */
export function Lights({ roof }: { roof: Roof }) {
    const data = useData();
    const types = data.project.types.filter((t) => !t.door);
    const last = roof.lights.at(-1)?.type;
    const [type, setType] = useState(last ?? types[0]?.id ?? '');
    const start = () => {
        useDesk.setState({ storey: roof.storey });
        startPointing({ what: 'rooflight', points: [], over: null, roof: roof.id, type });
    };
    return (
        <div className="mt-3 border-t border-hairline pt-2">
            <p className="text-quiet">{roof.lights.length === 0 ? 'No rooflights in it.' : 'Rooflights in it'}</p>
            {roof.lights.map((light) => (
                <p key={light.n} className="flex min-h-7 items-center gap-2">
                    <button
                        type="button"
                        className="grow text-left text-tide hover:underline"
                        onClick={() => useDesk.setState({ fins: [light.n] })}
                    >
                        {light.n}: {data.project.types.find((t) => t.id === light.type)?.mark} {data.length(light.width)} ×{' '}
                        {data.length(light.height)}
                        {light.count > 1 && ` · ${light.count} in a row`}
                    </button>
                    <span className="text-quiet">{data.frontageOf.get(light.wall)?.name}</span>
                </p>
            ))}
            {data.mayEdit && roof.why === null && types.length > 0 && (
                <p className="mt-1 flex flex-wrap items-center gap-1.5">
                    <Choice
                        label="Unit of the next rooflight"
                        value={type}
                        options={types.map((t) => ({ value: t.id, label: `${t.mark} ${t.name}` }))}
                        onChange={setType}
                    />
                    <Button small onClick={start}>
                        Place it in plan
                    </Button>
                </p>
            )}
        </div>
    );
}
