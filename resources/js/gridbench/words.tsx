import { Choice, type Option } from '../ui/Choice';
import { Figure } from '../desk/card/Figure';
import { Sentence } from '../desk/card/parts';
import { useData } from '../desk/data';
import { choose, chooseAll, counted, set, setBoth, type Profile, type SettingOut } from './draft';

type SectionProps = { label: string; path: string; profile: Profile | null; optional?: boolean };

/** A member's section in a sentence: "60 × 150, cap 50 × 20". */
export function SectionWords({ label, path, profile, optional = false }: SectionProps) {
    const data = useData();
    const fixed = !data.mayEdit;
    const shapes: Option[] = [
        { value: 'rectangle', label: 'rectangle' },
        { value: 'tee', label: 'T' },
        { value: 'round', label: 'round' },
        { value: 'polygon', label: 'drawn' },
        ...(optional ? [{ value: 'none', label: 'none' }] : []),
    ];
    const two = (text: string, first: string, second: string) => setBoth(path, first, second, text);
    return (
        <>
            <Choice
                label={`${label}: section`}
                value={profile?.shape ?? 'none'}
                options={shapes}
                disabled={fixed}
                onChange={(shape) =>
                    void chooseAll(
                        shape === 'none'
                            ? [{ path, value: null }]
                            : [...(profile ? [] : [{ path, value: {} }]), { path: `${path}.shape`, value: shape }],
                    )
                }
            />
            {profile && profile.shape === 'round' && (
                <>
                    {' '}
                    ⌀{' '}
                    <Figure
                        label={`${label}: diameter`}
                        shown={data.length(profile.face)}
                        disabled={fixed}
                        onSend={(t) => set(`${path}.face`, t)}
                    />
                </>
            )}
            {profile && (profile.shape === 'rectangle' || profile.shape === 'tee') && (
                <>
                    {' '}
                    <Figure
                        label={`${label}: face and depth`}
                        shown={`${data.length(profile.face)} × ${data.length(profile.depth)}`}
                        disabled={fixed}
                        onSend={(t) => two(t, 'face', 'depth')}
                    />
                </>
            )}
            {profile?.shape === 'tee' && (
                <>
                    , flange{' '}
                    <Figure
                        label={`${label}: flange`}
                        shown={data.length(profile.flange)}
                        disabled={fixed}
                        onSend={(t) => set(`${path}.flange`, t)}
                    />
                    , web{' '}
                    <Figure
                        label={`${label}: web`}
                        shown={data.length(profile.web)}
                        disabled={fixed}
                        onSend={(t) => set(`${path}.web`, t)}
                    />
                </>
            )}
            {profile?.shape === 'polygon' && (
                <>
                    , corners{' '}
                    <Figure
                        label={`${label}: corners`}
                        shown={profile.points.map((p) => +p.toFixed(1)).join(' ')}
                        disabled={fixed}
                        onSend={(t) =>
                            set(
                                `${path}.points`,
                                t
                                    .trim()
                                    .split(/[\s,;]+/)
                                    .map((n) => Number(n)),
                            )
                        }
                    />
                </>
            )}
            {profile && (
                <>
                    , cap{' '}
                    <Figure
                        label={`${label}: cap`}
                        shown={profile.capWidth === null ? 'none' : `${data.length(profile.capWidth)} × ${data.length(profile.capDepth)}`}
                        disabled={fixed}
                        onSend={(t) => (/^\s*(none|0|-)?\s*$/i.test(t) ? set(`${path}.capWidth`, null) : two(t, 'capWidth', 'capDepth'))}
                    />
                </>
            )}
            {profile && profile.setback !== 0 && (
                <>
                    , set back{' '}
                    <Figure
                        label={`${label}: set back`}
                        shown={data.length(profile.setback)}
                        disabled={fixed}
                        onSend={(t) => set(`${path}.setback`, t)}
                    />
                </>
            )}
        </>
    );
}

const ways: Option<SettingOut['by']>[] = [
    { value: 'module', label: 'a module' },
    { value: 'count', label: 'a number of equal ones' },
    { value: 'greatest', label: 'equal ones, at most' },
    { value: 'sizes', label: 'a list of sizes' },
];

