<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\Roof;
use Isleward\Core\Roof\Roofs;

/** Takes roofs off; the walls under them stay. */
final readonly class RoofRemove implements Edit
{
    /** @param  non-empty-list<string>  $ids */
    private function __construct(private array $ids)
    {
    }

    public static function from(Fields $args): self
    {
        $ids = array_values(array_unique($args->strings('ids')));

        return new self($ids === [] ? throw Refusal::because('roof.none_chosen', 'Choose a roof first.') : $ids);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $roofs = array_map(static fn (string $id): Roof => Roofs::roof($design, $id), $this->ids);

        return new Change(
            count($roofs) === 1 ? 'Removed '.$roofs[0]->name : sprintf('Removed %d roofs', count($roofs)),
            [
                ...WallEdges::released($design, array_fill_keys($this->ids, true)),
                ...array_map(Operation::remove(...), $roofs),
            ],
        );
    }
}
