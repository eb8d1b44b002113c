import { useEffect, useRef, useState, type ReactNode } from 'react';
import type { EditArgs, EditName, Misfit } from '../../api/client';
import { Button } from '../../ui/Button';
import { complain, tell } from '../../ui/notices';
import { Heading } from '../card/parts';
import { useData } from '../data';
import { fit } from '../drawing/view';
import { useDesk } from '../store';

type Props<N extends EditName> = {
    title: string;
    /** what is done it to */
    to: string;
    edit: N;
    /** null while something is still to be said; then `missing` says what */
    args: EditArgs<N> | null;
    missing?: string;
    /** on the button: "Repeat" */
    verb: string;
    /** it changes openings, so what would not fit may be left out */
    many?: boolean;
    /** what it makes is not chosen afterwards */
    keepChoice?: boolean;
    /** what is told when it is done, instead of what it did */
    after?: (summary: string) => Promise<void>;
    children: ReactNode;
};

/** Something done to what is chosen: said in sentences, shown in the drawing as it is typed, done with Enter. */
export function Sheet<N extends EditName>(props: Props<N>) {
    const { title, to, edit, args, missing, verb, many = true, keepChoice = false, after, children } = props;
    const data = useData();
    const preview = useDesk((s) => s.preview);
    const [leaveOut, setLeaveOut] = useState(false);
    const [busy, setBusy] = useState(false);
    const form = useRef<HTMLFormElement>(null);
    const waiting = useRef(false);
    /** what the preview is of */
    const known = useRef('');
    const said = args === null ? '' : JSON.stringify(args);
    const { tryEdit } = data;
    const latest = useRef(tryEdit);
    useEffect(() => {
        latest.current = tryEdit;
    }, [tryEdit]);

    const before = useRef(said);
    useEffect(() => {
        known.current = '';
        // what is said otherwise now is not what Enter was pressed for; a change that came meanwhile takes nothing from it
        if (before.current !== said) waiting.current = false;
        before.current = said;
        if (said === '') {
            useDesk.setState({ preview: null });
            return;
        }
        let gone = false;
        const timer = window.setTimeout(async () => {
            try {
                const o = await latest.current(edit, JSON.parse(said) as EditArgs<N>);
                if (gone) return;
                known.current = said;
                useDesk.setState({
                    preview: {
                        placed: o.placed,
                        misfits: o.misfits,
                        notes: o.notes,
                        wanted: o.wanted,
                        refusal: null,
                        findings: o.findings,
                        lines: o.lines,
                        walls: o.walls,
                    },
                });
            } catch (problem) {
                if (gone) return;
                known.current = said;
                useDesk.setState({
                    preview: {
                        placed: [],
                        misfits: [],
                        notes: [],
                        wanted: 0,
                        refusal: (problem as Error).message,
                        findings: [],
                        lines: [],
                        walls: [],
                    },
                });
            }
        }, 90);
        return () => {
            gone = true;
            window.clearTimeout(timer);
        };
    }, [said, edit, data.project.number]);

    useEffect(() => {
        const first = form.current?.querySelector<HTMLInputElement>('input[type=text]');
        if (first) {
            first.focus();
            first.select();
        } else form.current?.focus();
    }, []);

    const there = useRef(true);
    useEffect(() => {
        there.current = true;
        return () => void (there.current = false);
    }, []);

    const close = () => {
        useDesk.getState().open(null);
        document.querySelector<HTMLElement>('[data-pane=elevation]')?.focus({ preventScroll: true });
    };

    const misfits = preview?.misfits.length ?? 0;
    const fitting = (preview?.wanted ?? 0) - misfits;
    const can = args !== null && preview !== null && preview.refusal === null && (misfits === 0 || (leaveOut && fitting > 0));
    async function run() {
        // Enter before it is known whether what is typed now can be done: it is done as soon as that is known
        if (args !== null && known.current !== said) {
            waiting.current = true;
            return;
        }
        if (!can || busy) return;
        setBusy(true);
        try {
            const outcome = await data.edit(
                edit,
                many ? ({ ...args, fit: leaveOut ? 'fitting' : 'all' } as unknown as EditArgs<N>) : args,
                {
                    quiet: true,
                    many: preview?.wanted ?? 0,
                    ...(!keepChoice && { choose: (o) => (o.chosen.length > 0 ? o.chosen : useDesk.getState().chosen) }),
                },
            );
            // one who has put it away meanwhile has gone on to something else
            if (there.current) close();
            if (!outcome) return;
            if (after) await after(outcome.summary);
            else tell(`${outcome.summary}.`, { label: 'Undo', run: () => void data.undo() });
        } catch (problem) {
            complain(problem);
        } finally {
            setBusy(false);
        }
    }

    useEffect(() => {
        if (preview === null || !waiting.current || known.current !== said) return;
        waiting.current = false;
        void run();
        // once, when it has become known
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [preview]);

    return (
        <form
            ref={form}
            tabIndex={-1}
            className="outline-none"
            data-sheet={edit}
            onSubmit={(e) => {
                e.preventDefault();
                void run();
            }}
            onKeyDownCapture={(e) => {
                // Enter does it, also from a word that was just chosen; Space and the arrows open the words
                if (
                    e.key === 'Enter' &&
                    (e.target as HTMLElement).role === 'combobox' &&
                    (e.target as HTMLElement).ariaExpanded !== 'true'
                ) {
                    e.preventDefault();
                    e.stopPropagation();
                    void run();
                }
            }}
            onKeyDown={(e) => {
                // not left to the browser, which sends no form whose button cannot be pressed yet
                if (e.key === 'Enter' && (e.target === e.currentTarget || e.target instanceof HTMLInputElement)) {
                    e.preventDefault();
                    void run();
                }
                if (e.key === 'Escape') {
                    e.stopPropagation();
                    close();
                }
            }}
        >
            <Heading title={title} note={to}>
                <Button small look="plain" onClick={close} title="Esc">
                    Cancel
                </Button>
            </Heading>
            {children}
            <div
                className="mt-3 border-t border-hairline pt-2"
                aria-live="polite"
                data-preview={preview ? `${fitting}/${preview.wanted}` : ''}
            >
                {args === null && <p className="text-quiet">{missing}</p>}
                {preview?.refusal && <p className="border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-buoy">{preview.refusal}</p>}
                {preview && !preview.refusal && (
                    <>
                        {!many && <p className="font-semibold text-moss">✓ It can be done.</p>}
                        {preview.wanted > 0 && (
                            <p className={misfits === 0 ? 'font-semibold text-moss' : 'font-semibold'}>
                                {misfits === 0
                                    ? `✓ ${preview.wanted === 1 ? 'It fits' : `All ${preview.wanted} fit`}.`
                                    : `${fitting} of ${preview.wanted} fit, ${misfits} would not:`}
                            </p>
                        )}
                        {misfits > 0 && <Misfits misfits={preview.misfits} />}
                        {preview.notes.map((n) => (
                            <p key={n} className="mt-1 text-quiet">
                                {n}
                            </p>
                        ))}
                        {preview.findings.length > 0 && (
                            <p className="mt-1 text-buoy">
                                {preview.findings.length === 1
                                    ? preview.findings[0]!.sentence
                                    : `${preview.findings.length} findings about them, first: ${preview.findings[0]!.sentence}`}
                            </p>
                        )}
                    </>
                )}
                {misfits > 0 && fitting > 0 && (
                    <label className="mt-2 flex items-center gap-2">
                        <input
                            type="checkbox"
                            checked={leaveOut}
                            onChange={(e) => setLeaveOut(e.target.checked)}
                            className="size-4 accent-(--tide)"
                        />{' '}
                        Skip those and do the rest
                    </label>
                )}
                <Button look="main" type="submit" disabled={!can || busy} className="mt-2.5">
                    {verb}
                    {fitting > 1 ? ` ${fitting}` : ''} <kbd className="font-sans text-xs opacity-80">Enter</kbd>
                </Button>
            </div>
        </form>
    );
}

/** Each that would not fit, with the reason; a click shows where. */
function Misfits({ misfits }: { misfits: Misfit[] }) {
    const data = useData();
    const SHOWN = 12;
    const look = (m: Misfit) => {
        const frontage = m.place && data.frontageOf.get(m.place.host);
        if (!m.place || !frontage) return;
        const x = frontage.offset + (frontage.walls[m.place.host] ?? 0) + m.place.left;
        useDesk
            .getState()
            .look(
                'elevation',
                fit(
                    [x - 3000, m.place.sillLevel - 2500, x + m.place.width + 3000, m.place.sillLevel + m.place.height + 2500],
                    useDesk.getState().sizes.elevation,
                ),
            );
    };
    return (
        <ul className="my-1 max-h-40 overflow-auto border-l-3 border-buoy bg-buoy-wash py-1 text-xs">
            {misfits.slice(0, SHOWN).map((m, i) => (
                <li key={i}>
                    <button
                        type="button"
                        className="block w-full px-2 py-0.5 text-left hover:underline"
                        onClick={() => look(m)}
                        data-misfit
                    >
                        <b>
                            {m.place
                                ? `${data.frontageOf.get(m.place.host)?.name ?? ''} · ${data.storeys.get(m.place.storey)?.name ?? ''}`
                                : (data.openings.get(m.element)?.label ?? 'Opening')}
                        </b>{' '}
                        {m.sentence}
                    </button>
                </li>
            ))}
            {misfits.length > SHOWN && <li className="px-2 text-quiet">and {misfits.length - SHOWN} more.</li>}
        </ul>
    );
}
