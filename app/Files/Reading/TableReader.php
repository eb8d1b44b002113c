<?php

declare(strict_types=1);

namespace App\Files\Reading;

use Isleward\Core\Exchange\Cells;
use Isleward\Core\Exchange\CsvReader;
use Isleward\Core\Exchange\XlsxReader;
use Isleward\Core\Measure\Refusal;

/** A schedule that was sent, CSV or XLSX, as sheets of cells. */
final class TableReader
{
    /** @throws Refusal */
    public static function read(string $path, string $name): Read
    {
        $start = (string) file_get_contents($path, length: 4);
        try {
            $sheets = $start === "PK\x03\x04" || $start === "\xD0\xCF\x11\xE0" ? XlsxReader::read($path) : [CsvReader::read(
                (string) file_get_contents($path),
                $name === '' ? 'Schedule' : $name,
            )];
        } catch (\ValueError) {
            throw Refusal::because('table.unreadable', 'This is no XLSX workbook, or it is damaged.');
        }

        return new Read(json_encode(array_map(static fn (Cells $c): array => $c->toArray(), $sheets),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION | JSON_INVALID_UTF8_SUBSTITUTE), 'json', []);
    }
}
