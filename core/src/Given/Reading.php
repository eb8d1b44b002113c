<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

use Isleward\Core\Design\Storeys;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;
use Isleward\Core\Measure\Zero;

/** The lines of a given schedule, read from a table by what its columns state. A line that cannot be read wholly says why. */
final class Reading
{
    /** No width or height of an opening lies outside these, mm: what does is in another unit than was said. */
    private const LEAST = 100.0;

    private const MOST = 30_000.0;

    /** @var list<Line> */
    public array $lines = [];

    /** @var array<string, string|null> text in the column of storeys → the storey that it means */
    public array $storeyOf = [];

    /** @var array<string, int> role → column */
    private array $at = [];

    /** @var array<int, Column> those that count for one storey */
    private array $onStorey = [];

    /** @var array<int, bool> column → whether its commas are decimal */
    private array $decimalComma = [];

    /** @param  list<Column>  $columns */
    private function __construct(private readonly array $columns, private readonly Storeys $storeys)
    {
    }

    /**
     * @param  list<list<string|float|null>>  $rows
     * @param  int|null  $header  number of the row with the headings, from 0
     * @param  list<Column>  $columns
     *
     * @throws Refusal when no column states the marks
     */
    public static function of(array $rows, ?int $header, array $columns, Storeys $storeys): self
    {
        $self = new self($columns, $storeys);
        foreach ($columns as $i => $column) {
            if ($column->role !== Role::None && $column->role !== Role::OnStorey) {
                if (isset($self->at[$column->role->value])) {
                    throw Refusal::because(
                        'given.twice',
                        sprintf(
                            'Two columns are said to state the %s: columns %d and %d.',
                            $column->role->label(),
                            $self->at[$column->role->value] + 1,
                            $i + 1,
                        ),
                    );
                }
                $self->at[$column->role->value] = $i;
            }
            if ($column->role === Role::OnStorey && ($column->storey === null || ! $storeys->has($column->storey))) {
                throw Refusal::because('given.which_storey', sprintf('Column %d counts for a storey that is not in this project.', $i + 1));
            }
            if ($column->role === Role::OnStorey) {
                $self->onStorey[$i] = $column;
            }
        }
        if (! isset($self->at['mark'])) {
            throw Refusal::because('given.no_mark', 'No column states the marks. Say which one does.');
        }
        if (! isset($self->at['size']) && ! isset($self->at['width'], $self->at['height'])) {
            throw Refusal::because(
                'given.no_size',
                sprintf(
                    'No column states the %s. Say which one does.',
                    isset($self->at['width']) ? 'heights' : (isset($self->at['height']) ? 'widths' : 'widths and heights'),
                ),
            );
        }
        $self->read($rows, $header === null ? 0 : $header + (Headings::unitRow($rows[$header + 1] ?? []) === [] ? 1 : 2));

        return $self;
    }

    /** @param  list<list<string|float|null>>  $rows */
    private function read(array $rows, int $from): void
    {
        foreach ($this->columns as $i => $column) {
            if ($column->role->isLength()) {
                $this->decimalComma[$i] = self::hasDecimalComma($rows, $from, $i, $column->factor());
            }
        }
        [$mark, $kind] = [$this->at['mark'], $this->at['kind'] ?? -1];
        for ($r = $from, $n = count($rows); $r < $n; $r++) {
            $row = $rows[$r];
            $name = $row[$mark] ?? '';
            $name = is_float($name) ? (string) $name : trim($name);
            if ($name === '') {
                $this->unmarked($row, $r);

                continue;
            }
            // most marks begin with a figure or are short: those are no words for a sum
            if (strlen($name) > 4 && preg_match('/^((grand |sub)?totals?|gesamt|summe|totaal|totale|total général)\b/iu', $name) === 1) {
                continue;
            }
            $this->lines[] = $this->line($row, $r, $name, $kind < 0 ? '' : trim((string) ($row[$kind] ?? '')));
        }
    }

