import { api, type SheetPlan, type WantedItem } from '../api/client';
import type { useData } from '../desk/data';

type Data = ReturnType<typeof useData>;

const same = (a: SheetPlan['items'][number], b: SheetPlan['items'][number]) =>
    a.kind === b.kind && a.ref === b.ref && a.scale === b.scale && a.x === b.x && a.y === b.y;

/** A sheet as it would be with these on it; what has no scale or place gets one. */
export const drawn = (data: Data, { name, number, paper }: SheetPlan, items: WantedItem[]) =>
    api.drawSheet(data.id, { name, number, paper, items });

/**
 * Puts one more on a sheet: beside its like at that one's scale; where that has no room all of its kind are fitted together anew. Says
 * what came of it, null where it simply stands there.
 */
export async function putOn(data: Data, plan: SheetPlan, wanted: WantedItem): Promise<'refitted' | { problem: string } | null> {
    const next: WantedItem[] = [...plan.items, wanted];
    const likes = plan.items.filter((i) => i.kind === wanted.kind && i.kind !== 'schedule');
    let found = await drawn(data, plan, next);
    const scales = new Set(found.plan.items.filter((i) => i.kind === wanted.kind).map((i) => i.scale));
    if (likes.length > 0 && (found.blocks.at(-1)?.problem || scales.size > 1)) {
        const together = await drawn(
            data,
            plan,
            next.map((i) => (i.kind === wanted.kind ? { kind: i.kind, ref: i.ref } : i)),
        );
        if (together.blocks.every((b) => !b.problem)) found = together;
    }
    await data.edit('sheet.keep', { id: plan.id, items: found.plan.items });
    const problem = found.blocks.at(-1)?.problem;
    if (problem) return { problem: `${problem.charAt(0).toLowerCase()}${problem.slice(1)}` };
    return likes.every((l) => found.plan.items.some((i) => same(i, l))) ? null : 'refitted';
}

/** The first number that no sheet has. */
export function nextNumber(plans: SheetPlan[]): string {
    const numbers = new Set(plans.map((s) => s.number));
    return Array.from({ length: 999 }, (_, i) => `A-${String(i + 1).padStart(2, '0')}`).find((n) => !numbers.has(n)) ?? 'A-1000';
}
