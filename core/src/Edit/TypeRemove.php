<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Element;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Layered;
use Isleward\Core\Design\Namings;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Pattern;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Takes a unit type off the rack. One that fills openings is refused, unless "instead" names the type that takes its place in them. */
final readonly class TypeRemove implements Edit
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

    /** @throws Refusal when it fills cells of curtain walls */
    private function requireInNoCell(Design $design, UnitType $type): void
    {
        $grids = array_values(array_filter(
            Namings::in($design)->of([$type->id], Tie::MadeOf),
            static fn (Element $e): bool => ! $e instanceof Opening || $e->curtain !== null,
        ));
        if ($grids !== []) {
            throw Refusal::because('type.in_cells', sprintf(
                '%s fills cells of curtain walls, cut-outs of screens or rooflights (%s). Fill those with something else first.',
                $type->mark,
                implode(', ', array_unique(array_map(static fn (Element $e): string => match (true) {
                    $e instanceof Pattern => $e->mark(),
                    $e instanceof Opening => $design->label($e),
                    $e instanceof Layered => $e->called(),
                    default => 'a run',
                }, $grids))),
            ), array_map(static fn (Element $e): string => $e->id(), $grids));
        }
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $type = $design->type($this->id);
        $this->requireInNoCell($design, $type);
        $filled = array_filter($design->openings, fn (Opening $o): bool => $o->type === $this->id);
        $instead = $this->args->has('instead') ? $design->type($this->args->string('instead')) : null;
        if ($filled !== [] && ($instead === null || $instead->id === $type->id)) {
            $storeys = count(array_unique(array_map(static fn (Opening $o): string => $o->storey, $filled)));
            throw Refusal::because(
                'type.in_use', sprintf(
                    '%s fills %s on %s. Say which type takes its place, or fill them with another one first.', $type->mark,
                    Words::counts(['opening' => count($filled)]),
                    Words::counts(['storey' => $storeys])), array_keys($filled), ['count' => count($filled)]);
        }
        $attempt = Attempt::from($design, $this->args);
        $attempt->also(Operation::remove($type));
        foreach ($filled as $opening) {
            $attempt->alter($opening, $opening->withType($instead?->id));
        }
        $change = $attempt->change(
            static fn (int $n): string => $n === 0
                            ? sprintf('Removed %s from the rack', $type->mark)
                            : sprintf(
                                'Removed %s: %s now have %s',
                                $type->mark,
                                Words::counts(['opening' => $n]),
                                $instead->mark ?? 'no unit',
                            ),
        );

        // the type goes only when all its openings have another
        return new Change($change->summary, $change->operations, $change->chosen, $change->misfits, $change->notes, false, $change->wanted);
    }
}
