<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Fields;
use Isleward\Core\Refusal;
use Isleward\Core\Unit\Solved;

/** Changes a unit type's mark, name, size or usual sill. A size stated in its name follows its size; openings keep theirs. */
final readonly class TypeChange implements Edit
{
    private function __construct(private string $id, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->string('id'), $args);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $before = $design->type($this->id);
        $given = array_intersect_key($this->args->all(), array_flip(['mark', 'name', 'width', 'height', 'sill']));
        $after = UnitType::from(new Fields([...$before->toArray(), ...$given], $this->args->units()));
        if (! isset($given['name']) && TypeName::size($after->name) !== null) {
            $after = UnitType::from(new Fields(['name' => TypeName::withSize($after->name, $after->width, $after->height)] + $after->toArray()));
        }
        foreach ($design->types as $other) {
            if ($other->id !== $after->id && $other->mark === $after->mark) {
                throw Refusal::because('type.mark_taken', sprintf('The mark %s is taken by %s.', $after->mark, $other->name), [$other->id]);
            }
        }
        Solved::of($after, $after->width, $after->height);

        return new Change(sprintf('Changed %s', $after->mark), [Operation::alter($before, $after)], [$this->id]);
    }
}
