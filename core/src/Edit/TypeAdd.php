<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Fields;
use Isleward\Core\Refusal;
use Isleward\Core\Unit\Solver;

/** Adds a unit type to the project's rack. */
final readonly class TypeAdd implements Edit
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
        $type = UnitType::from(new Fields([
            ...$this->args->all(), 'id' => $ids->next(Kind::Type), 'position' => count($design->types),
        ], $this->args->units()));
        foreach ($design->types as $other) {
            if ($other->mark === $type->mark) {
                throw Refusal::because('type.mark_taken', sprintf('The mark %s is taken by %s.', $type->mark, $other->name), [$other->id]);
            }
        }
        Solver::solve($type->tree(), $type->width, $type->height);

        return new Change(sprintf('Added %s to the rack', $type->mark), [Operation::add($type)], [$type->id]);
    }
}