/** How bays or rows are set out, as sentences with figures in them. */
export function SettingOutWords({ axis, rule }: { axis: 'bays' | 'rows'; rule: SettingOut }) {
    const data = useData();
    const fixed = !data.mayEdit;
    const path = `rules.${axis}`;
    const what = axis === 'bays' ? 'Bays' : 'Rows';
    const figure = (label: string, value: number, at: string) => (
        <Figure label={`${what}: ${label}`} shown={data.length(value)} disabled={fixed} onSend={(t) => set(`${path}.${at}`, t)} />
    );
    const repeats = (rule.by === 'module' && rule.remainder !== 'shared') || (rule.by === 'sizes' && rule.after === 'again');
    const ends = axis === 'bays' ? ['the left end', 'the right end'] : ['the foot', 'the head'];
    return (
        <>
            <Sentence>
                By{' '}
                <Choice
                    label={`${what}: set out by`}
                    value={rule.by}
                    options={ways}
                    disabled={fixed}
                    onChange={(by) => void choose(`${path}.by`, by)}
                />
                {rule.by === 'module' && (
                    <>
                        {' '}
                        of {figure('module', rule.size, 'size')}, what is left{' '}
                        <Choice
                            label={`${what}: what is left`}
                            value={rule.remainder}
                            options={[
                                { value: 'start', label: `at ${ends[0]}` },
                                { value: 'end', label: `at ${ends[1]}` },
                                { value: 'both', label: 'at both ends' },
                                { value: 'shared', label: 'shared by all' },
                            ]}
                            disabled={fixed}
                            onChange={(to) => void choose(`${path}.remainder`, to)}
                        />
                    </>
                )}
                {rule.by === 'greatest' && <> {figure('greatest', rule.size, 'size')}</>}
                {rule.by === 'count' && (
                    <>
                        :{' '}
                        <Figure
                            label={`${what}: how many`}
                            shown={String(rule.count)}
                            disabled={fixed}
                            onSend={(t) => set(`${path}.count`, counted(t))}
                        />
                    </>
                )}
                {rule.by === 'sizes' && (
                    <>
                        :{' '}
                        {rule.sizes.map((s, i) => (
                            <span key={i}>
                                {rule.after === 'rest' && rule.restAt === i && <i>the rest, </i>}
                                <Figure
                                    label={`${what}: size ${i + 1}`}
                                    shown={data.length(s)}
                                    disabled={fixed}
                                    onSend={(t) =>
                                        t.trim() === '' && rule.sizes.length > 1
                                            ? set(`${path}.sizes.${i}`, null)
                                            : set(`${path}.sizes.${i}`, t)
                                    }
                                />
                                ,{' '}
                            </span>
                        ))}
                        {rule.after === 'rest' && rule.restAt >= rule.sizes.length && <i>the rest, </i>}
                        {data.mayEdit && (
                            <button
                                type="button"
                                className="min-h-6 text-tide underline"
                                onClick={() => void choose(`${path}.sizes.+`, rule.sizes.at(-1) ?? 1200)}
                            >
                                one more
                            </button>
                        )}
                        , then{' '}
                        <Choice
                            label={`${what}: after the list`}
                            value={rule.after}
                            options={[
                                { value: 'again', label: 'again from its start' },
                                { value: 'rest', label: 'the rest in one' },
                                { value: 'nothing', label: 'nothing: it adds up' },
                            ]}
                            disabled={fixed}
                            onChange={(to) => void choose(`${path}.after`, to)}
                        />
                        {rule.after === 'rest' && rule.sizes.length > 0 && (
                            <>
                                , the rest{' '}
                                <Choice
                                    label={`${what}: where the rest stands`}
                                    value={String(rule.restAt)}
                                    options={[...rule.sizes, 0].map((_, i) => ({
                                        value: String(i),
                                        label: i === 0 ? 'first' : i === rule.sizes.length ? 'last' : `after size ${i}`,
                                    }))}
                                    disabled={fixed}
                                    onChange={(to) => void choose(`${path}.restAt`, Number(to))}
                                />
                            </>
                        )}
                    </>
                )}
                .
            </Sentence>
            {repeats && (
                <Sentence>
                    The pattern starts {figure('offset', rule.offset, 'offset')} from where its rule lets it
                    {rule.offset === 0 ? '' : ' (a finding says so)'}.
                </Sentence>
            )}
            <Sentence>
                {axis === 'rows' ? (
                    <Choice
                        label="Rows: by storey"
                        value={rule.perStorey ? 'storey' : 'whole'}
                        options={[
                            { value: 'storey', label: 'Anew in every storey, with a line at every floor' },
                            { value: 'whole', label: 'Once over the whole height' },
                        ]}
                        disabled={fixed}
                        onChange={(to) => void choose(`${path}.perStorey`, to === 'storey')}
                    />
                ) : (
                    <Choice
                        label="Bays: at corners"
                        value={rule.through ? 'through' : 'anew'}
                        options={[
                            { value: 'anew', label: 'Anew on every stretch' },
                            { value: 'through', label: 'Round the whole run, through its corners' },
                        ]}
                        disabled={fixed}
                        onChange={(to) => void choose(`${path}.through`, to === 'through')}
                    />
                )}
                .
            </Sentence>
        </>
    );
}
