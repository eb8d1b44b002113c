<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/**
 * The rise of a circular arc over its chord from whatever else is known of it. All mm and radians, all results positive; a major arc is one
 * over more than a half turn. With half the turn α: chord = 2r·sin α, rise = r(1 − cos α) = chord/2 · tan(α/2), length = 2rα.
 */
final class ArcFigures
{
    /** The most an arc turns by, degrees. */
    public const MOST = 350;

    /** Less than this is straight, mm. */
    public const STRAIGHT = 0.1;

    /** @throws InvalidArc when it is none, or of a full turn */
    public static function riseOfRise(float $chord, float $rise): float
    {
        return self::require($chord, $rise);
    }

    /** @throws InvalidArc when the radius is under half the chord */
    public static function riseOfRadius(float $chord, float $radius, bool $major = false): float
    {
        if ($radius < $chord / 2 - Tolerance::LENGTH) {
            throw InvalidArc::radiusTooSmall($radius, $chord);
        }
        $off = sqrt(max(0.0, $radius * $radius - $chord * $chord / 4));

        return self::require($chord, $major ? $radius + $off : $chord * $chord / 4 / ($radius + $off));
    }

    /** @throws InvalidArc when the angle is none or a full turn */
    public static function riseOfAngle(float $chord, float $angle): float
    {
        if ($angle <= 0.0 || rad2deg($angle) > self::MOST + 1e-9) {
            throw InvalidArc::badAngle(rad2deg($angle));
        }

        return self::require($chord, $chord / 2 * tan($angle / 4));
    }

    /**
     * By halving between no turn and a whole one, since sin α / α falls all the way.
     *
     * @throws InvalidArc when it is no longer than its chord
     */
    public static function riseOfLength(float $chord, float $length): float
    {
        if ($length <= $chord) {
            throw InvalidArc::tooShort($length, $chord);
        }
        [$low, $high] = [0.0, M_PI];
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            sin($middle) / $middle > $chord / $length ? $low = $middle : $high = $middle;
        }

        return self::riseOfAngle($chord, $low + $high);
    }

    /**
     * The rise of the arc from one point to another through a third, positive where that lies on the right.
     *
     * @throws InvalidArc
     */
    public static function riseThrough(Vec2 $from, Vec2 $to, Vec2 $point): float
    {
        $chord = $to->minus($from);
        $along = $chord->unit();
        $right = $point->minus($from)->dot($along->rightHand());
        if (abs($right) < self::STRAIGHT) {
            throw InvalidArc::inLine();
        }
        $c = $chord->length();
        // the angle at the point over the chord is that of the whole arc on the other side
        [$a, $b] = [$from->minus($point), $to->minus($point)];
        $seen = abs(atan2($a->cross($b), $a->dot($b)));

        return self::riseOfAngle($c, 2 * (M_PI - $seen)) * ($right > 0 ? 1.0 : -1.0);
    }

    /**
     * The rise of the arc that leaves a point in a direction and ends at another, positive on the right.
     *
     * @throws InvalidArc
     */
    public static function riseTangent(Vec2 $from, Vec2 $direction, Vec2 $to): float
    {
        $chord = $to->minus($from);
        // the arc leaves its chord by half its turn
        $off = atan2($chord->cross($direction), $chord->dot($direction));
        if (abs($off) > M_PI - 0.05) {
            throw InvalidArc::turnsBack();
        }
        $rise = $chord->length() / 2 * tan(abs($off) / 2);
        if ($rise < self::STRAIGHT) {
            throw InvalidArc::noRise();
        }

        return self::riseOfAngle($chord->length(), 2 * abs($off)) * ($off < 0 ? 1.0 : -1.0);
    }

    private static function require(float $chord, float $rise): float
    {
        if ($rise < self::STRAIGHT) {
            throw InvalidArc::noRise();
        }
        if ($rise > $chord / 2 * tan(deg2rad(self::MOST) / 4) * (1 + 1e-9)) {
            throw InvalidArc::badAngle(rad2deg(4 * atan2(2 * $rise, $chord)));
        }

        return $rise;
    }
}
