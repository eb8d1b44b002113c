<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

use Isleward\Core\Measure\Refusal;

/** Reads tables with separators: RFC 4180, and what is about besides: semicolons, tabs, other line ends, Windows-1252. */
final class CsvReader
{
    private const SEPARATORS = [',', ';', "\t", '|'];

    private const NAMES = [',' => 'commas', ';' => 'semicolons', "\t" => 'tabs', '|' => 'upright strokes'];

    /** @throws Refusal when it is no table */
    public static function read(string $content, string $name): Cells
    {
        $notes = [];
        if (str_starts_with($content, "\xEF\xBB\xBF")) {
            $content = substr($content, 3);
        } elseif (str_starts_with($content, "\xFF\xFE") || str_starts_with($content, "\xFE\xFF")) {
            $content = mb_convert_encoding(substr($content, 2), 'UTF-8', str_starts_with($content, "\xFF\xFE") ? 'UTF-16LE' : 'UTF-16BE');
        }
        if (str_contains($content, "\0")) {
            throw Refusal::because(
                'table.unreadable',
                'This is no text with separators: it holds bytes that no text has. Save the schedule as CSV or XLSX.',
            );
        }
        if (! mb_check_encoding($content, 'UTF-8')) {
            $content = mb_convert_encoding($content, 'UTF-8', 'Windows-1252');
            $notes[] = 'Its letters are not UTF-8 and were taken as Windows-1252.';
        }
        if (trim($content) === '') {
            throw Refusal::because('table.empty', 'The file is empty.');
        }
        $separator = self::separator($content);
        if ($separator !== ',') {
            $notes[] = sprintf('Its columns are parted by %s.', self::NAMES[$separator]);
        }
        if (substr_count($content, $separator) + substr_count($content, "\n") > Cells::MOST_CELLS) {
            throw Cells::tooMany();
        }
        $stream = fopen('php://memory', 'r+b');
        if ($stream === false) {
            throw new \RuntimeException('There is no memory to read in.');
        }
        fwrite($stream, str_contains($content, "\r") ? str_replace(["\r\n", "\r"], "\n", $content) : $content);
        rewind($stream);
        $rows = [];
        $cut = 0;
        while (($row = fgetcsv($stream, null, $separator, '"', '')) !== false) {
            if (count($rows) === Cells::MOST_ROWS) {
                throw Refusal::because(
                    'table.too_long',
                    sprintf('There are more than %d rows. A schedule of so many is read in parts.', Cells::MOST_ROWS),
                );
            }
            if (count($row) > Cells::MOST_COLUMNS) {
                throw Refusal::because(
                    'table.too_wide',
                    sprintf('Row %d has %d columns; %d can be read.', count($rows) + 1, count($row), Cells::MOST_COLUMNS),
                );
            }
            foreach ($row as $i => $text) {
                if ($text !== null && strlen($text) > Cells::LONGEST && mb_strlen($text) > Cells::LONGEST) {
                    $row[$i] = mb_substr($text, 0, Cells::LONGEST);
                    $cut++;
                }
            }
            $rows[] = $row;
        }
        fclose($stream);
        if ($cut > 0) {
            $notes[] = sprintf(
                '%d cell%s longer than %d letters: the rest of %s is left out.',
                $cut,
                $cut === 1 ? ' is' : 's are',
                Cells::LONGEST,
                $cut === 1 ? 'it' : 'them',
            );
        }

        return new Cells($name, $rows, $notes);
    }

    /** The separator that parts the first lines into the most columns, alike in most lines. */
    private static function separator(string $content): string
    {
        $lines = array_slice(explode("\n", str_replace("\r", "\n", str_replace("\r\n", "\n", substr($content, 0, 20000)))), 0, 20);
        $best = [',', 0];
        foreach (self::SEPARATORS as $separator) {
            $counts = [];
            foreach ($lines as $line) {
                $n = substr_count((string) preg_replace('/"[^"]*"/', '', $line), $separator);
                if ($n > 0) {
                    $counts[$n] = ($counts[$n] ?? 0) + 1;
                }
            }
            foreach ($counts as $n => $often) {
                if ($often * $n > $best[1]) {
                    $best = [$separator, $often * $n];
                }
            }
        }

        return $best[0];
    }
}
