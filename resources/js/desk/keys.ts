import { removeNamed } from './curtain/named';
import { layersOf } from './bands/placed';
import { useEffect } from 'react';
import type { useData } from './data';
import { actionOf } from './actions';
import { waysOf } from './modes';
import { chosenLights, moveLight, removeLights } from './roofs/lights';
import { chosenOf } from './screens/placed';
import { useDesk } from './store';

type Data = ReturnType<typeof useData>;

const panes = ['elevation', 'plan', 'solid', 'section'] as const;

/** The desk's keys, wherever the focus is but in a field, a menu or a dialog. */
export function useDeskKeys(data: Data): void {
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const target = event.target as HTMLElement;
            const typing =
                target.closest('input:not([type=checkbox]), textarea, select, [role=dialog], [role=menu], [role=listbox]') !== null;
            if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
                event.preventDefault();
                useDesk.setState((s) => ({ commands: !s.commands }));
                return;
            }
            if (event.key === 'F6' && target.closest('[role=dialog], [role=menu], [role=listbox]') === null) {
                event.preventDefault();
                goOn(target, event.shiftKey ? -1 : 1);
                return;
            }
            if (typing) return;
            const onPane = target.closest('[data-pane]') !== null || target === document.body;
            if (onPane && waysOf(useDesk.getState().mode)?.key?.(data, event)) {
                event.preventDefault();
                return;
            }
            if (deskKey(data, event, onPane)) event.preventDefault();
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, [data]);
}

/** The parts of the desk that F6 goes round, each with what takes the keys there. */
const parts = ['[data-pane]', '[data-card]', '[data-rack]'];

/** From the drawing to the card, the rack, and back; with Shift the other way round. */
function goOn(from: HTMLElement, by: 1 | -1): void {
    const at = parts.findIndex((part) => from.closest(part) !== null);
    for (let step = 1; step <= parts.length; step++) {
        const part = document.querySelector<HTMLElement>(parts[(Math.max(at, 0) + by * step + parts.length * 2) % parts.length]!);
        const first = 'input:not(:disabled), button:not(:disabled):not([tabindex="-1"]), [href], [tabindex="0"]';
        const to = part?.matches('[data-pane]') ? part : part?.querySelector<HTMLElement>(first);
        if (to) return to.focus();
    }
}

