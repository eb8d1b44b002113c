<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Places;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Refusal;

/** That the walls and runs of a design can be built, and the openings of its curved ones go through them. */
final class Standing
{
    /**
     * @param  Design|null  $before  as it was: a run that could not stand then, which is a finding, does not keep others from being changed
     * @param  list<string>  $own  walls whose runs have to stand in any case
     *
     * @throws Refusal
     */
    public static function require(Design $design, ?Design $before = null, array $own = []): void
    {
        Bodies::of($design);
        self::requireRuns($design, $before, $own);
        foreach ($design->walls as $wall) {
            if ($wall->isCurved()) {
                foreach ($design->openingsOf($wall->id) as $opening) {
                    OpeningRules::requireBends($design, $opening);
                    Places::in($design)->of($opening);
                }
            }
        }
    }

    /**
     * @param  list<string>  $own
     *
     * @throws Refusal
     */
    public static function requireRuns(Design $design, ?Design $before = null, array $own = []): void
    {
        foreach (Runs::in($design)->chains() as $walls) {
            try {
                Runs::in($design)->of($walls[0]->id);
            } catch (Refusal $why) {
                $asked = array_intersect(array_map(static fn (Wall $w): string => $w->id, $walls), $own) !== [];
                if ($before === null || $asked || ! self::stoodNot($before, $walls)) {
                    throw $why;
                }
            }
        }
    }

    /** @param  non-empty-list<Wall>  $walls  of a run */
    private static function stoodNot(Design $before, array $walls): bool
    {
        foreach ($walls as $wall) {
            if (($before->walls[$wall->id] ?? null)?->curtain !== null && Runs::in($before)->whyNot($wall->id) !== null) {
                return true;
            }
        }

        return false;
    }
}
