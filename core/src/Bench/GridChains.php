<?php

declare(strict_types=1);

namespace Isleward\Core\Bench;

use Isleward\Core\CurtainWall\AfterSizes;
use Isleward\Core\CurtainWall\GridRules;
use Isleward\Core\CurtainWall\SetBy;
use Isleward\Core\CurtainWall\SettingOut;

/**
 * The chains of dimensions of a typical stretch: for every bay and row which value typing it changes, and whether it was
 * typed or is left.
 */
final class GridChains
{
    /** Figures that differ by less are the same, mm. */
    private const SAME = 0.01;

    /**
     * @param  list<float>  $bays
     * @param  list<float>  $rows
     * @param  list<float>  $floors
     * @return array{bays: list<array<string, mixed>>, rows: list<array<string, mixed>>}
     */
    public static function of(GridRules $rules, array $bays, array $rows, array $floors): array
    {
        $up = [];
        if ($rules->rows->perStorey) {
            foreach ($floors as $i => $floor) {
                $to = $floors[$i + 1] ?? null;
                if ($to !== null) {
                    $within = array_values(array_filter(
                        $rows,
                        static fn (float $r): bool => $r > $floor - self::SAME && $r < $to + self::SAME,
                    ));
                    array_push($up, ...self::chain($rules->rows, $within, 'rules.rows'));
                }
            }
        } else {
            $up = self::chain($rules->rows, $rows, 'rules.rows');
        }

        return ['bays' => self::chain($rules->bays, $bays, 'rules.bays'), 'rows' => $up];
    }

    /**
     * @param  list<float>  $at
     * @return list<array{from: float, to: float, size: float, path: string|null}>
     */
    private static function chain(SettingOut $rule, array $at, string $path): array
    {
        $out = [];
        $count = count($at) - 1;
        for ($k = 0; $k < $count; $k++) {
            $size = $at[$k + 1] - $at[$k];
            $out[] = ['from' => $at[$k], 'to' => $at[$k + 1], 'size' => $size, 'path' => self::typed($rule, $k, $count, $size, $path)];
        }

        return $out;
    }

    /** The value that a figure is; null for one that is left. */
    private static function typed(SettingOut $rule, int $k, int $count, float $size, string $path): ?string
    {
        if ($rule->by === SetBy::Module || $rule->by === SetBy::Greatest) {
            return abs($size - $rule->size) < self::SAME ? $path.'.size' : null;
        }
        if ($rule->by === SetBy::Count || $rule->sizes === []) {
            return null;
        }
        $n = count($rule->sizes);
        $after = $n - $rule->restAt;
        $index = match ($rule->after) {
            AfterSizes::Again => $k % $n,
            AfterSizes::Nothing => $k,
            AfterSizes::Rest => $k < $rule->restAt ? $k : ($k >= $count - $after ? $n - ($count - $k) : -1),
        };

        return $index >= 0 && $index < $n && abs($size - $rule->sizes[$index]) < self::SAME ? $path.'.sizes.'.$index : null;
    }
}
