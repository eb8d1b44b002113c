import { formatArea } from '../../measure/format';
import { Choice } from '../../ui/Choice';
import { useData, type FoundOpening } from '../data';
import { Facts, FindingNote, Heading, RemoveButton, Sentence, useSend } from './parts';
import { Figure } from './Figure';

const references = [
    { value: 'left', label: 'left end' },
    { value: 'right', label: 'right end' },
    { value: 'middle', label: 'middle of the wall' },
    { value: 'fraction', label: 'share of the wall' },
];
const jambs = [
    { value: 'near', label: 'near jamb' },
    { value: 'far', label: 'far jamb' },
    { value: 'centre', label: 'centre' },
];
const sillDatums = [
    { value: 'floor', label: 'storey floor' },
    { value: 'foot', label: 'wall foot' },
    { value: 'datum', label: 'site datum' },
];

/** One opening, said in sentences whose figures are fields. */
export function OpeningCard({ opening }: { opening: FoundOpening }) {
    const data = useData();
    const send = useSend();
    const { id } = opening;
    const units = data.project.settings.units;
    const fixed = !data.mayEdit;
    const change = (args: Record<string, unknown>) => send('opening.change', { id, ...args });
    const type = data.project.types.find((t) => t.id === opening.type);
    const elevation = data.elevations.get(opening.frontage.id);
    const figures = elevation?.figures[opening.symbol];
    const findings = data.findings.filter((f) => f.elements.includes(id));
    const { position, sill } = opening;
    const byShare = position.from === 'fraction';

    const sendPosition = (text: string) => {
        if (!byShare) return change({ position: { ...position, value: text } });
        const share = shareOf(text);
        return share === null ? Promise.resolve(`“${text}” is not a share: give per cent, or a fraction such as 1/3.`) : change({ position: { ...position, value: share } });
    };

    return (
        <>
            <Heading title={type ? `${type.mark} ${type.name}` : 'Bare opening'} note={`${opening.frontage.name} · ${data.storeys.get(opening.storey)?.name ?? ''}`} />
            <Sentence>
                {byShare ? 'At ' : ''}
                <Figure label="Position" shown={byShare ? `${+(position.value * 100).toFixed(3)} %` : data.length(position.value)} disabled={fixed} onSend={sendPosition} />{' '}
                {byShare ? ' as a ' : position.from === 'middle' ? ' right of the ' : ' from the '}
                <Choice label="Measured from" value={position.from} options={references} disabled={fixed} onChange={(from) => void change({ measure: { from } })} /> to the{' '}
                <Choice label="Measured to" value={position.to} options={jambs} disabled={fixed} onChange={(to) => void change({ measure: { to } })} />.
            </Sentence>
            <Sentence>
                Sill <Figure label="Sill" shown={data.length(sill.height)} disabled={fixed} onSend={(text) => change({ sill: { ...sill, height: text } })} /> above the{' '}
                <Choice label="Sill measured from" value={sill.from} options={sillDatums} disabled={fixed} onChange={(from) => void change({ sillFrom: from })} />, head{' '}
                <Figure label="Head" shown={data.length(sill.height + opening.height)} disabled={fixed} onSend={(text) => change({ head: text })} />.
            </Sentence>
            <Sentence>
                <Figure label="Width" shown={data.length(opening.width)} disabled={fixed} onSend={(text) => change({ width: text })} /> wide,{' '}
                <Figure label="Height" shown={data.length(opening.height)} disabled={fixed} onSend={(text) => change({ height: text })} /> high.
            </Sentence>
            <Sentence>
                Filled with{' '}
                <Choice
                    label="Unit type"
                    value={opening.type ?? 'bare'}
                    disabled={fixed}
                    options={[...data.project.types.map((t) => ({ value: t.id, label: `${t.mark} ${t.name}` })), { value: 'bare', label: 'nothing (bare)' }]}
                    onChange={(to) => void change({ type: to === 'bare' ? null : to })}
                />
                {opening.type && (
                    <>
                        , <Figure label="Behind the outer face" shown={data.length(opening.setback)} disabled={fixed} onSend={(text) => change({ setback: text })} /> behind the outer face, facing{' '}
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
                .
            </Sentence>
            {findings.map((f, i) => (
                <FindingNote key={i} finding={f} />
            ))}
            <Facts
                rows={[
                    ['Left of it, to the wall’s end', data.length(opening.left)],
                    ['Right of it, to the wall’s end', data.length(opening.right)],
                    ['Opening', formatArea(opening.width * opening.height, units)],
                    ...(figures ? ([['Glass', formatArea(figures.glass, units)], ['Frame share', `${Math.round(figures.frameShare * 100)} %`]] as [string, string][]) : []),
                ]}
            />
            {data.mayEdit && <RemoveButton label="Remove this opening" onClick={() => void data.edit('opening.remove', { ids: [id] })} />}
        </>
    );
}

/** "33.3 %", "33.3" or "1/3" as a share from 0 to 1. */
function shareOf(text: string): number | null {
    const fraction = /^\s*(\d+)\s*\/\s*(\d+)\s*$/.exec(text);
    if (fraction && Number(fraction[2]) > 0) return Number(fraction[1]) / Number(fraction[2]);
    const percent = /^\s*(\d+(?:[.,]\d+)?)\s*%?\s*$/.exec(text);
    return percent ? Number(percent[1]!.replace(',', '.')) / 100 : null;
}
