import type { EditArgs } from '../../api/client';
import type { Option } from '../../ui/Choice';
import type { FoundOpening, useData } from '../data';

type Data = ReturnType<typeof useData>;
type Change = EditArgs<'opening.change'>;
/** Something to measure from, and what is asked for when it is chosen; nothing where a point is picked first. */
export type Measured<M> = Option & { measure?: M };

/** Neighbours on its storey: the nearest on either side, and whatever it is measured from already. */
function neighbours(data: Data, o: FoundOpening, also: string | null): FoundOpening[] {
    const row = [...data.openings.values()]
        .filter((n) => n.id !== o.id && n.host === o.host && n.storey === o.storey)
        .sort((a, b) => a.left - b.left);
    const left = row.filter((n) => n.left < o.left).at(-1);
    const right = row.find((n) => n.left >= o.left);
    const under = [...data.openings.values()]
        .filter(
            (n) =>
                n.frontage.id === o.frontage.id &&
                n.storey !== o.storey &&
                n.headLevel <= o.sillLevel &&
                n.u < o.u + o.span &&
                n.u + n.span > o.u,
        )
        .sort((a, b) => b.headLevel - a.headLevel)[0];
    const named = also ? data.openings.get(also) : undefined;
    return [...new Map([left, right, under, named].filter((n): n is FoundOpening => n !== undefined).map((n) => [n.id, n])).values()];
}

const where = (data: Data, o: FoundOpening, n: FoundOpening) =>
    `${n.label} ` +
    (n.storey !== o.storey
        ? `on ${data.storeys.get(n.storey)?.name ?? ''}`
        : n.host !== o.host
          ? `in ${n.frontage.name}`
          : n.left < o.left
            ? 'on its left'
            : 'on its right');

export function alongValue({ position }: FoundOpening): string {
    return position.from === 'line'
        ? `line ${position.ref}`
        : position.from === 'opening'
          ? `opening ${position.ref} ${position.point}`
          : position.from;
}

/** What a place along the wall can be measured from. */
export function alongOptions(data: Data, o: FoundOpening): Measured<NonNullable<Change['measure']>>[] {
    const lines = [...data.lines.values()].filter(
        (l) => l.axis === 'upright' && (l.frontage.id === o.frontage.id || l.id === o.position.ref),
    );
    const options: Measured<NonNullable<Change['measure']>>[] = [
        { value: 'left', label: 'left end', measure: { from: 'left' } },
        { value: 'right', label: 'right end', measure: { from: 'right' } },
        { value: 'middle', label: 'middle of the wall', measure: { from: 'middle' } },
        { value: 'fraction', label: 'share of the wall', measure: { from: 'fraction' } },
        ...lines.map((l) => ({ value: `line ${l.id}`, label: `line ${l.name}`, measure: { from: 'line' as const, ref: l.id } })),
        ...neighbours(data, o, o.position.from === 'opening' ? o.position.ref : null)
            .filter((n) => n.frontage.id === o.frontage.id)
            .flatMap((n) =>
                (['left', 'centre', 'right'] as const).map((point) => ({
                    value: `opening ${n.id} ${point}`,
                    label: `${point === 'centre' ? 'centre' : `${point} jamb`} of ${where(data, o, n)}`,
                    measure: { from: 'opening' as const, ref: n.id, point },
                })),
            ),
        ...(o.position.from === 'point'
            ? [{ value: 'point', label: `picked point at ${data.length(o.position.at)}`, measure: { from: 'point' as const } }]
            : []),
        { value: 'pick', label: o.position.from === 'point' ? 'another point, picked…' : 'a picked point…' },
    ];
    const now = alongValue(o);
    return options.some((option) => option.value === now) ? options : [...options, { value: now, label: 'something that is not in view' }];
}

export function levelValue({ sill }: FoundOpening): string {
    const edge = sill.edge === 'head' ? ' head' : '';
    return sill.from === 'line' ? `line ${sill.ref}${edge}` : sill.from === 'opening' ? `opening ${sill.ref} ${sill.point}` : sill.from;
}

/** What its level can be measured from. */
export function levelOptions(data: Data, o: FoundOpening): Measured<NonNullable<Change['measureSill']>>[] {
    const lines = [...data.lines.values()].filter((l) => l.axis === 'level' && (l.frontage.id === o.frontage.id || l.id === o.sill.ref));
    const from = (kind: 'line' | 'opening', ref: string, edge: 'sill' | 'head') => ({ from: kind, ref, edge, point: edge });
    const options: Measured<NonNullable<Change['measureSill']>>[] = [
        { value: 'floor', label: 'storey floor', measure: { from: 'floor', edge: 'sill' } },
        { value: 'foot', label: 'wall foot', measure: { from: 'foot', edge: 'sill' } },
        { value: 'datum', label: 'site datum', measure: { from: 'datum', edge: 'sill' } },
        ...lines.flatMap((l) => [
            { value: `line ${l.id}`, label: `line ${l.name}`, measure: { from: 'line' as const, ref: l.id, edge: 'sill' as const } },
            { value: `line ${l.id} head`, label: `line ${l.name}, by its head`, measure: from('line', l.id, 'head') },
        ]),
        ...neighbours(data, o, o.sill.from === 'opening' ? o.sill.ref : null).flatMap((n) => [
            { value: `opening ${n.id} head`, label: `head of ${where(data, o, n)}, by its head`, measure: from('opening', n.id, 'head') },
            { value: `opening ${n.id} sill`, label: `sill of ${where(data, o, n)}`, measure: from('opening', n.id, 'sill') },
        ]),
    ];
    const now = levelValue(o);
    return options.some((option) => option.value === now) ? options : [...options, { value: now, label: 'something that is not in view' }];
}
