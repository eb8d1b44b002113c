<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Geometry\ArcFigures;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Measure\Refusal;

/** A figure of an arc: which of them stays as it is when an end of it moves. */
enum Bend: string
{
    case Rise = 'rise';
    case Radius = 'radius';
    case Angle = 'angle';
    case Length = 'length';

    /**
     * The rise, with its sign, that leaves this figure of an arc as it is over another chord.
     *
     * @throws Refusal when no arc has it
     */
    public function rise(Curve $arc, float $chord, string $wall): float
    {
        $side = $arc->sweep > 0 ? 1.0 : -1.0;
        $turn = abs($arc->sweep);
        try {
            return $side * $this->over($chord, match ($this) {
                self::Rise => abs($arc->rise()),
                self::Radius => $arc->rx,
                self::Angle => $turn,
                self::Length => $arc->length(),
            }, $turn > M_PI);
        } catch (Refusal $e) {
            throw $e->of($wall);
        }
    }

    /**
     * The rise of an arc that has such a figure over a chord, mm; of an angle in radians.
     *
     * @param  bool  $major  of two arcs with one radius the longer
     *
     * @throws Refusal when no arc has it
     */
    public function over(float $chord, float $figure, bool $major = false): float
    {
        return match ($this) {
            self::Rise => ArcFigures::riseOfRise($chord, $figure),
            self::Radius => ArcFigures::riseOfRadius($chord, $figure, $major),
            self::Angle => ArcFigures::riseOfAngle($chord, $figure),
            self::Length => ArcFigures::riseOfLength($chord, $figure),
        };
    }
}
