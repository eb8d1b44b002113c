<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** Areas under curves, to rounding, where they have no closed form or too long a one. */
final class Quadrature
{
    private const NODES = 24;

    /** @var list<array{float, float}>|null node on −1 to 1, weight */
    private static ?array $rule = null;

    /**
     * ∫ f between neighbouring marks. Between two marks f may run into either like a root, as a circle does where it turns: x = middle −
     * half · cos t takes that away. Gauss and Legendre's rule over t (Abramowitz and Stegun 25.4.30, from memory).
     *
     * @param  \Closure(float): float  $f
     * @param  list<float>  $marks
     */
    public static function between(\Closure $f, array $marks): float
    {
        sort($marks);
        $sum = 0.0;
        for ($i = 1, $n = count($marks); $i < $n; $i++) {
            $half = ($marks[$i] - $marks[$i - 1]) / 2;
            if ($half < 1e-9) {
                continue;
            }
            $middle = $marks[$i - 1] + $half;
            foreach (self::rule() as [$node, $weight]) {
                $t = M_PI / 2 * ($node + 1);
                $sum += $f($middle - $half * cos($t)) * $weight * M_PI / 2 * $half * sin($t);
            }
        }

        return $sum;
    }

    /** @return list<array{float, float}> roots of Legendre's polynomial by Newton's method, with their weights */
    private static function rule(): array
    {
        if (self::$rule !== null) {
            return self::$rule;
        }
        $rule = [];
        for ($i = 1; $i <= self::NODES; $i++) {
            $x = cos(M_PI * ($i - 0.25) / (self::NODES + 0.5));
            $slope = 1.0;
            for ($step = 0; $step < 10; $step++) {
                [$before, $value] = [1.0, $x];
                for ($k = 2; $k <= self::NODES; $k++) {
                    [$before, $value] = [$value, ((2 * $k - 1) * $x * $value - ($k - 1) * $before) / $k];
                }
                $slope = self::NODES * ($x * $value - $before) / ($x * $x - 1);
                $x -= $value / $slope;
            }
            $rule[] = [$x, 2 / ((1 - $x * $x) * $slope * $slope)];
        }

        return self::$rule = $rule;
    }
}
