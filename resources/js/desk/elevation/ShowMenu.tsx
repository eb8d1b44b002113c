import { useData } from '../data';
import { Menu, type MenuItem } from '../../ui/Menu';
import { Button } from '../../ui/Button';
import { lookActions } from '../actions';
import { showEverything, toggleHidden, toggleSet, useShowing } from '../showing';
import { waysOf } from '../modes';
import { hideable, useDesk, type Hideable } from '../store';

/** What is shown and hidden, over the drawing's upper right corner; and in words what is hidden now. */
export function ShowMenu() {
    const data = useData();
    const showing = useShowing();
    const hidden = useDesk((s) => s.hidden);
    const hiddenSets = useDesk((s) => s.hiddenSets);
    const inside = useDesk((s) => s.inside);
    const face = useDesk((s) => s.face);
    const through = useDesk((s) => s.through);
    const sentence = useDesk((s) => waysOf(s.mode)?.sentence);
    const hasChoice = useDesk((s) => s.chosen.length > 0 || s.alone !== null);
    const kinds = (Object.keys(hideable) as Hideable[]).filter((k) => k !== 'inner' || data.project.outlines.some((o) => o.inner));
    const look = lookActions(data).filter(
        (a) => a.key !== undefined && a.key !== 'n' && a.key !== 'w' && (hasChoice || (a.key !== 'o' && a.key !== 'h')),
    );
    const items: MenuItem[] = [
        ...look.map((a) => ({ label: a.name, note: a.key?.toUpperCase(), onSelect: a.run })),
        'line' as const,
        ...kinds.map((k) => ({ label: `${hidden.includes(k) ? 'Show' : 'Hide'} ${hideable[k]}`, onSelect: () => toggleHidden(k) })),
        ...(data.project.sets.length > 0 ? ['line' as const] : []),
        ...data.project.sets.map((s) => ({
            label: `${hiddenSets.includes(s.id) ? 'Show' : 'Hide'} set ${s.name}`,
            onSelect: () => toggleSet(s.id),
        })),
    ];
    return (
        <div className="absolute top-2 right-3 flex items-center gap-2">
            {sentence && <span className="rounded bg-paper px-2 py-1 text-tide">{sentence} · Esc</span>}
            {inside && (
                <span className="rounded border border-hairline bg-paper px-2 py-1">
                    {face === 'inner' ? 'Seen from the back' : 'Seen from inside'}
                </span>
            )}
            {(showing.said.length > 0 || through) && (
                <span className="rounded border border-buoy bg-buoy-wash px-2 py-1" role="status" data-hidden-said>
                    {showing.said.length > 0 ? `Hidden: ${showing.said.join(', ')}` : 'Outer walls seen through'}
                    {' · '}
                    <button
                        type="button"
                        className="font-semibold text-tide underline"
                        onClick={() => {
                            showEverything();
                            useDesk.setState({ through: false });
                        }}
                    >
                        Show all
                    </button>
                </span>
            )}
            <Menu
                trigger={
                    <Button small aria-label="Show and hide, measure">
                        Show
                    </Button>
                }
                items={items}
            />
        </div>
    );
}
