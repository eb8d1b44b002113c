import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { api } from '../api/client';
import { DataProvider, Ready, Unfolding, useData } from '../desk/data';
import { Going } from '../desk/Going';
import { CardTabs } from '../ui/BenchParts';
import { tell } from '../ui/notices';
import { BenchDrawing } from './BenchDrawing';
import { BenchHeader } from './BenchHeader';
import { forget, isUnsaved, keepUnsaved, open, settled, useBench, type Draft } from './draft';
import { FiguresStrip } from './FiguresStrip';
import { LightCard } from './LightCard';
import { SaveDialog } from './SaveDialog';
import { TakeOffCard } from './TakeOffCard';
import { UnitCard } from './UnitCard';
import { useBenchKeys } from './keys';
import { later } from '../ui/later';

const SolidView = later('The solid view', () => import('./SolidView').then((m) => m.SolidView));

/** What a new unit begins as, in round figures of the project's units: glass of ¼ inch and frames of 2 inches where those are feet. */
const inch = 25.4;
const blankInFeet: Draft = {
    mark: '',
    name: 'new unit',
    sill: 36 * inch,
    width: 48 * inch,
    height: 60 * inch,
    tree: {
        measure: 'centres',
        frame: { jamb: 2 * inch, head: 2 * inch, sill: 2 * inch, depth: 4 * inch },
        root: { operation: 'fixed', glazing: [inch / 4, inch / 2, inch / 4] },
    },
};
const blank: Draft = {
    mark: '',
    name: 'new unit',
    sill: 900,
    width: 1200,
    height: 1450,
    tree: { measure: 'centres', frame: { jamb: 55, head: 55, sill: 60, depth: 90 }, root: { operation: 'fixed', glazing: [6, 16, 6] } },
};

export function BenchPage() {
    const { project, type } = useParams();
    return (
        <DataProvider id={project!} key={project}>
            <Ready until={<Unfolding />}>
                <Bench key={type} type={type!} />
            </Ready>
        </DataProvider>
    );
}

function Bench({ type }: { type: string }) {
    const data = useData();
    const navigate = useNavigate();
    const [search] = useSearchParams();
    const like = search.get('like');
    const isNew = type === 'new';
    const asked = isNew ? like : type;
    const stored = useQuery({
        queryKey: ['project', data.id, 'type', asked],
        queryFn: () => api.unitType(data.id, asked!),
        enabled: asked !== null,
        staleTime: 0,
    });
    const [opened, setOpened] = useState(false);
    const [saving, setSaving] = useState<'change' | 'new' | null>(null);
    const [tab, setTab] = useState<'make' | 'parts' | 'solid'>('make');
    const view = useBench((b) => b.view);
    const chosen = useBench((b) => b.chosen);
    const draft = useBench((b) => b.draft);
    const wrong = useBench((b) => b.wrong);
    const busy = useBench((b) => b.busy);
    const unsaved = useBench(isUnsaved);
    // what is still on its way is saved too; what was refused is looked at first
    const askToSave = (how: 'change' | 'new') =>
        void settled().then(() => {
            const bench = useBench.getState();
            if (bench.wrong === null && (isUnsaved(bench) || how === 'new')) setSaving(how);
        });
    useBenchKeys(() => askToSave(isNew ? 'new' : 'change'));

    const found = stored.data?.type;
    const { units } = data.project.settings;
    useEffect(() => {
        if (opened || (asked !== null && !found)) return;
        const from: Draft = found
            ? {
                  mark: isNew ? '' : found.mark,
                  name: found.name,
                  sill: found.sill,
                  width: found.width,
                  height: found.height,
                  tree: found.tree,
              }
            : units === 'ft-in'
              ? blankInFeet
              : blank;
        setOpened(true);
        void open(data.id, type, from, isNew).then((resumed) => {
            if (resumed) tell('What you had not saved is on the bench again; undo takes it back to how it is kept.');
        });
    }, [opened, asked, found, isNew, data.id, type, units]);

    useEffect(() => {
        if (!opened) return; // what is on the bench is still another unit
        if (unsaved) keepUnsaved(type);
        else forget(data.id, type);
    }, [draft, unsaved, opened, data.id, type]);

    useEffect(() => {
        document.title = `${draft?.mark || 'New unit'} at the bench · Isleward`;
    }, [draft?.mark]);

    if (stored.isError)
        return (
            <p className="p-8">
                This unit type is not in the project any more.{' '}
                <a className="text-tide underline" href={`/projects/${data.id}`}>
                    To the desk
                </a>
            </p>
        );
    if (!opened || !draft) return <p className="p-8 text-quiet">Putting the unit on the bench…</p>;
    const lights = view?.lights.filter((l) => chosen.includes(l.path)) ?? [];
    const shown = lights.filter((l, i) => lights.findIndex((o) => o.path === l.path) === i);
    const general = wrong && (wrong.field === '' || wrong.field === 'card outline') ? wrong.message : null;
    return (
        <div className="flex h-full flex-col" data-busy={busy}>
            <BenchHeader
                isNew={isNew}
                type={type}
                openings={isNew ? 0 : (stored.data?.openings ?? 0)}
                unsaved={unsaved}
                onSave={askToSave}
            />
            <main className="flex min-h-0 grow">
                <div className="min-w-0 grow">{tab === 'solid' ? <SolidView /> : <BenchDrawing />}</div>
                <aside aria-label="Card of the unit" className="flex w-[340px] shrink-0 flex-col border-l border-hairline bg-paper">
                    <CardTabs
                        tabs={[
                            ['make', shown.length > 0 ? 'Light' : 'Unit'],
                            ['parts', 'Take-off'],
                            ['solid', 'Solid'],
                        ]}
                        tab={tab}
                        onTab={setTab}
                    />
                    <div className="min-h-0 grow overflow-auto px-4 py-3" tabIndex={-1}>
                        {general && (
                            <p role="alert" className="mb-2 border-l-3 border-buoy bg-buoy-wash px-2 py-1 leading-snug text-buoy">
                                {general}
                            </p>
                        )}
                        {tab === 'parts' ? (
                            <TakeOffCard />
                        ) : shown.length > 0 ? (
                            <LightCard key={shown.map((l) => l.path).join()} lights={shown} />
                        ) : (
                            <UnitCard />
                        )}
                    </div>
                    <FiguresStrip />
                </aside>
            </main>
            <SaveDialog
                how={saving}
                type={type}
                onClose={() => setSaving(null)}
                onSaved={(id) => {
                    setSaving(null);
                    forget(data.id, type);
                    if (id !== type) void navigate(`/projects/${data.id}/bench/${id}`, { replace: isNew });
                    else {
                        useBench.setState((b) => ({ kept: JSON.stringify(b.draft) }));
                        void stored.refetch();
                    }
                }}
            />
            <Going />
        </div>
    );
}
