<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\NamedSet;
use Isleward\Core\Fields;
use Isleward\Core\Refusal;

/** Keeps a choice ("members") under a name; of an existing set ("id") it changes name or members. */
final readonly class SetKeep implements Edit
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
        return Scope::kept();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $before = $this->args->has('id') ? $design->set($this->args->string('id')) : null;
        $given = array_intersect_key($this->args->all(), array_flip(['name', 'members']));
        $set = NamedSet::from(new Fields([...($before?->toArray() ?? []), ...$given, 'id' => $before->id ?? $ids->next(Kind::Set)]));
        foreach ($design->sets as $other) {
            if ($other->id !== $set->id && $other->name === $set->name) {
                throw Refusal::because('set.name_taken', sprintf('There is a set called %s already.', $set->name), [$other->id]);
            }
        }

        return new Change(sprintf('Kept set %s', $set->name), [$before === null ? Operation::add($set) : Operation::alter($before, $set)]);
    }
}
