<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Refusal;

/** A stretch of a grid type by itself, as the rack and the grid bench show it: upright, free at both ends. */
final readonly class Typical
{
    /** Storeys of a stretch that stands nowhere are so high, mm. */
    public const STOREY = 3600.0;

    private function __construct(public float $width, public float $height, public Run $run, public Stretch $stretch)
    {
    }

    /**
     * @param  list<float>  $floors  levels over its foot, the first 0
     *
     * @throws Refusal when the rules do not fit it, with figures
     */
    public static function of(GridRules $rules, float $width, float $height, array $floors): self
    {
        $path = RunPath::of([new PathStretch(Curve::line(new Vec2(0.0, 0.0), new Vec2($width, 0.0)))], []);

        $run = Run::along($path, $rules, 0.0, $height, $floors);

        return new self($width, $height, $run, $run->stretches[0]);
    }

    /** A small one that shows its pattern; null where it has no size that its rules fit. */
    public static function small(GridRules $rules): ?self
    {
        foreach ([self::usualWidth($rules), 3000.0, 6000.0, 12000.0] as $width) {
            foreach ([self::usualHeight($rules), self::STOREY, 2 * self::STOREY, 2400.0] as $height) {
                try {
                    return self::of($rules, $width, $height, [0.0, self::STOREY, 2 * self::STOREY]);
                } catch (Refusal) {
                    continue; // another size may fit
                }
            }
        }

        return null;
    }

    /** Some bays, mm. */
    public static function usualWidth(GridRules $rules): float
    {
        $bays = $rules->bays;

        return match (true) {
            $bays->sizes !== [] && $bays->after !== AfterSizes::Nothing => array_sum($bays->sizes) * (
                $bays->after === AfterSizes::Again ? 2 : 1.4),
            $bays->sizes !== [] => array_sum($bays->sizes),
            $bays->size > 0.0 => $bays->size * 5,
            default => 1500.0 * max(1, $bays->count),
        };
    }

    /** A storey, or what its rows come to. */
    public static function usualHeight(GridRules $rules): float
    {
        $rows = $rules->rows;

        return $rows->sizes !== [] && $rows->after === AfterSizes::Nothing && ! $rows->perStorey ? array_sum($rows->sizes) : self::STOREY;
    }
}
