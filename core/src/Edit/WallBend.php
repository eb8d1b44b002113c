<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Bend;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\ArcFigures;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\InvalidArc;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Bends a "wall" between its ends: to a "rise", a "radius" (with "major" for the long way round), an "angle" in degrees, an arc "length",
 * or "through" a point; negative figures bulge inward, without a sign it stays on its side and a straight wall bulges outward. A rise of 0
 * straightens it. "outward" turns it over; "chord" moves its right end along the chord; "keeps" says which of its figures stays when an end
 * moves. Openings keep their rules.
 */
final readonly class WallBend implements Edit
{
    private function __construct(private string $wall, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->string('wall'), $args);
    }

    public function scope(): Scope
    {
        return Scope::everything();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $wall = $design->wall($this->wall);
        $like = $this->args->has('keeps') ? $wall->withKeeps($this->args->choice('keeps', Bend::class)) : $wall;
        $shape = Reshape::of($design, $design->outline($wall->outline));
        $at = $shape->indexOf($wall->id);
        $to = $wall->to;
        if ($this->args->has('chord')) {
            $chord = $this->args->size('chord', 'The chord of an arc');
            $to = $wall->from->plus($wall->to->minus($wall->from)->unit()->times($chord));
            $after = $shape->beside($at, 1);
            if ($after !== null) {
                $shape->setFrom($after, $to);
            }
        }
        $rise = $this->rise($like, $to);
        $shape->sides[$at] = Side::along($like, abs($rise) < ArcFigures::STRAIGHT
            ? Curve::straight($wall->from->x, $wall->from->y, $to->x, $to->y)
            : Curve::overChord($wall->from, $to, $rise), false);
        [$change, $order] = $shape->change($ids);
        $operations = array_values(array_filter(
            $change->operations,
            static fn (Operation $o): bool => $o->before?->toArray() !== $o->after?->toArray() || $o->id === $wall->id,
        ));
        $operations = array_map(
            static fn (Operation $o): Operation => $o->id === $wall->id && $o->after !== null ? Operation::alter($wall, $o->after) : $o,
            $operations,
        );
        $what = match (true) {
            ! $wall->isCurved() && $rise === 0.0 => 'Changed a wall',
            $rise === 0.0 => 'Straightened a wall',
            $wall->isCurved() => 'Changed the arc of a wall',
            default => 'Bent a wall',
        };

        return Reshape::settled($design, $what, $operations, $wall->id, $order);
    }

    /** @throws Refusal when no arc has what is asked for */
    private function rise(Wall $wall, Vec2 $to): float
    {
        $args = $this->args;
        $chord = $wall->from->distanceTo($to);
        $side = $wall->rise < 0 ? -1.0 : 1.0;
        if ($args->has('outward')) {
            $side = $args->bool('outward') ? 1.0 : -1.0;
        }
        if ($args->has('through')) {
            $point = $args->fields('through');

            return ArcFigures::riseThrough($wall->from, $to, new Vec2($point->length('x'), $point->length('y')));
        }
        $major = $args->bool('major', $wall->isCurved() && $wall->rise > $chord / 2);
        foreach (Bend::cases() as $by) {
            if (! $args->has($by->value)) {
                continue;
            }
            $figure = $by === Bend::Angle ? deg2rad($args->number('angle')) : $args->length($by->value);
            $side = $figure < 0 ? -$side : $side;
            if ($by === Bend::Rise && abs($figure) < ArcFigures::STRAIGHT) {
                return 0.0;
            }

            return $side * $by->over($chord, abs($figure), $major);
        }
        $rise = $wall->between($wall->from, $to)->rise;
        if ($args->has('outward') && $rise === 0.0) {
            throw InvalidArc::noRise();
        }

        return abs($rise) * $side;
    }
}
