<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

use Isleward\Core\Check\Remedy;

/** One thing in which a model is not as a given schedule says. */
final readonly class Discrepancy
{
    /**
     * @param  'missing'|'surplus'|'size'|'sill'|'storey'|'duplicate'  $what
     * @param  int|null  $row  of the file, from 1; null for what no line asks for
     * @param  list<string>  $openings  ids of those it is about
     * @param  int  $count  how many are meant
     * @param  string|null  $place  the unit type that is to be placed
     */
    public function __construct(
        public string $what,
        public string $mark,
        public ?int $row,
        public ?string $storey,
        public string $sentence,
        public array $openings = [],
        public int $count = 1,
        public ?Remedy $remedy = null,
        public ?string $place = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'what' => $this->what, 'mark' => $this->mark, 'row' => $this->row, 'storey' => $this->storey, 'sentence' => $this->sentence,
            'openings' => $this->openings,
            'count' => $this->count, 'remedy' => $this->remedy?->toArray(), 'place' => $this->place];
    }
}
