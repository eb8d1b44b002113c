<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

/** A table for a sheet, in rows of one height, so that it can be broken over columns and sheets. */
final readonly class Block
{
    /**
     * @param  list<string>  $headings  empty for none; one of several lines has a line feed between them
     * @param  list<array{float, 'start'|'end'}>  $columns  share of the width, and how its text stands
     * @param  list<list<string>>  $rows  a cell that begins with "#rrggbb " shows that colour before its text
     */
    public function __construct(public string $title, public array $headings, public array $columns, public array $rows)
    {
    }

    /** Rows that its title and headings take. */
    public function head(): int
    {
        return $this->headings === [] ? 1 : 1 + $this->lines();
    }

    private function lines(): int
    {
        return 1 + max([0, ...array_map(static fn (string $h): int => substr_count($h, "\n"), $this->headings)]);
    }

    /**
     * The first $n of its rows, and the rest as a table of their own.
     *
     * @return array{self, self|null}
     */
    public function split(int $n): array
    {
        return $n >= count($this->rows) ? [$this, null] : [
            new self($this->title, $this->headings, $this->columns, array_slice($this->rows, 0, $n)),
            new self(
                str_ends_with($this->title, ', continued') ? $this->title : $this->title.', continued',
                $this->headings,
                $this->columns,
                array_slice($this->rows, $n),
            ),
        ];
    }

    /** Draws it, $row mm to a row; gives where it ends. */
    public function draw(Page $page, float $x, float $y, float $width, float $row): float
    {
        $size = $row * 0.56;
        $y += $row;
        $page->text($x, $y - $row * 0.3, $size * 1.1, $this->title, strong: true);
        if ($this->headings !== []) {
            // of one that has fewer lines the last stands over the figures too
            for ($n = $this->lines(); $n > 0; $n--) {
                $y += $row;
                $this->cells($page, array_map(static function (string $h) use ($n): string {
                    $lines = explode("\n", $h);

                    return $lines[count($lines) - $n] ?? '';
                }, $this->headings), $x, $y - $row * 0.3, $width, $size * 0.9, true);
            }
        }
        $page->line($x, $y, $x + $width, $y, 0.25);
        foreach ($this->rows as $cells) {
            $y += $row;
            $this->cells($page, $cells, $x, $y - $row * 0.3, $width, $size, false);
            $page->line($x, $y, $x + $width, $y, 0.08);
        }

        return $y + $row * 0.8;
    }

    /** @param  list<string>  $cells */
    private function cells(Page $page, array $cells, float $x, float $y, float $width, float $size, bool $faint): void
    {
        $at = $x;
        foreach ($this->columns as $i => [$share, $anchor]) {
            $text = $cells[$i] ?? '';
            $indent = 0.0;
            if (preg_match('/^(#[0-9a-f]{6}) (.*)$/su', $text, $m) === 1) {
                $page->box($at, $y - $size * 0.8, $size, $size, 0.1, $m[1]);
                [$text, $indent] = [$m[2], $size * 1.5];
            }
            $page->text($anchor === 'end' ? $at + $share * $width : $at + $indent, $y, $size, $text, $anchor, faint: $faint);
            $at += $share * $width;
        }
    }
}
