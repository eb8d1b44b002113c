import { useEffect, useRef } from 'react';
import { benchSolid } from '../api/client';
import { useData } from '../desk/data';
import { Viewer } from '../desk/solid/Viewer';
import { complain } from '../ui/notices';
import { useBench } from './draft';

/** The unit as a solid, as far open as it is shown. */
export function SolidView() {
    const data = useData();
    const draft = useBench((b) => b.draft);
    const view = useBench((b) => b.view);
    const ajar = useBench((b) => b.ajar);
    const host = useRef<HTMLDivElement>(null);
    const viewer = useRef<Viewer | null>(null);
    const { finishes } = data.project.settings;

    useEffect(() => {
        const made = new Viewer(host.current!, () => undefined);
        viewer.current = made;
        return () => {
            made.dispose();
            viewer.current = null;
        };
    }, []);

    useEffect(() => {
        let old = false;
        if (!draft || !view) return;
        benchSolid(data.id, { width: view.width, height: view.height, tree: view.tree }, ajar)
            .then((buffer) => {
                if (!old) void viewer.current?.load(new Map([['unit', buffer]]));
            })
            .catch(complain);
        return () => {
            old = true;
        };
    }, [data.id, draft, view, ajar, finishes]);

    return (
        <div className="relative h-full bg-sheet">
            <div ref={host} className="absolute inset-0" role="img" aria-label="Solid model of the unit" />
            <p className="absolute bottom-2 left-3 text-xs text-quiet">
                Drag to turn, wheel to come nearer, right drag to move. Its outside faces you.
            </p>
        </div>
    );
}
