import type { Place } from '../../api/client';
import { useReach } from '../../api/reach';
import { useData } from '../data';
import { boxOnScreen, toScreen, type Size } from '../drawing/view';
import { useKept } from '../kept';
import { useDesk, type View } from '../store';

type Props = { view: View; size: Size };

/** Places of openings as one path. */
export function boxes(data: ReturnType<typeof useData>, view: View, size: Size, inner: boolean, places: Place[], cross: boolean): string {
    let d = '';
    for (const p of places) {
        const f = data.frontageOf.get(p.host);
        if (!f || f.inner !== inner) continue;
        const b = boxOnScreen(view, size, f.offset + (f.walls[p.host] ?? 0) + p.left, p.sillLevel, p.span, p.height);
        if (b.x > size.width || b.x + b.width < 0 || b.y > size.height || b.y + b.height < 0) continue;
        d += `M${b.x} ${b.y}h${b.width}v${b.height}h${-b.width}z`;
        if (cross) d += `l${b.width} ${b.height}m0 ${-b.height}l${-b.width} ${b.height}`;
    }
    return d;
}

/** Openings that were placed and are not answered for yet: the server is not reached, or they wait for someone else's change. */
export function KeptOverlay({ view, size }: Props) {
    const data = useData();
    const kept = useKept((s) => s.all);
    const inner = useDesk((s) => s.face) === 'inner';
    const waiting = useReach((s) => s.lostAt !== null || s.waitsFor !== null);
    const places = waiting ? kept.flatMap((k) => (k.place ? [k.place] : [])) : [];
    if (places.length === 0) return null;
    return (
        <path
            d={boxes(data, view, size, inner, places, false)}
            fill="var(--tide)"
            fillOpacity={0.08}
            stroke="var(--tide)"
            strokeWidth={1.4}
            strokeDasharray="6 4"
            data-kept={places.length}
        />
    );
}

/** What a sheet would come to, in place: what fits in tide, what would not in buoy and crossed out; and what else it is done to. */
export function PreviewOverlay({ view, size }: Props) {
    const data = useData();
    const preview = useDesk((s) => s.preview);
    const sheet = useDesk((s) => s.sheet);
    const targets = useDesk((s) => s.targets);
    const inner = useDesk((s) => s.face) === 'inner';
    if (!sheet) return null;
    const path = (places: Place[], cross: boolean) => boxes(data, view, size, inner, places, cross);
    const marked = targets.flatMap((id): Place[] => {
        const wall = data.walls.get(id);
        const o = data.openings.get(id);
        if (wall)
            return [
                {
                    host: id,
                    storey: wall.base,
                    left: 0,
                    sillLevel: wall.foot,
                    width: wall.length,
                    span: wall.length,
                    height: wall.head - wall.foot,
                },
            ];
        return o
            ? [{ host: o.host, storey: o.storey, left: o.left, sillLevel: o.sillLevel, width: o.width, span: o.span, height: o.height }]
            : [];
    });
    let lines = '';
    for (const l of preview?.lines ?? []) {
        const f = data.frontageOf.get(l.host);
        if (!f || f.inner !== inner) continue;
        const [a, b] = [toScreen(view, size, f.offset, f.foot), toScreen(view, size, f.offset + f.width, f.head)];
        if (l.u !== null) lines += `M${toScreen(view, size, f.offset + (f.walls[l.host] ?? 0) + l.u, 0).x} ${b.y - 18}V${a.y + 8}`;
        for (const level of l.levels) lines += `M${a.x} ${toScreen(view, size, 0, level).y}H${b.x}`;
    }
    const misfits = (preview?.misfits ?? []).flatMap((m) => (m.place ? [m.place] : []));
    return (
        <g data-preview-drawn={preview?.placed.length ?? 0}>
            <path d={path(marked, false)} fill="none" stroke="var(--tide)" strokeWidth={2} strokeDasharray="2 3" />
            <path d={path(preview?.placed ?? [], false)} fill="var(--tide)" fillOpacity={0.22} stroke="var(--tide)" strokeWidth={1.6} />
            <path d={lines} fill="none" stroke="var(--brass)" strokeWidth={2} strokeDasharray="10 3 2 3" />
            <path
                d={path(misfits, true)}
                fill="var(--buoy)"
                fillOpacity={0.1}
                stroke="var(--buoy)"
                strokeWidth={1.6}
                strokeDasharray="5 3"
            />
        </g>
    );
}
