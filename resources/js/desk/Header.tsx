import { Redo2, Undo2 } from 'lucide-react';
import { useEffect, useRef, type ReactNode } from 'react';
import { Link } from 'react-router';
import { announce } from '../ui/announce';
import { Button } from '../ui/Button';
import { Key } from '../ui/Key';
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
    const { undo, redo, settings, changes, role } = data.project;
    return (
        <header className="flex min-h-[46px] shrink-0 flex-wrap items-center min-[1000px]:flex-nowrap gap-x-2 gap-y-1 border-b border-hairline bg-sheet px-3 min-[1180px]:gap-x-3">
            <Link to="/" aria-label="Isleward, to the projects" className="flex items-center gap-2 font-semibold">
                <Mark size={26} /> <span className="hidden min-[1180px]:inline">Isleward</span>
            </Link>
            <h1 className="max-w-40 shrink-0 truncate min-[1180px]:max-w-60">{settings.name}</h1>
            <button
                type="button"
                title="Revisions, and the latest changes"
                onClick={() => useDesk.getState().open('revisions')}
                className="min-h-6 rounded border border-hairline px-2 py-0.5 text-xs whitespace-nowrap text-quiet hover:border-tide hover:text-tide"
            >
                {role === 'viewer' ? 'view only' : changes === 1 ? '1 change' : `${changes} changes`}
            </button>
            <Others />
            <button
                type="button"
                onClick={() => set({ commands: true })}
                className="mx-auto flex min-h-8 w-24 min-w-0 grow items-center min-[1180px]:w-60 min-[1180px]:grow-0 justify-between gap-2 overflow-hidden whitespace-nowrap rounded border border-hairline bg-paper px-3 text-quiet hover:border-tide"
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
                        <Undo2 size={15} />{' '}
                        <Wide>
                            Undo <Key of="Ctrl Z" />
                        </Wide>
                    </Button>
                    <Button
                        look="plain"
                        aria-label={redo ? `Redo: ${redo}` : 'Nothing to redo'}
                        title={redo ? `Redo: ${redo} (Ctrl Y, Ctrl Shift Z)` : 'Nothing to redo'}
                        disabled={!redo}
                        onClick={() => void data.redo()}
                        className="px-1.5"
                    >
                        <Redo2 size={15} />{' '}
                        <Wide>
                            Redo <Key of="Ctrl Y" />
                        </Wide>
                    </Button>
                </>
            )}
            <FoundAnnounced />
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

/** Where there is room for it. */
const Wide = ({ children }: { children: ReactNode }) => <span className="hidden min-[1180px]:inline">{children}</span>;

/** Findings that have come or gone, said to those who hear the screen. */
function FoundAnnounced() {
    const { findings, whole } = useData();
    const count = whole ? findings.length : null;
    const latest = useRef<string | null>(null);
    const before = useRef<Set<string> | null>(null);
    useEffect(() => {
        if (count === null) return;
        const keys = new Set(findings.map((f) => `${f.host} ${f.key}`));
        const fresh = before.current ? findings.filter((f) => !before.current!.has(`${f.host} ${f.key}`)) : [];
        const gone = before.current ? [...before.current].filter((k) => !keys.has(k)).length : 0;
        before.current = keys;
        const said =
            fresh.length > 0
                ? `${fresh.length === 1 ? 'A new finding' : `${fresh.length} new findings`}: ${fresh[0]!.sentence}`
                : gone > 0
                  ? `${gone === 1 ? 'A finding is' : `${gone} findings are`} put right.`
                  : null;
        if (said && said !== latest.current) window.setTimeout(() => announce(said), 600);
        latest.current = said;
    }, [findings, count]);
    return null;
}
