<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Prism;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Shell;
use Isleward\Core\Geometry\Solid;

/** What a screen before one wall is made of: its sheet, its wedges at mitred corners, what closes it back. */
final class ScreenSolid
{
    /** @return list<Solid> as geometries lie: from where the wall begins in plan, x east, y the level, z south; mm */
    public static function of(ScreenFace $face): array
    {
        $screen = $face->screen;
        $solids = [];
        foreach ($face->sheet() as $profile) {
            $solids[] = self::between($face, $profile, $screen->gap, $screen->front());
        }
        $start = $face->surface->start();
        foreach ($face->wedges() as [$wedge, $low, $high]) {
            $solids[] = new Moved(
                new Prism(new Profile($wedge), $low, $high - $low),
                static fn (float $x, float $y, float $z): array => [$x - $start->x, $z, $start->y - $y],
            );
        }
        foreach ($face->returns() as $profile) {
            $solids[] = self::between($face, $profile, $face->behind, $screen->gap);
        }

        return $solids;
    }

    private static function between(ScreenFace $face, Profile $profile, float $from, float $to): Solid
    {
        if (! $face->surface->isFlat()) {
            return new Shell($face->surface, $profile, -$to, -$from);
        }
        $angle = $face->surface->angle();
        [$c, $s] = [cos($angle), sin($angle)];

        // along the wall, up, outward: turned to how it runs
        return new Moved(
            new Prism($profile, $from, $to - $from),
            static fn (float $u, float $v, float $n): array => [$u * $c + $n * $s, $v, $n * $c - $u * $s],
        );
    }
}
