import { useState } from 'react';
import { useNavigate } from 'react-router';
import { BenchHead, UndoRedo } from '../ui/BenchParts';
import { Button } from '../ui/Button';
import { Menu } from '../ui/Menu';
import { useData } from '../desk/data';
import { look, redo, rename, step, undo, useBench } from './draft';
import { RemoveType } from './RemoveType';

type Props = { isNew: boolean; type: string; openings: number; unsaved: boolean; onSave: (how: 'change' | 'new') => void };

export function BenchHeader({ isNew, type, openings, unsaved, onSave }: Props) {
    const data = useData();
    const navigate = useNavigate();
    const draft = useBench((b) => b.draft)!;
    const past = useBench((b) => b.past.length);
    const future = useBench((b) => b.future.length);
    const inside = useBench((b) => b.inside);
    const [removing, setRemoving] = useState(false);
    return (
        <BenchHead
            title="Unit bench"
            desk={`/projects/${data.id}`}
            mark={draft.mark}
            name={draft.name}
            isNew={isNew}
            stands={openings === 0 ? 'in no opening' : openings === 1 ? 'in 1 opening' : `in ${openings} openings`}
            unsaved={unsaved}
            disabled={!data.mayEdit}
            onRename={rename}
        >
            <Button
                look="plain"
                aria-pressed={inside}
                onClick={() => void look({ inside: !inside })}
                title="The elevation as it is seen from the other side"
            >
                {inside ? 'Seen from inside' : 'Seen from outside'}
            </Button>
            <AjarControl />
            {data.mayEdit && (
                <>
                    <UndoRedo past={past} future={future} onUndo={undo} onRedo={redo} />
                    <Menu
                        trigger={<Button>More</Button>}
                        items={[
                            { label: 'Hand it the other way', onSelect: () => void step('mirror', {}, '') },
                            ...(isNew
                                ? []
                                : [
                                      { label: 'Its sheet', onSelect: () => void navigate(`/projects/${data.id}/sheets?type=${type}`) },
                                      { label: 'Make another like this', onSelect: () => onSave('new') },
                                      { label: 'A new unit from scratch', onSelect: () => void navigate(`/projects/${data.id}/bench/new`) },
                                      'line' as const,
                                      { label: `Remove ${draft.mark} from the rack`, warn: true, onSelect: () => setRemoving(true) },
                                  ]),
                        ]}
                    />
                    <Button look="main" disabled={!unsaved} title="Ctrl S" onClick={() => onSave(isNew ? 'new' : 'change')}>
                        {isNew ? 'Add to the rack' : 'Save'} <kbd className="font-sans text-[11px] opacity-80">Ctrl S</kbd>
                    </Button>
                </>
            )}
            <RemoveType
                type={type}
                mark={draft.mark}
                openings={openings}
                open={removing}
                onClose={() => setRemoving(false)}
                onRemoved={() => void navigate(`/projects/${data.id}`)}
            />
        </BenchHead>
    );
}

/** How far open plan, section and solid show it; the elevation is always shut. */
function AjarControl() {
    const ajar = useBench((b) => b.ajar);
    return (
        <label
            className="flex items-center gap-2 whitespace-nowrap text-quiet"
            title="How far open plan, section and solid show it, for now"
        >
            Ajar
            <input
                type="range"
                aria-label="Ajar"
                min={0}
                max={100}
                step={5}
                value={Math.round((ajar ?? 0) * 100)}
                onChange={(e) => void look({ ajar: Number(e.target.value) === 0 ? null : Number(e.target.value) / 100 })}
                className="w-24 accent-[var(--tide)]"
            />
            <span className="w-9 text-right text-ink">{Math.round((ajar ?? 0) * 100)} %</span>
        </label>
    );
}
