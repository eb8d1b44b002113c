<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;

/** What must hold of the corners of an outline: sides have length, do not cross, and meet at angles that walls can be joined at. */
final class OutlineShape
{
    private const SHARPEST = 15.0;

    /**
     * @param  list<Vec2>  $corners
     *
     * @throws InvalidOutline
     */
    public static function require(array $corners, bool $closed): void
    {
        $count = count($corners);
        if ($count < ($closed ? 3 : 2)) {
            throw InvalidOutline::tooFew($closed);
        }
        $sides = [];
        for ($i = 0; $i < ($closed ? $count : $count - 1); $i++) {
            if ($corners[$i]->isAt($corners[($i + 1) % $count])) {
                throw InvalidOutline::noLength($i + 1);
            }
            $sides[] = Curve::line($corners[$i], $corners[($i + 1) % $count]);
        }
        foreach ($sides as $i => $side) {
            self::requireOpenAngle($sides, $i, $closed);
            for ($j = $i + 2; $j < count($sides); $j++) {
                if (! ($closed && $i === 0 && $j === count($sides) - 1) && self::cross($side, $sides[$j])) {
                    throw InvalidOutline::selfCrossing($i + 1, $j + 1);
                }
            }
        }
    }

    /** @param  list<Curve>  $sides */
    private static function requireOpenAngle(array $sides, int $i, bool $closed): void
    {
        if ($i === 0 && ! $closed) {
            return;
        }
        $before = $sides[($i + count($sides) - 1) % count($sides)]->directionAt(0);
        $here = $sides[$i]->directionAt(0);
        $angle = 180 - rad2deg(abs(atan2($before->cross($here), $before->dot($here))));
        if ($angle < self::SHARPEST - 1e-6) {
            throw InvalidOutline::tooSharp($i + 1, $angle);
        }
    }

    private static function cross(Curve $a, Curve $b): bool
    {
        $at = $a->meetsLine($b);
        if ($at === null) {
            $off = abs($b->start()->minus($a->start())->cross($a->directionAt(0)));
            $s = $b->start()->minus($a->start())->dot($a->directionAt(0));
            $e = $b->end()->minus($a->start())->dot($a->directionAt(0));

            return $off <= Tolerance::LENGTH && max($s, $e) >= 0 && min($s, $e) <= $a->length();
        }
        $s = $at->minus($a->start())->dot($a->directionAt(0));
        $t = $at->minus($b->start())->dot($b->directionAt(0));
        $slack = Tolerance::LENGTH;

        return $s >= -$slack && $s <= $a->length() + $slack && $t >= -$slack && $t <= $b->length() + $slack;
    }
}
