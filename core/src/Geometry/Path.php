<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** A chain of stretches, each starting where the one before ends. Distances run along the whole chain, in mm. */
final readonly class Path
{
    /** @param  non-empty-list<Curve>  $segments */
    private function __construct(public array $segments)
    {
    }

    /**
     * @param  non-empty-list<Curve>  $segments
     *
     * @throws InvalidPath when a segment does not start where the one before it ends
     */
    public static function of(array $segments): self
    {
        foreach ($segments as $i => $segment) {
            if ($i > 0 && ! $segment->start()->isAt($segments[$i - 1]->end())) {
                throw InvalidPath::broken($i);
            }
        }

        return new self($segments);
    }

    public function isClosed(): bool
    {
        return $this->segments[count($this->segments) - 1]->end()->isAt($this->segments[0]->start());
    }

    public function length(): float
    {
        return array_sum(array_map(static fn (Curve $s): float => $s->length(), $this->segments));
    }

    /** @throws InvalidPath when the distance lies outside the path */
    public function pointAt(float $distance): Vec2
    {
        [$segment, $along] = $this->locate($distance);

        return $segment->pointAt($along);
    }

    /** The unit tangent; at a corner that of the stretch that begins there. */
    public function directionAt(float $distance): Vec2
    {
        [$segment, $along] = $this->locate($distance);

        return $segment->directionAt($along);
    }

    public function reversed(): self
    {
        return new self(array_map(static fn (Curve $s): Curve => $s->reversed(), array_reverse($this->segments)));
    }

    /**
     * The stretches moved $distance to the left each on its own; corners are not closed here, that is the work of who joins them.
     *
     * @return non-empty-list<Curve>
     */
    public function offset(float $distance): array
    {
        return array_map(static fn (Curve $s): Curve => $s->offset($distance), $this->segments);
    }

    /** @return array{Curve, float} */
    private function locate(float $distance): array
    {
        $along = $distance;
        $last = count($this->segments) - 1;
        foreach ($this->segments as $i => $segment) {
            if ($i === $last || $along < $segment->length() - Tolerance::LENGTH) {
                return [$segment, $along];
            }
            $along -= $segment->length();
        }
        throw InvalidPath::beyond($distance, $this->length());
    }
}
