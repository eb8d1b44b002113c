import { api } from '../api/client';
import { Button } from '../ui/Button';
import { complain } from '../ui/notices';
import { useData } from './data';
import { useDesk } from './store';

/** How far a long change is, and the way to stop it whole. */
export function Going() {
    const data = useData();
    const going = useDesk((s) => s.going);
    if (!going) return null;
    const share = going.total > 0 ? going.done / going.total : 0;
    return (
        <div
            role="status"
            className="fixed bottom-20 left-1/2 z-50 w-[26rem] max-w-[90vw] -translate-x-1/2 rounded-md border border-hairline bg-sheet p-4 shadow-xl"
            data-going
        >
            <p className="font-semibold">
                {going.state === 'waiting' ? 'About to write' : going.state === 'stopping' ? 'Stopping' : 'Writing'} {going.what}…
            </p>
            <svg className="my-2 block h-2 w-full" viewBox="0 0 100 4" preserveAspectRatio="none" aria-hidden="true">
                <rect width={100} height={4} fill="var(--hairline)" />
                <rect width={share * 100} height={4} fill="var(--tide)" />
            </svg>
            <div className="flex items-center justify-between">
                <span className="text-quiet">{going.total > 0 ? `${going.done} of ${going.total}` : 'Working it out'}</span>
                <Button small disabled={going.state === 'stopping'} onClick={() => void api.stopTask(data.id, going.id).catch(complain)}>
                    Cancel; nothing is changed
                </Button>
            </div>
        </div>
    );
}
