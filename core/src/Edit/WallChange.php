<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Changes the thickness of walls, or the storeys they run through. */
final readonly class WallChange implements Edit
{
    /** @param  list<string>  $walls */
    private function __construct(private array $walls, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->strings('walls'), $args);
    }

    public function scope(): Scope
    {
        return Scope::ofWalls(...$this->walls);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $given = array_intersect_key($this->args->all(), array_flip(['thickness', 'base', 'top']));
        $operations = [];
        foreach (array_unique($this->walls) as $id) {
            $before = $design->wall($id);
            $after = Wall::from(new Fields([...$before->toArray(), ...$given], $this->args->units()));
            if ($design->storeys->indexOf($after->top) < $design->storeys->indexOf($after->base)) {
                throw InvalidOutline::upsideDown();
            }
            $left = array_filter(
                $design->openingsOf($id),
                static fn (Opening $o): bool => ! $design->storeys->isWithin($o->storey, $after->base, $after->top),
            );
            if ($left !== []) {
                throw Refusal::because(
                    'wall.carries',
                    sprintf(
                        '%s on storeys that this wall would no longer reach: move or remove them first.',
                        ucfirst(Words::counts(['opening' => count($left)])).(count($left) === 1 ? ' lies' : ' lie'),
                    ),
                    array_values(array_map(static fn (Opening $o): string => $o->id, $left)));
            }
            $operations[] = Operation::alter($before, $after);
        }
        $change = new Change(sprintf('Changed %s', Words::counts(['wall' => count($operations)])), $operations, $this->walls);
        Standing::require($design->after($change), $design);

        return $change;
    }
}