    /** @param  list<string|float|null>  $row */
    private function line(array $row, int $r, string $mark, string $kind): Line
    {
        $problems = [];
        if (isset($this->at['size'])) {
            [$width, $height] = $this->size($row[$this->at['size']] ?? null, $this->at['size'], $problems);
        } else {
            $width = $this->length($row, 'width', $problems);
            $height = $this->length($row, 'height', $problems);
        }
        $sill = isset($this->at['sill']) ? $this->length($row, 'sill', $problems, false) : null;
        if ($sill === null && isset($this->at['head'])) {
            $head = $this->length($row, 'head', $problems, false);
            $sill = $head === null || $height === null ? null : $head - $height;
        }
        $count = isset($this->at['count']) ? $this->count($row[$this->at['count']] ?? null, 'count', $problems) : null;
        $by = [];
        foreach ($this->onStorey as $i => $column) {
            if (isset($row[$i]) && $row[$i] !== '') {
                $n = $this->count($row[$i], 'count on '.$this->storeys->get((string) $column->storey)->name, $problems);
                if ($n !== null && $n > 0) {
                    $by[(string) $column->storey] = $n;
                }
            }
        }
        if (isset($this->at['storey'])) {
            $text = $row[$this->at['storey']] ?? '';
            $text = trim((string) $text);
            $storey = $text === '' ? null : $this->storeyNamed($text);
            if ($storey !== null) {
                $by[$storey] = $count ?? 1;
            } elseif ($text !== '') {
                $problems[] = sprintf('There is no storey “%s” in this project.', mb_substr($text, 0, 40));
            }
        } elseif ($by !== [] && $count !== null && array_sum($by) !== $count) {
            $problems[] = sprintf('Its counts by storey come to %d, its count says %d.', array_sum($by), $count);
        }

        return new Line($r + 1, self::first(40, $mark), self::first(120, $kind), $width, $height, $sill, $count, $by, $problems);
    }

    /** So many letters of a text at the most. */
    private static function first(int $letters, string $text): string
    {
        return strlen($text) <= $letters ? $text : mb_substr($text, 0, $letters);
    }

    private function storeyNamed(string $text): ?string
    {
        if (! array_key_exists($text, $this->storeyOf)) {
            $said = $this->columns[$this->at['storey']]->storeys[$text] ?? null;
            $this->storeyOf[$text] = $said !== null && $this->storeys->has($said) ? $said : Headings::storey($text, $this->storeys);
        }

        return $this->storeyOf[$text];
    }

    /**
     * @param  list<string|float|null>  $row
     * @param  list<string>  $problems
     */
    private function length(array $row, string $role, array &$problems, bool $size = true): ?float
    {
        $i = $this->at[$role];
        $cell = $row[$i] ?? null;
        if ($cell === null || $cell === '') {
            if ($size) {
                $problems[] = sprintf('It gives no %s.', $role);
            }

            return null;
        }
        $mm = $this->mm($cell, $i, $role, $problems);
        if ($mm !== null && $size && ($mm < self::LEAST || $mm > self::MOST)) {
            $problems[] = sprintf(
                'A %s of %s cannot be, read in %s: this cell may be in another unit than its column.',
                $role,
                Length::mark($mm),
                $this->columns[$i]->unit ?? 'mm',
            );

            return null;
        }

        return $mm;
    }

    /** @param  list<string>  $problems */
    private function mm(string|float $cell, int $column, string $what, array &$problems): ?float
    {
        $factor = $this->columns[$column]->factor();
        if (is_float($cell)) {
            return self::even($cell * $factor);
        }
        if (ctype_digit($cell)) {
            return self::even((float) $cell * $factor);
        }
        $text = trim($cell);
        if (preg_match('/^[−-]?[\d\x{202F}\x{00A0} ]*[.,]?[\d.,]+$/u', $text) === 1) {
            $plain = str_replace(['−', "\u{202F}", "\u{00A0}", ' '], ['-', '', '', ''], $text);
            $number = self::decimal($plain, $this->decimalComma[$column] ?? false);
            if ($number !== null) {
                return self::even($number * $factor);
            }
        }
        try {
            return self::even(Length::parse($text, match ($this->columns[$column]->unit) {
                'in' => Units::FeetInches, 'm' => Units::Metre, default => Units::Millimetre
            }));
        } catch (Refusal) {
            $problems[] = sprintf('“%s” is no %s.', mb_substr($text, 0, 30), $what);

            return null;
        }
    }

