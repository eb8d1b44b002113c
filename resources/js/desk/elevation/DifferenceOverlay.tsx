import type { Place } from '../../api/client';
import { useData } from '../data';
import { pointsOf } from '../curtain/grids';
import { boxOnScreen, type Size } from '../drawing/view';
import { useDesk, type View } from '../store';

/** Two states beside each other: dashed as it was, full as it is, a line from the one to the other where something moved. */
export function DifferenceOverlay({ view, size }: { view: View; size: Size }) {
    const data = useData();
    const differing = useDesk((s) => s.differing);
    const inner = useDesk((s) => s.face) === 'inner';
    if (differing.length === 0) return null;
    const box = (p: Place | null) => {
        const f = p && data.frontageOf.get(p.host);
        if (!p || !f || f.inner !== inner) return null;
        const b = boxOnScreen(view, size, f.offset + (f.walls[p.host] ?? 0) + p.left, p.sillLevel, p.span, p.height);
        return b.x > size.width || b.x + b.width < 0 || b.y > size.height || b.y + b.height < 0 ? null : b;
    };
    let was = '';
    let is = '';
    let ways = '';
    for (const d of differing) {
        // of a curtain wall only the cells and members that differ
        for (const { host, now, ring } of d.parts) {
            const f = data.frontageOf.get(host);
            if (!f || f.inner !== inner) continue;
            const path = `M${pointsOf(view, size, f.offset + (f.walls[host] ?? 0), ring)}z`;
            if (now) is += path;
            else was += path;
        }
        if (d.parts.length > 0 && d.what === 'changed') continue;
        const [a, b] = [box(d.then), box(d.now)];
        if (a) was += `M${a.x} ${a.y}h${a.width}v${a.height}h${-a.width}z`;
        if (a && d.what === 'removed') was += `l${a.width} ${a.height}m0 ${-a.height}l${-a.width} ${a.height}`;
        if (b) is += `M${b.x} ${b.y}h${b.width}v${b.height}h${-b.width}z`;
        if (a && b && d.what === 'moved') ways += `M${a.x + a.width / 2} ${a.y + a.height / 2}L${b.x + b.width / 2} ${b.y + b.height / 2}`;
    }
    return (
        <g data-differing={differing.length} fill="none">
            <path d={is} stroke="var(--tide)" strokeWidth={2.2} fill="var(--tide)" fillOpacity={0.12} />
            <path d={was} stroke="var(--buoy)" strokeWidth={1.8} strokeDasharray="6 4" />
            <path d={ways} stroke="var(--ink)" strokeWidth={1} strokeDasharray="2 3" />
        </g>
    );
}
