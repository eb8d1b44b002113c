import { useNavigate } from 'react-router';
import type { SheetPlan } from '../../api/client';
import { nextNumber, putOn } from '../../sheets/putting';
import { Button } from '../../ui/Button';
import { Menu } from '../../ui/Menu';
import { complain, tell } from '../../ui/notices';
import { useData } from '../data';

/** Puts a kept section on one of the sheets, or on a new one. */
export function OnSheet({ section }: { section: { id: string; name: string } }) {
    const data = useData();
    const navigate = useNavigate();
    const { sheets, settings } = data.project;
    const open = (id: string) => ({ label: 'Open the sheet', run: () => void navigate(`/projects/${data.id}/sheets?sheet=${id}`) });
    const put = async (plan: SheetPlan) => {
        try {
            const came = await putOn(data, plan, { kind: 'section', ref: section.id });
            const there = `Section ${section.name} is on ${plan.number}`;
            tell(
                came !== null && came !== 'refitted' ? `${there}, but there is no free place: ${came.problem}` : `${there}.`,
                open(plan.id),
            );
        } catch (problem) {
            complain(problem);
        }
    };
    const fresh = async () => {
        const paper = settings.units === 'ft-in' ? 'ANSI-B' : 'A3';
        const values = { name: `Section ${section.name}`, number: nextNumber(sheets), paper, items: [] } as const;
        const outcome = await data.edit('sheet.keep', { ...values, items: [] });
        if (outcome?.chosen[0]) await put({ ...values, items: [], id: outcome.chosen[0] });
    };
    return (
        <Menu
            align="start"
            trigger={
                <Button small look="plain">
                    On a sheet
                </Button>
            }
            items={[
                ...sheets.map((s) => ({ label: `${s.number} ${s.name}`, onSelect: () => void put(s) })),
                { label: 'A new sheet', onSelect: () => void fresh() },
            ]}
        />
    );
}
