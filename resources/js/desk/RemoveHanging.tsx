import { useEffect, useState } from 'react';
import { Problem } from '../api/client';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { complain } from '../ui/notices';
import { useData } from './data';
import { useDesk } from './store';

/** Removes setting-out lines, or openings; when something is placed from them, says what, and offers to keep its figures. */
export function RemoveHanging() {
    const data = useData();
    const lines = useDesk((s) => s.removingLines);
    const openings = useDesk((s) => s.removingOpenings);
    const [hangs, setHangs] = useState<string | null>(null);
    const edit = openings ? 'opening.remove' : 'line.remove';
    const asked = openings ? { ids: openings } : lines === 'all' ? { all: true } : lines ? { ids: lines } : null;
    const said = asked && JSON.stringify(asked);
    const { edit: doIt } = data;

    const done = () => {
        setHangs(null);
        useDesk.setState((s) => ({
            removingLines: null,
            removingOpenings: null,
            chosen: s.chosen.filter((c) => !(openings ?? []).includes(c) && (lines === null || (lines !== 'all' && !lines.includes(c)))),
        }));
    };
    const run = async (keepFigures: boolean) => {
        if (!asked) return;
        try {
            await doIt(edit, { ...asked, keepFigures }, { quiet: true });
            done();
        } catch (problem) {
            if (problem instanceof Problem && problem.code === 'hanging') return setHangs(problem.message);
            complain(problem);
            setHangs(null);
            useDesk.setState({ removingLines: null, removingOpenings: null });
        }
    };
    useEffect(() => {
        if (said) void run(false);
        // once for what was asked for
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [said]);

    const leave = () => {
        setHangs(null);
        useDesk.setState({ removingLines: null, removingOpenings: null });
    };
    return (
        <Dialog open={hangs !== null} onClose={leave} title="Something is placed from it" note={hangs ?? ''}>
            <div className="flex justify-end gap-2">
                <Button onClick={leave}>Cancel</Button>
                <Button look="main" onClick={() => void run(true)}>
                    Remove, keep their figures
                </Button>
            </div>
        </Dialog>
    );
}
