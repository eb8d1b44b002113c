<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;

/** What a batten or a slat is, cut square to its length. */
enum BattenShape: string
{
    case Flat = 'flat';
    case Round = 'round';
    case Ellipse = 'ellipse';
    /** A flange over its width at the front, and a web behind the middle of it. */
    case Tee = 'tee';
    case Drawn = 'drawn';

    /**
     * About its middle: x over its width, y outward, mm.
     *
     * @param  float  $web  thickness of a tee's flange and web, mm
     * @param  list<array{float, float}>  $profile  corners of a drawn one, as shares of its width and its depth
     */
    public function section(float $wide, float $deep, float $web, array $profile): Contour
    {
        [$w, $d] = [$wide / 2, $deep / 2];

        return match ($this) {
            self::Flat => Contour::rectangle(-$w, -$d, $w, $d),
            self::Round, self::Ellipse => Contour::of([
                Curve::curved(0.0, 0.0, $w, $d, 0.0, M_PI), Curve::curved(0.0, 0.0, $w, $d, M_PI, M_PI),
            ]),
            self::Tee => Contour::polygon([
                -$web / 2, -$d, $web / 2, -$d, $web / 2, $d - $web, $w, $d - $web, $w, $d, -$w, $d, -$w, $d - $web, -$web / 2, $d - $web,
            ]),
            self::Drawn => Contour::polygon(array_merge(...array_map(
                static fn (array $p): array => [($p[0] - 0.5) * $wide, ($p[1] - 0.5) * $deep],
                $profile,
            ))),
        };
    }
}
