<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Design\Design;
use Isleward\Core\Wall\Body;

/** Every rule over a wall. */
final class Findings
{
    /** @return list<Finding> */
    public static function of(Design $design, Body $body): array
    {
        $wall = WallInQuestion::of($design, $body);
        $findings = [];
        foreach ([new Overlap, new PastEdge, new NearCorner, new SillFromElsewhere, new FacingIn, new Floating, new NameAndSize, new OffLine, new LintelBearing, new RainIn] as $rule) {
            array_push($findings, ...$rule->check($wall));
        }

        return $findings;
    }
}
