import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Figure } from '../desk/card/Figure';
import { Sentence } from '../desk/card/parts';
import { InfillWords, type InfillValues } from '../desk/curtain/infill';
import { useData } from '../desk/data';
import {
    choose,
    cornerOf,
    counted,
    rulesOf,
    set,
    setBoth,
    useGridBench,
    type FinishOf,
    type InfillRule,
    type Role,
    type Rules,
} from './draft';
import { SectionWords, SettingOutWords } from './words';

const orders: { value: string; label: string; order: Role[] }[] = [
    { value: 'mullions', label: 'Mullions run through', order: ['mullion', 'left', 'right', 'head', 'foot', 'transom'] },
    { value: 'transoms', label: 'Transoms run through', order: ['transom', 'head', 'foot', 'mullion', 'left', 'right'] },
    { value: 'frame', label: 'The frame round them runs through', order: ['head', 'foot', 'left', 'right', 'mullion', 'transom'] },
];

export const places = [
    { value: 'everywhere', label: 'Every cell' },
    { value: 'storey-rows', label: 'Rows of each storey' },
    { value: 'rows', label: 'Rows from the foot' },
    { value: 'bays', label: 'Bays from the left' },
    { value: 'band', label: 'A band about every floor' },
    { value: 'chequer', label: 'Every other cell' },
    { value: 'every-bay', label: 'Every so many bays' },
    { value: 'every-row', label: 'Every so many rows' },
];

/** The rules of the type, as sentences. */
export function RulesCard() {
    const data = useData();
    const draft = useGridBench((b) => b.draft)!;
    const rules = rulesOf(draft);
    const corner = cornerOf(draft);
    const order = orders.find((o) => o.order.join() === rules.order.join())?.value ?? 'other';
    const fixed = !data.mayEdit;
    const p = rules.profiles;
    const oneSection = (['mullion', 'transom', 'head', 'foot', 'left', 'right'] as const).every(
        (r) => JSON.stringify(p[r]) === JSON.stringify(p.mullion),
    );
    return (
        <>
            <Part title="Bays">
                <SettingOutWords axis="bays" rule={rules.bays} />
            </Part>
            <Part title="Rows">
                <SettingOutWords axis="rows" rule={rules.rows} />
            </Part>
            <Part title="Cells">
                {rules.infills.map((rule, i) => (
                    <InfillLine key={i} rule={rule} index={i} />
                ))}
                {data.mayEdit && (
                    <Button
                        small
                        onClick={() =>
                            void choose('rules.infills.+', {
                                where: 'storey-rows',
                                numbers: [1],
                                infill: { kind: 'spandrel' },
                            })
                        }
                    >
                        One more rule
                    </Button>
                )}
            </Part>
            <Part title="Members">
                <Sentence>
                    <Choice
                        label="What runs through"
                        value={order}
                        options={[...orders, ...(order === 'other' ? [{ value: 'other', label: 'In an order of its own' }] : [])]}
                        disabled={fixed}
                        onChange={(to) => {
                            const found = orders.find((o) => o.value === to);
                            if (found) void choose('rules.order', found.order);
                        }}
                    />
                    , the others butt to them; where sides meet head and foot they{' '}
                    <Choice
                        label="Corners of the frame"
                        value={rules.mitre ? 'mitred' : 'butt'}
                        options={[
                            { value: 'butt', label: 'butt as well' },
                            { value: 'mitred', label: 'are mitred' },
                        ]}
                        disabled={fixed}
                        onChange={(to) => void choose('rules.mitre', to === 'mitred')}
                    />
                    .
                </Sentence>
                <Sentence>
                    All: <SectionWords label="All members" path="rules.profiles.*" profile={oneSection ? p.mullion : p.mullion} />
                    {oneSection ? '' : ' (several sections now)'}.
                </Sentence>
                {(
                    [
                        ['Mullions', 'mullion', p.mullion],
                        ['Transoms', 'transom', p.transom],
                        ['Sides', 'left+right', p.left],
                        ['Head', 'head', p.head],
                        ['Foot', 'foot', p.foot],
                    ] as const
                ).map(([name, roles, profile]) => (
                    <Sentence key={roles}>
                        {name}: <SectionWords label={name} path={`rules.profiles.${roles}`} profile={profile} optional />.
                    </Sentence>
                ))}
                <Sentence>
                    Joints of{' '}
                    <Figure label="Joint" shown={data.length(rules.joint)} disabled={fixed} onSend={(t) => set('rules.joint', t)} /> where
                    there is no member; infills run{' '}
                    <Figure label="Cover" shown={data.length(rules.cover)} disabled={fixed} onSend={(t) => set('rules.cover', t)} /> into
                    members.
                </Sentence>
            </Part>
            <Part title="Corners">
                <Sentence>
                    <Choice
                        label="Corners"
                        value={corner.kind}
                        options={[
                            { value: 'post', label: 'A post fitted to the angle' },
                            { value: 'square-left', label: 'A post square to the left side' },
                            { value: 'square-right', label: 'A post square to the right side' },
                            { value: 'mitred', label: 'A mitred pair' },
                            { value: 'glass', label: 'Glass to glass' },
                        ]}
                        disabled={fixed}
                        onChange={(kind) => void choose('corner.kind', kind)}
                    />
                    {corner.kind === 'glass' ? (
                        <>
                            , a joint of{' '}
                            <Figure
                                label="Joint at corners"
                                shown={data.length(corner.joint)}
                                disabled={fixed}
                                onSend={(t) => set('corner.joint', t)}
                            />
                        </>
                    ) : (
                        <>
                            {': '}
                            <Figure
                                label="Corner: face and depth"
                                shown={`${data.length(corner.profile?.face ?? 0)} × ${data.length(corner.profile?.depth ?? 0)}`}
                                disabled={fixed}
                                onSend={(text) => setBoth('corner.profile', 'face', 'depth', text)}
                            />
                        </>
                    )}
                    .
                </Sentence>
            </Part>
            <Part title="Finishes">
                <Finishes rules={rules} />
            </Part>
        </>
    );
}

