<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Opening;
use Isleward\Core\Drawing\Symbols;

/** Openings grouped by type and size, counted by storey. Areas in mm² inside, m² in tables. */
final readonly class OpeningSchedule
{
    /** @param  list<OpeningRow>  $rows */
    private function __construct(private Design $design, public array $rows)
    {
    }

    public static function of(Design $design): self
    {
        $groups = [];
        foreach ($design->openings as $opening) {
            $groups[($opening->type ?? '').'|'.round($opening->width, 2).'|'.round($opening->height, 2).'|'.($opening->shape === null ? '' : serialize($opening->shape))][] = $opening;
        }
        $rows = array_map(static fn (array $group): OpeningRow => self::row($design, $group), array_values($groups));
        usort($rows, static fn (OpeningRow $a, OpeningRow $b): int => [$a->mark, $a->width, $a->height] <=> [$b->mark, $b->width, $b->height]);

        return new self($design, $rows);
    }

    public function count(): int
    {
        return array_sum(array_map(static fn (OpeningRow $r): int => count($r->openings), $this->rows));
    }

    /** All openings, mm². */
    public function area(): float
    {
        return array_sum(array_map(static fn (OpeningRow $r): float => $r->area * count($r->openings), $this->rows));
    }

    public function table(): Table
    {
        $storeys = $this->design->storeys->all;
        $headings = ['Mark', 'Name', 'Width (mm)', 'Height (mm)', 'Count'];
        foreach ($storeys as $storey) {
            $headings[] = 'On '.$storey->name;
        }
        array_push($headings, 'Area each (m²)', 'Area (m²)', 'Glass (m²)');
        $rows = [];
        $totals = array_fill(0, count($storeys), 0);
        $glass = 0.0;
        foreach ($this->rows as $row) {
            $counts = array_map(static fn ($s): int => $row->byStorey[$s->id] ?? 0, $storeys);
            foreach ($counts as $i => $n) {
                $totals[$i] += $n;
            }
            $n = count($row->openings);
            $glass += $row->glass * $n;
            $rows[] = [$row->mark, $row->name, Table::figure($row->width, 1), Table::figure($row->height, 1), $n, ...$counts,
                Table::figure($row->area / 1e6, 3), Table::figure($row->area * $n / 1e6, 3), Table::figure($row->glass * $n / 1e6, 3)];
        }

        return new Table($headings, $rows, ['Total', '', '', '', $this->count(), ...$totals, '', Table::figure($this->area() / 1e6, 3), Table::figure($glass / 1e6, 3)]);
    }

    /** @param  non-empty-list<Opening>  $group */
    private static function row(Design $design, array $group): OpeningRow
    {
        $first = $group[0];
        $byStorey = [];
        foreach ($group as $opening) {
            $byStorey[$opening->storey] = ($byStorey[$opening->storey] ?? 0) + 1;
        }

        return new OpeningRow(
            $first->type === null ? 'bare' : $design->type($first->type)->mark,
            $first->type === null ? 'Bare opening' : $design->type($first->type)->name,
            $first->type, $first->width, $first->height,
            $design->places->of($first)->area(),
            Symbols::solved($design, $first)?->glassArea() ?? 0.0,
            $byStorey,
            array_map(static fn (Opening $o): string => $o->id, $group),
        );
    }
}
