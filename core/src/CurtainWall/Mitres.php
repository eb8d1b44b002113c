<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Tolerance;

/**
 * Sides and head or foot that are mitred where they meet: each runs to the corner of the face and is cut along the line from there to
 * where their inner edges meet, so together they take what they took when one of them ran through.
 */
final class Mitres
{
    /**
     * @param  list<GridMember>  $members  as they butt
     * @return list<GridMember>
     */
    public static function of(array $members, Pieces $pieces): array
    {
        $last = ['x' => count($pieces->bays->at) - 1, 'y' => count($pieces->rows->at) - 1];
        [$left, $right] = [$pieces->bays->at[0], $pieces->bays->at[$last['x']]];
        [$foot, $head] = [$pieces->rows->at[0], $pieces->rows->at[$last['y']]];
        foreach ([
            [Role::Left, Role::Foot, $left, $foot], [Role::Right, Role::Foot, $right, $foot],
            [Role::Left, Role::Head, $left, $head], [Role::Right, Role::Head, $right, $head],
        ] as [$side, $end, $x, $y]) {
            [[$i, $up], [$j, $along]] = [self::at($members, $side, $y, false), self::at($members, $end, $x, true)];
            if ($i === null || $j === null
                || $up > $members[$j]->y1 - $members[$j]->y0 + Tolerance::LENGTH
                || $along > $members[$i]->x1 - $members[$i]->x0 + Tolerance::LENGTH) {
                continue; // a door stands there, or no member
            }
            [$atLeft, $atFoot] = [$side === Role::Left, $end === Role::Foot];
            $in = $atLeft ? $members[$i]->x1 : $members[$i]->x0;
            $over = $atFoot ? $members[$j]->y1 : $members[$j]->y0;
            [$out, $back] = [[$x, $y, $in, $over], [$in, $over, $x, $y]];
            // going in from the corner the side lies at the left there: at the left foot, and at the right head
            $members[$i] = $members[$i]->mitred([$atFoot ? 'y0' : 'y1' => $y], $atLeft === $atFoot ? $out : $back);
            $members[$j] = $members[$j]->mitred([$atLeft ? 'x0' : 'x1' => $x], $atLeft === $atFoot ? $back : $out);
        }

        return array_values($members);
    }

    /**
     * The member of a role that reaches an end of its line, or ends at what stands there.
     *
     * @param  array<int, GridMember>  $members
     * @param  float  $end  where its line ends: u of a level one, v of an upright one
     * @return array{int|null, float} which, and how far from that it ends
     */
    private static function at(array $members, Role $role, float $end, bool $level): array
    {
        $found = null;
        $nearest = INF;
        foreach ($members as $i => $member) {
            if ($member->role !== $role || $member->profile === null) {
                continue;
            }
            $away = $level
                ? min(abs($member->x0 - $end), abs($member->x1 - $end))
                : min(abs($member->y0 - $end), abs($member->y1 - $end));
            if ($away < $nearest) {
                [$found, $nearest] = [$i, $away];
            }
        }

        return [$found, $nearest];
    }
}
