<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

use Isleward\Core\Drawing\Drawing;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;

/**
 * Drawings as SVG 1.1. One user unit is one mm of the building; the page is that divided by the scale, so 1:1 is true size.
 * Every shape carries its layer as its class; line weights are in mm of paper.
 */
final class Svg
{
    /** @param  float  $scale 50 for 1:50 */
    public static function write(Drawing $drawing, float $scale = 1.0): string
    {
        [$x0, $y0, $x1, $y1] = $drawing->bounds;
        $w = $x1 - $x0;
        $h = $y1 - $y0;
        $out = '<?xml version="1.0" encoding="UTF-8"?>'."\n";
        $out .= sprintf('<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" version="1.1" width="%smm" height="%smm" viewBox="%s %s %s %s">',
            self::n($w / $scale), self::n($h / $scale), self::n($x0), self::n(-$y1), self::n($w), self::n($h))."\n";
        $out .= '<title>'.self::escape($drawing->title)."</title>\n";
        $out .= '<desc>'.self::escape(sprintf('Units are mm of the building; drawn at 1:%s.', self::n($scale)))."</desc>\n";
        $out .= '<style>'.self::style($scale)."</style>\n<defs>\n";
        foreach ($drawing->symbols as $key => $shapes) {
            $out .= '<g id="'.self::id($key)."\">\n".implode('', array_map(self::shape(...), $shapes))."</g>\n";
        }
        $out .= "</defs>\n";
        foreach (Layer::cases() as $layer) {
            $shapes = array_filter($drawing->shapes, static fn (Shape $s): bool => $s->layer === $layer);
            if ($shapes !== []) {
                $out .= '<g id="layer-'.$layer->value."\">\n".implode('', array_map(self::shape(...), $shapes))."</g>\n";
            }
            if ($layer === Layer::Face && $drawing->placements !== []) {
                $out .= "<g id=\"layer-openings\">\n";
                foreach ($drawing->placements as $p) {
                    $out .= sprintf('<use id="%s" xlink:href="#%s" x="%s" y="%s"/>', self::escape($p->element), self::id($p->symbol), self::n($p->x), self::n(-$p->y))."\n";
                }
                $out .= "</g>\n";
            }
        }

        return $out."</svg>\n";
    }

    private static function shape(Shape $shape): string
    {
        $class = $shape->layer->value.($shape->dashed ? ' dashed' : '');
        if ($shape->kind === 'text') {
            [$x, $y, $height] = $shape->rings[0];

            return sprintf('<text class="%s" x="%s" y="%s" font-size="%s">%s</text>', $class, self::n($x), self::n(-$y), self::n($height), self::escape($shape->text))."\n";
        }
        if ($shape->kind === 'arc') {
            [$x, $y, $r, $start, $sweep] = $shape->rings[0];
            $end = $start + $sweep;

            return sprintf('<path class="%s" d="M%s %sA%s %s 0 %d %d %s %s"/>', $class, self::n($x + $r * cos($start)), self::n(-$y - $r * sin($start)), self::n($r), self::n($r),
                abs($sweep) > M_PI ? 1 : 0, $sweep > 0 ? 0 : 1, self::n($x + $r * cos($end)), self::n(-$y - $r * sin($end)))."\n";
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

        return sprintf('<path class="%s" d="%s"/>', $class, $d)."\n";
    }

    /**
     * A stretch of an ellipse, in halves: SVG draws no whole turn from a point to itself.
     *
     * @param  list<float>  $curve
     */
    private static function arc(array $curve): string
    {
        [, $cx, $cy, $rx, $ry, $start, $sweep] = $curve;
        $d = '';
        foreach ([0.5, 1.0] as $share) {
            $t = $start + $share * $sweep;
            $d .= sprintf('A%s %s 0 0 %d %s %s', self::n($rx), self::n($ry), $sweep > 0 ? 0 : 1, self::n($cx + $rx * cos($t)), self::n(-$cy - $ry * sin($t)));
        }

        return $d;
    }

    private static function style(float $scale): string
    {
        $css = 'path{fill:none;stroke:#000;stroke-linejoin:round}text{text-anchor:middle;font-family:Archivo,sans-serif;fill:#000}';
        foreach (Layer::cases() as $layer) {
            $css .= sprintf('.%s{stroke-width:%s%s}', $layer->value, self::n($layer->weight() * $scale), $layer->fill() === null ? '' : ';fill-rule:evenodd;fill:'.$layer->fill());
        }

        return $css.sprintf('text{stroke:none}.text{stroke:none}.dashed{stroke-dasharray:%s %s}', self::n(2 * $scale), self::n($scale));
    }

    private static function n(float $value): string
    {
        $text = number_format($value, 4, '.', '');

        return str_contains($text, '.') ? (rtrim(rtrim($text, '0'), '.') === '-0' ? '0' : rtrim(rtrim($text, '0'), '.')) : $text;
    }

    private static function id(string $key): string
    {
        return 'sym-'.preg_replace('/[^A-Za-z0-9_.-]/', '-', $key);
    }

    private static function escape(string $text): string
    {
        return htmlspecialchars($text, ENT_XML1 | ENT_QUOTES, 'UTF-8');
    }
}
