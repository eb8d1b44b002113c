<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\OffsetPath;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Layered;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\InvalidPath;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** The line the backs of a band's pieces stand on, with its outside to the right, and which wall each stretch of it runs before. */
final readonly class BandLine
{
    /** Two stretches that turn by less do not meet in a corner, radians. */
    private const STRAIGHT_ON = 0.02;

    public float $length;

    /**
     * @param  list<Curve>  $stretches
     * @param  list<string|null>  $walls  before which each runs; null where the line is the band's own
     * @param  list<float>  $starts  distance of each from the start of the line, mm
     */
    private function __construct(public array $stretches, public array $walls, public array $starts, public bool $closed)
    {
        $this->length = $starts === [] ? 0.0 : $starts[count($starts) - 1] + $stretches[count($stretches) - 1]->length();
    }

    /** Whether another runs just the same, before the same walls. */
    public function isAs(self $other): bool
    {
        $figures = static fn (self $line): array => array_map(static fn (Curve $c): array => get_object_vars($c), $line->stretches);

        return $this->walls === $other->walls && $this->closed === $other->closed && $figures($this) === $figures($other);
    }

    /** @throws Refusal when there is no such line */
    public static function of(Design $design, Band $band): self
    {
        return self::along($design, $band, $band->walls, $band->line, $band->gap);
    }

    /**
     * Along the outline that something follows, or before some walls of it, or along a line of its own; so far outward of that.
     *
     * @param  list<string>  $asked  walls; none for all
     *
     * @throws Refusal when there is no such line
     */
    public static function along(Design $design, Layered $layer, array $asked, ?OwnLine $own, float $gap): self
    {
        if ($own !== null) {
            $curves = $own->curves();

            return self::made(self::before($curves, $gap, $own->closed), array_fill(0, count($curves), null), $own->closed);
        }
        $outline = $design->outline((string) $layer->outline());
        $walls = $design->wallsOf($outline->id);
        $asked = array_flip($asked);
        $chosen = array_map(static fn (Wall $w): bool => $asked === [] || isset($asked[$w->id]), $walls);
        if (! in_array(true, $chosen, true)) {
            throw Refusal::because(
                'band.nowhere', sprintf('The walls %s ran before are not there any more.', $layer->called()), [$layer->id()],
            );
        }
        $all = ! in_array(false, $chosen, true);
        $n = count($walls);
        // of a closed outline it begins after one that is not its own
        $first = $all || ! $outline->closed ? 0 : (int) array_search(false, $chosen, true) + 1;
        $chains = [[]];
        for ($k = 0; $k < $n; $k++) {
            $i = ($first + $k) % $n;
            if ($chosen[$i]) {
                $chains[count($chains) - 1][] = $walls[$i];
            } elseif ($chains[count($chains) - 1] !== []) {
                $chains[] = [];
            }
        }
        $curves = $of = [];
        $closed = $all && $outline->closed;
        foreach ($chains as $chain) {
            if ($chain !== []) {
                array_push($curves, ...self::before(array_map(static fn (Wall $w): Curve => $w->face(), $chain), $gap, $closed));
                array_push($of, ...array_map(static fn (Wall $w): string => $w->id, $chain));
            }
        }

        return self::made($curves, $of, $closed);
    }

    /**
     * Its stretches so far outward; inward where that is negative.
     *
     * @return list<Curve>
     *
     * @throws Refusal when there is nothing left of one
     */
    public function offset(float $by): array
    {
        return self::before($this->stretches, $by, $this->closed);
    }

    /**
     * @param  list<Curve>  $curves
     * @param  float|list<float>  $gap  of all, or of each
     * @return list<Curve>
     */
    private static function before(array $curves, float|array $gap, bool $closed): array
    {
        $each = is_array($gap) ? $gap : array_fill(0, count($curves), $gap);
        if ($gap === 0.0) {
            return $curves;
        }
        try {
            $out = OffsetPath::of($curves, $gap, $closed);
        } catch (InvalidPath) {
            $most = max([0.0, ...array_map(abs(...), $each)]);
            throw Refusal::because('band.hollow', sprintf(
                'Nothing can stand %s %s the line: an arc of it is rounder than that.',
                Length::mark($most), ($each[0] ?? 0.0) > 0 ? 'before' : 'behind',
            ));
        }
        foreach ($out as $i => $curve) {
            // in a corner it shrinks, and beyond nothing it would run the other way
            if ($curve->length() <= Tolerance::LENGTH || $curve->directionAt(0.0)->dot($curves[$i]->directionAt(0.0)) <= 0) {
                throw Refusal::because('band.no_length', sprintf(
                    '%s %s the line its stretch %d is left with no length.',
                    Length::mark(abs($each[$i])), $each[$i] > 0 ? 'before' : 'behind', $i + 1,
                ));
            }
        }

        return $out;
    }

    /**
     * @param  list<Curve>  $stretches
     * @param  list<string|null>  $walls
     */
    private static function made(array $stretches, array $walls, bool $closed): self
    {
        $starts = [];
        $s = 0.0;
        foreach ($stretches as $stretch) {
            $starts[] = $s;
            $s += $stretch->length();
        }

        return new self($stretches, $walls, $starts, $closed);
    }

    /**
     * Along the inner faces of the walls of a closed outline.
     *
     * @throws Refusal when there is no such line
     */
    public static function inside(Design $design, Layered $layer): self
    {
        $outline = $design->outline((string) $layer->outline());
        $walls = $design->wallsOf($outline->id);
        $curves = self::before(
            array_map(static fn (Wall $w): Curve => $w->face(), $walls),
            array_map(static fn (Wall $w): float => -$w->thickness, $walls),
            $outline->closed,
        );

        return self::made($curves, array_map(static fn (Wall $w): string => $w->id, $walls), $outline->closed);
    }

    /** @return list<float> distances of its corners from its start; of a closed one also the one it begins at */
    public function corners(): array
    {
        $corners = [];
        foreach ($this->stretches as $i => $stretch) {
            $before = $this->stretches[$i - 1] ?? ($this->closed ? $this->stretches[count($this->stretches) - 1] : null);
            if ($before !== null && $before->end()->isAt($stretch->start())
                && self::between($before->directionAt($before->length()), $stretch->directionAt(0.0)) > self::STRAIGHT_ON) {
                $corners[] = $this->starts[$i];
            }
        }

        return $corners;
    }

    /**
     * The direction of a piece that stands in a corner: half way between both stretches; null where there is none.
     *
     * @param  int  $i  the stretch that begins there
     */
    public function halfWay(int $i): ?Vec2
    {
        $before = $this->stretches[$i - 1] ?? ($this->closed ? $this->stretches[count($this->stretches) - 1] : null);
        if ($before === null || ! $before->end()->isAt($this->stretches[$i]->start())) {
            return null;
        }
        $sum = $before->directionAt($before->length())->plus($this->stretches[$i]->directionAt(0.0));

        return $sum->length() < 1e-6 ? null : $sum->unit();
    }

    private static function between(Vec2 $a, Vec2 $b): float
    {
        return abs(atan2($a->cross($b), $a->dot($b)));
    }
}
