<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Design;
use Isleward\Core\Fields;
use Isleward\Core\Refusal;

/** Removes openings; the wall closes. */
final readonly class OpeningRemove implements Edit
{
    /** @param  list<string>  $ids */
    private function __construct(private array $ids)
    {
    }

    public static function from(Fields $args): self
    {
        $ids = array_values(array_unique($args->strings('ids')));
        if ($ids === []) {
            throw Refusal::because('opening.none', 'Choose an opening to remove.');
        }

        return new self($ids);
    }

    public function scope(): Scope
    {
        return Scope::ofOpenings(...$this->ids);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $openings = array_map($design->opening(...), $this->ids);
        $what = count($openings) === 1 ? $design->label($openings[0]) : Words::counts(['opening' => count($openings)]);

        return new Change(sprintf('Removed %s', $what), array_map(Operation::remove(...), $openings));
    }
}
