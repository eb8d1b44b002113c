<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Bench\Dimensions;
use Isleward\Core\Measure\Units;
use Isleward\Core\Unit\SolvedUnit;

/**
 * The dimension chains of a unit's elevation on paper.
 */
final readonly class Chains
{
    /** @param  list<array<string, mixed>>  $all */
    private function __construct(private array $all, private SolvedUnit $unit, private DimensionLines $lines)
    {
    }

    public static function of(SolvedUnit $unit, Units $units): self
    {
        return new self(Dimensions::of($unit), $unit, new DimensionLines($units));
    }

    /** Room that the chains of a side take, mm of paper. */
    public function room(string $side): float
    {
        $rows = 0;
        foreach ($this->all as $d) {
            $rows = max($rows, $d['side'] === $side && is_int($d['row']) ? $d['row'] + 1 : 0);
        }

        return $rows === 0 ? 3.0 : DimensionLines::FIRST + DimensionLines::ROW * $rows;
    }

    /** Draws them round an elevation whose lower left corner lies at x, y. */
    public function draw(Page $page, float $x, float $y, float $scale): void
    {
        foreach ($this->all as $d) {
            [$from, $to, $value] = [self::number($d['from']), self::number($d['to']), self::number($d['value'])];
            $row = is_int($d['row']) ? $d['row'] : 0;
            $away = DimensionLines::FIRST + $row * DimensionLines::ROW;
            [$w, $h] = [$this->unit->width / $scale, $this->unit->height / $scale];
            if ($d['axis'] === 'angle') {
                $page->text(
                    $x + ($from + $to) / 2 / $scale,
                    $y - self::number($d['at'] ?? 0.0) / $scale - 3.5,
                    DimensionLines::SIZE,
                    rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.').'°',
                    'middle',
                    halo: true,
                );
            } elseif ($d['axis'] === 'x') {
                $at = $d['side'] === 'above' ? $y - $h - $away : $y + $away;
                $this->lines->across($page, $x + $from / $scale, $x + $to / $scale, $at, $value);
            } else {
                $at = match ($d['side']) {
                    'left' => $x - $away,
                    'right' => $x + $w + $away,
                    default => $x + self::number($d['at'] ?? 0.0) / $scale,
                };
                $this->lines->upright($page, $y - $from / $scale, $y - $to / $scale, $at, $value);
            }
        }
    }

    private static function number(mixed $value): float
    {
        return is_float($value) || is_int($value) ? (float) $value : throw new \LogicException('A dimension runs between figures.');
    }
}
