<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Prism;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Solid;

/**
 * One piece of a band in the axes of its place: x along the line, y up, z outward, from the middle of the back of its foot. It is a section
 * run straight, first about its own middle, then turned and moved to where it stands; mm.
 */
final readonly class Posed
{
    /** Curves of sections are chords that leave them by so much at the most where they are drawn, mm. */
    private const SAGITTA = 0.2;

    /** The axes square to each. */
    private const OTHERS = [[1, 2], [0, 2], [0, 1]];

    /**
     * @param  array{float, float, float}  $size  along, up, outward, before it is turned
     * @param  array{float, float, float}  $centre
     * @param  array{array{float, float, float}, array{float, float, float}, array{float, float, float}}  $turned  rows of its rotation
     * @param  array{float, float, float, float}  $quaternion  the same: x, y, z, w
     */
    private function __construct(
        private Band $band,
        public array $size,
        public array $centre,
        public array $turned,
        public array $quaternion,
    ) {
    }

    public static function of(Fins $fins, int $i): self
    {
        $band = $fins->band;
        [$t, $r, $l] = [$fins->thickness[$i], $fins->reach[$i], $fins->length[$i]];
        [$turn, $lean] = [deg2rad($fins->turn[$i]), deg2rad($fins->lean[$i])];
        $round = $band->shape === SectionShape::Round;
        [$c, $s] = [cos($lean), sin($lean)];
        [$size, $centre, $first, $then] = match ($band->stand) {
            Stand::Standing => [
                [$t, $l, $round ? $t : $r], [0.0, $c * $l / 2 - $s * ($round ? $t : $r) / 2, $s * $l / 2 + $c * ($round ? $t : $r) / 2],
                [1, $turn], [0, $lean],
            ],
            Stand::Lying => [[$l, $t, $round ? $t : $r], [0.0, $t / 2, ($round ? $t : $r) / 2], [0, $turn], [2, $lean]],
            Stand::Reaching => [
                [$t, $round ? $t : $l, $r], [0.0, ($round ? $t : $l) / 2 + $s * $r / 2, $c * $r / 2], [2, $turn], [0, -$lean],
            ],
        };
        $quaternion = self::product(self::about(...$then), self::about(...$first));

        return new self($band, $size, $centre, self::rows($quaternion), $quaternion);
    }

    /**
     * How far it reaches along, up and outward: least and greatest.
     *
     * @return array{array{float, float}, array{float, float}, array{float, float}}
     */
    public function bounds(): array
    {
        return [$this->over(1.0, 0.0, 0.0), $this->over(0.0, 1.0, 0.0), $this->over(0.0, 0.0, 1.0)];
    }

    /**
     * From where to where it reaches over a direction, of length 1: along, up, outward.
     *
     * @return array{float, float}
     */
    public function over(float $along, float $up, float $out): array
    {
        [$a, $b, $c] = $this->turned;
        // the direction in its own axes
        $own = [
            $a[0] * $along + $b[0] * $up + $c[0] * $out, $a[1] * $along + $b[1] * $up + $c[1] * $out,
            $a[2] * $along + $b[2] * $up + $c[2] * $out,
        ];
        $axis = $this->axis();
        [$p, $q] = self::OTHERS[$axis];
        $at = $this->centre[0] * $along + $this->centre[1] * $up + $this->centre[2] * $out;
        $half = abs($own[$axis]) * $this->size[$axis] / 2;
        [$x, $y] = [$own[$p] * $this->size[$p] / 2, $own[$q] * $this->size[$q] / 2];
        if ($this->band->shape === SectionShape::Drawn) {
            $low = $high = null;
            foreach ($this->band->profile as [$px, $py]) {
                $reach = (2 * $px - 1) * $x + (2 * $py - 1) * $y;
                [$low, $high] = [min($low ?? $reach, $reach), max($high ?? $reach, $reach)];
            }

            return [$at - $half + ($low ?? 0.0), $at + $half + ($high ?? 0.0)];
        }
        $half += $this->band->shape === SectionShape::Flat ? abs($x) + abs($y) : hypot($x, $y);

        return [$at - $half, $at + $half];
    }

    /** @return list<array{float, float, float}> corners of both its ends: of one all round, then of the other */
    public function corners(): array
    {
        $axis = $this->axis();
        [$p, $q] = self::OTHERS[$axis];
        $ends = [];
        $ring = $this->ring();
        foreach ([-0.5, 0.5] as $end) {
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $at = [0.0, 0.0, 0.0];
                $at[$axis] = $end * $this->size[$axis];
                $at[$p] = $ring[$i];
                $at[$q] = $ring[$i + 1];
                $ends[] = $this->placed($at[0], $at[1], $at[2]);
            }
        }

        return $ends;
    }

    /** Its section, before it is turned: in the two axes square to the one it runs along, about its middle. */
    public function section(): Contour
    {
        return self::unit($this->band, ...$this->across());
    }

    /** Of its sides, without its ends, mm². */
    public function girth(): float
    {
        return $this->section()->perimeter() * $this->size[$this->axis()];
    }

    public function volume(): float
    {
        return $this->section()->area() * $this->size[$this->axis()];
    }

    /** @return 0|1|2 along, up or outward */
    public function axis(): int
    {
        return self::axisOf($this->band);
    }

    /** @return 0|1|2 */
    public static function axisOf(Band $band): int
    {
        return match ($band->stand) {
            Stand::Lying => 0,
            Stand::Standing => 1,
            Stand::Reaching => 2,
        };
    }

    /** The piece in the axes of its place. */
    public function solid(): Solid
    {
        return new Moved(self::prism($this->band, $this->size), $this->placed(...));
    }

    /**
     * A section of a band run straight about its own middle.
     *
     * @param  array{float, float, float}  $size
     */
    public static function prism(Band $band, array $size): Solid
    {
        $axis = self::axisOf($band);
        [$p, $q] = self::OTHERS[$axis];
        $prism = new Prism(new Profile(self::unit($band, $size[$p], $size[$q])), -$size[$axis] / 2, $size[$axis]);

        // a prism runs along z; its (x, y, z) are (p, q, axis), which for what stands is a mirror
        return new Moved($prism, static fn (float $x, float $y, float $z): array => match ($axis) {
            0 => [$z, $x, $y],
            1 => [$x, $z, $y],
            default => [$x, $y, $z],
        }, $axis === 1);
    }

    /** @return array{float, float} */
    private function across(): array
    {
        [$p, $q] = self::OTHERS[$this->axis()];

        return [$this->size[$p], $this->size[$q]];
    }

    private static function unit(Band $band, float $wide, float $deep): Contour
    {
        return match ($band->shape) {
            SectionShape::Flat => Contour::rectangle(-$wide / 2, -$deep / 2, $wide / 2, $deep / 2),
            SectionShape::Round, SectionShape::Ellipse => Contour::of([
                Curve::curved(0.0, 0.0, $wide / 2, $deep / 2, 0.0, M_PI), Curve::curved(0.0, 0.0, $wide / 2, $deep / 2, M_PI, M_PI),
            ]),
            SectionShape::Drawn => Contour::polygon(array_merge(...array_map(
                static fn (array $p): array => [($p[0] - 0.5) * $wide, ($p[1] - 0.5) * $deep],
                $band->profile,
            ))),
        };
    }

    /** @return list<float> */
    private function ring(): array
    {
        return $this->section()->ring(self::SAGITTA);
    }

    /** @return array{float, float, float} */
    private function placed(float $x, float $y, float $z): array
    {
        [$a, $b, $c] = $this->turned;

        return [
            $this->centre[0] + $a[0] * $x + $a[1] * $y + $a[2] * $z,
            $this->centre[1] + $b[0] * $x + $b[1] * $y + $b[2] * $z,
            $this->centre[2] + $c[0] * $x + $c[1] * $y + $c[2] * $z,
        ];
    }

    /** @return array{float, float, float, float} */
    private static function about(int $axis, float $angle): array
    {
        $s = sin($angle / 2);

        return [$axis === 0 ? $s : 0.0, $axis === 1 ? $s : 0.0, $axis === 2 ? $s : 0.0, cos($angle / 2)];
    }

    /**
     * @param  array{float, float, float, float}  $a  is done after
     * @param  array{float, float, float, float}  $b
     * @return array{float, float, float, float}
     */
    public static function product(array $a, array $b): array
    {
        return [
            $a[3] * $b[0] + $a[0] * $b[3] + $a[1] * $b[2] - $a[2] * $b[1],
            $a[3] * $b[1] - $a[0] * $b[2] + $a[1] * $b[3] + $a[2] * $b[0],
            $a[3] * $b[2] + $a[0] * $b[1] - $a[1] * $b[0] + $a[2] * $b[3],
            $a[3] * $b[3] - $a[0] * $b[0] - $a[1] * $b[1] - $a[2] * $b[2],
        ];
    }

    /**
     * @param  array{float, float, float, float}  $q
     * @return array{array{float, float, float}, array{float, float, float}, array{float, float, float}}
     */
    private static function rows(array $q): array
    {
        [$x, $y, $z, $w] = $q;

        return [
            [1 - 2 * ($y * $y + $z * $z), 2 * ($x * $y - $w * $z), 2 * ($x * $z + $w * $y)],
            [2 * ($x * $y + $w * $z), 1 - 2 * ($x * $x + $z * $z), 2 * ($y * $z - $w * $x)],
            [2 * ($x * $z - $w * $y), 2 * ($y * $z + $w * $x), 1 - 2 * ($x * $x + $y * $y)],
        ];
    }
}
