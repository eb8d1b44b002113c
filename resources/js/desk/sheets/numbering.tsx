import { useData } from '../data';
import { Entry, Pick, useWord } from './parts';
import { Sheet } from './Sheet';

/** Marks of single openings, by a rule: what is chosen, or all when nothing is. */
export function NumberSheet({ ids }: { ids: string[] }) {
    const data = useData();
    const [text, setText] = useWord('number.text', '{storey}.{n}');
    const [start, setStart] = useWord('number.start', '1');
    const [digits, setDigits] = useWord('number.digits', '2');
    const [order, setOrder] = useWord<'storey' | 'along'>('number.order', 'storey');
    const [whom, setWhom] = useWord<'unmarked' | 'all'>('number.whom', 'unmarked');
    const many = ids.length > 0 ? ids.length : data.openings.size;
    return (
        <Sheet
            title="Mark openings"
            to={ids.length > 0 ? `${ids.length} chosen` : `all ${many} of the project`}
            edit="opening.number"
            verb="Mark"
            many={false}
            keepChoice
            args={{ ...(ids.length > 0 ? { ids } : {}), text, start, digits, order, keep: whom === 'unmarked' }}
        >
            <p className="my-2 leading-7">
                As <Entry label="Text of the marks" value={text} onChange={setText} wide />, numbers from{' '}
                <Entry label="First number" value={start} onChange={setStart} /> with{' '}
                <Entry label="Figures at least" value={digits} onChange={setDigits} /> figures,{' '}
                <Pick
                    label="Order"
                    value={order}
                    options={{ storey: 'storey by storey, along the outline', along: 'along the outline, from the foot up' }}
                    onChange={setOrder}
                />
                ;{' '}
                <Pick
                    label="Which"
                    value={whom}
                    options={{ unmarked: 'only those that have no mark', all: 'all of them, anew' }}
                    onChange={setWhom}
                />
                .
            </p>
            <p className="text-xs text-quiet">
                {'{n}'} stands for the number, {'{storey}'} for the storey counted from the lowest as 0, {'{type}'} for the unit type’s
                mark. Nothing is renumbered unless it is asked for here. A blank text takes marks away.
            </p>
        </Sheet>
    );
}
