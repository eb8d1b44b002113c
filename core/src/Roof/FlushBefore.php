<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;

/** Walls that stand up through a roof in one plane with a wall under it: seen square on they hide what of the roof lies behind them. */
final class FlushBefore
{
    /** @return list<list<float>> their faces, rings in (u, level) of the wall under it */
    public static function faces(Design $design, Roof $roof, Body $under): array
    {
        $rings = [];
        foreach ($roof->through as $outline) {
            foreach ($design->wallsOf($outline) as $wall) {
                $body = Bodies::one($design, $wall);
                if (! $body->surface->isOneWith($under->surface)) {
                    continue;
                }
                $ring = [];
                foreach (array_chunk($body->face()->rings[0] ?? [], 2) as [$u, $level]) {
                    array_push($ring, $under->surface->u($body->surface->inPlan($u)), $level);
                }
                $rings[] = $ring;
            }
        }

        return array_values(array_filter($rings, static fn (array $ring): bool => $ring !== []));
    }
}
