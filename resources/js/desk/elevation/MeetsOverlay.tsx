import { useData } from '../data';
import { toScreen, type Size } from '../drawing/view';
import { ghostOf, useDesk, type View } from '../store';

/**
 * Walls that end against those in sight, as hidden lines: in inner walls always, in outer ones while an opening is placed or moved
 * there.
 */
export function MeetsOverlay({ view, size }: { view: View; size: Size }) {
    const data = useData();
    const inner = useDesk((s) => s.face) === 'inner';
    const moving = useDesk((s) => ghostOf(s)?.host ?? null);
    let d = '';
    for (const f of data.project.frontages) {
        if (f.inner !== inner) continue;
        for (const [wall, meets] of Object.entries(data.elevations.get(f.id)?.meets ?? {})) {
            if (!inner && wall !== moving) continue;
            for (const m of meets) {
                const u = f.offset + (f.walls[wall] ?? 0);
                const [a, b] = [toScreen(view, size, u + m.from, m.foot), toScreen(view, size, u + m.to, m.head)];
                if (b.x < 0 || a.x > size.width) continue;
                d += `M${a.x} ${a.y}V${b.y}M${b.x} ${a.y}V${b.y}`;
            }
        }
    }
    return d === '' ? null : <path d={d} fill="none" stroke="var(--quiet)" strokeWidth={1} strokeDasharray="5 3" data-meets />;
}
