import { tryNow, useReach } from '../api/reach';
import { useKept } from '../desk/kept';

/** A lasting sign while the server is not reached, or someone else's change is waited for: since when, and what is kept meanwhile. */
export function Reach() {
    const { lostAt, waitsFor } = useReach();
    const count = useKept((s) => s.all.length);
    if (lostAt === null && waitsFor === null) return null;
    const kept =
        count === 0
            ? 'What is on the screen stays.'
            : count === 1
              ? 'One change is kept and sent when it is back.'
              : `${count} changes are kept and sent in order when it is back.`;
    return (
        // over the page, so that no drawing jumps when it comes and goes
        <p
            role="status"
            className="fixed bottom-16 left-1/2 z-60 flex max-w-[92vw] -translate-x-1/2 items-center gap-4 rounded-md border border-buoy bg-buoy-wash px-4 py-2 text-buoy shadow-xl"
            data-away={lostAt === null ? undefined : count}
        >
            <span className="grow">
                {lostAt === null
                    ? waitsFor
                    : `The server is not reached since ${new Date(lostAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}. ${kept}`}
            </span>
            <button type="button" className="font-semibold underline" onClick={tryNow}>
                Try now
            </button>
        </p>
    );
}
