<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

/** Transforms of SVG as [a, b, c, d, e, f] (SVG 1.1, section 7.4). */
final class SvgMatrix
{
    /**
     * @param  array{float, float, float, float, float, float}  $m
     * @return array{float, float}
     */
    public static function apply(array $m, float $x, float $y): array
    {
        return [$m[0] * $x + $m[2] * $y + $m[4], $m[1] * $x + $m[3] * $y + $m[5]];
    }

    /**
     * @param  array{float, float, float, float, float, float}  $a
     * @param  array{float, float, float, float, float, float}  $b
     * @return array{float, float, float, float, float, float} first b, then a
     */
    public static function times(array $a, array $b): array
    {
        return [
            $a[0] * $b[0] + $a[2] * $b[1],
            $a[1] * $b[0] + $a[3] * $b[1],
            $a[0] * $b[2] + $a[2] * $b[3],
            $a[1] * $b[2] + $a[3] * $b[3],
            $a[0] * $b[4] + $a[2] * $b[5] + $a[4],
            $a[1] * $b[4] + $a[3] * $b[5] + $a[5],
        ];
    }

    /** @return array{float, float, float, float, float, float} */
    public static function of(string $text): array
    {
        $m = [1.0, 0.0, 0.0, 1.0, 0.0, 0.0];
        preg_match_all('/(matrix|translate|scale|rotate|skewX|skewY)\s*\(([^)]*)\)/', $text, $all, PREG_SET_ORDER);
        foreach ($all as [, $what, $list]) {
            preg_match_all('/-?[\d.]+(?:e-?\d+)?/i', $list, $found);
            $v = array_map(floatval(...), $found[0]);
            $angle = deg2rad($v[0] ?? 0.0);
            [$cx, $cy] = [$v[1] ?? 0.0, $v[2] ?? 0.0];
            $m = self::times($m, match ($what) {
                'matrix' => [$v[0] ?? 1.0, $v[1] ?? 0.0, $v[2] ?? 0.0, $v[3] ?? 1.0, $v[4] ?? 0.0, $v[5] ?? 0.0],
                'translate' => [1.0, 0.0, 0.0, 1.0, $v[0] ?? 0.0, $v[1] ?? 0.0],
                'scale' => [$v[0] ?? 1.0, 0.0, 0.0, $v[1] ?? $v[0] ?? 1.0, 0.0, 0.0],
                'rotate' => [
                    cos($angle),
                    sin($angle),
                    -sin($angle),
                    cos($angle),
                    $cx - $cx * cos($angle) + $cy * sin($angle),
                    $cy - $cx * sin($angle) - $cy * cos($angle),
                ],
                'skewX' => [1.0, 0.0, tan($angle), 1.0, 0.0, 0.0],
                default => [1.0, tan($angle), 0.0, 1.0, 0.0, 0.0],
            });
        }

        return $m;
    }
}
