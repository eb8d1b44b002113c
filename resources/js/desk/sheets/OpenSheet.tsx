import { useData } from '../data';
import { useDesk } from '../store';
import { RepeatSheet, SpaceSheet, StackSheet } from './again';
import { AlignSheet, CopySheet, MirrorSheet } from './elsewhere';
import { CarrySheet, EmptySheet, FillSheet } from './filling';
import { TracingsSheet } from '../tracing/TracingsSheet';
import { GatherSheet } from './GatherSheet';
import { DivideSheet, LineSheet } from './lines';
import { NumberSheet } from './numbering';
import { RevisionsSheet } from './RevisionsSheet';
import { RecessSheet, RoundSheet, WallBendSheet, WallMoveSheet, WallStackSheet, WallTurnSheet } from './walls';

/** The sheet that is open, for what is chosen. */
export function OpenSheet() {
    const data = useData();
    const sheet = useDesk((s) => s.sheet);
    const chosen = useDesk((s) => s.chosen);
    const ids = chosen.filter((id) => data.openings.has(id));
    const walls = chosen.filter((id) => data.walls.has(id));
    const key = `${sheet} ${ids[0] ?? walls[0] ?? ''}`;
    switch (sheet) {
        case 'revisions':
            return <RevisionsSheet />;
        case 'tracings':
            return <TracingsSheet />;
        case 'number':
            return <NumberSheet key={ids.join()} ids={ids} />;
        case 'gather':
            return <GatherSheet />;
        case 'line':
            return <LineSheet />;
        case 'divide':
            return <DivideSheet />;
        case 'wallStack':
            return walls.length > 0 ? <WallStackSheet key={key} walls={walls} /> : <Nothing what="a wall" />;
        case 'wallMove':
            return walls.length > 0 ? <WallMoveSheet key={key} walls={walls} /> : <Nothing what="a wall" />;
        case 'wallTurn':
            return walls.length > 0 ? <WallTurnSheet key={key} walls={walls} /> : <Nothing what="a wall" />;
        case 'wallBend':
            return walls.length > 0 ? <WallBendSheet key={key} walls={walls} /> : <Nothing what="a wall" />;
        case 'round':
            return walls.length > 0 ? <RoundSheet key={key} walls={walls} /> : <Nothing what="a wall" />;
        case 'recess':
            return walls.length > 0 ? <RecessSheet key={key} walls={walls} /> : <Nothing what="a wall" />;
        case 'carry':
            return <CarrySheet ids={ids} />;
    }
    if (ids.length === 0) return <Nothing what="an opening" />;
    switch (sheet) {
        case 'repeat':
            return <RepeatSheet key={key} ids={ids} />;
        case 'space':
            return <SpaceSheet key={key} ids={ids} />;
        case 'copy':
            return <CopySheet key={key} ids={ids} />;
        case 'stack':
            return <StackSheet key={key} ids={ids} />;
        case 'mirror':
            return <MirrorSheet key={key} ids={ids} />;
        case 'align':
            return <AlignSheet key={key} ids={ids} />;
        case 'fill':
            return <FillSheet key={key} ids={ids} />;
        case 'empty':
            return <EmptySheet key={key} ids={ids} />;
    }
    return null;
}

function Nothing({ what }: { what: string }) {
    return (
        <p>
            Choose {what} first, in the drawing or a schedule.{' '}
            <button type="button" className="text-tide underline" onClick={() => useDesk.getState().open(null)}>
                Close
            </button>
        </p>
    );
}
