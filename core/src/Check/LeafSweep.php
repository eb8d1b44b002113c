<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Solved;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Unit\Leaf;
use Isleward\Core\Unit\SolvedUnit;

/** What a leaf hung at its side goes through in plan as it opens: its edge sweeps an arc about the hinge, the leaf the sector within. */
final readonly class LeafSweep
{
    /** So much less than its whole turn is no hindrance, radians (1°). */
    private const SLACK = 0.0175;

    /**
     * @param  Vec2  $shut  from the hinge to its edge as it is shut
     * @param  float  $turn  that it opens by, radians
     * @param  float  $way  1 where it opens counter-clockwise as seen from above, else −1
     * @param  float  $foot  level, mm
     * @param  float  $head  level, mm
     */
    private function __construct(
        public Vec2 $hinge,
        private Vec2 $shut,
        public float $radius,
        private float $turn,
        private float $way,
        public float $foot,
        public float $head,
    ) {
    }

    /** @return list<self> of the leaves of a placed opening's unit that are hung at a side */
    public static function all(WallInQuestion $wall, PlacedOpening $p): array
    {
        if ($p->opening->type === null) {
            return [];
        }
        $unit = Solved::in($wall->design->type($p->opening->type), $p->opening);
        $sweeps = [];
        foreach ($unit->lights as $light) {
            foreach ($light->leaves as $leaf) {
                if ($leaf->hinge !== null && abs($leaf->motion->angle) > 1e-6 && $leaf->motion->upright) {
                    $sweeps[] = self::of($wall, $p, $unit, $leaf);
                }
            }
        }

        return $sweeps;
    }

    private static function of(WallInQuestion $wall, PlacedOpening $p, SolvedUnit $unit, Leaf $leaf): self
    {
        [$x0, $y0, $x1, $y1] = $leaf->contour->bounds();
        $motion = $leaf->motion;
        $free = abs($motion->at - $x0) > abs($motion->at - $x1) ? $x0 : $x1;
        $hinge = self::inPlan($wall, $p, $unit, $motion->at, $motion->z);
        [$openX, , $openZ] = $motion->at(1.0)->of($free, 0.0, $motion->z);
        $shut = self::inPlan($wall, $p, $unit, $free, $motion->z)->minus($hinge);
        $open = self::inPlan($wall, $p, $unit, $openX, $openZ)->minus($hinge);

        return new self(
            $hinge, $shut, $shut->length(), abs($motion->angle), $shut->cross($open) >= 0 ? 1.0 : -1.0, $p->sill + $y0, $p->sill + $y1,
        );
    }

    /**
     * How far it opens before it strikes something, degrees; null where that does not hinder it.
     *
     * @param  list<float>  $ring  corners of that in plan
     */
    public function struckBy(array $ring): ?float
    {
        $corners = [];
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            $corners[] = (new Vec2($ring[$i], $ring[$i + 1]))->minus($this->hinge);
        }
        $best = null;
        foreach ($corners as $i => $corner) {
            foreach (self::within($corner, $corners[($i + 1) % count($corners)], $this->radius) as $at) {
                $angle = $this->way * atan2($this->shut->cross($at), $this->shut->dot($at));
                if ($angle > 1e-6 && $angle < $this->turn - self::SLACK && ($best === null || $angle < $best)) {
                    $best = $angle;
                }
            }
        }

        return $best === null ? null : rad2deg($best);
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
