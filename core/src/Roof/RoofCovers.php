<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Building\Cover;
use Isleward\Core\Building\Covers;
use Isleward\Core\Design\Design;

/** Roofs as what walls run up to, and stand on. */
final class RoofCovers implements Covers
{
    public function cover(Design $design, string $id, bool $upper): ?Cover
    {
        $roof = $design->layers[$id] ?? null;

        return $roof instanceof Roof ? Roofs::in($design)->cover($roof, $upper) : null;
    }
}
