<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\Field;
use Isleward\Core\Layer\FieldsOn;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Removes fields with all their battens; what they filled stays. */
final readonly class FieldRemove implements Edit
{
    /** @param  non-empty-list<string>  $ids */
    private function __construct(private array $ids)
    {
    }

    public static function from(Fields $args): self
    {
        $ids = array_values(array_unique($args->strings('ids')));

        return new self($ids === [] ? throw Refusal::because('field.none_chosen', 'Choose a field first.') : $ids);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $fields = array_map(static fn (string $id): Field => FieldsOn::field($design, $id), $this->ids);

        return new Change(
            count($fields) === 1 ? 'Removed '.$fields[0]->name : sprintf('Removed %d fields', count($fields)),
            array_map(Operation::remove(...), $fields),
        );
    }
}
