<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Bench\Dimensions;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;
use Isleward\Core\Unit\SolvedUnit;

/**
 * The dimension chains of a unit's elevation on paper: ticks at 45°, the figure over its line, upright ones read from the right (ISO 129-1;
 * from memory).
 */
final readonly class Chains
{
    private const ROW = 7.0;

    private const FIRST = 6.0;

    private const SIZE = 2.4;

    /** @param  list<array<string, mixed>>  $all */
    private function __construct(private array $all, private SolvedUnit $unit, private Units $units)
    {
    }

    public static function of(SolvedUnit $unit, Units $units): self
    {
        return new self(Dimensions::of($unit), $unit, $units);
    }

    /** Room that the chains of a side take, mm of paper. */
    public function room(string $side): float
    {
        $rows = 0;
        foreach ($this->all as $d) {
            $rows = max($rows, $d['side'] === $side && is_int($d['row']) ? $d['row'] + 1 : 0);
        }

        return $rows === 0 ? 3.0 : self::FIRST + self::ROW * $rows;
    }

    /** Draws them round an elevation whose lower left corner lies at x, y. */
    public function draw(Page $page, float $x, float $y, float $scale): void
    {
        foreach ($this->all as $d) {
            [$from, $to, $value] = [self::number($d['from']), self::number($d['to']), self::number($d['value'])];
            $row = is_int($d['row']) ? $d['row'] : 0;
            $away = self::FIRST + $row * self::ROW;
            [$w, $h] = [$this->unit->width / $scale, $this->unit->height / $scale];
            if ($d['axis'] === 'angle') {
                $page->text(
                    $x + ($from + $to) / 2 / $scale,
                    $y - self::number($d['at'] ?? 0.0) / $scale - 3.5,
                    self::SIZE,
                    rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.').'°',
                    'middle',
                    halo: true,
                );
            } elseif ($d['axis'] === 'x') {
                $at = $d['side'] === 'above' ? $y - $h - $away : $y + $away;
                $this->across($page, $x + $from / $scale, $x + $to / $scale, $at, $value);
            } else {
                $at = match ($d['side']) {
                    'left' => $x - $away,
                    'right' => $x + $w + $away,
                    default => $x + self::number($d['at'] ?? 0.0) / $scale,
                };
                $this->upright($page, $y - $from / $scale, $y - $to / $scale, $at, $value);
            }
        }
    }

    private function across(Page $page, float $x0, float $x1, float $y, float $value): void
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

    private function upright(Page $page, float $y0, float $y1, float $x, float $value): void
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

    private static function number(mixed $value): float
    {
        return is_float($value) || is_int($value) ? (float) $value : throw new \LogicException('A dimension runs between figures.');
    }
}
