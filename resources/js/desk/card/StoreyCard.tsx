import { storeyName } from '../storeyName';
import { useState } from 'react';
import { Problem, type Storey } from '../../api/client';
import { formatLevel } from '../../measure/format';
import { Button } from '../../ui/Button';
import { complain } from '../../ui/notices';
import { useData } from '../data';
import { useDesk } from '../store';
import { CarriesDialog } from './CarriesDialog';
import { Figure } from './Figure';
import { Facts, Heading, RemoveButton, Sentence, useSend } from './parts';

/** One storey: its name, its height, and what may be put over or under it. */
export function StoreyCard({ storey }: { storey: Storey }) {
    const data = useData();
    const send = useSend();
    const [carries, setCarries] = useState<string | null>(null);
    const fixed = !data.mayEdit;
    const units = data.project.settings.units;
    const under = data.project.storeys[storey.position - 1];
    const openings = [...data.openings.values()].filter((o) => o.storey === storey.id).length;

    async function insert(above: string | null) {
        const args = { above, name: 'New storey', height: storey.height };
        const outcome = await data.edit('storey.insert', args, { choose: (o) => o.chosen });
        if (outcome) useDesk.setState((s) => (s.chosen === outcome.chosen ? { storey: outcome.chosen[0] ?? null } : {}));
    }

    async function remove(withContents: boolean) {
        try {
            await data.edit('storey.remove', { id: storey.id, withContents }, { quiet: true });
            useDesk.setState((s) => (s.storey === storey.id ? { chosen: [], storey: null } : {}));
        } catch (problem) {
            if (problem instanceof Problem && problem.code === 'storey.carries') setCarries(problem.message);
            else complain(problem);
        }
    }

    return (
        <>
            <Heading title={storeyName(storey.name)} note={`Floor at ${formatLevel(storey.floor, units)}`} />
            <Sentence>
                Called{' '}
                <Figure
                    label="Name"
                    shown={storey.name}
                    disabled={fixed}
                    onSend={(name) => send('storey.change', { id: storey.id, name })}
                />
                .
            </Sentence>
            <Sentence>
                <Figure
                    label="Floor to floor"
                    shown={data.length(storey.height)}
                    disabled={fixed}
                    onSend={(height) => send('storey.change', { id: storey.id, height })}
                />{' '}
                floor to floor. What stands above moves with it.
            </Sentence>
            <Facts
                rows={[
                    ['Floor', formatLevel(storey.floor, units)],
                    ['Floor above', formatLevel(storey.ceiling, units)],
                    ['Openings placed by it', openings],
                ]}
            />
            {data.mayEdit && (
                <>
                    <div className="mt-3 flex gap-2">
                        <Button small onClick={() => void insert(storey.id)}>
                            Insert a storey above
                        </Button>
                        <Button small onClick={() => void insert(under?.id ?? null)}>
                            below
                        </Button>
                    </div>
                    <RemoveButton keyed={false} label="Remove this storey" onClick={() => void remove(false)} />
                </>
            )}
            <CarriesDialog
                title={`Remove ${storeyName(storey.name).replace(/^S/, 's')}?`}
                carries={carries}
                onKeep={() => setCarries(null)}
                onRemove={() => void remove(true)}
            />
        </>
    );
}
