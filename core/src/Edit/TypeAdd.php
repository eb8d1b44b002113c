<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Solved;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\TypeMark;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Measure\Fields;

/** Adds a unit type to the project's rack; without a mark it takes the next free one of its kind, W or D. */
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
        $values = ['id' => $ids->next(Kind::Type), 'position' => UnitType::lastPosition($design->types) + 1] + $this->args->all();
        $make = fn (string $mark): UnitType => UnitType::from(new Fields(['mark' => $mark] + $values, $this->args->units()));
        $type = $make($this->args->string('mark', '') === '' ? '?' : $this->args->string('mark'));
        if ($type->mark === '?') {
            $type = $make(TypeMark::next($design->types, $type->hasDoor ? 'D' : 'W'));
        }
        TypeMark::requireFree($design->types, $type);
        Solved::of($type, $type->width, $type->height);

        return new Change(sprintf('Added %s to the rack', $type->mark), [Operation::add($type)], [$type->id]);
    }
}