    /**
     * @param  list<string>  $problems
     * @return array{float|null, float|null}
     */
    private function size(string|float|null $cell, int $column, array &$problems): array
    {
        $parts = is_string($cell) ? preg_split('/\s*[x×*]\s*/iu', trim($cell)) : null;
        if (! is_array($parts) || count($parts) !== 2) {
            $problems[] = $cell === null
                            || $cell === '' ? 'It gives no size.' : sprintf('“%s” is no width × height.', mb_substr((string) $cell, 0, 30));

            return [null, null];
        }
        $parts = array_map(
            static fn (string $p): string => trim((string) preg_replace('/^(w|h)\s*[:=]?\s*|\s*(w|h|wide|high)$/iu', '', $p)),
            $parts,
        );
        $out = [];
        foreach (['width', 'height'] as $i => $what) {
            $mm = $this->mm($parts[$i], $column, $what, $problems);
            if ($mm !== null && ($mm < self::LEAST || $mm > self::MOST)) {
                $problems[] = sprintf('A %s of %s cannot be, read in %s.', $what, Length::mark($mm), $this->columns[$column]->unit ?? 'mm');
                $mm = null;
            }
            $out[] = $mm;
        }

        return [$out[0], $out[1]];
    }

    /** @param  list<string>  $problems */
    private function count(string|float|null $cell, string $what, array &$problems): ?int
    {
        if ($cell === null || $cell === '' || $cell === '-' || $cell === '–') {
            return null;
        }
        if (is_string($cell) && strlen($cell) <= 5 && ctype_digit($cell)) {
            return (int) $cell;
        }
        if (is_float($cell) ? floor($cell) === $cell && $cell >= 0 && $cell < 100_000 : preg_match(
            '/^\s*\d{1,5}\s*(?:nr|no|off|pcs|stk|stück|uds?|pz|st|×|x)?\.?\s*$/iu',
            $cell,
        ) === 1) {
            return (int) $cell;
        }
        $problems[] = sprintf('“%s” is no %s.', mb_substr((string) $cell, 0, 30), $what);

        return null;
    }

    /** @param  list<string|float|null>  $row */
    private function unmarked(array $row, int $r): void
    {
        $sized = false;
        foreach (['size', 'width', 'height'] as $role) {
            $sized = $sized || (isset($this->at[$role]) && trim((string) ($row[$this->at[$role]] ?? '')) !== '');
        }
        if ($sized) {
            $this->lines[] = $this->withProblem(
                $this->line($row, $r, '', isset($this->at['kind']) ? trim((string) ($row[$this->at['kind']] ?? '')) : ''),
                'It has no mark.',
            );
        }
    }

    private function withProblem(Line $line, string $problem): Line
    {
        return new Line(
            $line->row,
            $line->mark,
            $line->kind,
            $line->width,
            $line->height,
            $line->sill,
            $line->count,
            $line->byStorey,
            [$problem, ...$line->problems],
        );
    }

    /**
     * Whether commas in a column stand before decimals, and points part thousands: where a comma is followed by other than three figures,
     * or follows a point; where all commas are followed by three, where taking them for decimals gives figures that can be; where there
     * are points alone, each followed by three, where taking them for decimals gives figures that cannot be (1.200 in mm).
     *
     * @param  list<list<string|float|null>>  $rows
     */
    private static function hasDecimalComma(array $rows, int $from, int $column, float $factor): bool
    {
        $thousands = null;
        for ($r = $from, $n = count($rows); $r < $n; $r++) {
            $cell = $rows[$r][$column] ?? null;
            if (! is_string($cell) || strpbrk($cell, ',.') === false) {
                continue;
            }
            if (! str_contains($cell, ',')) {
                $parted = preg_match('/^\s*[1-9]\d{0,2}(\.\d{3})+\s*$/', $cell) === 1;
                $thousands = $thousands !== false && $parted && (substr_count($cell, '.') > 1 || $factor * (float) $cell < self::LEAST);

                continue;
            }
            if (preg_match('/\.\d{3},\d/', $cell) === 1 || preg_match('/,(\d{1,2}|\d{4,})\b/', $cell) === 1) {
                return true;
            }
            if (str_contains($cell, '.')) {
                return false;
            }

            return $factor * (float) str_replace(',', '.', $cell) >= self::LEAST;
        }

        return $thousands === true;
    }

    private static function decimal(string $text, bool $decimalComma): ?float
    {
        $text = $decimalComma ? str_replace(['.', ','], ['', '.'], $text) : str_replace(',', '', $text);

        return is_numeric($text) ? (float) $text : null;
    }

    /** To a thousandth of a mm: what a unit's factor leaves behind that is no one's figure. */
    private static function even(float $mm): float
    {
        return Zero::plain(round($mm, 3));
    }
}
