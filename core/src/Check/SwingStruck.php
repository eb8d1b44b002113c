<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Meeting;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Solved;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Unit\Leaf;
use Isleward\Core\Unit\SolvedUnit;

/**
 * A leaf hung at its side that strikes another wall before it stands open as far as it turns: its edge sweeps an arc in plan, the leaf the
 * sector within.
 */
final class SwingStruck implements Rule
{
    /** So much less than its whole turn is no hindrance, radians (1°). */
    private const SLACK = 0.0175;

    /** Curved walls are chords that leave their faces by so much at the most, mm. */
    private const SAGITTA = 0.5;

    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        foreach ($wall->asked as $p) {
            if ($p->opening->type === null) {
                continue;
            }
            $unit = Solved::in($wall->design->type($p->opening->type), $p->opening);
            $said = self::saidAlready($wall, $p);
            $worst = null;
            foreach ($unit->lights as $light) {
                foreach ($light->leaves as $leaf) {
                    if ($leaf->hinge !== null && abs($leaf->motion->angle) > 1e-6 && $leaf->motion->upright) {
                        $struck = self::struck($wall, $p, $unit, $leaf, $said);
                        $worst = $struck !== null && ($worst === null || $struck[0] < $worst[0]) ? $struck : $worst;
                    }
                }
            }
            if ($worst !== null) {
                [$angle, $other] = $worst;
                $findings[] = $wall->finding(
                    'leaf.swing', $p, $angle, sprintf('has a leaf that opens to %s° only: then it strikes %s', rtrim(
                        rtrim(number_format($angle, 1, '.', ''), '0'),
                        '.',
                    ),
                        $wall->design->isInner($other) ? $wall->named($other) : 'the wall beside it'), null);
            }
        }

        return $findings;
    }

    /** @return array<string, true> walls that the opening itself runs into: of these more is said than that a leaf strikes them */
    private static function saidAlready(WallInQuestion $wall, PlacedOpening $p): array
    {
        $said = [];
        foreach ([[false, $wall->body->left], [true, $wall->body->right]] as [$atRight, $end]) {
            $stop = Meeting::clearEnd($wall->design, $wall->body, $p->sill, $p->head, $atRight);
            if ($end->meets !== null && ($atRight ? $p->right > $stop + Tolerance::LENGTH : $p->left < $stop - Tolerance::LENGTH)) {
                $said[$end->meets] = true;
            }
        }
        foreach ($wall->abutments as $a) {
            if ($a->reach($p) > Tolerance::LENGTH) {
                $said[$a->wall->id] = true;
            }
        }

        return $said;
    }

    /**
     * @param  array<string, true>  $said
     * @return array{float, Wall}|null the angle it opens to, degrees, and what it strikes
     */
    private static function struck(WallInQuestion $wall, PlacedOpening $p, SolvedUnit $unit, Leaf $leaf, array $said): ?array
    {
        [$x0, $y0, $x1, $y1] = $leaf->contour->bounds();
        $motion = $leaf->motion;
        $free = abs($motion->at - $x0) > abs($motion->at - $x1) ? $x0 : $x1;
        $hinge = self::inPlan($wall, $p, $unit, $motion->at, $motion->z);
        [$openX, , $openZ] = $motion->at(1.0)->of($free, 0.0, $motion->z);
        $shut = self::inPlan($wall, $p, $unit, $free, $motion->z)->minus($hinge);
        $open = self::inPlan($wall, $p, $unit, $openX, $openZ)->minus($hinge);
        $radius = $shut->length();
        $turn = abs($motion->angle);
        // the way it turns, as seen from above
        $way = $shut->cross($open) >= 0 ? 1.0 : -1.0;
        $best = null;
        foreach ($wall->design->walls as $other) {
            if ($other->id === $wall->body->host->id() || isset($said[$other->id]) || ! self::isNear($other, $hinge, $radius)) {
                continue;
            }
            $storeys = $wall->design->storeys;
            if ($storeys->floor($other->base) >= $p->sill + $y1 - Tolerance::LENGTH
                            || $storeys->ceiling($other->top) <= $p->sill + $y0 + Tolerance::LENGTH) {
                continue;
            }
            $body = Bodies::one($wall->design, $other);
            $ring = $body->footprint()->ring(self::SAGITTA);
            $corners = [];
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $corners[] = (new Vec2($ring[$i], $ring[$i + 1]))->minus($hinge);
            }
            foreach ($corners as $i => $corner) {
                foreach (self::within($corner, $corners[($i + 1) % count($corners)], $radius) as $at) {
                    $angle = $way * atan2($shut->cross($at), $shut->dot($at));
                    if ($angle > 1e-6 && $angle < $turn - self::SLACK && ($best === null || $angle < $best[0])) {
                        $best = [$angle, $other];
                    }
                }
            }
        }

        return $best === null ? null : [rad2deg($best[0]), $best[1]];
    }

    /**
     * The ends of the part of a side that lies within reach of the leaf: as seen from the hinge, everything between them lies between their
     * angles.
     *
     * @return list<Vec2>
     */
    private static function within(Vec2 $a, Vec2 $b, float $radius): array
    {
        $reach = $radius - Tolerance::LENGTH;
        $along = $b->minus($a);
        [$aa, $ab, $bb] = [$along->dot($along), $a->dot($along), $a->dot($a) - $reach * $reach];
        $root = $ab * $ab - $aa * $bb;
        if ($aa < 1e-12 || $root <= 0.0) {
            return [];
        }
        $from = max(0.0, (-$ab - sqrt($root)) / $aa);
        $to = min(1.0, (-$ab + sqrt($root)) / $aa);

        return $from >= $to ? [] : [$a->plus($along->times($from)), $a->plus($along->times($to))];
    }

    private static function isNear(Wall $other, Vec2 $point, float $radius): bool
    {
        $surface = $other->surface();
        $nearest = $surface->inPlan(max(0.0, min($surface->length, $surface->u($point))));

        return $point->distanceTo($nearest) <= $radius + $other->thickness;
    }

    private static function inPlan(WallInQuestion $wall, PlacedOpening $p, SolvedUnit $unit, float $x, float $z): Vec2
    {
        $out = $p->opening->facesOut;

        return $p->inPlan(
            $wall->body->surface,
            $out ? $x : $unit->width - $x,
            $p->opening->setback + ($out ? $z : $unit->depth() - $z),
        );
    }
}
