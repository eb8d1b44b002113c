import type { Wall } from '../../api/client';

/** A point's foot on a wall's outer face, and how far behind that face it lies. */
export function onWall(wall: Wall, at: { x: number; y: number }): { along: number; depth: number } {
    const dx = (wall.toX - wall.fromX) / wall.length;
    const dy = (wall.toY - wall.fromY) / wall.length;
    const px = at.x - wall.fromX;
    const py = at.y - wall.fromY;
    return { along: px * dx + py * dy, depth: py * dx - px * dy };
}