const parts: [FinishOf, string][] = [
    ['members', 'Members'],
    ['caps', 'caps'],
    ['corners', 'corners'],
    ['spandrel', 'spandrels'],
    ['solid', 'solid panels'],
    ['louvre', 'louvres'],
];

/** What each part is finished in, of the project's finishes. */
function Finishes({ rules }: { rules: Rules }) {
    const data = useData();
    const finishes = data.project.settings.finishes.map((f) => ({ value: f.id, label: f.name }));
    return (
        <Sentence>
            {parts.map(([part, says], i) => (
                <span key={part}>
                    {i > 0 && '; '}
                    {says}{' '}
                    <Choice
                        label={`Finish of ${says.toLowerCase()}`}
                        value={rules.finishes?.[part] ?? 'none'}
                        options={[
                            { value: 'none', label: part === 'corners' || part === 'caps' ? 'as the members' : 'as it comes' },
                            ...finishes,
                        ]}
                        disabled={!data.mayEdit}
                        onChange={(to) => void choose(`rules.finishes.${part}`, to === 'none' ? null : to)}
                    />
                </span>
            ))}
            .
        </Sentence>
    );
}

function InfillLine({ rule, index }: { rule: InfillRule; index: number }) {
    const data = useData();
    const fixed = !data.mayEdit;
    const path = `rules.infills.${index}`;
    const numbers = ['rows', 'storey-rows', 'bays'].includes(rule.where);
    const label = `Cells, rule ${index + 1}`;
    const fill = (infill: InfillValues) => choose(`${path}.infill`, infill);
    return (
        <Sentence>
            {index === 0 ? (
                'Every cell'
            ) : (
                <Choice
                    label={`${label}: where`}
                    value={rule.where}
                    options={places.slice(1)}
                    disabled={fixed}
                    onChange={(where) => void choose(`${path}.where`, where)}
                />
            )}
            {numbers && (
                <>
                    {' '}
                    <Figure
                        label={`${label}: which`}
                        shown={rule.numbers.join(', ')}
                        disabled={fixed}
                        onSend={(t) =>
                            set(
                                `${path}.numbers`,
                                t
                                    .split(/[\s,;]+/)
                                    .filter(Boolean)
                                    .map(counted),
                            )
                        }
                    />
                </>
            )}
            {rule.where === 'band' && (
                <>
                    , from{' '}
                    <Figure
                        label={`${label}: under floors`}
                        shown={data.length(rule.below)}
                        disabled={fixed}
                        onSend={(t) => set(`${path}.below`, t)}
                    />{' '}
                    under to{' '}
                    <Figure
                        label={`${label}: over floors`}
                        shown={data.length(rule.above)}
                        disabled={fixed}
                        onSend={(t) => set(`${path}.above`, t)}
                    />{' '}
                    over it
                </>
            )}
            {(rule.where === 'every-bay' || rule.where === 'every-row') && (
                <>
                    : every{' '}
                    <Figure
                        label={`${label}: every`}
                        shown={String(rule.every)}
                        disabled={fixed}
                        onSend={(t) => set(`${path}.every`, counted(t))}
                    />{' '}
                    from{' '}
                    <Figure
                        label={`${label}: from`}
                        shown={String(rule.first)}
                        disabled={fixed}
                        onSend={(t) => set(`${path}.first`, counted(t))}
                    />
                </>
            )}
            : <InfillWords label={label} infill={rule.infill} disabled={fixed} onSend={fill} onPick={(to) => void fill(to)} />.
            {index > 0 && data.mayEdit && (
                <>
                    {' '}
                    <button type="button" className="min-h-6 text-tide hover:underline" onClick={() => void choose(path, null)}>
                        remove
                    </button>
                </>
            )}
        </Sentence>
    );
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
    return (
        <section className="border-b border-hairline py-2 last:border-0">
            <h2 className="font-semibold">{title}</h2>
            {children}
        </section>
    );
}
