<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;

/** Dimension lines on paper: ticks at 45°, the figure over its line, upright ones read from the right (ISO 129-1; from memory). */
final readonly class DimensionLines
{
    /** Height of the letters where there is room, mm of paper. */
    public const SIZE = 2.4;

    /** From what is measured to the first chain, and from one chain to the next, mm of paper. */
    public const FIRST = 6.0;

    public const ROW = 7.0;

    public function __construct(private Units $units)
    {
    }

    public function across(Page $page, float $x0, float $x1, float $y, float $value): void
    {
        $page->line($x0, $y, $x1, $y, 0.13);
        foreach ([$x0, $x1] as $x) {
            $page->line($x, $y - 1.5, $x, $y + 1.5, 0.1);
            $page->line($x - 0.9, $y + 0.9, $x + 0.9, $y - 0.9, 0.25);
        }
        $page->text(
            ($x0 + $x1) / 2,
            $y - 0.8,
            $this->fitting($value, $x1 - $x0),
            Length::format($value, $this->units),
            'middle',
            halo: true,
        );
    }

    public function upright(Page $page, float $y0, float $y1, float $x, float $value): void
    {
        $page->line($x, $y0, $x, $y1, 0.13);
        foreach ([$y0, $y1] as $y) {
            $page->line($x - 1.5, $y, $x + 1.5, $y, 0.1);
            $page->line($x - 0.9, $y + 0.9, $x + 0.9, $y - 0.9, 0.25);
        }
        $page->text(
            $x - 0.8,
            ($y0 + $y1) / 2,
            $this->fitting($value, abs($y1 - $y0)),
            Length::format($value, $this->units),
            'middle',
            turn: 90.0,
            halo: true,
        );
    }

    /** Smaller letters where the figure has little room. */
    private function fitting(float $value, float $room): float
    {
        $wide = mb_strlen(Length::format($value, $this->units)) * self::SIZE * 0.58;

        return max(1.6, min(self::SIZE, self::SIZE * $room / max(1.0, $wide)));
    }
}
