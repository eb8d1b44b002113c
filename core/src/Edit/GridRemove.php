<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Takes a grid type off the rack. One that stands somewhere is refused, unless "instead" names the type that takes its place there. */
final readonly class GridRemove implements Edit
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
        return Scope::ofTypes($this->id);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $type = Runs::type($design, $this->id);
        $places = GridPlaces::of($design, $this->id);
        $instead = $this->args->has('instead') ? Runs::type($design, $this->args->string('instead')) : null;
        if ($places->count() > 0 && ($instead === null || $instead->id() === $type->id())) {
            throw Refusal::because(
                'grid.in_use',
                sprintf('%s stands in %s. Say which type takes its place, or give them another one first.', $type->mark(), $places->said()),
                [...array_map(static fn (array $walls): string => $walls[0]->id, $places->runs), ...array_keys($places->openings)],
                ['count' => $places->count()],
            );
        }
        $operations = [Operation::remove($type)];
        if ($instead !== null) {
            array_push($operations, ...$this->inPlace($places, $instead));
        }
        $then = $design->after(new Change('', $operations));

        return new Change(
            $places->count() === 0
                ? sprintf('Removed %s from the rack', $type->mark())
                : sprintf('Removed %s: %s now have %s', $type->mark(), $places->said(), $instead?->mark() ?? 'none'),
            $operations,
            $instead === null ? [] : [$instead->id()],
            $places->misfits($then),
            $places->newlyLost($design, $then),
            false,
            $places->count(),
        );
    }

    /** @return list<Operation> */
    private function inPlace(GridPlaces $places, GridType $instead): array
    {
        $operations = [];
        foreach (array_merge(...$places->runs) as $wall) {
            if ($wall->curtain?->grid === $this->id) {
                $operations[] = Operation::alter($wall, $wall->withCurtain($wall->curtain->withGrid($instead->id()), $instead->depth()));
            }
        }
        foreach ($places->openings as $opening) {
            if ($opening->curtain !== null) {
                $operations[] = Operation::alter($opening, $opening->withCurtain($opening->curtain->withGrid($instead->id())));
            }
        }

        return $operations;
    }
}
