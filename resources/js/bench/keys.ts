import { useEffect, useRef } from 'react';
import { useData } from '../desk/data';
import { joinChosen, openForm } from './Dividing';
import { commitTyped } from '../ui/commit';
import { choose, redo, settled, step, undo, useBench } from './draft';

/** Keys at the bench: D, R and C divide the chosen light, J joins two, E equalises, U undivides; arrows walk from light to light. */
export function useBenchKeys(save: () => void): void {
    const data = useData();
    const saveNow = useRef(save);
    useEffect(() => {
        saveNow.current = save;
    });
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const target = event.target as HTMLElement;
            const typing = target.closest('input, textarea, select, [role=listbox], [role=dialog]') !== null;
            const key = event.key.toLowerCase();
            if (event.ctrlKey || event.metaKey) {
                if (!data.mayEdit || (typing && key !== 's')) return;
                if (key === 's') {
                    // what is typed counts: the field sends it, and it is saved with the rest when it has been taken; what is
                    // refused stays in hand
                    const field = document.activeElement as HTMLElement | null;
                    commitTyped();
                    void settled().then(() =>
                        window.setTimeout(() => {
                            if (useBench.getState().wrong !== null) field?.focus();
                            saveNow.current();
                        }),
                    );
                } else if (key === 'z' && event.shiftKey) void redo();
                else if (key === 'z') void undo();
                else if (key === 'y') void redo();
                else return;
                event.preventDefault();
                return;
            }
            if (typing || event.altKey) return;
            if (event.key === 'Escape') {
                openForm(null);
                choose(null);
            } else if (event.key.startsWith('Arrow')) {
                walk(event.key);
                event.preventDefault();
            } else if (data.mayEdit && act(key)) event.preventDefault();
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, [data.mayEdit]);
}

function act(key: string): boolean {
    const { chosen } = useBench.getState();
    const path = chosen[0];
    if (path === undefined) return false;
    const parent = path === '' ? null : path.includes('.') ? path.slice(0, path.lastIndexOf('.')) : '';
    if (key === 'd') openForm('columns');
    else if (key === 'r') openForm('rows');
    else if (key === 'c') openForm('cut');
    else if (key === 'j' && chosen.length === 2) joinChosen(chosen);
    else if (key === 'e' && parent !== null) void step('equalise', { path: parent }, 'card parent');
    else if (key === 'u' && parent !== null) void step('undivide', { path: parent }, 'card parent');
    else return false;
    return true;
}

/** To the next light in the direction of the arrow. */
function walk(arrow: string): void {
    const { view, chosen, inside } = useBench.getState();
    if (!view) return;
    const from = view.lights.find((l) => l.path === chosen[0]);
    if (!from) return choose(view.lights[0]?.path ?? null);
    const centre = (b: number[]): [number, number] => [(b[0]! + b[2]!) / 2, (b[1]! + b[3]!) / 2];
    const [cx, cy] = centre(from.box);
    const sign = inside ? -1 : 1;
    const [dx, dy] = { ArrowLeft: [-sign, 0], ArrowRight: [sign, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[arrow] as [number, number];
    let best: { path: string; far: number } | null = null;
    for (const light of view.lights) {
        const [x, y] = centre(light.box);
        const along = (x - cx) * dx + (y - cy) * dy;
        const across = Math.abs((x - cx) * dy) + Math.abs((y - cy) * dx);
        const far = along + across * 2;
        if (along > 1 && (!best || far < best.far)) best = { path: light.path, far };
    }
    if (best) choose(best.path);
}
