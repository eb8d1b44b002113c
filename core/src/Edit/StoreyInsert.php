<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Storey;
use Isleward\Core\Measure\Fields;

/** Inserts a storey over another, or under all. What stands on the storeys above moves up with them. */
final readonly class StoreyInsert implements Edit
{
    private function __construct(private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $above = $this->args->stringOrNull('above');
        $at = $above === null ? 0 : $design->storeys->indexOf($above) + 1;
        $storey = Storey::from(new Fields([
            'id' => $ids->next(Kind::Storey), 'name' => $this->args->name('name'), 'position' => $at,
            'height' => $this->args->length('height'),
        ], $this->args->units()));
        $operations = [Operation::add($storey)];
        foreach ($design->storeys->all as $i => $other) {
            $position = $i < $at ? $i : $i + 1;
            $operations[] = Operation::alter($other, $other->withPosition($position));
        }

        return new Change(sprintf('Inserted %s', $storey->said()), $operations, [$storey->id]);
    }
}
