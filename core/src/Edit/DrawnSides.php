<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Bend;
use Isleward\Core\Geometry\ArcFigures;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\InvalidArc;
use Isleward\Core\Geometry\Rounded;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * The stretches of an outline as they are drawn, and what each arc keeps when its ends move.
 *
 * Corners are [x, y], or groups {x, y} that say how the stretch that leads there from the corner before is curved: "through" a point
 * [x, y]; by "rise", "radius" (with "major" for the long way round), "angle" in degrees or arc "length", each positive where the arc bulges
 * to the right of the direction it is drawn in; or "tangent": it runs on from the stretch before. {tangent, radius, angle} has no x and y:
 * its end follows from them. "closing" says the same of the stretch from the last corner to the first. Or "rectangle": x, y, width, depth
 * and the "radius" its corners are rounded by; or "circle": x, y, radius.
 */
final readonly class DrawnSides
{
    private const MOST = 500;

    /** @param  list<array{Curve, Bend}>  $sides */
    private function __construct(public array $sides)
    {
    }

    /** @throws Refusal */
    public static function from(Fields $args, bool $closed): self
    {
        if ($args->has('circle')) {
            return self::circle($args->fields('circle'));
        }
        if ($args->has('rectangle')) {
            return self::rectangle($args->fields('rectangle'));
        }
        $points = $args->array('points');
        if (count($points) > self::MOST) {
            throw Refusal::because('outline.too_many', 'An outline may have 500 corners at the most.');
        }
        $sides = [];
        $at = $start = null;
        foreach (array_values($points) as $i => $point) {
            if (! is_array($point)) {
                throw InvalidOutline::badPoint();
            }
            $how = array_is_list($point) ? new Fields([], $args->units()) : new Fields($point, $args->units());
            $before = $sides === [] ? null : $sides[count($sides) - 1][0];
            $to = $at !== null && $before !== null && ! array_is_list($point) && ! $how->has('x') && $how->bool('tangent')
                ? self::ranOn($before, $how)
                : self::point(array_is_list($point) ? $point : [$point['x'] ?? null, $point['y'] ?? null]);
            if ($at !== null) {
                $sides[] = self::side($at, $to, $how, $before, $i);
            }
            $at = $to;
            $start ??= $to;
        }
        if ($start === null || count($points) < ($closed ? 3 : 2) && ! self::hasArcs($sides)) {
            throw InvalidOutline::tooFew($closed);
        }
        if ($closed) {
            $how = $args->has('closing') ? $args->fields('closing') : new Fields([], $args->units());
            $sides[] = self::side($at, $start, $how, $sides[count($sides) - 1][0] ?? null, count($sides) + 1);
        }

        return new self($sides);
    }

    public function reversed(): self
    {
        return new self(array_reverse(array_map(static fn (array $s): array => [$s[0]->reversed(), $s[1]], $this->sides)));
    }

    /** The other way round, with the same stretch first. */
    public function turnedRound(): self
    {
        $sides = $this->reversed()->sides;

        return new self([...array_splice($sides, -1), ...$sides]);
    }

    /** @return list<Curve> */
    public function curves(): array
    {
        return array_map(static fn (array $s): Curve => $s[0], $this->sides);
    }

    /** @param  list<Curve>  $curves  in place of its own, one for one */
    public function with(array $curves): self
    {
        return new self(array_map(static fn (Curve $c, array $s): array => [$c, $s[1]], $curves, $this->sides));
    }

    /** @param  list<array{Curve, Bend}>  $sides */
    private static function hasArcs(array $sides): bool
    {
        return array_filter($sides, static fn (array $s): bool => $s[0]->isCurved()) !== [];
    }

    /** @return array{Curve, Bend} */
    private static function side(Vec2 $from, Vec2 $to, Fields $how, ?Curve $before, int $number): array
    {
        if ($from->isAt($to)) {
            throw InvalidOutline::noLength($number);
        }
        [$rise, $keeps] = self::rise($from, $to, $how, $before);

        return [abs($rise) < ArcFigures::STRAIGHT ? Curve::line($from, $to) : Curve::overChord($from, $to, $rise), $keeps];
    }

    /** @return array{float, Bend} */
    private static function rise(Vec2 $from, Vec2 $to, Fields $how, ?Curve $before): array
    {
        $chord = $from->distanceTo($to);
        $signed = static fn (float $figure, float $rise): float => $figure < 0 ? -$rise : $rise;
        if ($how->has('through')) {
            return [ArcFigures::riseThrough($from, $to, self::point($how->array('through'))), Bend::Rise];
        }
        if ($how->bool('tangent')) {
            if ($before === null) {
                throw Refusal::because('arc.nothing_before', 'The first stretch has none before it to run on from.');
            }

            return [ArcFigures::riseTangent($from, $before->directionAt($before->length()), $to), Bend::Radius];
        }
        foreach (Bend::cases() as $by) {
            if ($how->has($by->value)) {
                $figure = $by === Bend::Angle ? deg2rad($how->number('angle')) : $how->length($by->value);

                return [$signed($figure, $by->over($chord, abs($figure), $how->bool('major'))), $by];
            }
        }

        return [0.0, Bend::Rise];
    }

    /** Where an arc of a radius ends that runs on from a stretch and turns by an angle. */
    private static function ranOn(Curve $before, Fields $how): Vec2
    {
        $radius = $how->length('radius');
        $angle = deg2rad(abs($how->number('angle')));
        if (abs($radius) < 1.0) {
            throw InvalidArc::radiusTooSmall(abs($radius), 2.0);
        }
        if ($angle <= 0.0 || rad2deg($angle) > ArcFigures::MOST) {
            throw InvalidArc::badAngle(rad2deg($angle));
        }
        $left = $before->directionAt($before->length())->rightHand()->times(-1.0);
        // an arc that bulges to the right turns to the left, about a centre there
        $centre = $before->end()->plus($left->times($radius));

        return Curve::straight($before->x1, $before->y1, $centre->x, $centre->y)->turned($radius > 0 ? $angle : -$angle, $centre)->start();
    }

    private static function rectangle(Fields $r): self
    {
        $x = $r->has('x') ? $r->length('x') : 0.0;
        $y = $r->has('y') ? $r->length('y') : 0.0;
        $w = $r->size('width', 'The width of the outline');
        $d = $r->size('depth', 'The depth of the outline');
        $corners = [new Vec2($x, $y), new Vec2($x + $w, $y), new Vec2($x + $w, $y + $d), new Vec2($x, $y + $d)];
        $sides = [];
        for ($i = 0; $i < 4; $i++) {
            $sides[] = Curve::line($corners[$i], $corners[($i + 1) % 4]);
        }
        $radius = $r->has('radius') ? $r->length('radius') : 0.0;

        return new self(array_map(
            static fn (Curve $c): array => [$c, Bend::Radius],
            $radius === 0.0 ? $sides : Rounded::corners($sides, true, $radius, [0, 1, 2, 3]),
        ));
    }

    /** Two halves, from west round by the south. */
    private static function circle(Fields $c): self
    {
        $radius = $c->size('radius', 'The radius of a circle');
        [$x, $y] = [$c->has('x') ? $c->length('x') : 0.0, $c->has('y') ? $c->length('y') : 0.0];

        return new self([
            [Curve::curved($x, $y, $radius, $radius, M_PI, M_PI), Bend::Angle],
            [Curve::curved($x, $y, $radius, $radius, 0.0, M_PI), Bend::Angle],
        ]);
    }

    /** @param  array<array-key, mixed>  $point */
    private static function point(array $point): Vec2
    {
        if (! array_is_list($point) || count($point) !== 2) {
            throw InvalidOutline::badPoint();
        }
        [$x, $y] = $point;
        if ((! is_int($x) && ! is_float($x)) || (! is_int($y) && ! is_float($y))) {
            throw InvalidOutline::badPoint();
        }

        return new Vec2(Length::within((float) $x), Length::within((float) $y));
    }
}
