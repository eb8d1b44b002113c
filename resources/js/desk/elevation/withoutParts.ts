/**
 * Paints something with holes in it: what lies within the rings is left out and what was painted before shows there. The rings are in
 * the coordinates that `place` sets.
 */
export function withoutParts(
    ctx: CanvasRenderingContext2D,
    rings: number[][],
    place: (ctx: CanvasRenderingContext2D) => void,
    paint: (ctx: CanvasRenderingContext2D) => void,
): void {
    if (rings.length === 0) return paint(ctx);
    const apart = document.createElement('canvas');
    [apart.width, apart.height] = [ctx.canvas.width, ctx.canvas.height];
    const own = apart.getContext('2d')!;
    paint(own);
    place(own);
    own.globalCompositeOperation = 'destination-out';
    own.fillStyle = '#000';
    for (const ring of rings) {
        own.beginPath();
        for (let i = 0; i < ring.length; i += 2) own.lineTo(ring[i]!, ring[i + 1]!);
        own.closePath();
        own.fill();
    }
    ctx.setTransform(1, 0, 0, 1, 0, 0);
    ctx.drawImage(apart, 0, 0);
}
