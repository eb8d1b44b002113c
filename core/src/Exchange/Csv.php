<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

use Isleward\Core\Schedule\Table;

/** Tables as RFC 4180 CSV in UTF-8: lines end in CRLF, fields are quoted where they must be. */
final class Csv
{
    public static function write(Table $table): string
    {
        $lines = self::line($table->headings, []);
        foreach ($table->all() as $row) {
            $lines .= self::line($row, $table->decimals);
        }

        return $lines;
    }

    /**
     * @param  list<string|float|int|null>  $row
     * @param  list<int|null>  $decimals
     */
    private static function line(array $row, array $decimals): string
    {
        $fields = [];
        foreach ($row as $i => $value) {
            $fields[] = self::field(is_float($value) ? Table::figure($value, $decimals[$i] ?? 3) : $value ?? '');
        }

        return implode(',', $fields)."\r\n";
    }

    /** A text that a spreadsheet would take for a formula gets a leading apostrophe. */
    private static function field(string|int $value): string
    {
        if (is_int($value)) {
            return (string) $value;
        }
        if (preg_match('/^[=+\-@\t\r]/', $value) === 1 && ! is_numeric($value)) {
            $value = "'".$value;
        }

        return preg_match('/[",\r\n]/', $value) === 1 ? '"'.str_replace('"', '""', $value).'"' : $value;
    }
}
