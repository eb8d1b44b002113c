<?php

declare(strict_types=1);

namespace App\Editing;

use Isleward\Core\Design\Acceptance;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Kinds;
use Isleward\Core\Design\Misfit;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Settings;
use Isleward\Core\Design\UnitType;

/** What an edit, an undo or a redo came to, as the client is told. */
final readonly class Outcome
{
    /**
     * @param  list<array<string, mixed>>  $placed  where the openings it touched lie now
     * @param  list<array<string, mixed>>  $findings  about what was touched; only for a try
     * @param  array{list<string>, list<string>}  $also  walls and storeys of what has moved with it
     * @param  list<array<string, mixed>>  $lines  where the setting-out lines it touched would stand; only for a try
     * @param  list<string>  $said  to be said besides what the change has to say
     * @param  list<array<string, mixed>>  $standing  how the walls it touched would stand; only for a try
     */
    public function __construct(
        public int $number,
        public Change $change,
        public ?string $undo,
        public ?string $redo,
        public array $placed = [],
        public array $findings = [],
        public array $also = [[], []],
        public array $lines = [],
        public array $standing = [],
        public array $said = [],
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $structure = $project = false;
        [$walls, $storeys] = array_map(array_flip(...), $this->also);
        foreach ($this->change->operations as $operation) {
            foreach ([$operation->before, $operation->after] as $element) {
                if ($element instanceof Opening) {
                    $walls[$element->wall] = true;
                    $storeys[$element->storey] = true;
                } elseif ($element instanceof Acceptance) {
                    $walls[$element->wall] = true;
                } elseif ($element !== null) {
                    $project = true;
                    // of a unit type only those are made that hold it: they are among $also
                    $structure = $structure
                                            || $element instanceof Settings
                                            || (Kinds::of($element->kind())->bearing && ! $element instanceof UnitType);
                }
            }
        }

        return [
            'number' => $this->number,
            'summary' => $this->change->summary,
            'chosen' => $this->change->chosen,
            'touched' => [
                'structure' => $structure,
                'project' => $project,
                'walls' => array_keys($walls),
                'storeys' => array_keys($storeys),
            ],
            'removed' => array_values(array_map(
                static fn ($o): string => $o->id,
                array_filter($this->change->operations, static fn ($o): bool => $o->after === null && $o->kind === Kind::Opening),
            )),
            'undo' => $this->undo,
            'redo' => $this->redo,
            'placed' => $this->placed,
            'findings' => $this->findings,
            'wanted' => $this->change->wanted,
            'misfits' => array_map(static fn (Misfit $m): array => $m->toArray(), $this->change->misfits),
            'notes' => [...$this->change->notes, ...$this->said],
            'lines' => $this->lines,
            'walls' => $this->standing,
        ];
    }
}
