<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Measure\Zero;

/** Headings with their units, rows of texts and real numbers, and a row of totals. */
final readonly class Table
{
    /**
     * @param  list<string>  $headings
     * @param  list<int|null>  $decimals  figures after the point by column; null for texts
     * @param  list<list<string|float|int|null>>  $rows
     * @param  list<string|float|int|null>|null  $totals
     */
    public function __construct(
        public string $name,
        public array $headings,
        public array $decimals,
        public array $rows,
        public ?array $totals,
    ) {
    }

    /** @return list<list<string|float|int|null>> rows and totals */
    public function all(): array
    {
        return $this->totals === null ? $this->rows : [...$this->rows, $this->totals];
    }

    /** A number as it is written: of a length in mm without its ".0". */
    public static function figure(float $value, int $decimals): string
    {
        $text = number_format(Zero::plain($value), $decimals, '.', '');
        $text = preg_match('/^-0(\.0+)?$/', $text) === 1 ? substr($text, 1) : $text;

        return $decimals === 1 && str_ends_with($text, '.0') ? substr($text, 0, -2) : $text;
    }
}
