<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Storey;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;

/** Renames a storey or changes its height. What is placed by storey follows. */
final readonly class StoreyChange implements Edit
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
        $before = $design->storeys->get($this->id);
        $given = array_intersect_key($this->args->all(), array_flip(['name', 'height']));
        $after = Storey::from(new Fields([...$before->toArray(), ...$given], $this->args->units()));
        $summary = $after->height !== $before->height
            ? sprintf('Made %s %s high', $after->said(), Length::format($after->height, $design->settings->units))
            : sprintf('Renamed %s to %s', $before->said(), $after->name);

        $change = new Change($summary, [Operation::alter($before, $after)], [$after->id]);
        Runs::in($design->after($change))->all();

        return $change;
    }
}
