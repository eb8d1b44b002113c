<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** One stretch of a path, straight or circular, with a direction. Distances run along it from its start, in mm. */
interface Segment
{
    public function start(): Vec2;

    public function end(): Vec2;

    public function length(): float;

    /** @throws InvalidPath when the distance lies outside the segment by more than the tolerance */
    public function pointAt(float $distance): Vec2;

    /** The unit tangent at a distance. */
    public function directionAt(float $distance): Vec2;

    /**
     * The parallel segment $distance to the left of this (negative: to the right).
     *
     * @throws InvalidPath when an arc would shrink past its centre
     */
    public function offset(float $distance): self;

    public function reversed(): self;

    /**
     * Points along the segment, both ends included, whose chords leave it by no more than $sagitta mm.
     *
     * @return list<Vec2>
     */
    public function chords(float $sagitta): array;
}
