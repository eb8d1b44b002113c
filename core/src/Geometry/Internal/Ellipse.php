<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry\Internal;

/** Figures of ellipses: points are centre + (rx cos t, ry sin t), turned about the centre by a tilt. mm, radians. */
final class Ellipse
{
    /** @return array{float, float} */
    public static function point(float $cx, float $cy, float $rx, float $ry, float $tilt, float $t): array
    {
        [$dx, $dy] = self::spun($rx * cos($t), $ry * sin($t), $tilt);

        return [$cx + $dx, $cy + $dy];
    }

    /** @return array{float, float} a vector turned counter-clockwise */
    public static function spun(float $x, float $y, float $angle): array
    {
        if ($angle === 0.0) {
            return [$x, $y];
        }
        [$cos, $sin] = [cos($angle), sin($angle)];

        return [$x * $cos - $y * $sin, $x * $sin + $y * $cos];
    }

    /** Of a stretch, by Gauss–Legendre quadrature in sixteen steps of five points (error below 1e-9 of it). */
    public static function length(float $rx, float $ry, float $start, float $sweep): float
    {
        $nodes = [
            [0.0, 128 / 225],
            [-0.5384693101056831, 0.47862867049936647],
            [0.5384693101056831, 0.47862867049936647],
            [-0.906179845938664, 0.23692688505618908],
            [0.906179845938664, 0.23692688505618908],
        ];
        $step = $sweep / 16;
        $sum = 0.0;
        for ($i = 0; $i < 16; $i++) {
            foreach ($nodes as [$at, $weight]) {
                $t = $start + $step * ($i + 0.5 + $at / 2);
                $sum += $weight * hypot($rx * sin($t), $ry * cos($t));
            }
        }

        return $sum * abs($step) / 2;
    }

    /**
     * The parameter of the point farthest in a direction (a unit vector), and how far that is from the centre.
     *
     * @return array{float, float}
     */
    public static function farthest(float $rx, float $ry, float $tilt, float $nx, float $ny): array
    {
        [$nx, $ny] = self::spun($nx, $ny, -$tilt);

        return [atan2($ry * $ny, $rx * $nx), hypot($rx * $nx, $ry * $ny)];
    }

    /** An angle as a part of a whole turn, 0 to 2π. */
    public static function turn(float $angle): float
    {
        $turn = fmod($angle, 2 * M_PI);

        return $turn < 0 ? $turn + 2 * M_PI : $turn;
    }
}
