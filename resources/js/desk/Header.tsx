import { Redo2, Undo2 } from 'lucide-react';
import { Link } from 'react-router';
import { Button } from '../ui/Button';
import { Mark } from '../ui/Mark';
import { Menu } from '../ui/Menu';
import { OwnMenu } from '../ui/OwnMenu';
import { Others } from '../people/Others';
import { useData } from './data';
import { download, exportsOffered } from './exporting';
import { useDesk } from './store';

export function Header() {
    const data = useData();
    const { set } = useDesk.getState();
    const schedules = useDesk((s) => s.schedules);
    const { undo, redo, settings, number, role } = data.project;
    return (
        <header className="flex h-[46px] shrink-0 items-center gap-3 border-b border-hairline bg-sheet px-3">
            <Link to="/" aria-label="Isleward, to the projects" className="flex items-center gap-2 font-semibold">
                <Mark size={26} /> Isleward
            </Link>
            <h1 className="truncate">{settings.name}</h1>
            <button
                type="button"
                title="Revisions, and the latest changes"
                onClick={() => useDesk.getState().open('revisions')}
                className="min-h-6 rounded border border-hairline px-2 py-0.5 text-xs whitespace-nowrap text-quiet hover:border-tide hover:text-tide"
            >
                {role === 'viewer' ? 'to look at' : number === 1 ? '1 change' : `${number} changes`}
            </button>
            <Others />
            <button
                type="button"
                onClick={() => set({ commands: true })}
                className="mx-auto flex min-h-8 w-60 min-w-0 items-center justify-between rounded border border-hairline bg-paper px-3 text-quiet hover:border-tide"
            >
                Find or do… <kbd className="font-sans text-xs">Ctrl K</kbd>
            </button>
            {data.mayEdit && (
                <>
                    <Button
                        look="plain"
                        aria-label={undo ? `Undo: ${undo}` : 'Nothing to undo'}
                        title={undo ? `Undo: ${undo} (Ctrl Z)` : 'Nothing to undo'}
                        disabled={!undo}
                        onClick={() => void data.undo()}
                        className="px-1.5"
                    >
                        <Undo2 size={15} /> Undo
                    </Button>
                    <Button
                        look="plain"
                        aria-label={redo ? `Redo: ${redo}` : 'Nothing to redo'}
                        title={redo ? `Redo: ${redo} (Ctrl Shift Z)` : 'Nothing to redo'}
                        disabled={!redo}
                        onClick={() => void data.redo()}
                        className="px-1.5"
                    >
                        <Redo2 size={15} /> Redo
                    </Button>
                </>
            )}
            <Button
                look={data.findings.length ? 'warn' : 'outline'}
                onClick={() => useDesk.setState((s) => ({ listFindings: !s.listFindings }))}
            >
                {!data.whole && data.findings.length === 0
                    ? 'Checking…'
                    : data.findings.length === 0
                      ? 'No findings'
                      : `${data.findings.length} ${data.findings.length === 1 ? 'finding' : 'findings'}${data.whole ? '' : ' so far'}`}
            </Button>
            <Button
                aria-pressed={schedules}
                className={schedules ? 'border-tide text-tide' : ''}
                onClick={() => set({ schedules: !schedules })}
            >
                Schedules
            </Button>
            <Link
                to={`/projects/${data.id}/sheets`}
                className="inline-flex min-h-8 items-center rounded border border-hairline bg-sheet px-3 text-[13px] hover:border-tide hover:text-tide"
            >
                Sheets
            </Link>
            <Menu
                trigger={<Button look="main">Export</Button>}
                items={exportsOffered.map((e) => ({ label: e.label, onSelect: () => download(data.id, e.file) }))}
            />
            <OwnMenu />
        </header>
    );
}
