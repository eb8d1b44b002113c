import type { EditArgs, Screen, ScreenPart } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { useAsk, useSend } from '../card/parts';
import { useData, type FoundOpening } from '../data';
import { shareOf } from '../shares';
import { cornerOf } from './placed';

type Draw = EditArgs<'screen.draw'>;
type Measure = NonNullable<Draw['measure']>;
type MeasureSill = NonNullable<Draw['measureSill']>;

/** Openings of its wall that it may be measured from: the nearest few, and those it is measured from; with what is said of them. */
function nearest(data: ReturnType<typeof useData>, screen: Screen, part: ScreenPart): (FoundOpening & { says: string })[] {
    const floor = data.storeys.get(screen.storey)?.floor ?? 0;
    const [u, v] = cornerOf(data, screen, part, floor);
    const { width = 0, height = width } = part.shape;
    const away = (o: FoundOpening) =>
        Math.hypot(o.left + o.span / 2 - u - width / 2, (o.sillLevel + o.headLevel) / 2 - floor - v - height / 2);
    const near = [...data.openings.values()].filter((o) => o.host === part.wall).sort((a, b) => away(a) - away(b));
    const named = near.filter((o, i) => i < 3 || o.id === part.position?.ref || o.id === part.sill?.ref);
    return named.map((o) => {
        const off = o.left + o.span / 2 - u - width / 2;
        const side = Math.abs(off) < Math.max(width, o.span) / 2 ? '' : off < 0 ? ', on its left' : ', on its right';
        const on = data.storeys.get(o.storey)?.name ?? '';
        return { ...o, says: `${o.label} on ${on}${side}` };
    });
}

/** Where a rectangle or a round one lies, by the rules of openings: what of it, how far from what along the wall, and at what level. */
export function PartPlace({ screen, part }: { screen: Screen; part: ScreenPart }) {
    const data = useData();
    const send = useSend();
    const ask = useAsk();
    const fixed = !data.mayEdit;
    const { position, sill, shape } = part;
    const set = (args: Omit<Draw, 'id' | 'n'>) => send('screen.draw', { id: screen.id, n: part.n, ...args });
    const measure = (to: Measure) => void ask('screen.draw', { id: screen.id, n: part.n, measure: to });
    const measureSill = (to: MeasureSill) => void ask('screen.draw', { id: screen.id, n: part.n, measureSill: to });
    const frontage = data.frontageOf.get(part.wall ?? '');
    const lines = [...data.lines.values()].filter((l) => l.frontage.id === frontage?.id);
    const openings = nearest(data, screen, part);

    const points = ['left', 'centre', 'right'] as const;
    const along: { value: string; label: string; measure: Measure }[] = [
        { value: 'left', label: 'left end of the wall', measure: { from: 'left' } },
        { value: 'right', label: 'right end of the wall', measure: { from: 'right' } },
        { value: 'middle', label: 'middle of the wall', measure: { from: 'middle' } },
        { value: 'fraction', label: 'length of the wall', measure: { from: 'fraction' } },
        ...lines
            .filter((l) => l.axis === 'upright')
            .map((l) => ({ value: `line ${l.id}`, label: `line ${l.name}`, measure: { from: 'line' as const, ref: l.id } })),
        ...openings.flatMap((o) =>
            points.map((point) => ({
                value: `opening ${o.id} ${point}`,
                label: `${point === 'centre' ? 'centre' : `${point} jamb`} of ${o.says}`,
                measure: { from: 'opening' as const, ref: o.id, point },
            })),
        ),
    ];
    const from = !position
        ? 'left'
        : position.from === 'line'
          ? `line ${position.ref}`
          : position.from === 'opening'
            ? `opening ${position.ref} ${position.point}`
            : position.from;
    const withNow = <T extends { value: string; label: string }>(options: T[], now: string) =>
        options.some((o) => o.value === now) ? options : [...options, { value: now, label: 'something that is not in view' }];
    const byShare = position?.from === 'fraction';
    const near = position?.from === 'right' ? 'right side' : 'left side';
    const far = position?.from === 'right' ? 'left side' : 'right side';
    const figure = byShare ? `${+(position.value * 100).toFixed(3)} %` : data.length(position ? position.value : (shape.u ?? 0));
    const sendFigure = (text: string) => {
        if (!position) return set({ shape: { form: shape.form, u: text } as Draw['shape'] });
        if (!byShare) return set({ value: text });
        const share = shareOf(text);
        return share === null
            ? Promise.resolve(`“${text}” is not a share: give per cent, or a fraction such as 1/3.`)
            : set({ value: share });
    };

    const storey = data.storeys.get(screen.storey)?.name ?? 'its storey';
    const levels: { value: string; label: string; measure: MeasureSill }[] = [
        { value: 'floor', label: `floor of ${storey}`, measure: { from: 'floor' } },
        { value: 'foot', label: 'foot of the wall', measure: { from: 'foot' } },
        { value: 'datum', label: 'site datum', measure: { from: 'datum' } },
        ...lines
            .filter((l) => l.axis === 'level')
            .map((l) => ({ value: `line ${l.id}`, label: `line ${l.name}`, measure: { from: 'line' as const, ref: l.id } })),
        ...openings.flatMap((o) =>
            (['head', 'sill'] as const).map((point) => ({
                value: `opening ${o.id} ${point}`,
                label: `${point} of ${o.says}`,
                measure: { from: 'opening' as const, ref: o.id, point },
            })),
        ),
    ];
    const over = !sill
        ? 'floor'
        : sill.from === 'line'
          ? `line ${sill.ref}`
          : sill.from === 'opening'
            ? `opening ${sill.ref} ${sill.point}`
            : sill.from;
    return (
        <>
            Its{' '}
            <Choice
                label="Which side is measured"
                value={position?.to ?? 'near'}
                options={[
                    { value: 'near', label: near },
                    { value: 'centre', label: 'middle' },
                    { value: 'far', label: far },
                ]}
                disabled={fixed}
                onChange={(to) => measure({ from: position?.from ?? 'left', to })}
            />{' '}
            lies <Figure label="Place along the wall" shown={figure} disabled={fixed} onSend={sendFigure} />{' '}
            {byShare ? 'along the' : !position || position.from === 'left' || position.from === 'right' ? 'from the' : 'right of the'}{' '}
            <Choice
                label="Measured from"
                value={from}
                options={withNow(along, from)}
                disabled={fixed}
                onChange={(to) => {
                    const chosen = along.find((o) => o.value === to);
                    if (chosen) measure(chosen.measure);
                }}
            />
            , its{' '}
            <Choice
                label="Foot or head"
                value={sill?.edge ?? 'sill'}
                options={[
                    { value: 'sill', label: 'foot' },
                    { value: 'head', label: 'head' },
                ]}
                disabled={fixed}
                onChange={(edge) => measureSill({ from: sill?.from ?? 'floor', edge })}
            />{' '}
            <Figure
                label="Level"
                shown={data.length(sill ? sill.height : (shape.v ?? 0))}
                disabled={fixed}
                onSend={(text) => (sill ? set({ sillHeight: text }) : set({ shape: { form: shape.form, v: text } as Draw['shape'] }))}
            />{' '}
            over the{' '}
            <Choice
                label="Level measured from"
                value={over}
                options={withNow(levels, over)}
                disabled={fixed}
                onChange={(to) => {
                    const chosen = levels.find((o) => o.value === to);
                    if (chosen) measureSill(chosen.measure);
                }}
            />
        </>
    );
}
