import { Plus } from 'lucide-react';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { TypesDocument } from '../api/client';
import { Menu } from '../ui/Menu';
import { complain } from '../ui/notices';
import { useData } from './data';
import { download } from './exporting';
import { later } from '../ui/later';

const BringTypes = later('The units', () => import('./BringTypes').then((m) => m.BringTypes), null);

/** What can be done about the rack's units: make one, bring some in, take some along. */
export function RackMenu() {
    const data = useData();
    const navigate = useNavigate();
    const file = useRef<HTMLInputElement>(null);
    const [bringing, setBringing] = useState<{ from: string; document: TypesDocument | null } | null>(null);

    const read = async (chosen: File) => {
        try {
            const document = JSON.parse(await chosen.text()) as TypesDocument;
            if (!Array.isArray(document.types)) throw new Error('no types');
            setBringing({ from: chosen.name, document });
        } catch {
            complain(new Error(`“${chosen.name}” is no document of unit types: it cannot be read as one. Nothing was changed.`));
        }
    };

    return (
        <div className="flex items-center border-l border-hairline px-1.5">
            <Menu
                trigger={
                    <button
                        type="button"
                        aria-label="Make or bring in units"
                        title="Make or bring in units"
                        className="rounded p-1.5 text-tide hover:bg-tide-wash"
                    >
                        <Plus size={18} />
                    </button>
                }
                items={[
                    { label: 'Make a new unit', note: 'at the bench', onSelect: () => void navigate(`/projects/${data.id}/bench/new`) },
                    {
                        label: 'Make a new grid type',
                        note: 'curtain wall',
                        onSelect: () => void navigate(`/projects/${data.id}/grid-bench/new`),
                    },
                    'line',
                    { label: 'Bring units from another project…', onSelect: () => setBringing({ from: '', document: null }) },
                    { label: 'Bring units from a file…', note: 'JSON', onSelect: () => file.current?.click() },
                    { label: 'Download the units as a file', note: 'JSON', onSelect: () => download(data.id, 'types.json') },
                    'line',
                    {
                        label: 'Type sheets…',
                        note: 'SVG, PDF',
                        onSelect: () =>
                            void navigate(
                                `/projects/${data.id}/sheets?type=${data.project.types[0]?.id ?? data.project.grids[0]?.id ?? ''}`,
                            ),
                    },
                ]}
            />
            <input
                ref={file}
                type="file"
                aria-label="File of unit types"
                accept="application/json,.json"
                className="sr-only"
                tabIndex={-1}
                onChange={(e) => {
                    const chosen = e.target.files?.[0];
                    e.target.value = '';
                    if (chosen) void read(chosen);
                }}
            />
            {bringing && <BringTypes from={bringing.from} given={bringing.document} onClose={() => setBringing(null)} />}
        </div>
    );
}
