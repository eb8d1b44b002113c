<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\BentPrism;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\Solid;

/** One member of a run as it stands in space: a grid's, or what stands at a corner. */
final readonly class RunMember
{
    /** Ends that are cut square. */
    public const SQUARE = [[90.0, 90.0], [90.0, 90.0]];

    /**
     * @param  string  $what  "mullion", "transom", "corner post" …
     * @param  list<Solid>  $pieces  that it is made of and that fill it together: in its axes, z along it, or where it has none in space
     * @param  float  $length  as it is cut from a bar: from its first to its last point along it, of a bent one along its longer side; mm
     * @param  list<array{float, float}>  $ends  how its lower (or left) and its upper end are cut, in degrees: across its face and over its
     *    depth, 90 where it is square
     * @param  float|null  $radius  of a bent one at the glass line, negative where it is hollow
     * @param  GridMember|FreeMember|null  $of  that it is; none for what stands at a corner
     */
    private function __construct(
        public string $what,
        public MemberProfile $profile,
        public ?Axes $axes,
        public array $pieces,
        public float $length,
        public array $ends,
        public ?float $radius,
        public GridMember|FreeMember|null $of = null,
    ) {
    }

    /**
     * One with square ends that nothing else cuts.
     *
     * @param  Axes  $axes  it begins where these do
     * @param  list<CutPrism>  $pieces  as {@see squared} makes them; members that are alike share them
     */
    public static function square(
        string $what,
        MemberProfile $profile,
        Axes $axes,
        array $pieces,
        float $length,
        GridMember|FreeMember|null $of = null,
    ): self {
        return new self($what, $profile, $axes, $pieces, $length, self::SQUARE, null, $of);
    }

    /** @return list<CutPrism> */
    public static function squared(MemberProfile $profile, float $length): array
    {
        return array_map(static fn (Contour $section): CutPrism => CutPrism::square($section, 0.0, $length), $profile->contours());
    }

    /** @param  non-empty-list<CutPrism>  $pieces  that it is made of, in its own axes: z runs along it */
    public static function straight(
        string $what,
        MemberProfile $profile,
        Axes $axes,
        array $pieces,
        GridMember|FreeMember|null $of = null,
    ): self {
        $low = INF;
        $high = -INF;
        $largest = $pieces[0];
        foreach ($pieces as $piece) {
            $largest = $piece->profile->area() > $largest->profile->area() ? $piece : $largest;
            $ring = $piece->profile->ring();
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $low = min($low, $piece->lower[0] + $piece->lower[1] * $ring[$i] + $piece->lower[2] * $ring[$i + 1]);
                $high = max($high, $piece->upper[0] + $piece->upper[1] * $ring[$i] + $piece->upper[2] * $ring[$i + 1]);
            }
        }

        return new self(
            $what,
            $profile,
            $axes,
            $pieces,
            $high - $low,
            // an end that is made of several planes is told by the one that has most of it
            array_map(
                static fn (array $plane): array => [90.0 - rad2deg(atan(abs($plane[1]))), 90.0 - rad2deg(atan(abs($plane[2])))],
                [$largest->lower, $largest->upper],
            ),
            null,
            $of,
        );
    }

    /** @param  non-empty-list<BentPrism>  $pieces */
    public static function bent(string $what, MemberProfile $profile, array $pieces, GridMember|FreeMember|null $of = null): self
    {
        $length = 0.0;
        foreach ($pieces as $piece) {
            foreach ([$piece->near, $piece->far] as $depth) {
                $length = max($length, $piece->surface->lengthAt($piece->start($depth), $piece->end($depth), $depth));
            }
        }

        return new self(
            $what,
            $profile,
            null,
            $pieces,
            $length,
            self::SQUARE,
            $pieces[0]->surface->radius(),
            $of,
        );
    }

    /** mm³ */
    public function volume(): float
    {
        return array_sum(array_map(static fn (Solid $s): float => $s->volume(), $this->pieces));
    }

    /** @return list<Solid> where it stands: x east, y north, z up */
    public function solids(): array
    {
        $axes = $this->axes;

        return $axes === null ? $this->pieces : array_map(static fn (Solid $s): Solid => InSpace::of($s, $axes), $this->pieces);
    }
}
