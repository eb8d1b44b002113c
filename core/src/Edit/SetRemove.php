<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Design;
use Isleward\Core\Fields;

/** Forgets a set; what is in it stays. */
final readonly class SetRemove implements Edit
{
    private function __construct(private string $id)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->string('id'));
    }

    public function scope(): Scope
    {
        return Scope::kept();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $set = $design->set($this->id);

        return new Change(sprintf('Forgot set %s', $set->name), [Operation::remove($set)]);
    }
}
