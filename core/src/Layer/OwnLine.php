<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A line in plan that a band has for itself, its outside to the right of it: corners, each with the rise of the arc to the next; mm. */
final readonly class OwnLine
{
    private const MOST = 500;

    /** @param  non-empty-list<array{float, float, float}>  $points  x, y, rise */
    private function __construct(public array $points, public bool $closed)
    {
    }

    public static function from(Fields $f): self
    {
        $points = [];
        foreach (array_values($f->array('points')) as $point) {
            $point = is_array($point) && array_is_list($point) && count($point) >= 2 ? [...$point, 0.0] : [null, null, null];
            $fields = new Fields(['x' => $point[0], 'y' => $point[1], 'rise' => $point[2]], $f->units());
            $points[] = [$fields->length('x'), $fields->length('y'), $fields->length('rise')];
        }
        $closed = $f->bool('closed');
        if (count($points) < 2 || count($points) > self::MOST) {
            throw Refusal::because('band.line', sprintf('A line has 2 to %d corners; %d were given.', self::MOST, count($points)));
        }

        return new self($points, $closed);
    }

    /** @param  non-empty-list<Curve>  $curves  each from where the one before it ends */
    public static function along(array $curves, bool $closed): self
    {
        $points = array_map(static fn (Curve $c): array => [$c->x0, $c->y0, $c->isCurved() ? $c->rise() : 0.0], $curves);
        if (! $closed) {
            $end = $curves[count($curves) - 1]->end();
            $points[] = [$end->x, $end->y, 0.0];
        }

        return new self($points, $closed);
    }

    /** The same line run the other way: its outside lies on its other side. */
    public function reversed(): self
    {
        $curves = array_reverse(array_map(static fn (Curve $c): Curve => $c->reversed(), $this->curves()));

        return $curves === [] ? $this : self::along($curves, $this->closed);
    }

    /** @return list<Curve> */
    public function curves(): array
    {
        $curves = [];
        $n = count($this->points);
        for ($i = 0; $i < ($this->closed ? $n : $n - 1); $i++) {
            [$x, $y, $rise] = $this->points[$i];
            [$a, $b] = [new Vec2($x, $y), new Vec2($this->points[($i + 1) % $n][0], $this->points[($i + 1) % $n][1])];
            $curves[] = abs($rise) < 0.1 ? Curve::line($a, $b) : Curve::overChord($a, $b, $rise);
        }

        return $curves;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['points' => $this->points, 'closed' => $this->closed];
    }
}
