<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

use Isleward\Core\Drawing\Drawing;
use Isleward\Core\Drawing\Fineness;
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
        $fine = Fineness::at($scale);
        $drawing = $fine->of($drawing);
        [$x0, $y0, $x1, $y1] = $drawing->bounds;
        $w = $x1 - $x0;
        $h = $y1 - $y0;
        $out = '<?xml version="1.0" encoding="UTF-8"?>'."\n";
        $out .= sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" version="1.1" width="%smm" height="%smm" viewBox="%s %s %s %s">',
            SvgPath::n($w / $scale), SvgPath::n($h / $scale), SvgPath::n($x0), SvgPath::n(-$y1), SvgPath::n($w), SvgPath::n($h))."\n";
        $out .= '<title>'.SvgPath::escape($drawing->title)."</title>\n";
        $out .= '<desc>'.SvgPath::escape(sprintf('Units are mm of the building; drawn at 1:%s.', SvgPath::n($scale)))."</desc>\n";
        $out .= '<style>'.self::style($fine, $scale)."</style>\n<defs>\n";
        foreach ($drawing->symbols as $key => $shapes) {
            $out .= '<g id="'.self::id($key)."\">\n".implode('', array_map(static fn (Shape $s): string => self::shape($s, $fine), $shapes))."</g>\n";
        }
        $out .= "</defs>\n";
        foreach (Layer::cases() as $layer) {
            $shapes = array_filter($drawing->shapes, static fn (Shape $s): bool => $s->layer === $layer);
            if ($shapes !== []) {
                $out .= '<g id="layer-'.$layer->value."\">\n".implode('', array_map(static fn (Shape $s): string => self::shape($s, $fine), $shapes))."</g>\n";
            }
            if ($layer === Layer::Face && $drawing->placements !== []) {
                $out .= "<g id=\"layer-openings\">\n";
                foreach ($drawing->placements as $p) {
                    $out .= sprintf(
                        '<use id="%s" xlink:href="#%s" x="%s" y="%s"/>',
                        SvgPath::escape($p->element),
                        self::id($p->symbol),
                        SvgPath::n($p->x),
                        SvgPath::n(-$p->y),
                    )."\n";
                }
                $out .= "</g>\n";
            }
        }

        return $out."</svg>\n";
    }

    private static function shape(Shape $shape, Fineness $fine): string
    {
        $class = $shape->layer->value.($shape->dashed ? ' dashed' : '');
        if ($shape->kind === 'text') {
            [$x, $y, $height] = $shape->rings[0];

            return sprintf(
                '<text class="%s" x="%s" y="%s" font-size="%s">%s</text>',
                $class,
                SvgPath::n($x),
                SvgPath::n(-$y),
                SvgPath::n($height),
                SvgPath::escape($shape->text),
            )."\n";
        }

        $outline = $fine->hasOutline($shape) ? '' : ' style="stroke:none"';

        return sprintf('<path class="%s" d="%s"%s/>', $class, SvgPath::of($shape), $outline)."\n";
    }

    private static function style(Fineness $fine, float $scale): string
    {
        $css = 'path{fill:none;stroke:#000;stroke-linejoin:round}text{text-anchor:middle;font-family:Archivo,sans-serif;fill:#000}';
        foreach (Layer::cases() as $layer) {
            $css .= sprintf(
                '.%s{stroke-width:%s%s}',
                $layer->value,
                SvgPath::n($fine->weight($layer) * $scale),
                $layer->fill() === null ? '' : ';fill-rule:evenodd;fill:'.$layer->fill(),
            );
        }

        return $css.sprintf(
            'text{stroke:none}.text{stroke:none}.dashed{stroke-dasharray:%s %s}',
            SvgPath::n(2 * $scale),
            SvgPath::n($scale),
        );
    }

    private static function id(string $key): string
    {
        return 'sym-'.preg_replace('/[^A-Za-z0-9_.-]/', '-', $key);
    }
}
