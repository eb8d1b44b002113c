<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Design\Design;
use Isleward\Core\Wall\Body;
use Isleward\Core\Wall\Frontage;

/** Walls with their gross face, what openings take out of it, and what is left. Areas over the outer face, corner to corner. */
final readonly class WallSchedule
{
    /** @param  list<WallRow>  $rows */
    private function __construct(public array $rows)
    {
    }

    /**
     * @param  array<string, Body>  $bodies
     * @param  list<Frontage>  $frontages
     */
    public static function of(Design $design, array $bodies, array $frontages): self
    {
        $byWall = [];
        foreach ($design->openings as $opening) {
            $byWall[$opening->wall][] = $opening;
        }
        $rows = [];
        foreach ($frontages as $frontage) {
            foreach (array_keys($frontage->walls) as $i => $id) {
                $body = $bodies[$id];
                $holes = array_map(static fn ($o): array => $design->places->of($o)->ring(), $byWall[$id] ?? []);
                $gross = $body->face()->area();
                $net = $body->face()->cut($holes)->area();
                $rows[] = new WallRow($id, $frontage->name.($i > 0 ? ', part '.($i + 1) : ''), $design->outlines[$body->wall->outline]->name ?? '',
                    $body->length, $body->height(), $body->wall->thickness, count($holes), $gross, $gross - $net);
            }
        }

        return new self($rows);
    }

    /** @return array{length: float, gross: float, openings: float, net: float, count: int} mm and mm² */
    public function totals(): array
    {
        $totals = ['length' => 0.0, 'gross' => 0.0, 'openings' => 0.0, 'net' => 0.0, 'count' => 0];
        foreach ($this->rows as $row) {
            $totals['length'] += $row->length;
            $totals['gross'] += $row->gross;
            $totals['openings'] += $row->cutOut;
            $totals['net'] += $row->net();
            $totals['count'] += $row->openings;
        }

        return $totals;
    }

    public function table(): Table
    {
        $rows = array_map(static fn (WallRow $r): array => [
            $r->name, $r->outline, Table::figure($r->length, 1), Table::figure($r->height, 1), Table::figure($r->thickness, 1), $r->openings,
            Table::figure($r->gross / 1e6, 3), Table::figure($r->cutOut / 1e6, 3), Table::figure($r->net() / 1e6, 3),
        ], $this->rows);
        $t = $this->totals();

        return new Table(
            ['Wall', 'Outline', 'Length (mm)', 'Height (mm)', 'Thickness (mm)', 'Openings', 'Gross (m²)', 'Openings (m²)', 'Net (m²)'],
            $rows,
            ['Total', '', Table::figure($t['length'], 1), '', '', $t['count'], Table::figure($t['gross'] / 1e6, 3), Table::figure($t['openings'] / 1e6, 3), Table::figure($t['net'] / 1e6, 3)],
        );
    }
}
