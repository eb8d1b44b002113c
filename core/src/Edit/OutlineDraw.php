<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Outline;
use Isleward\Core\Design\Wall;
use Isleward\Core\Fields;
use Isleward\Core\Geometry\Line;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;
use Isleward\Core\Tolerance;
use Isleward\Core\Wall\Bodies;

/**
 * Draws walls along an outer line: a rectangle or a chain of corners. A closed outline has its outside outside, however
 * it was drawn; of an open one the outside is on the right of its direction unless "outside" says "left".
 */
final readonly class OutlineDraw implements Edit
{
    private const SHARPEST = 15.0;

    /** @param  list<Vec2>  $corners */
    private function __construct(
        private array $corners,
        private bool $closed,
        private ?string $name,
        private float $thickness,
        private string $base,
        private string $top,
    ) {
    }

    public static function from(Fields $args): self
    {
        $closed = $args->bool('closed', true);
        $corners = self::corners($args);
        if (! $closed && $args->string('outside', 'right') === 'left') {
            $corners = array_reverse($corners);
        }

        return new self($corners, $closed, $args->has('name') ? $args->name('name') : null, $args->size('thickness', 'The thickness of a wall'), $args->string('base'), $args->string('top'));
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        if ($design->storeys->indexOf($this->top) < $design->storeys->indexOf($this->base)) {
            throw InvalidOutline::upsideDown();
        }
        $corners = $this->checked();
        $position = array_reduce($design->outlines, static fn (int $most, Outline $o): int => max($most, $o->position + 1), 0);
        $outline = Outline::from(new Fields([
            'id' => $ids->next(Kind::Outline), 'name' => $this->name ?? 'Outline '.($position + 1), 'position' => $position, 'closed' => $this->closed,
        ]));
        $operations = [Operation::add($outline)];
        $count = count($corners);
        for ($i = 0; $i < ($this->closed ? $count : $count - 1); $i++) {
            $to = $corners[($i + 1) % $count];
            $operations[] = Operation::add(Wall::from(new Fields([
                'id' => $ids->next(Kind::Wall), 'outline' => $outline->id, 'position' => $i,
                'fromX' => $corners[$i]->x, 'fromY' => $corners[$i]->y, 'toX' => $to->x, 'toY' => $to->y, 'rise' => 0.0,
                'thickness' => $this->thickness, 'base' => $this->base, 'top' => $this->top,
            ])));
        }
        $change = new Change(sprintf('Drew %s', $outline->name), $operations, [$outline->id]);
        Bodies::of($design->after($change));

        return $change;
    }

    /** @return list<Vec2> counter-clockwise when closed */
    private function checked(): array
    {
        $corners = $this->corners;
        $count = count($corners);
        if ($count < ($this->closed ? 3 : 2)) {
            throw InvalidOutline::tooFew($this->closed);
        }
        $sides = [];
        for ($i = 0; $i < ($this->closed ? $count : $count - 1); $i++) {
            if ($corners[$i]->isAt($corners[($i + 1) % $count])) {
                throw InvalidOutline::noLength($i + 1);
            }
            $sides[] = new Line($corners[$i], $corners[($i + 1) % $count]);
        }
        foreach ($sides as $i => $side) {
            $this->requireOpenAngle($sides, $i);
            for ($j = $i + 2; $j < count($sides); $j++) {
                if (! ($this->closed && $i === 0 && $j === count($sides) - 1) && self::cross($side, $sides[$j])) {
                    throw InvalidOutline::selfCrossing($i + 1, $j + 1);
                }
            }
        }
        if ($this->closed) {
            $flat = [];
            foreach ($corners as $corner) {
                array_push($flat, $corner->x, $corner->y);
            }
            if (Region::signedArea($flat) < 0) {
                // keep the first side first: reverse the direction, not the starting corner
                $corners = [$corners[1], $corners[0], ...array_reverse(array_slice($corners, 2))];
            }
        }

        return $corners;
    }

    /** @param  list<Line>  $sides */
    private function requireOpenAngle(array $sides, int $i): void
    {
        if ($i === 0 && ! $this->closed) {
            return;
        }
        $before = $sides[($i + count($sides) - 1) % count($sides)]->directionAt(0);
        $here = $sides[$i]->directionAt(0);
        $angle = 180 - rad2deg(abs(atan2($before->cross($here), $before->dot($here))));
        if ($angle < self::SHARPEST - 1e-6) {
            throw InvalidOutline::tooSharp($i + 1, $angle);
        }
    }

    private static function cross(Line $a, Line $b): bool
    {
        $at = $a->meets($b);
        if ($at === null) {
            $off = abs($b->start()->minus($a->start())->cross($a->directionAt(0)));
            $s = $b->start()->minus($a->start())->dot($a->directionAt(0));
            $e = $b->end()->minus($a->start())->dot($a->directionAt(0));

            return $off <= Tolerance::LENGTH && max($s, $e) >= 0 && min($s, $e) <= $a->length();
        }
        $s = $at->minus($a->start())->dot($a->directionAt(0));
        $t = $at->minus($b->start())->dot($b->directionAt(0));
        $slack = Tolerance::LENGTH;

        return $s >= -$slack && $s <= $a->length() + $slack && $t >= -$slack && $t <= $b->length() + $slack;
    }

    /** @return list<Vec2> */
    private static function corners(Fields $args): array
    {
        if ($args->has('rectangle')) {
            $r = $args->fields('rectangle');
            $x = $r->has('x') ? $r->length('x') : 0.0;
            $y = $r->has('y') ? $r->length('y') : 0.0;
            $w = $r->size('width', 'The width of the outline');
            $d = $r->size('depth', 'The depth of the outline');

            return [new Vec2($x, $y), new Vec2($x + $w, $y), new Vec2($x + $w, $y + $d), new Vec2($x, $y + $d)];
        }
        $corners = [];
        foreach ($args->array('points') as $point) {
            if (! is_array($point) || ! array_is_list($point) || count($point) !== 2) {
                throw InvalidOutline::badPoint();
            }
            [$x, $y] = $point;
            if ((! is_int($x) && ! is_float($x)) || (! is_int($y) && ! is_float($y))) {
                throw InvalidOutline::badPoint();
            }
            $corners[] = new Vec2(Length::within((float) $x), Length::within((float) $y));
        }
        if (count($corners) > 500) {
            throw \Isleward\Core\Refusal::because('outline.too_many', 'An outline may have 500 corners at the most.');
        }

        return $corners;
    }
}
