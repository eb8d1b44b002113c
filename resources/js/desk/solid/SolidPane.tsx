import { layersOf } from '../bands/placed';
import { useQueries } from '@tanstack/react-query';
import { useCallback, useEffect, useRef } from 'react';
import { fetchScene } from '../../api/client';
import { useTheme } from '../../ui/theme';
import { useData } from '../data';
import { useShowing } from '../showing';
import { useDesk } from '../store';
import { Viewer } from './Viewer';

/** The solid model, loaded frontage by frontage. */
export function SolidPane() {
    const data = useData();
    const theme = useTheme();
    const chosen = useDesk((s) => s.chosen);
    const goTo = useDesk((s) => s.goTo);
    const showing = useShowing();
    const host = useRef<HTMLDivElement>(null);
    const viewer = useRef<Viewer | null>(null);
    const frontages = data.project.frontages;
    const scenes = useQueries({
        queries: frontages.map((f) => ({ queryKey: ['project', data.id, 'scene', f.id], queryFn: () => fetchScene(data.id, f.id) })),
        combine: useCallback(
            (results: { data?: ArrayBuffer; isError: boolean }[]) => ({
                buffers: results.map((r) => r.data),
                failed: results.filter((r) => r.isError).length,
                waiting: results.filter((r) => !r.data && !r.isError).length,
            }),
            [],
        ),
    });

    useEffect(() => {
        const made = new Viewer(host.current!, (element, add) => useDesk.getState().choose(element ? [element] : [], add));
        viewer.current = made;
        return () => {
            made.dispose();
            viewer.current = null;
        };
    }, []);

    useEffect(() => {
        void viewer.current?.load(new Map(frontages.map((f, i) => [f.id, scenes.buffers[i]])));
    }, [frontages, scenes.buffers]);

    useEffect(() => {
        const boxes = chosen.flatMap((id) => {
            const o = data.openings.get(id);
            const wall = data.walls.get(o?.host ?? id);
            if (!wall) return [];
            return [
                {
                    wall,
                    left: o?.left ?? 0,
                    width: o?.span ?? wall.length,
                    sill: o?.sillLevel ?? wall.foot,
                    height: o?.height ?? wall.head - wall.foot,
                },
            ];
        });
        viewer.current?.highlight(boxes);
    }, [chosen, data.openings, data.walls, theme]);

    useEffect(() => {
        if (goTo.what === 'all') viewer.current?.fit();
    }, [goTo]);

    useEffect(() => {
        const hidden = new Set<string>();
        for (const w of data.project.walls) if (!showing.wall(w.id)) hidden.add(w.id);
        for (const b of layersOf({ project: data.project })) if (!showing.band(b.id)) hidden.add(b.id);
        for (const o of data.openings.values()) if (!showing.units || !showing.opening(o)) hidden.add(o.id);
        const inner = new Set(data.project.frontages.filter((f) => f.inner).flatMap((f) => Object.keys(f.walls)));
        viewer.current?.show(hidden, showing.parts, showing.through ? (wall) => !inner.has(wall) : () => false);
    }, [showing, data.project, data.openings, scenes.buffers]);

    useEffect(() => viewer.current?.retint(), [theme]);

    return (
        <div className="relative h-full w-full bg-sheet">
            <div
                ref={host}
                data-pane="solid"
                className="h-full w-full"
                role="img"
                aria-label="Solid model. Drag to turn, scroll to come nearer, click to choose."
            />
            {frontages.length === 0 && <p className="absolute inset-0 flex items-center justify-center text-quiet">Nothing built yet.</p>}
            {showing.said.length > 0 && (
                <p className="pointer-events-none absolute top-1 left-3 text-xs text-buoy">Hidden: {showing.said.join(', ')}</p>
            )}
            {scenes.waiting > 0 && <p className="absolute bottom-2 left-3 text-xs text-quiet">Building {scenes.waiting} frontages…</p>}
            {scenes.failed > 0 && (
                <p className="absolute bottom-2 left-3 text-xs text-buoy">{scenes.failed} frontages could not be loaded.</p>
            )}
        </div>
    );
}
