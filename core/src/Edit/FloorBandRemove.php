<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Layer\FloorBands;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Removes floor bands at all their storeys. */
final readonly class FloorBandRemove implements Edit
{
    /** @param  non-empty-list<string>  $ids */
    private function __construct(private array $ids)
    {
    }

    public static function from(Fields $args): self
    {
        $ids = array_values(array_unique($args->strings('ids')));

        return new self($ids === [] ? throw Refusal::because('floor-band.none_chosen', 'Choose a floor band first.') : $ids);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $bands = array_map(static fn (string $id): FloorBand => FloorBands::band($design, $id), $this->ids);

        return new Change(
            count($bands) === 1 ? 'Removed '.$bands[0]->name : sprintf('Removed %d floor bands', count($bands)),
            array_map(Operation::remove(...), $bands),
        );
    }
}
