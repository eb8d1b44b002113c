import { Problem } from '../api/problem';
import { create } from 'zustand';

type Notice = { id: number; text: string; bad: boolean; stays?: boolean; action?: { label: string; run: () => void } };

type Notices = { all: Notice[]; add: (notice: Omit<Notice, 'id'>) => void; close: (id: number) => void };

let next = 1;

const useNotices = create<Notices>((set) => ({
    all: [],
    add: (notice) => {
        const id = next++;
        set((s) => ({ all: [...s.all.filter((n) => n.text !== notice.text).slice(-4), { ...notice, id }] }));
        if (!notice.stays) window.setTimeout(() => set((s) => ({ all: s.all.filter((n) => n.id !== id) })), notice.bad ? 9000 : 4000);
    },
    close: (id) => set((s) => ({ all: s.all.filter((n) => n.id !== id) })),
}));

/** Says something in passing. */
export function tell(text: string, action?: Notice['action']): void {
    useNotices.getState().add({ text, bad: false, action });
}

/** Says what did not work. */
export function complain(problem: unknown): void {
    useNotices.getState().add({
        text: problem instanceof Error ? problem.message : 'Something went wrong.',
        bad: true,
        stays: problem instanceof Problem && problem.late,
    });
}

/** Whether a notice says this at the moment. */
export const isTold = (text: string) => useNotices.getState().all.some((n) => n.text.includes(text));

/** Where passing words appear. */
export function NoticeBoard() {
    const { all, close } = useNotices();
    return (
        <div
            role="status"
            aria-live="polite"
            className="pointer-events-none fixed right-3 bottom-3 z-50 flex w-80 max-w-[90vw] flex-col gap-2"
        >
            {all.map((n) => (
                <div
                    key={n.id}
                    className={`pointer-events-auto flex items-start gap-3 rounded border-l-4 px-3 py-2 shadow-md ${n.bad ? 'border-buoy bg-buoy-wash' : 'border-tide bg-sheet'}`}
                >
                    <span className="grow">{n.text}</span>
                    {n.action && (
                        <button type="button" className="font-semibold text-tide" onClick={n.action.run}>
                            {n.action.label}
                        </button>
                    )}
                    <button type="button" aria-label="Close" className="px-1 text-quiet hover:text-ink" onClick={() => close(n.id)}>
                        ×
                    </button>
                </div>
            ))}
        </div>
    );
}
