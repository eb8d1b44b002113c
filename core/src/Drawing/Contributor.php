<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;

/** Who draws something that stands, or stands in something that does. All in mm. */
interface Contributor
{
    /** @return list<Shape|Placement> seen square on from outside, in (u, v) */
    public function elevation(Design $design, Body $body, Symbols $symbols): array;

    /**
     * @param  float  $letters  height of the texts
     * @return array<string, list<Shape>> in plan of a storey, x east, y north; by element
     */
    public function plan(Design $design, Body $body, string $storey, float $letters): array;

    /** @return list<Shape> where a section cuts it: x along its line, y the level */
    public function section(SectionCut $cut): array;

    /** @return list<Shape> on a face that is seen over a line: x along that, y the level */
    public function seen(SeenFace $face): array;
}
