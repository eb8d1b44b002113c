import { Button } from '../../ui/Button';
import { useAsk } from '../card/parts';
import { useData } from '../data';
import { mayRunUp } from './running';

/** Runs the chosen walls up to a roof that lies over them. */
export function RunUpAll({ walls }: { walls: string[] }) {
    const data = useData();
    const ask = useAsk();
    const plain = walls.filter((id) => mayRunUp(data.walls.get(id)));
    const over = data.project.roofs.filter((r) => plain.some((id) => r.before.includes(id)));
    const follow = plain.filter((id) => data.walls.get(id)?.headEdge);
    if (over.length === 0 && follow.length === 0) return null;
    return (
        <p className="mt-2 flex flex-wrap gap-1.5">
            {over.map((r) => (
                <Button key={r.id} small onClick={() => void ask('wall.edge', { walls: plain, head: { roof: r.id } })}>
                    Run up to {r.name}
                </Button>
            ))}
            {follow.length > 0 && (
                <Button small onClick={() => void ask('wall.edge', { walls: follow, head: null })}>
                    Make their heads level
                </Button>
            )}
        </p>
    );
}
