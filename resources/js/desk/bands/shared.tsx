import { Choice } from '../../ui/Choice';
import { Figure } from '../card/Figure';
import { FindingNote, RemoveButton, Sentence } from '../card/parts';
import { useData } from '../data';
import { KeepSet } from '../sheets/KeepSet';
import { useDesk } from '../store';
import { ChooseAlso } from './ChooseAlso';

type Sent = (text: string) => Promise<string | null>;

/** What a band is finished in, of the project’s finishes. */
export function FinishChoice({ finish, onChange }: { finish: string | null; onChange: (finish: string | null) => void }) {
    const data = useData();
    return (
        <Choice
            label="Finish"
            value={finish ?? 'none'}
            options={[
                { value: 'none', label: 'none stated' },
                ...(data.project.settings.finishes ?? []).map((f) => ({ value: f.id, label: f.name })),
            ]}
            disabled={!data.mayEdit}
            onChange={(to) => onChange(to === 'none' ? null : to)}
        />
    );
}

/** Corners of a drawn section, in per cent, parted by semicolons. */
export function ProfileFigure({
    label,
    profile,
    onSend,
}: {
    label: string;
    profile: number[][];
    onSend: (to: number[][]) => ReturnType<Sent>;
}) {
    const data = useData();
    return (
        <Figure
            label={label}
            shown={profile.map((p) => p.map((c) => Math.round(c * 1000) / 10).join(' ')).join('; ')}
            disabled={!data.mayEdit}
            onSend={(text) =>
                onSend(
                    text.split(';').map((p) =>
                        p
                            .trim()
                            .split(/\s+/)
                            .map((c) => Number(c) / 100),
                    ),
                )
            }
        />
    );
}

type Foot = {
    id: string;
    name: string;
    what: string;
    edit: 'band.remove' | 'floor-band.remove' | 'field.remove' | 'screen.remove' | 'roof.remove';
    onName: Sent;
};

/** What stands at the foot of a band’s card: its findings, sets, its name, and how it is removed. */
export function BandFoot({ id, name, what, edit, onName }: Foot) {
    const data = useData();
    const findings = data.findings.filter((f) => f.elements.includes(id));
    return (
        <>
            {findings.slice(0, 4).map((f) => (
                <FindingNote key={`${f.key} ${f.figure}`} finding={f} />
            ))}
            <ChooseAlso id={id} />
            <KeepSet members={[id]} what={name} />
            {data.mayEdit && (
                <>
                    <div className="mt-3 border-t border-hairline pt-2">
                        <Sentence>
                            Called <Figure label="Name" shown={name} onSend={onName} />
                        </Sentence>
                    </div>
                    <RemoveButton
                        label={`Remove the ${what}`}
                        onClick={() => void data.edit(edit, { ids: [id] }).then((done) => done && useDesk.getState().choose([]))}
                    />
                </>
            )}
        </>
    );
}