function deskKey(data: Data, event: KeyboardEvent, onPane: boolean): boolean {
    const desk = useDesk.getState();
    const control = event.ctrlKey || event.metaKey;
    if (control && event.key.toLowerCase() === 'z') {
        void (event.shiftKey ? data.redo() : data.undo());
        return true;
    }
    if (control && event.key.toLowerCase() === 'y') {
        void data.redo();
        return true;
    }
    if (event.altKey && ['1', '2', '3', '4'].includes(event.key)) {
        desk.enlarge(panes[Number(event.key) - 1]!);
        return true;
    }
    // also when openings or walls were clicked in the drawing for it: Enter does what the sheet says
    const sheet = event.key === 'Enter' && desk.sheet ? document.querySelector<HTMLFormElement>('form[data-sheet]') : null;
    if (sheet && !control) {
        sheet.requestSubmit();
        return true;
    }
    if (event.key === 'Home') {
        desk.show('all');
        return true;
    }
    if (event.key === 'End' && desk.chosen.length > 0) {
        desk.show(desk.chosen);
        return true;
    }
    if (event.key === 'Escape') {
        if (desk.mode.is !== 'nothing') desk.leave();
        else if (desk.sheet) desk.open(null);
        else if (desk.cells.length + desk.pieces.length + desk.named.length > 0) desk.set({ cells: [], pieces: [], named: [] });
        else if (desk.fins.length > 0) desk.set({ fins: [] });
        else if (desk.listFindings || desk.chosen.length > 0) {
            desk.set({ listFindings: false });
            desk.choose([]);
        } else desk.set({ alone: null });
        return true;
    }
    const openings = desk.chosen.filter((id) => data.openings.has(id));
    const cutOuts = data.mayEdit ? chosenOf(data) : null;
    if (event.key === 'Delete' && cutOuts) {
        const args = { id: cutOuts.screen.id, parts: cutOuts.parts };
        void data.edit('screen.take-out', args).then((done) => done && useDesk.setState({ fins: [] }));
        return true;
    }
    const lights = data.mayEdit ? chosenLights(data) : null;
    if (event.key === 'Delete' && lights) {
        removeLights(
            data,
            lights.roof.id,
            lights.lights.map((l) => l.n),
        );
        return true;
    }
    if (event.key === 'Delete' && desk.named.length > 0) {
        if (data.mayEdit) void removeNamed(data, desk.named);
        return true;
    }
    const layer = layersOf(data).find((l) => desk.chosen.includes(l.id));
    if (event.key === 'Delete' && desk.fins.length > 0 && desk.chosen.length === 1 && layer?.remove === 'band.remove' && data.mayEdit) {
        const args = { id: layer.id, pieces: desk.fins, out: true };
        void data.edit('band.pin', args).then((done) => done && useDesk.setState({ fins: [] }));
        return true;
    }
    if (event.key === 'Delete' && layer && data.mayEdit) {
        const alike = layersOf(data).filter((l) => l.remove === layer.remove && desk.chosen.includes(l.id));
        void data.edit(layer.remove, { ids: alike.map((l) => l.id) }).then((done) => done && useDesk.getState().choose([]));
        return true;
    }
    if (event.key === 'Delete' && openings.length > 0 && data.mayEdit) {
        desk.set({ removingOpenings: openings });
        return true;
    }
    const lines = desk.chosen.filter((id) => data.lines.has(id));
    if (event.key === 'Delete' && lines.length > 0 && data.mayEdit) {
        desk.set({ removingLines: lines });
        return true;
    }
    if (event.key === ']' || event.key === '[') {
        step(data, event.key === ']' ? 1 : -1);
        return true;
    }
    if (!control && !event.altKey && desk.mode.is !== 'placing' && desk.mode.is !== 'outlining' && /^[a-z]$/i.test(event.key)) {
        const action = actionOf(data, event.key.toLowerCase());
        action?.run();
        return action !== undefined;
    }
    if (onPane && event.key.startsWith('Arrow') && openings.length === 1 && data.mayEdit && desk.mode.is !== 'placing') {
        const [u, v] = arrow(event);
        void data.edit('opening.change', { id: openings[0], by: u !== 0 ? { u } : { v } });
        return true;
    }
    if (onPane && event.key.startsWith('Arrow') && cutOuts && cutOuts.screen.parts.every((p) => !cutOuts.parts.includes(p.n) || p.wall)) {
        const [u, v] = arrow(event);
        void data.edit('screen.move', { id: cutOuts.screen.id, parts: cutOuts.parts, du: u, dv: v });
        return true;
    }
    if (onPane && event.key.startsWith('Arrow') && lights?.lights.length === 1) {
        moveLight(data, lights.roof.id, lights.lights[0]!, arrow(event));
        return true;
    }
    return false;
}

/** How far an arrow key moves what is chosen, along the wall and up: by 10 mm, with Shift by 1. */
function arrow(event: KeyboardEvent): [number, number] {
    const by = event.shiftKey ? 1 : 10;
    const way = (plus: string, minus: string) => (event.key === plus ? by : event.key === minus ? -by : 0);
    return [way('ArrowRight', 'ArrowLeft'), way('ArrowUp', 'ArrowDown')];
}

/** Chooses the next opening along the frontages, storey by storey. */
function step(data: Data, by: number): void {
    const desk = useDesk.getState();
    const inner = desk.face === 'inner';
    const all = [...data.openings.values()]
        .filter((o) => o.frontage.inner === inner)
        .sort(
            (a, b) =>
                (data.storeys.get(a.storey)?.position ?? 0) - (data.storeys.get(b.storey)?.position ?? 0) ||
                a.frontage.offset + a.u - (b.frontage.offset + b.u),
        );
    if (all.length === 0) return;
    const at = all.findIndex((o) => o.id === desk.chosen[0]);
    const next = all[(at + by + all.length + (at < 0 && by < 0 ? 1 : 0)) % all.length]!;
    desk.choose([next.id]);
    desk.set({ storey: next.storey });
}
