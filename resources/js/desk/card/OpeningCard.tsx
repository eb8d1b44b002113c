import type { EditArgs } from '../../api/client';
import { Link } from 'react-router';
import { formatArea } from '../../measure/format';
import { Choice } from '../../ui/Choice';
import { openingActions } from '../actions';
import { later } from '../../ui/later';
import { useData, type FoundOpening } from '../data';
import { shareOf } from '../shares';
import { useDesk } from '../store';
import { startPicking } from '../picking';
import { alongOptions, alongValue, levelOptions, levelValue } from './measuredFrom';
import { JambWords } from './JambWords';
import { Masonry } from './Masonry';
import { NibWords } from './NibWords';
import { ActionRow, Facts, FindingNote, Heading, RemoveButton, Sentence, useSend } from './parts';
import { Figure } from './Figure';

const FillWithBattens = later('Battens', () => import('../bands/FillWithBattens').then((m) => m.FillWithBattens), null);
const LetInWords = later('The curtain wall', () => import('../curtain/LetInWords').then((m) => m.LetInWords), null);

const jambs = [
    { value: 'near', label: 'near jamb' },
    { value: 'far', label: 'far jamb' },
    { value: 'centre', label: 'centre' },
] as const;

/** One opening, said in sentences whose figures are fields. */
export function OpeningCard({ opening }: { opening: FoundOpening }) {
    const data = useData();
    const send = useSend();
    const { id } = opening;
    const units = data.project.settings.units;
    const fixed = !data.mayEdit;
    const change = (args: EditArgs<'opening.change'>) => send('opening.change', { id, ...args });
    const type = data.project.types.find((t) => t.id === opening.type);
    const grid = data.project.grids.find((g) => g.id === opening.curtain?.grid);
    const elevation = data.elevations.get(opening.frontage.id);
    const figures = elevation?.figures[opening.symbol];
    const findings = data.findings.filter((f) => f.elements.includes(id));
    const { position, sill } = opening;
    const byShare = position.from === 'fraction';

    const byHead = sill.edge === 'head';
    const floor = data.storeys.get(opening.storey)?.floor ?? 0;
    const along = alongOptions(data, opening);
    const levels = levelOptions(data, opening);
    const measureFrom = (to: string) => {
        if (to === 'pick') return startPicking(id);
        const measure = along.find((o) => o.value === to)?.measure;
        if (measure) void change({ measure });
    };
    const measureSill = (to: string) => {
        const measure = levels.find((o) => o.value === to)?.measure;
        if (measure) void change({ measureSill: measure });
    };

    const sendPosition = (text: string) => {
        if (!byShare) return change({ position: { ...position, value: text } });
        const share = shareOf(text);
        return share === null
            ? Promise.resolve(`“${text}” is not a share: give per cent, or a fraction such as 1/3.`)
            : change({ position: { ...position, value: share } });
    };

    return (
        <>
            <Heading
                title={type ? `${type.mark} ${type.name}` : grid ? `${grid.mark} ${grid.name}` : 'Bare opening'}
                note={`${opening.frontage.name} · ${data.storeys.get(opening.storey)?.name ?? ''}`}
            />
            {(opening.mark || !fixed) && (
                <Sentence>
                    Marked{' '}
                    <Figure
                        label="Mark of this opening"
                        shown={opening.mark ?? 'only by its type'}
                        disabled={fixed}
                        onSend={(text) => send('opening.number', { ids: [id], text: text === 'only by its type' ? '' : text })}
                    />
                    .
                </Sentence>
            )}
            <Sentence>
                {byShare ? 'At ' : ''}
                <Figure
                    label="Position"
                    shown={byShare ? `${+(position.value * 100).toFixed(3)} %` : data.length(position.value)}
                    disabled={fixed}
                    onSend={sendPosition}
                />{' '}
                {byShare ? ' as a ' : position.from === 'left' || position.from === 'right' ? ' from the ' : ' right of the '}
                <Choice label="Measured from" value={alongValue(opening)} options={along} disabled={fixed} onChange={measureFrom} /> to the{' '}
                <Choice
                    label="Measured to"
                    value={position.to}
                    options={[...jambs]}
                    disabled={fixed}
                    onChange={(to) => void change({ measure: { to } })}
                />
                {(position.from === 'left' || position.from === 'right' || position.from === 'middle' || byShare) && (
                    <>
                        , along the{' '}
                        <Choice
                            label="Face"
                            value={position.face}
                            disabled={fixed}
                            options={[
                                { value: 'outer', label: opening.frontage.inner ? 'front face' : 'outer face' },
                                { value: 'inner', label: opening.frontage.inner ? 'back face' : 'inner face' },
                            ]}
                            onChange={(face) => void change({ measure: { face } })}
                        />
                    </>
                )}
                .
            </Sentence>
            <NibWords opening={opening} />
            <Sentence>
                {byHead ? 'Head ' : 'Sill '}
                <Figure
                    label={byHead ? 'Head' : 'Sill'}
                    shown={data.length(sill.height)}
                    disabled={fixed}
                    onSend={(text) => change({ sill: { ...sill, height: text } })}
                />{' '}
                above the{' '}
                <Choice label="Sill measured from" value={levelValue(opening)} options={levels} disabled={fixed} onChange={measureSill} />
                {byHead ? (
                    <>
                        , sill <b>{data.length(opening.sillLevel - floor)}</b> above the floor.
                    </>
                ) : (
                    <>
                        , head{' '}
                        <Figure
                            label="Head"
                            shown={data.length(sill.height + opening.height)}
                            disabled={fixed}
                            onSend={(text) => change({ head: text })}
                        />
                        .
                    </>
                )}
            </Sentence>
            <Sentence>
                <Figure label="Width" shown={data.length(opening.width)} disabled={fixed} onSend={(text) => change({ width: text })} />{' '}
                wide,{' '}
                <Figure label="Height" shown={data.length(opening.height)} disabled={fixed} onSend={(text) => change({ height: text })} />{' '}
                high.
            </Sentence>
            <JambWords opening={opening} />
            <Masonry opening={opening} />
            <ActionRow actions={openingActions(data)} />
            {opening.curtain && <LetInWords opening={opening} />}
            <Sentence>
                Filled with{' '}
                <Choice
                    label="Unit type"
                    value={opening.type ?? opening.curtain?.grid ?? 'bare'}
                    disabled={fixed}
                    options={[
                        ...data.project.types.map((t) => ({ value: t.id, label: `${t.mark} ${t.name}` })),
                        ...data.project.grids.map((g) => ({ value: g.id, label: `${g.mark} curtain wall, ${g.name}` })),
                        { value: 'bare', label: 'nothing (bare)' },
                    ]}
                    onChange={(to) =>
                        void (data.project.grids.some((g) => g.id === to)
                            ? data.edit('opening.curtain', { ids: [id], grid: to })
                            : change({ type: to === 'bare' ? null : to }))
                    }
                />
                {opening.type && (
                    <>
                        {' '}
                        (
                        <Link to={`/projects/${data.id}/bench/${opening.type}`} className="text-tide underline">
                            at the bench
                        </Link>
                        )
                    </>
                )}
                {(opening.type ?? opening.curtain) && (
                    <>
                        ,{' '}
                        <Figure
                            label="Behind the outer face"
                            shown={data.length(opening.setback)}
                            disabled={fixed}
                            onSend={(text) => change({ setback: text })}
                        />{' '}
                        behind the outer face, facing{' '}
                        <Choice
                            label="Facing"
                            value={opening.facesOut ? 'out' : 'in'}
                            disabled={fixed}
                            options={[
                                { value: 'out', label: 'out' },
                                { value: 'in', label: 'in' },
                            ]}
                            onChange={(to) => void change({ facesOut: to === 'out' })}
                        />
                        , handed{' '}
                        <Choice
                            label="Handing"
                            value={opening.mirrored ? 'mirrored' : 'drawn'}
                            disabled={fixed}
                            options={[
                                { value: 'drawn', label: 'as drawn' },
                                { value: 'mirrored', label: 'the other way' },
                            ]}
                            onChange={(to) => void change({ mirrored: to === 'mirrored' })}
                        />
                    </>
                )}
                {opening.type && (
                    <>
                        , shown{' '}
                        <Figure
                            label="Ajar"
                            shown={opening.ajar === null ? 'as its type is' : `${+(opening.ajar * 100).toFixed(1)} %`}
                            disabled={fixed}
                            onSend={(text) => {
                                const share = /^(as .*|-)?$/.test(text.trim()) ? null : shareOf(text);
                                return share === null && !/^(as .*|-)?$/.test(text.trim())
                                    ? Promise.resolve(`“${text}” is no share: give 0 to 100 %, or nothing for as its type is.`)
                                    : change({ ajar: share });
                            }}
                        />{' '}
                        open
                    </>
                )}
                .
            </Sentence>
            {findings.map((f, i) => (
                <FindingNote key={i} finding={f} />
            ))}
            <Facts
                rows={[
                    ['Left of it, to the wall’s end', data.length(opening.fromLeft)],
                    ['Right of it, to the wall’s end', data.length(opening.fromRight)],
                    [
                        'Its centre along the wall',
                        `${data.length(opening.fromLeft + opening.span / 2)} · ${+(((opening.fromLeft + opening.span / 2) / (opening.fromLeft + opening.span + opening.fromRight)) * 100).toFixed(2)} %`,
                    ],
                    [
                        'Sill and head above the floor',
                        `${data.length(opening.sillLevel - floor)} · ${data.length(opening.headLevel - floor)}`,
                    ],
                    ['Opening', formatArea(opening.area, units)],
                    ...(figures
                        ? ([
                              ['Glass', formatArea(figures.glass, units)],
                              ['Frame share', `${Math.round(figures.frameShare * 100)} %`],
                          ] as [string, string][])
                        : []),
                ]}
            />
            <FillWithBattens opening={opening} />
            {data.mayEdit && <RemoveButton label="Remove this opening" onClick={() => useDesk.setState({ removingOpenings: [id] })} />}
        </>
    );
}
