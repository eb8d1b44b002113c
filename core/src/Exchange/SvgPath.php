<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

use Isleward\Core\Drawing\Shape;

/** Shapes as SVG path data, and numbers and text as SVG writes them. SVG's y runs down, so that of shapes is turned over. */
final class SvgPath
{
    /** @throws \LogicException for a text, which is no path */
    public static function of(Shape $shape): string
    {
        if ($shape->kind === 'text') {
            throw new \LogicException('A text is no path.');
        }
        if ($shape->kind === 'arc') {
            [$x, $y, $r, $start, $sweep] = $shape->rings[0];
            $end = $start + $sweep;

            return sprintf(
                'M%s %sA%s %s 0 %d %d %s %s', self::n($x + $r * cos($start)), self::n(-$y - $r * sin($start)), self::n($r), self::n($r),
                abs($sweep) > M_PI ? 1 : 0, $sweep > 0 ? 0 : 1, self::n($x + $r * cos($end)), self::n(-$y - $r * sin($end)));
        }
        $d = '';
        foreach ($shape->rings as $r => $ring) {
            $curves = array_column($shape->curves[$r] ?? [], null, 0);
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $d .= $i === 0 ? 'M'.self::n($ring[0]).' '.self::n(-$ring[1]) : '';
                $j = ($i + 2) % $n;
                if (isset($curves[intdiv($i, 2)])) {
                    $d .= self::arc($curves[intdiv($i, 2)]);
                } elseif ($j > 0) {
                    $d .= 'L'.self::n($ring[$j]).' '.self::n(-$ring[$j + 1]);
                }
            }
            $d .= $shape->kind === 'area' ? 'Z' : '';
        }

        return $d;
    }

    /**
     * A stretch of an ellipse, in halves: SVG draws no whole turn from a point to itself.
     *
     * @param  list<float>  $curve
     */
    private static function arc(array $curve): string
    {
        [, $cx, $cy, $rx, $ry, $start, $sweep] = $curve;
        $tilt = $curve[7] ?? 0.0;
        $d = '';
        foreach ([0.5, 1.0] as $share) {
            $t = $start + $share * $sweep;
            [$x, $y] = [$rx * cos($t), $ry * sin($t)];
            $d .= sprintf(
                'A%s %s %s 0 %d %s %s',
                self::n($rx),
                self::n($ry),
                self::n(-rad2deg($tilt)),
                $sweep > 0 ? 0 : 1,
                self::n($cx + $x * cos($tilt) - $y * sin($tilt)),
                self::n(-$cy - $x * sin($tilt) - $y * cos($tilt)),
            );
        }

        return $d;
    }

    public static function n(float $value): string
    {
        $text = rtrim(rtrim(number_format($value, 4, '.', ''), '0'), '.');

        return $text === '-0' ? '0' : $text;
    }

    public static function escape(string $text): string
    {
        return htmlspecialchars($text, ENT_XML1 | ENT_QUOTES, 'UTF-8');
    }
}
