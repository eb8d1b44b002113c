<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

/** Headings with their units, rows, and a row of totals. */
final readonly class Table
{
    /**
     * @param  list<string>  $headings
     * @param  list<list<string|int>>  $rows
     * @param  list<string|int>  $totals
     */
    public function __construct(public array $headings, public array $rows, public array $totals)
    {
    }

    public static function figure(float $value, int $decimals): string
    {
        $text = number_format($value, $decimals, '.', '');

        return $decimals === 1 && str_ends_with($text, '.0') ? substr($text, 0, -2) : $text;
    }
}
