import type { useData } from '../data';
import { startPointing } from '../plan/pointing';
import { useDesk } from '../store';

type Data = ReturnType<typeof useData>;

/** Begins to pick the two ends of a section line in plan. */
export function startSection(): void {
    useDesk.setState({ sheet: null });
    startPointing({ what: 'section', points: [], over: null });
}

/** Keeps the line between two points as the next lettered section, and shows it. */
export async function keepSection(data: Data, from: { x: number; y: number }, to: { x: number; y: number }): Promise<void> {
    const taken = new Set(data.project.sections.map((s) => s.name));
    const name = Array.from(
        { length: 26 * 27 },
        (_, i) => (i < 26 ? '' : String.fromCharCode(64 + Math.floor(i / 26))) + String.fromCharCode(65 + (i % 26)),
    ).find((n) => !taken.has(n));
    const outcome = await data.edit('section.keep', { name, fromX: from.x, fromY: from.y, toX: to.x, toY: to.y });
    if (!outcome?.chosen[0]) return;
    showSection({ line: outcome.chosen[0] });
}

export function sectionThrough(opening: string): void {
    showSection({ opening });
}

export function showSection(section: { line: string } | { opening: string }): void {
    useDesk.setState((s) => ({
        section,
        ...(s.main === 'section' ? {} : { side: 'section' as const }),
        views: { ...s.views, section: null },
    }));
}
