<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

use Isleward\Core\Measure\Refusal;

/** One table of a file as it was read: rows of cells, and what is to be said about how they were read. */
final readonly class Cells
{
    /** More rows are no schedule. */
    public const MOST_ROWS = 10_000;

    public const MOST_COLUMNS = 200;

    /** In all of a file, also empty ones between others, and those that a merged range covers. */
    public const MOST_CELLS = 1_000_000;

    /** Letters of one cell that are read. */
    public const LONGEST = 1000;

    /**
     * @param  list<list<string|float|null>>  $rows
     * @param  list<string>  $notes  sentences
     */
    public function __construct(public string $name, public array $rows, public array $notes = [])
    {
    }

    public static function tooMany(): Refusal
    {
        return Refusal::because(
            'table.too_many_cells',
            sprintf(
                'This table has more than %d cells, which no schedule has. Save the part with the doors and windows on its own.',
                self::MOST_CELLS,
            ),
        );
    }

    /** @return array{name: string, rows: list<list<string|float|null>>, notes: list<string>} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'rows' => $this->rows, 'notes' => $this->notes];
    }

    /** What people call a cell: "B7". */
    public static function ref(int $column, int $row): string
    {
        return self::letters($column).($row + 1);
    }

    /** The letters of a column, from 0: A … Z, AA … */
    public static function letters(int $column): string
    {
        $letters = '';
        for ($n = $column + 1; $n > 0; $n = intdiv($n - 1, 26)) {
            $letters = chr(65 + ($n - 1) % 26).$letters;
        }

        return $letters;
    }
}
