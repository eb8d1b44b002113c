<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Places;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Refusal;

/** That the walls and runs of a design can be built, and the openings of its curved ones go through them. */
final class Standing
{
    /** @throws Refusal */
    public static function require(Design $design): void
    {
        Bodies::of($design);
        Runs::in($design)->all();
        foreach ($design->walls as $wall) {
            if ($wall->isCurved()) {
                foreach ($design->openingsOf($wall->id) as $opening) {
                    OpeningRules::requireBends($design, $opening);
                    Places::in($design)->of($opening);
                }
            }
        }
    }
}
