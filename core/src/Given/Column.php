<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** What a column states, and in which unit its bare numbers are. */
final readonly class Column
{
    /** mm in each unit that a bare number may be in; a heading or a person names it. */
    public const UNITS = ['mm' => 1.0, 'cm' => 10.0, 'm' => 1000.0, 'in' => 25.4, 'ft' => 304.8];

    private const MOST_NAMES = 300;

    /**
     * @param  string|null  $storey  id of the storey its counts are of
     * @param  array<string, string>  $storeys  text of its cells → id of the storey that it means, where someone said so
     */
    private function __construct(public Role $role, public ?string $unit, public ?string $storey, public array $storeys)
    {
    }

    /** @param  array<string, string>  $storeys */
    public static function of(Role $role, ?string $unit = null, ?string $storey = null, array $storeys = []): self
    {
        return new self(
            $role, $role->isLength() ? $unit ?? 'mm' : null, $role === Role::OnStorey ? $storey : null,
            $role === Role::Storey ? $storeys : [],
        );
    }

    public static function from(Fields $f): self
    {
        $role = $f->choice('role', Role::class);
        $unit = $f->stringOrNull('unit');
        if ($unit !== null && ! isset(self::UNITS[$unit])) {
            throw Refusal::because(
                'given.unit',
                sprintf('“%s” is no unit of length here; there are %s.', mb_substr($unit, 0, 20), implode(', ', array_keys(self::UNITS))),
            );
        }
        if ($role === Role::OnStorey && ! $f->has('storey')) {
            throw Refusal::because('given.which_storey', 'Say of which storey the column counts.');
        }

        $storeys = [];
        foreach ($f->has('storeys') ? $f->array('storeys') : [] as $text => $id) {
            if (! is_string($id) || count($storeys) >= self::MOST_NAMES) {
                throw Refusal::because('given.storeys', 'Names of storeys are said to mean storeys of the project, one each.');
            }
            $storeys[(string) $text] = $id;
        }

        return self::of($role, $unit, $f->stringOrNull('storey'), $storeys);
    }

    /** mm in one of its bare numbers. */
    public function factor(): float
    {
        return self::UNITS[$this->unit ?? 'mm'];
    }

    /** @return array{role: string, unit: string|null, storey: string|null, storeys?: array<string, string>} */
    public function toArray(): array
    {
        return [
            'role' => $this->role->value, 'unit' => $this->unit, 'storey' => $this->storey,
            ...($this->storeys === [] ? [] : ['storeys' => $this->storeys]),
        ];
    }
}
