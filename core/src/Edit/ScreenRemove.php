<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Removes screens with all that was cut out of them; what they stood before stays. */
final readonly class ScreenRemove implements Edit
{
    /** @param  non-empty-list<string>  $ids */
    private function __construct(private array $ids)
    {
    }

    public static function from(Fields $args): self
    {
        $ids = array_values(array_unique($args->strings('ids')));

        return new self($ids === [] ? throw Refusal::because('screen.none_chosen', 'Choose a screen first.') : $ids);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $screens = array_map(static fn (string $id): Screen => Screens::screen($design, $id), $this->ids);

        return new Change(
            count($screens) === 1 ? 'Removed '.$screens[0]->name : sprintf('Removed %d screens', count($screens)),
            array_map(Operation::remove(...), $screens),
        );
    }
}
