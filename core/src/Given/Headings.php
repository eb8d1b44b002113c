<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

use Isleward\Core\Design\Storeys;

/** Recognises which row of a table holds its headings, and what each column under them states. */
final class Headings
{
    private const LOOKED_AT = 25;

    private const UNIT = '/(?:^|[\s\[(\/,.])(mm|millimet(?:re|er)s?|cm|centimet(?:re|er)s?|m|met(?:re|er)s?|in|inch(?:es)?|"|ft|feet|foot)(?:[\])\s]|$)/iu';

    /**
     * @param  list<list<string|float|null>>  $rows
     * @return array{int|null, list<Column>} number of the row with the headings, from 0, and the columns
     */
    public static function find(array $rows, Storeys $storeys): array
    {
        $best = [null, 0];
        foreach (array_slice($rows, 0, self::LOOKED_AT) as $i => $row) {
            $found = [];
            foreach ($row as $cell) {
                $role = is_string($cell) ? self::role($cell) : null;
                if ($role !== null) {
                    $found[$role] = true;
                }
            }
            if (count($found) >= 2 && count($found) > $best[1]) {
                $best = [$i, count($found)];
            }
        }
        $width = max([0, ...array_map(count(...), array_slice($rows, 0, 200))]);

        return [$best[0], self::columns($rows, $best[0], $width, $storeys)];
    }

    /**
     * What the columns under a row of headings state.
     *
     * @param  list<list<string|float|null>>  $rows
     * @return list<Column>
     */
    public static function columns(array $rows, ?int $header, int $width, Storeys $storeys): array
    {
        $columns = $taken = [];
        $units = $header === null ? [] : self::unitRow($rows[$header + 1] ?? []);
        for ($i = 0; $i < $width; $i++) {
            $heading = $header === null ? null : $rows[$header][$i] ?? null;
            $heading = is_string($heading) ? $heading : '';
            $storey = self::countOf($heading, $storeys);
            $name = $heading === '' || $storey !== null ? null : self::role($heading, $rows[$header ?? 0] ?? []);
            $role = $name === null || isset($taken[$name]) ? Role::None : Role::from($name);
            if ($role !== Role::None) {
                $taken[$role->value] = true;
            }
            $unit = self::unit($heading) ?? $units[$i] ?? null;
            $columns[] = $storey !== null ? Column::of(Role::OnStorey, storey: $storey)
                : Column::of($role, $role->isLength() ? $unit ?? self::likely($rows, $header, $i) : null);
        }

        return $columns;
    }

    /**
     * A row under the headings that has units in it and nothing else.
     *
     * @param  list<string|float|null>  $row
     * @return array<int, string> unit by column; empty when it is no such row
     */
    public static function unitRow(array $row): array
    {
        $units = [];
        foreach ($row as $i => $cell) {
            if ($cell === null || $cell === '') {
                continue;
            }
            $unit = is_string($cell) && mb_strlen($cell) < 14 ? self::unit(' '.trim($cell).' ') : null;
            if ($unit === null || preg_match('/\d/', $cell) === 1) {
                return [];
            }
            $units[$i] = $unit;
        }

        return $units;
    }

    /** The storey that a text names: by its name, or its place counted from the ground. */
    public static function storey(string $text, Storeys $storeys): ?string
    {
        $plain = self::plain($text);
        foreach ($storeys->all as $storey) {
            if (self::plain($storey->name) === $plain) {
                return $storey->id;
            }
        }
        $n = HeadingWords::ordinal($plain);
        foreach ($n === null ? [] : $storeys->all as $storey) {
            if (HeadingWords::ordinal(self::plain($storey->name)) === $n) {
                return $storey->id;
            }
        }

        return null;
    }

    /** "On First floor", "First floor qty": the storey that a column counts for. */
    private static function countOf(string $heading, Storeys $storeys): ?string
    {
        $text = (string) preg_replace('/^\s*on\s+|\b('.HeadingWords::COUNTED.')\b\.?/iu', '', $heading);

        return trim($text) === '' ? null : self::storey($text, $storeys);
    }

    /** @param  list<string|float|null>  $among  the headings: one of two meanings has the one that none of the others has */
    private static function role(string $heading, array $among = []): ?string
    {
        $plain = self::bare($heading);
        if ($plain !== HeadingWords::MARK_OR_COUNT) {
            return HeadingWords::role($plain);
        }
        foreach ($among as $other) {
            if (is_string($other) && self::bare($other) !== $plain && HeadingWords::role(self::bare($other)) === Role::Mark->value) {
                return Role::Count->value;
            }
        }

        return Role::Mark->value;
    }

    /** Without its unit. */
    private static function bare(string $heading): string
    {
        return self::plain(
            (string) preg_replace(['/\([^)]*\)|\[[^\]]*\]/u', '/[\s,]+(in\s+)?(mm|cm|m|in|inches|ft|feet)\.?\s*$/iu'], ' ', $heading),
        );
    }

    private static function plain(string $text): string
    {
        return trim((string) preg_replace('/[^\pL\d×]+/u', ' ', str_replace('×', 'x', mb_strtolower($text))));
    }

    private static function unit(string $heading): ?string
    {
        if (preg_match(self::UNIT, $heading, $m) !== 1) {
            return null;
        }
        $unit = mb_strtolower($m[1]);

        return match (true) {
            $unit === 'mm' || str_starts_with($unit, 'milli') => 'mm',
            $unit === 'cm' || str_starts_with($unit, 'centi') => 'cm',
            $unit === '"' || str_starts_with($unit, 'in') => 'in',
            str_starts_with($unit, 'f') => 'ft',
            default => 'm',
        };
    }

    /**
     * Where no unit is named: metres when every figure is too small to be of anything else, else mm.
     *
     * @param  list<list<string|float|null>>  $rows
     */
    private static function likely(array $rows, ?int $header, int $column): string
    {
        $most = 0.0;
        foreach (array_slice($rows, ($header ?? -1) + 1, 200) as $row) {
            $cell = $row[$column] ?? null;
            if (is_float($cell) || (is_string($cell) && preg_match('/^\s*[\d.,]+\s*$/', $cell) === 1)) {
                $most = max($most, is_float($cell) ? $cell : (float) str_replace(',', '.', trim($cell)));
            }
        }

        return $most > 0.0 && $most < 12.0 ? 'm' : 'mm';
    }
}
