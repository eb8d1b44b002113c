<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Solid;

/** What fills a cell of a run as it stands in space. */
final readonly class RunPane
{
    /**
     * @param  list<Contour>  $daylight  what is seen of it, in (u, v) of its stretch
     * @param  list<CutPrism>  $pieces  in its own axes: x along, y up, z outward; none of a void or a unit
     */
    public function __construct(public GridCell $cell, public array $daylight, public Axes $axes, public array $pieces)
    {
    }

    /** mm² */
    public function area(): float
    {
        return array_sum(array_map(static fn (Contour $c): float => $c->area(), $this->daylight));
    }

    /** mm³ */
    public function volume(): float
    {
        return array_sum(array_map(static fn (CutPrism $p): float => $p->volume(), $this->pieces));
    }

    /** @return list<Solid> in space */
    public function solids(): array
    {
        $to = function (float $x, float $y, float $z): array {
            $at = $this->axes->point($x, $y, $z);

            return [$at->x, $at->y, $at->z];
        };

        return array_map(static fn (CutPrism $p): Solid => new Moved($p, $to), $this->pieces);
    }
}
