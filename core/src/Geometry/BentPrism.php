<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/**
 * A rectangle run round an arc: what lies between two levels and two depths behind an upright cylinder, from one upright plane to
 * another. Bent transoms and bent glass are such; where they butt to something straight, its side is the plane. mm.
 *
 * A plane at distance δ from the arc's axis meets radius ρ at the angle α ± acos(δ / ρ), so that volumes have a closed form.
 */
final readonly class BentPrism implements Solid
{
    /**
     * @param  array{float, float, float}  $left  plane: angle of its normal, +1 or −1 for the branch, its distance from the axis
     * @param  array{float, float, float}  $right
     */
    private function __construct(
        public UprightCylinder $surface,
        public float $foot,
        public float $head,
        public float $near,
        public float $far,
        private array $left,
        private array $right,
    ) {
    }

    /**
     * What lies within upright half-spaces, some of which bound it at its left and some at its right.
     *
     * @param  float  $near  depth behind the surface; negative before it
     * @param  non-empty-list<HalfSpace>  $left
     * @param  non-empty-list<HalfSpace>  $right
     * @param  float  $from  u near which its left end lies
     * @param  float|null  $to  u near which its right end lies; null for the end of the surface
     * @return list<self> one, or one for every depth range in which others bound it
     */
    public static function between(
        UprightCylinder $surface,
        float $foot,
        float $head,
        float $near,
        float $far,
        array $left,
        array $right,
        float $from = 0.0,
        ?float $to = null,
    ): array {
        // a plane meets the circle twice: that place is meant which lies nearer to where the end is
        $to ??= $surface->length;
        $planes = [
            ...array_map(static fn (HalfSpace $h): array => self::plane($surface, $h, $from), $left),
            ...array_map(static fn (HalfSpace $h): array => self::plane($surface, $h, $to), $right),
        ];
        $marks = [$near, $far];
        foreach ($planes as $i => $a) {
            foreach (array_slice($planes, $i + 1) as $b) {
                $at = self::depthWhereTheyMeet($surface, $a, $b);
                if ($at !== null && $at > $near + 1e-6 && $at < $far - 1e-6) {
                    $marks[] = $at;
                }
            }
        }
        sort($marks);
        $out = [];
        for ($i = 1, $n = count($marks); $i < $n; $i++) {
            $middle = ($marks[$i - 1] + $marks[$i]) / 2;
            [$first, $last] = [$planes[0], $planes[count($left)]];
            foreach ($planes as $k => $plane) {
                $u = self::u($surface, $plane, $middle);
                if ($k < count($left)) {
                    $first = $u > self::u($surface, $first, $middle) ? $plane : $first;
                } else {
                    $last = $u < self::u($surface, $last, $middle) ? $plane : $last;
                }
            }
            if (self::u($surface, $last, $middle) - self::u($surface, $first, $middle) > 1e-6) {
                $out[] = new self($surface, $foot, $head, $marks[$i - 1], $marks[$i], $first, $last);
            }
        }

        return $out;
    }

    /** Where its left end lies at a depth, along the surface. */
    public function start(float $depth): float
    {
        return self::u($this->surface, $this->left, $depth);
    }

    public function end(float $depth): float
    {
        return self::u($this->surface, $this->right, $depth);
    }

    public function volume(): float
    {
        $r = $this->surface->radius();
        $rho = fn (float $depth): float => abs($r) - ($r > 0 ? $depth : -$depth);
        // ∫ ρ t dρ, with t = α ± acos(δ/ρ)
        $turned = static function (float $alpha, float $branch, float $delta, float $rho): float {
            return $alpha * $rho ** 2 / 2
                + $branch * ($rho ** 2 * acos($delta / $rho) - $delta * sqrt(max(0.0, $rho ** 2 - $delta ** 2))) / 2;
        };
        $area = 0.0;
        foreach ([[$this->right, 1.0], [$this->left, -1.0]] as [[$alpha, $branch, $delta], $sign]) {
            $area += $sign * ($turned($alpha, $branch, $delta, $rho($this->far)) - $turned($alpha, $branch, $delta, $rho($this->near)));
        }

        return abs($area * ($this->head - $this->foot));
    }

    /** In space: x east, y north, z up. In columns over both depths, as narrow as the sagitta asks of the larger radius. */
    public function mesh(float $sagitta): Mesh
    {
        $r = $this->surface->radius();
        $largest = max(abs($r), abs($r) - ($r > 0 ? $this->far : -$this->far), abs($r) - ($r > 0 ? $this->near : -$this->near));
        $turn = max($this->end($this->near) - $this->start($this->near), $this->end($this->far) - $this->start($this->far)) / abs($r);
        $columns = max(1, (int) ceil($turn / (2 * acos(max(0.0, 1 - $sagitta / $largest)))));
        $positions = $facing = [];
        for ($i = 0; $i <= $columns; $i++) {
            foreach ([$this->near, $this->far] as $side => $depth) {
                $u = $this->start($depth) + ($this->end($depth) - $this->start($depth)) * $i / $columns;
                $at = $this->surface->inPlan($u, $depth);
                $out = $this->surface->outward($u)->times($side === 0 ? 1.0 : -1.0);
                foreach ([$this->foot, $this->head] as $level) {
                    array_push($positions, $at->x, $at->y, $level);
                    array_push($facing, $out->x, $out->y, 0.0);
                }
            }
        }
        // of a column: 0 and 1 the near side at foot and head, 2 and 3 the far side; of the next one 4 to 7
        $curved = $flat = [];
        for ($i = 0; $i < $columns; $i++) {
            $quad = static function (int ...$corners) use ($i): array {
                [$a, $b, $c, $d] = array_map(static fn (int $k): int => 4 * $i + $k, $corners);

                return [$a, $b, $c, $a, $c, $d];
            };
            array_push($curved, ...$quad(0, 4, 5, 1), ...$quad(6, 2, 3, 7));
            array_push($flat, ...$quad(1, 5, 7, 3), ...$quad(2, 6, 4, 0));
        }
        $last = 4 * $columns;
        array_push($flat, 0, 1, 3, 0, 3, 2, $last, $last + 2, $last + 3, $last, $last + 3, $last + 1);

        return new Mesh($positions, [...$curved, ...$flat], $facing, intdiv(count($curved), 3));
    }

    /**
     * @param  float  $near  u that it lies near to
     * @return array{float, float, float}
     */
    private static function plane(UprightCylinder $surface, HalfSpace $half, float $near): array
    {
        $centre = $surface->foot->centre();
        $delta = $half->reach - $half->normal->x * $centre->x - $half->normal->y * $centre->y;
        $alpha = atan2($half->normal->y, $half->normal->x);
        $turn = acos(max(-1.0, min(1.0, $delta / abs($surface->radius()))));
        $best = [INF, [$alpha, 1.0, $delta]];
        foreach ([1.0, -1.0] as $branch) {
            for ($round = -2; $round <= 2; $round++) {
                $plane = [$alpha + $round * 2 * M_PI, $branch, $delta];
                $off = abs(($plane[0] + $branch * $turn - $surface->foot->start) * $surface->radius() - $near);
                if ($off < $best[0]) {
                    $best = [$off, $plane];
                }
            }
        }

        return $best[1];
    }

    /** @param  array{float, float, float}  $plane */
    private static function u(UprightCylinder $surface, array $plane, float $depth): float
    {
        $r = $surface->radius();
        $rho = abs($r) - ($r > 0 ? $depth : -$depth);
        $t = $plane[0] + $plane[1] * acos(max(-1.0, min(1.0, $plane[2] / $rho)));

        return ($t - $surface->foot->start) * $r;
    }

    /**
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     */
    private static function depthWhereTheyMeet(UprightCylinder $surface, array $a, array $b): ?float
    {
        $det = sin($b[0] - $a[0]);
        if (abs($det) < 1e-9) {
            return null;
        }
        // from the axis: x cos α + y sin α = δ for both
        $x = ($a[2] * sin($b[0]) - $b[2] * sin($a[0])) / $det;
        $y = ($b[2] * cos($a[0]) - $a[2] * cos($b[0])) / $det;
        $r = $surface->radius();

        return $r > 0 ? $r - hypot($x, $y) : hypot($x, $y) + $r;
    }
}
