<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Joint;
use Isleward\Core\Building\OffsetPath;
use Isleward\Core\Design\Bend;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Outline;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Measure\Fields;

/**
 * Draws walls along an outer line, or "inner" ones along their middle ("line": "centre" or "face"): a rectangle, a circle or a chain of
 * straight and curved stretches ({@see DrawnSides}). A closed outline has its outside outside, however
 * it was drawn; of an open one the outside is on the right of its direction unless "outside" says "left".
 */
final readonly class OutlineDraw implements Edit
{
    private function __construct(
        private DrawnSides $sides,
        private bool $closed,
        private ?string $name,
        private float $thickness,
        private string $base,
        private string $top,
        private bool $inner,
        private bool $onCentre,
        private ?Curtain $curtain,
    ) {
    }

    public static function from(Fields $args): self
    {
        $closed = $args->bool('closed', true) || $args->has('circle');
        $sides = DrawnSides::from($args, $closed);
        if (! $closed && $args->string('outside', 'right') === 'left') {
            $sides = $sides->reversed();
        }

        return new self(
            $sides, $closed, $args->has('name') ? $args->name('name') : null,
            $args->has('grid') ? 0.0 : $args->size('thickness', 'The thickness of a wall'),
            $args->string('base'), $args->string('top'),
            $args->bool('inner'), $args->string('line', $args->bool('inner') && ! $args->has('grid') ? 'centre' : 'face') === 'centre',
            $args->has('grid') ? Curtain::from($args) : null);
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
        $sides = $this->onFace($this->checked(), $this->thick($design));
        if ($this->inner && ! $this->closed) {
            $sides = $this->trimmed($design, $sides);
        }
        $position = array_reduce($design->outlines, static fn (int $most, Outline $o): int => max($most, $o->position + 1), 0);
        $outline = Outline::from(new Fields([
            'id' => $ids->next(Kind::Outline), 'name' => $this->name ?? $this->called($design), 'position' => $position,
            'closed' => $this->closed, 'inner' => $this->inner,
        ]));
        $operations = [Operation::add($outline)];
        foreach ($sides->sides as $i => [$curve, $keeps]) {
            $operations[] = Operation::add($this->wall($ids->next(Kind::Wall), $outline->id, $i, $curve, $this->thick($design), $keeps));
        }
        $change = new Change(sprintf('Drew %s', $outline->name), $operations, $this->curtain === null
            ? [$outline->id]
            : array_slice(array_map(static fn (Operation $o): string => $o->id, $operations), 1));
        Standing::require($design->after($change), $design);

        return $change;
    }

    /** The next free name for what it is. */
    private function called(Design $design): string
    {
        $what = $this->inner ? 'Inner wall' : 'Outline';
        $taken = array_map(static fn (Outline $o): string => $o->name, $design->outlines);
        $n = 1;
        while (in_array("$what $n", $taken, true)) {
            $n++;
        }

        return "$what $n";
    }

    private function wall(string $id, string $outline, int $position, Curve $curve, float $thickness, Bend $keeps = Bend::Rise): Wall
    {
        return Wall::from(new Fields([
            'id' => $id, 'outline' => $outline, 'position' => $position,
            'fromX' => $curve->x0, 'fromY' => $curve->y0, 'toX' => $curve->x1, 'toY' => $curve->y1, 'rise' => $curve->rise(),
            'keeps' => $keeps->value, 'thickness' => $thickness, 'base' => $this->base, 'top' => $this->top,
            'curtain' => $this->curtain?->toArray(),
        ]));
    }

    /** As it was given, or as deep as its grid type makes it. */
    private function thick(Design $design): float
    {
        return $this->curtain === null ? $this->thickness : $design->grid($this->curtain->grid)->depth();
    }

    /** Counter-clockwise when closed. */
    private function checked(): DrawnSides
    {
        OutlineShape::require($this->sides->curves(), $this->closed);
        $moment = array_sum(array_map(static fn (Curve $c): float => $c->moment(), $this->sides->curves()));

        // keep the first side first: reverse the direction, not the starting corner
        return $this->closed && $moment < 0 ? $this->sides->turnedRound() : $this->sides;
    }

    /** The sides of the outer face: half the thickness to the right of a line drawn along the middle of the walls. */
    private function onFace(DrawnSides $drawn, float $thickness): DrawnSides
    {
        if (! $this->onCentre) {
            return $drawn;
        }

        return $drawn->with(OffsetPath::of($drawn->curves(), $thickness / 2, $this->closed));
    }

    /** Ends that lie within another wall are drawn back to its face: what is measured from them is measured from what stands clear. */
    private function trimmed(Design $design, DrawnSides $drawn): DrawnSides
    {
        $sides = $drawn->curves();
        $last = count($sides) - 1;
        $outline = Outline::from(new Fields(['id' => 'ou-probe', 'name' => 'probe', 'position' => 0, 'closed' => false, 'inner' => true]));
        foreach ([[0, true], [$last, false]] as [$i, $atLeft]) {
            $probe = $this->wall('wa-probe', 'ou-probe', 0, $sides[$i], $this->thick($design));
            $body = Bodies::one($design->after(new Change('', [Operation::add($outline), Operation::add($probe)])), $probe);
            $cut = $atLeft ? $body->left : $body->right;
            if ($cut->joint === Joint::Tee) {
                $from = $atLeft ? $cut->at : 0.0;
                $sides[$i] = $body->surface->stretch($from, $atLeft ? $body->length : $cut->at)->foot;
            }
        }

        return $drawn->with(array_values($sides));
    }
}
