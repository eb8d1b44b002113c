import { Button } from '../../ui/Button';
import { useData } from '../data';

/** Says that a section shows no floors because there are no slabs yet, and makes them in every closed outline. */
export function NoSlabs() {
    const data = useData();
    const { outlines, floorBands } = data.project;
    const closed = outlines.filter((o) => o.closed && !o.inner);
    if (closed.length === 0 || !data.mayEdit || floorBands.some((b) => b.depth === null)) return null;
    const make = async () => {
        for (const { id } of closed) if (!(await data.edit('floor-band.add', { outline: id, depth: null, inner: true }))) return;
    };
    return (
        <p className="absolute bottom-2 left-3 flex items-center gap-2 rounded bg-sheet/85 px-1 text-xs">
            There are no slabs yet, so no floors are cut.
            <Button small onClick={() => void make()}>
                Make storey slabs
            </Button>
        </p>
    );
}
