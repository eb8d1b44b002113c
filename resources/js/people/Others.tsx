import { useDesk } from '../desk/store';
import { useKeepingUp, usePresence } from './usePresence';

/** Who else is in the project now, as initials; opens who is in it and how others come in. */
export function Others() {
    useKeepingUp();
    const here = usePresence((s) => s.here);
    const initials = (name: string) =>
        name
            .split(/\s+/)
            .map((w) => w[0])
            .slice(0, 2)
            .join('')
            .toUpperCase();
    return (
        <button
            type="button"
            onClick={() => useDesk.setState({ people: true })}
            title={here.length === 0 ? 'People: nobody else is here now' : `Here now: ${here.map((h) => h.name).join(', ')}`}
            className="flex min-h-8 items-center gap-1 rounded px-1.5 hover:text-tide"
            data-here={here.length}
        >
            {here.slice(0, 3).map((h) => (
                <span
                    key={h.id}
                    aria-hidden
                    className="-ml-1.5 flex size-6 items-center justify-center rounded-full border border-sheet bg-tide text-[10px] font-semibold text-on-tide first:ml-0"
                >
                    {initials(h.name)}
                </span>
            ))}
            {here.length > 3 && (
                <span aria-hidden className="text-xs">
                    +{here.length - 3}
                </span>
            )}
            {here.length > 0 && <span className="sr-only">People, here now: {here.map((h) => h.name).join(', ')}</span>}
            {here.length === 0 && 'People'}
        </button>
    );
}

/** Said over everything when one is out of the project while it is open. */
export function OutOfIt() {
    const out = usePresence((s) => s.out);
    if (!out) return null;
    return (
        <p role="alert" className="flex items-center gap-3 bg-buoy-wash px-4 py-2 text-buoy" data-out>
            {out}{' '}
            <a href="/" className="underline">
                To the projects
            </a>
        </p>
    );
}
