<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Outline;
use Isleward\Core\Measure\Fields;

/** Renames an outline, or puts it on a slab of its own ("slab": its thickness; null for none). */
final readonly class OutlineChange implements Edit
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
        $before = $design->outline($this->id);
        $given = array_intersect_key($this->args->all(), array_flip(['name', 'slab']));
        $after = Outline::from(new Fields([...$before->toArray(), ...$given], $this->args->units()));
        $slab = array_key_exists('slab', $given);

        return new Change(
            match (true) {
                ! $slab => sprintf('Renamed %s to %s', $before->name, $after->name),
                $after->slab === null => sprintf('Took the slab away from %s', $after->name),
                default => sprintf('Put %s on a slab', $after->name),
            },
            [Operation::alter($before, $after)],
            [$this->id],
        );
    }
}
