<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

/**
 * How finely a drawing is made at a scale. Lines are thinner the smaller it is, by the steps of ISO 128 (each 1 : √2; from memory), and no
 * thinner than what prints; what would be narrower than its own lines stands close has no outline of its own; and what says more than can
 * be read at that scale is left out. The limits between scales are common practice.
 */
final readonly class Fineness
{
    /** Line widths on paper, mm, the widest first. */
    private const WIDTHS = [0.5, 0.35, 0.25, 0.18, 0.13, 0.09];

    /** Scales down to which lines are of full width, of one step less, of two. */
    private const STEPS = [50.0, 100.0, 200.0];

    /** From here on signs of how things open, bars, reveals and figures beside openings are left out. */
    private const COARSE = 125.0;

    /** An area narrower than so many of its lines has none: they would run together. */
    private const LINES = 3.0;

    private int $less;

    private function __construct(private float $scale)
    {
        $this->less = count(array_filter(self::STEPS, static fn (float $s): bool => $scale > $s + 1e-6));
    }

    /** @param  float  $scale  100 for 1:100 */
    public static function at(float $scale): self
    {
        return new self($scale);
    }

    /** Of a layer's lines on paper, mm. */
    public function weight(Layer $layer): float
    {
        $i = (int) array_search($layer->weight(), self::WIDTHS, true);

        return self::WIDTHS[min($i + $this->less, count(self::WIDTHS) - 1)];
    }

    /** Whether a mark has an outline of its own, as what is cut always has; mm of the building. */
    public function hasOutline(Shape $shape): bool
    {
        if ($this->less === 0 || $shape->kind !== 'area' || $shape->layer->fill() === null || $shape->layer === Layer::Cut) {
            return true;
        }
        $area = $round = 0.0;
        foreach ($shape->rings as $ring) {
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                [$x0, $y0, $x1, $y1] = [$ring[$i], $ring[$i + 1], $ring[($i + 2) % $n], $ring[($i + 3) % $n]];
                $area += ($x0 * $y1 - $x1 * $y0) / 2;
                $round += hypot($x1 - $x0, $y1 - $y0);
            }
        }

        // a long strip is twice its area over its perimeter wide
        return $round < 1e-9 || 2 * abs($area) / $round / $this->scale >= self::LINES * $this->weight($shape->layer);
    }

    /** A drawing without what cannot be read at its scale. */
    public function of(Drawing $drawing): Drawing
    {
        return $this->scale <= self::COARSE ? $drawing : new Drawing(
            $drawing->title, $drawing->bounds, $this->read($drawing->shapes), array_map($this->read(...), $drawing->symbols),
            $drawing->placements,
        );
    }

    /**
     * @param  list<Shape>  $shapes
     * @return list<Shape> those that can be read
     */
    public function read(array $shapes): array
    {
        return $this->scale <= self::COARSE ? $shapes : array_values(array_filter($shapes, static fn (Shape $s): bool => ! in_array(
            $s->layer, [Layer::Operation, Layer::Bar, Layer::Reveal], true,
        )));
    }

    /** Whether figures stand beside openings in plan. */
    public function hasFigures(): bool
    {
        return $this->scale <= self::COARSE;
    }
}
