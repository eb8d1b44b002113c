<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\HalfSpace;
use Isleward\Core\Geometry\LeaningPlane;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * The head of an upright, flat stretch that runs up to something: slopes, and level parts, that rise to the right and then fall, as under a
 * gable. A head member stands along each, mitred to the next; everything else ends under them. (u, v) of the stretch, mm.
 */
final readonly class SlopedHead
{
    /** Lines that lie so near are one, mm. */
    private const NEAR = 0.5;

    /**
     * @param  list<array{float, float, float, float}>  $lines  from (u, v) to (u, v), left to right: the face lies under each
     * @param  list<array{float, float, float, float}>  $under  the lower edges of the members along them
     */
    private function __construct(public array $lines, public array $under, private ?MemberProfile $profile)
    {
    }

    /**
     * Under all of some lines, each from point to point along the whole stretch.
     *
     * @param  list<list<array{float, float}>>  $over  [u, v] from left to right
     *
     * @throws Refusal where one falls and rises again, or steps: no member follows that
     */
    public static function under(array $over, float $length, ?MemberProfile $profile): self
    {
        $top = max([0.0, ...array_column(array_merge([], ...$over), 1)]);
        $face = [Contour::rectangle(0.0, 0.0, $length, $top)];
        foreach ($over as $points) {
            for ($i = 1, $n = count($points); $i < $n; $i++) {
                [[$u0, $v0], [$u1, $v1]] = [$points[$i - 1], $points[$i]];
                if ($u1 - $u0 <= self::NEAR) {
                    if (abs($v1 - $v0) > self::NEAR) {
                        throw self::valley($u0);
                    }

                    continue;
                }
                foreach ($points as [$u, $v]) {
                    if ($v > $v0 + ($v1 - $v0) * ($u - $u0) / ($u1 - $u0) + self::NEAR) {
                        throw self::valley($u);
                    }
                }
                $face = $face === [] ? [] : array_slice($face[0]->leftOf(new Vec2($u1, $v1), new Vec2($u0, $v0)), 0, 1);
            }
        }
        if ($face === []) {
            throw Refusal::because('run.no_height', 'Nothing of it is left under its head.');
        }
        $lines = [];
        foreach ($face[0]->edges() as $edge) {
            // the head is what of its outline runs from right to left
            if ($edge->x0 - $edge->x1 > self::NEAR && max($edge->y0, $edge->y1) > self::NEAR) {
                $lines[] = [$edge->x1, $edge->y1, $edge->x0, $edge->y0];
            }
        }
        usort($lines, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return new self($lines, self::below($lines, $profile === null ? 0.0 : $profile->face), $profile);
    }

    private static function valley(float $u): Refusal
    {
        return Refusal::because('run.head_valley', sprintf(
            'Its head steps, or falls and rises again, %s from its left end: a curtain wall follows one that rises and falls once.',
            Length::mark($u),
        ), details: ['at' => $u]);
    }

    /**
     * @param  list<array{float, float, float, float}>  $lines
     * @return list<array{float, float, float, float}> so far under them, from corner to corner
     */
    private static function below(array $lines, float $by): array
    {
        $moved = [];
        foreach ($lines as [$u0, $v0, $u1, $v1]) {
            $length = hypot($u1 - $u0, $v1 - $v0);
            [$du, $dv] = [($v1 - $v0) / $length * $by, -($u1 - $u0) / $length * $by];
            $slope = ($v1 - $v0) / ($u1 - $u0);
            // at the ends it runs to the same u, which is where the face ends
            $moved[] = [$u0, $v0 + $dv - $du * $slope, $u1, $v1 + $dv - $du * $slope];
        }
        for ($i = 1, $count = count($moved); $i < $count; $i++) {
            [[$u0, $v0, $u1, $v1], [$a0, $b0, $a1, $b1]] = [$moved[$i - 1], $moved[$i]];
            [$m, $n] = [($v1 - $v0) / ($u1 - $u0), ($b1 - $b0) / ($a1 - $a0)];
            $u = abs($m - $n) < 1e-12 ? $u1 : ($b0 - $v0 + $m * $u0 - $n * $a0) / ($m - $n);
            $v = $v0 + $m * ($u - $u0);
            $moved[$i - 1] = [$u0, $v0, $u, $v];
            $moved[$i] = [$u, $v, $a1, $b1];
        }

        return $moved;
    }

    public function top(): float
    {
        return max([0.0, ...array_column($this->lines, 1), ...array_column($this->lines, 3)]);
    }

    /** @return array{float, float} how high the face is at its left and its right end */
    public function ends(): array
    {
        return [$this->lines[0][1] ?? 0.0, $this->lines[count($this->lines) - 1][3] ?? 0.0];
    }

    /** Whether a box of the face lies wholly under its members. */
    public function clears(float $x0, float $x1, float $y1): bool
    {
        foreach ($this->under as [$u0, $v0, $u1, $v1]) {
            $slope = ($v1 - $v0) / ($u1 - $u0);
            if (min($v0 + $slope * ($x0 - $u0), $v0 + $slope * ($x1 - $u0)) < $y1) {
                return false;
            }
        }

        return true;
    }

    /**
     * What of something of the face lies under its members; with $whole under its lines.
     *
     * @param  list<Contour>  $contours
     * @return list<Contour>
     */
    public function cut(array $contours, bool $whole = false): array
    {
        foreach ($whole ? $this->lines : $this->under as [$u0, $v0, $u1, $v1]) {
            $next = [];
            foreach ($contours as $contour) {
                array_push($next, ...$contour->leftOf(new Vec2($u1, $v1), new Vec2($u0, $v0)));
            }
            $contours = array_values(array_filter($next, static fn (Contour $c): bool => $c->area() > 1.0));
        }

        return $contours;
    }

    /** @return list<HalfSpace> that everything lies within; with $under that what stands under its members does */
    public function within(LeaningPlane $plane, bool $under): array
    {
        return array_map(
            static fn (array $l): HalfSpace => FlatFree::leftOf($plane, $l[2], $l[3], $l[0], $l[1]),
            $under ? $this->under : $this->lines,
        );
    }

    /** @return list<array{GridMember, Contour}> its members as they are seen, from end to end of the face */
    public function seen(): array
    {
        if ($this->profile === null) {
            return [];
        }
        $out = [];
        foreach ($this->lines as $i => [$u0, $v0, $u1, $v1]) {
            [$a0, $b0, $a1, $b1] = $this->under[$i];
            $contour = Contour::polygon([$a0, $b0, $a1, $b1, $u1, $v1, $u0, $v0]);
            [$x0, $y0, $x1, $y1] = $contour->bounds();
            $out[] = [new GridMember(Role::Head, $this->profile, Lines::END, 'slope'.($i + 1), $x0, $y0, $x1, $y1), $contour];
        }

        return $out;
    }

    /**
     * Its members as they stand.
     *
     * @param  list<HalfSpace>  $ends  that they lie within at their ends
     * @return list<RunMember>
     */
    public function members(LeaningPlane $plane, array $ends): array
    {
        $profile = $this->profile;
        [$origin, $inward] = [$plane->point(0.0, 0.0), $plane->normal(0.0, 0.0)->times(-1.0)];
        [$right, $up] = [$plane->point(1.0, 0.0)->minus($origin), $plane->point(0.0, 1.0)->minus($origin)];
        $made = [];
        if ($profile === null) {
            return [];
        }
        foreach ($this->seen() as $i => [$member]) {
            [$u0, $v0, $u1, $v1] = $this->lines[$i];
            [$a0, $b0, $a1, $b1] = $this->under[$i];
            $way = (new Vec2($u1 - $u0, $v1 - $v0))->unit();
            $axis = $right->times($way->x)->plus($up->times($way->y));
            $half = $profile->face / 2;
            $axes = new Axes($plane->point($u0 + $way->y * $half, $v0 - $way->x * $half), $inward->cross($axis), $inward, $axis);
            $within = $ends;
            if ($i > 0) {
                $within[] = FlatFree::leftOf($plane, $u0, $v0, $a0, $b0);
            }
            if (isset($this->lines[$i + 1])) {
                $within[] = FlatFree::leftOf($plane, $a1, $b1, $u1, $v1);
            }
            $pieces = CutPrism::between($profile->contours(), $axes, $within);
            if ($pieces !== []) {
                $made[] = RunMember::straight(Role::Head->word(), $profile, $axes, $pieces, $member);
            }
        }

        return $made;
    }
}
