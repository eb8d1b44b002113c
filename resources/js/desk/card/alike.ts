import type { FoundFinding, FoundOpening } from '../data';

/** Findings of one kind and one figure in openings of one type. */
export type Alike = { key: string; all: FoundFinding[] };

/** Findings put together that are alike, in the order of their first. */
export function alike(findings: FoundFinding[], openings: Map<string, FoundOpening>): Alike[] {
    const groups = new Map<string, Alike>();
    for (const f of findings) {
        const opening = openings.get(f.elements[0]!);
        const key = opening ? `${f.rule} ${opening.type ?? 'bare'} ${f.figure.toFixed(1)}` : `${f.rule} ${f.key}`;
        const group = groups.get(key);
        if (group) group.all.push(f);
        else groups.set(key, { key, all: [f] });
    }
    return [...groups.values()];
}
