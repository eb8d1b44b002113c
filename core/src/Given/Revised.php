<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

use Isleward\Core\Design\Storeys;
use Isleward\Core\Measure\Length;

/** What a revised schedule changes of the one that was given before: lines that are new, gone, and otherwise, by their marks. */
final readonly class Revised
{
    /**
     * @param  list<array{mark: string, row: int, what: string}>  $new
     * @param  list<array{mark: string, row: int, what: string}>  $gone  rows of the file before
     * @param  list<array{mark: string, row: int, what: string}>  $changed
     * @param  int  $same  lines that are as they were
     */
    private function __construct(public array $new, public array $gone, public array $changed, public int $same)
    {
    }

    /**
     * Marks are held together as people write them; of lines with one mark the first with the first.
     *
     * @param  list<Line>  $before
     * @param  list<Line>  $after
     */
    public static function between(array $before, array $after, Storeys $storeys): self
    {
        $waiting = [];
        foreach ($before as $line) {
            $waiting[Marks::key($line->mark)][] = $line;
        }
        $new = $changed = [];
        $same = 0;
        foreach ($after as $line) {
            $key = Marks::key($line->mark);
            $was = isset($waiting[$key]) ? array_shift($waiting[$key]) : null;
            $what = $was === null ? [] : self::differences($was, $line, $storeys);
            if ($was === null) {
                $new[] = self::told($line, self::said($line));
            } elseif ($what !== []) {
                $changed[] = self::told($line, implode(', ', $what));
            } else {
                $same++;
            }
        }
        $gone = array_map(static fn (Line $l): array => self::told($l, self::said($l)), array_merge(...array_values($waiting)));
        usort($gone, static fn (array $a, array $b): int => $a['row'] <=> $b['row']);

        return new self($new, $gone, $changed, $same);
    }

    /** @return array{mark: string, row: int, what: string} */
    private static function told(Line $line, string $what): array
    {
        return ['mark' => $line->mark, 'row' => $line->row, 'what' => $what];
    }

    /** What a line is of: its size, and how many. */
    private static function said(Line $line): string
    {
        $size = $line->width === null || $line->height === null ? 'no size' : Length::mark($line->width).' × '.Length::mark($line->height);

        return $line->wanted() === null ? $size : sprintf('%s, %d of them', $size, $line->wanted());
    }

    /** @return list<string> lengths as {@see Length::mark} leaves them */
    private static function differences(Line $was, Line $is, Storeys $storeys): array
    {
        $told = [];
        foreach (['width', 'height', 'sill'] as $what) {
            [$a, $b] = [$was->{$what}, $is->{$what}];
            if ($a !== $b && ! ($a !== null && $b !== null && abs($a - $b) < 0.05)) {
                $told[] = sprintf('%s %s → %s', $what, $a === null ? 'none' : Length::mark($a), $b === null ? 'none' : Length::mark($b));
            }
        }
        if ($was->wanted() !== $is->wanted()) {
            $told[] = sprintf('count %s → %s', $was->wanted() ?? 'none', $is->wanted() ?? 'none');
        }
        foreach ($storeys->all as $storey) {
            [$a, $b] = [$was->byStorey[$storey->id] ?? 0, $is->byStorey[$storey->id] ?? 0];
            if ($a !== $b) {
                $told[] = sprintf('on %s %d → %d', $storey->name, $a, $b);
            }
        }
        if ($was->kind !== $is->kind) {
            $told[] = sprintf('“%s” → “%s”', $was->kind, $is->kind);
        }

        return $told;
    }
}
