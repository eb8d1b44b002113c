<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** How the thickness of a roof ends at its eaves: what that leaves of its underside. Verges end upright. */
enum EavesCut: string
{
    case Upright = 'upright';
    case Square = 'square';
    case Level = 'level';

    /**
     * How much farther up the slope the underside begins than where it is cut upright, mm.
     *
     * @param  float  $upright  through the roof, mm
     * @param  float  $pitch  radians
     */
    public function takes(float $upright, float $pitch): float
    {
        return match ($this) {
            self::Upright => 0.0,
            // down from the upper edge, square to the slope
            self::Square => $upright * sin($pitch),
            // in from the upper edge, at its level
            self::Level => $upright / sin($pitch),
        };
    }

    /**
     * @param  list<RoofSide>  $sides
     * @return list<RoofSide> with what is left of their undersides
     *
     * @throws Refusal when one has not so much overhang or so much slope
     */
    public static function at(Roof $roof, array $sides): array
    {
        if ($roof->cut === self::Upright || $roof->within) {
            return $sides;
        }
        $under = [];
        foreach ($sides as $i => $side) {
            $under[$i] = $side->pitch === null ? $side->corners : self::slid($roof, $side, $side->pitch);
        }
        $n = count($sides);
        foreach ($sides as $i => $side) {
            // a verge begins where the undersides of its neighbours do
            foreach ($side->pitch === null ? [[($i + $n - 1) % $n, 1, 0], [($i + 1) % $n, 0, 1]] : [] as [$beside, $from, $to]) {
                if ($sides[$beside]->pitch !== null && self::meet($sides[$beside]->corners[$from], $side->corners[$to])) {
                    $under[$i][$to] = $under[$beside][$from];
                }
            }
        }

        return array_map(static fn (RoofSide $s, array $left): RoofSide => $s->undercut($left), $sides, $under);
    }

    /** @return list<array{float, float, float}> */
    private static function slid(Roof $roof, RoofSide $side, float $pitch): array
    {
        $by = $roof->cut->takes($roof->upright(), $pitch);
        if ($side->overhang < $by * cos($pitch) - 1e-6) {
            throw Refusal::because('roof.cut', sprintf(
                'Cut %s the eaves of %s take %s of its underside, and it overhangs %s: walls would be left open under them.',
                $roof->cut === self::Square ? 'square' : 'level', $roof->name, Length::mark($by * cos($pitch)),
                Length::mark($side->overhang),
            ), [$roof->id], ['field' => 'cut']);
        }
        $corners = $side->corners;
        $last = count($corners) - 1;
        foreach ([[0, $last], [1, 2]] as [$at, $beyond]) {
            [[$x, $y, $z], [$east, $north, $high]] = [$corners[$at], $side->corners[$beyond]];
            $share = $by * sin($pitch) / ($high - $z);
            if ($high - $z <= 0.0 || $share >= 1.0) {
                throw Refusal::because('roof.cut', sprintf(
                    'A face of %s is too short for eaves that are cut so.', $roof->name,
                ), [$roof->id], ['field' => 'cut']);
            }
            $corners[$at] = [$x + ($east - $x) * $share, $y + ($north - $y) * $share, $z + ($high - $z) * $share];
        }

        return $corners;
    }

    /**
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     */
    private static function meet(array $a, array $b): bool
    {
        return abs($a[0] - $b[0]) < 0.1 && abs($a[1] - $b[1]) < 0.1;
    }
}
