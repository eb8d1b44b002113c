import { Button } from '../../ui/Button';
import { useData, type FoundOpening } from '../data';
import { useDesk } from '../store';

/** The fields of battens that fill an opening, and one more. */
export function FillWithBattens({ opening }: { opening: FoundOpening }) {
    const data = useData();
    const fields = data.project.fields.filter((f) => f.opening === opening.id);
    if (fields.length === 0 && !data.mayEdit) return null;
    return (
        <div className="mt-3 flex flex-wrap items-center gap-1.5 border-t border-hairline pt-2">
            {fields.map((f) => (
                <button
                    key={f.id}
                    type="button"
                    className="min-h-6 font-semibold text-tide hover:underline"
                    onClick={() => useDesk.getState().choose([f.id])}
                >
                    {f.name}
                </button>
            ))}
            {data.mayEdit && (
                <Button
                    small
                    onClick={() =>
                        void data.edit(
                            'field.fill',
                            { opening: opening.id, wide: '40 mm', deep: '60 mm', battens: { by: 'fit', size: '60 mm' } },
                            { choose: (o) => o.chosen },
                        )
                    }
                >
                    Battens before it
                </Button>
            )}
        </div>
    );
}
