<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;

/** Adds a grid type to the project's rack; without a mark it takes the next free one. */
final readonly class GridAdd implements Edit
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
        $type = GridType::from(new Fields([
            ...$this->args->all(),
            'id' => $ids->next(Kind::Grid),
            'position' => GridMark::lastPosition($design) + 1,
            'mark' => $this->args->string('mark', '') === '' ? GridMark::next($design) : $this->args->string('mark'),
        ], $this->args->units()));
        GridMark::require($design, $type);

        return new Change(sprintf('Added %s to the rack', $type->mark()), [Operation::add($type)], [$type->id()]);
    }
}
