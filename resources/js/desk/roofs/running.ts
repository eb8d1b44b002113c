import type { Wall } from '../../api/client';

/** Whether the head of a wall may run up to a roof: of curtain walls that of a flat, upright one. */
export const mayRunUp = (wall: Wall | undefined): boolean =>
    wall !== undefined && (!wall.curtain || (!wall.arc && wall.curtain.lean === 0));
