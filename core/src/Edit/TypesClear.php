<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Namings;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Takes unit types that fill nothing off the rack ("ids"), all of them together; one that fills something is refused by name. */
final readonly class TypesClear implements Edit
{
    /** @param  non-empty-list<string>  $ids */
    private function __construct(private array $ids)
    {
    }

    public static function from(Fields $args): self
    {
        $ids = array_values(array_unique($args->strings('ids')));

        return $ids === [] ? throw Refusal::because('type.none', 'Say which types are removed.') : new self($ids);
    }

    public function scope(): Scope
    {
        return Scope::ofTypes(...$this->ids);
    }

    /** @throws Refusal when one fills something */
    public function apply(Design $design, Ids $ids): Change
    {
        $types = array_map($design->type(...), $this->ids);
        $used = array_values(array_filter(
            $types, static fn (UnitType $t): bool => Namings::in($design)->of([$t->id], Tie::MadeOf) !== [],
        ));
        if ($used !== []) {
            throw Refusal::because('type.in_use', sprintf('%s %s openings, cells or rooflights: only types that fill nothing are cleared.',
                implode(', ', array_map(static fn (UnitType $t): string => $t->mark, $used)), count($used) === 1 ? 'fills' : 'fill'),
                array_map(static fn (UnitType $t): string => $t->id, $used));
        }

        return new Change(
            count($types) === 1 ? sprintf('Removed %s from the rack', $types[0]->mark)
                : sprintf('Removed %s from the rack', Words::counts(['type' => count($types)])),
            array_map(Operation::remove(...), $types),
        );
    }
}
