<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Joint;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Outline;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;

/**
 * Draws walls along an outer line, or "inner" ones along their middle ("line": "centre" or "face"): a rectangle or a chain of corners. A
 * closed outline has its outside outside, however
 * it was drawn; of an open one the outside is on the right of its direction unless "outside" says "left".
 */
final readonly class OutlineDraw implements Edit
{
    /** @param  list<Vec2>  $corners */
    private function __construct(
        private array $corners,
        private bool $closed,
        private ?string $name,
        private float $thickness,
        private string $base,
        private string $top,
        private bool $inner,
        private bool $onCentre,
    ) {
    }

    public static function from(Fields $args): self
    {
        $closed = $args->bool('closed', true);
        $corners = self::corners($args);
        if (! $closed && $args->string('outside', 'right') === 'left') {
            $corners = array_reverse($corners);
        }

        return new self(
            $corners, $closed, $args->has('name') ? $args->name('name') : null, $args->size('thickness', 'The thickness of a wall'),
            $args->string('base'), $args->string('top'),
            $args->bool('inner'), $args->string('line', $args->bool('inner') ? 'centre' : 'face') === 'centre');
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
        $corners = $this->onFace($this->checked());
        if ($this->inner && ! $this->closed) {
            $corners = $this->trimmed($design, $corners);
        }
        $position = array_reduce($design->outlines, static fn (int $most, Outline $o): int => max($most, $o->position + 1), 0);
        $outline = Outline::from(new Fields([
            'id' => $ids->next(Kind::Outline), 'name' => $this->name ?? 'Outline '.($position + 1), 'position' => $position,
            'closed' => $this->closed, 'inner' => $this->inner,
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
        OutlineShape::require($corners, $this->closed);
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

    /**
     * The corners of the outer face: half the thickness to the right of a line drawn along the middle of the walls.
     *
     * @param  list<Vec2>  $corners
     * @return list<Vec2>
     */
    private function onFace(array $corners): array
    {
        if (! $this->onCentre) {
            return $corners;
        }
        $count = count($corners);
        $sides = [];
        for ($i = 0; $i < ($this->closed ? $count : $count - 1); $i++) {
            $sides[] = Curve::line($corners[$i], $corners[($i + 1) % $count])->offset(-$this->thickness / 2);
        }
        $out = [];
        for ($i = 0; $i < $count; $i++) {
            $before = $sides[$i - 1] ?? ($this->closed ? $sides[count($sides) - 1] : null);
            $after = $sides[$i] ?? null;
            $out[] = match (true) {
                $before === null => $after?->start() ?? $corners[$i],
                $after === null => $before->end(),
                default => $before->meetsLine($after) ?? $after->start(),
            };
        }

        return $out;
    }

    /**
     * Ends that lie within another wall are drawn back to its face, so that what is measured from them is measured from what stands clear.
     *
     * @param  list<Vec2>  $corners
     * @return list<Vec2>
     */
    private function trimmed(Design $design, array $corners): array
    {
        $last = count($corners) - 1;
        foreach ([[0, 1], [$last, $last - 1]] as [$end, $next]) {
            $probe = Wall::from(new Fields([
                'id' => 'wa-probe', 'outline' => 'ou-probe', 'position' => 0, 'fromX' => $corners[$end]->x, 'fromY' => $corners[$end]->y,
                'toX' => $corners[$next]->x, 'toY' => $corners[$next]->y,
                'rise' => 0.0, 'thickness' => $this->thickness, 'base' => $this->base, 'top' => $this->top,
            ]));
            if ($end !== 0) {
                $probe = Wall::from(
                    new Fields([
                        'fromX' => $probe->to->x,
                        'fromY' => $probe->to->y,
                        'toX' => $probe->from->x,
                        'toY' => $probe->from->y,
                    ] + $probe->toArray()),
                );
            }
            $outline = Outline::from(
                new Fields(['id' => 'ou-probe', 'name' => 'probe', 'position' => 0, 'closed' => false, 'inner' => true]),
            );
            $body = Bodies::one($design->after(new Change('', [Operation::add($outline), Operation::add($probe)])), $probe);
            $cut = $end === 0 ? $body->left : $body->right;
            if ($cut->joint === Joint::Tee) {
                array_splice($corners, $end, 1, [$body->surface->inPlan($cut->at)]);
            }
        }

        return $corners;
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
            throw \Isleward\Core\Measure\Refusal::because('outline.too_many', 'An outline may have 500 corners at the most.');
        }

        return $corners;
    }
}
