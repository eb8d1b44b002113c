<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\OffsetPath;
use Isleward\Core\CurtainWall\Runs;
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
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * Draws a run of curtain wall before walls of an outline that follow one another ("walls"), its glass line at an "offset" from their outer
 * faces, round the corners between them; round the whole outline where all its walls are given. With "base" and "top" on those storeys,
 * else on all that every one of the walls runs through. It is an outline of its own then: it stays where it is when those walls move.
 */
final readonly class CurtainBefore implements Edit
{
    /** @param  list<string>  $walls */
    private function __construct(private array $walls, private string $grid, private float $offset, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self(
            array_values(array_unique($args->strings('walls'))),
            $args->string('grid'),
            $args->size('offset', 'How far before the walls it stands', 0.0),
            $args,
        );
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $type = Runs::type($design, $this->grid);
        [$chain, $closed] = $this->chain($design);
        if ($this->offset < $type->depth()) {
            throw Refusal::because('curtain.before_within', sprintf(
                'Its members stand %s behind its glass: %s before a wall they would stand in it.',
                Length::mark($type->depth()),
                Length::mark($this->offset),
            ), $this->walls, ['field' => 'offset', 'least' => $type->depth()]);
        }
        $storeys = $design->storeys;
        $lowest = max(array_map(static fn (Wall $w): int => $storeys->indexOf($w->base), $chain));
        $highest = min(array_map(static fn (Wall $w): int => $storeys->indexOf($w->top), $chain));
        $base = $this->args->string('base', $storeys->all[$lowest]->id);
        $top = $this->args->string('top', $storeys->all[max($lowest, $highest)]->id);
        if ($storeys->indexOf($top) < $storeys->indexOf($base)) {
            throw InvalidOutline::upsideDown();
        }
        $path = OffsetPath::of(array_map(static fn (Wall $w): Curve => $w->face(), $chain), $this->offset, $closed);
        OutlineShape::require($path, $closed);
        $position = array_reduce($design->outlines, static fn (int $most, Outline $o): int => max($most, $o->position + 1), 0);
        $outline = Outline::from(new Fields([
            'id' => $ids->next(Kind::Outline), 'name' => $this->args->string('name', 'Outline '.($position + 1)), 'position' => $position,
            'closed' => $closed, 'inner' => false,
        ]));
        $operations = [Operation::add($outline)];
        $drawn = [];
        foreach ($path as $i => $curve) {
            $drawn[] = $id = $ids->next(Kind::Wall);
            $operations[] = Operation::add(Wall::from(new Fields([
                'id' => $id, 'outline' => $outline->id, 'position' => $i, 'fromX' => $curve->x0, 'fromY' => $curve->y0,
                'toX' => $curve->x1, 'toY' => $curve->y1, 'rise' => $curve->rise(), 'keeps' => $chain[$i]->keeps->value,
                'thickness' => $type->depth(), 'base' => $base, 'top' => $top, 'curtain' => Curtain::by($this->grid)->toArray(),
            ])));
        }
        $change = new Change(sprintf('Drew a run of %s', $type->mark()), $operations, $drawn);
        Standing::require($design->after($change), $design);

        return $change;
    }

    /**
     * The walls in order, and whether they go all round.
     *
     * @return array{non-empty-list<Wall>, bool}
     */
    private function chain(Design $design): array
    {
        $walls = array_map($design->wall(...), $this->walls);
        $chain = [];
        $starts = 0;
        foreach ($walls as $wall) {
            $follows = array_filter($walls, static fn (Wall $w): bool => $w->to->isAt($wall->from) && $w->outline === $wall->outline);
            if ($follows === []) {
                $chain = [$wall];
                $starts++;
            }
        }
        $closed = $chain === [] && count($walls) > 1;
        $chain = $closed ? [$walls[0]] : $chain;
        while (count($chain) > 0 && count($chain) < count($walls)) {
            $last = $chain[count($chain) - 1];
            $next = array_values(array_filter(
                $walls,
                static fn (Wall $w): bool => $w->from->isAt($last->to) && $w->outline === $last->outline,
            ));
            if ($next === [] || in_array($next[0], $chain, true)) {
                break;
            }
            $chain[] = $next[0];
        }
        if ($chain === [] || $starts > 1 || count($chain) !== count($walls)) {
            throw Refusal::because('curtain.before_apart', 'A run stands before walls of one outline that follow one another.',
                $this->walls);
        }

        return [$chain, $closed];
    }
}
