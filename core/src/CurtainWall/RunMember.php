<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Solid;

/** One member of a run as it stands in space: a grid's, or what stands at a corner. */
final readonly class RunMember
{
    /**
     * @param  string  $what  "mullion", "transom", "corner post" …
     * @param  list<CutPrism>  $pieces  that it is made of, in its own axes: z runs along it
     * @param  float  $length  as it is cut from a bar: from its first to its last point along it, mm
     * @param  list<array{float, float}>  $ends  how its lower (or left) and its upper end are cut, in degrees: across its face and over its
     *    depth, 90 where it is square
     */
    public function __construct(
        public string $what,
        public MemberProfile $profile,
        public Axes $axes,
        public array $pieces,
        public float $length,
        public array $ends,
    ) {
    }

    /**
     * @param  list<CutPrism>  $pieces
     */
    public static function of(string $what, MemberProfile $profile, Axes $axes, array $pieces): self
    {
        $low = INF;
        $high = -INF;
        foreach ($pieces as $piece) {
            $ring = $piece->profile->ring();
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $low = min($low, $piece->lower[0] + $piece->lower[1] * $ring[$i] + $piece->lower[2] * $ring[$i + 1]);
                $high = max($high, $piece->upper[0] + $piece->upper[1] * $ring[$i] + $piece->upper[2] * $ring[$i + 1]);
            }
        }
        // an end that is made of several planes is told by the one that has most of it
        usort($pieces, static fn (CutPrism $a, CutPrism $b): int => $b->profile->area() <=> $a->profile->area());
        $ends = $pieces === [] ? [] : array_map(
            static fn (array $plane): array => [90.0 - rad2deg(atan(abs($plane[1]))), 90.0 - rad2deg(atan(abs($plane[2])))],
            [$pieces[0]->lower, $pieces[0]->upper],
        );

        return new self($what, $profile, $axes, $pieces, $pieces === [] ? 0.0 : $high - $low, $ends);
    }

    /** mm³ */
    public function volume(): float
    {
        return array_sum(array_map(static fn (CutPrism $p): float => $p->volume(), $this->pieces));
    }

    /** @return list<Solid> in space, x east, y north, z up */
    public function solids(): array
    {
        $to = function (float $x, float $y, float $z): array {
            $at = $this->axes->point($x, $y, $z);

            return [$at->x, $at->y, $at->z];
        };

        return array_map(static fn (CutPrism $p): Solid => new Moved($p, $to), $this->pieces);
    }
}
