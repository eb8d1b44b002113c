<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Drawing\Drawing;
use Isleward\Core\Drawing\Fineness;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Exchange\SvgPath;

/**
 * A sheet of paper that is drawn on, in mm from its upper left corner, y down; written as SVG 1.1 whose text stays text. It
 * says how each mark looks at the mark itself, so that a sheet can stand inside another document.
 */
final class Page
{
    private const INK = '#16211f';

    private string $body = '';

    public function __construct(public readonly float $width, public readonly float $height, private readonly string $title)
    {
    }

    public function line(float $x0, float $y0, float $x1, float $y1, float $weight = 0.18): void
    {
        $this->body .= sprintf(
            '<path d="M%s %sL%s %s" stroke="%s" stroke-width="%s"/>',
            SvgPath::n($x0),
            SvgPath::n($y0),
            SvgPath::n($x1),
            SvgPath::n($y1),
            self::INK,
            SvgPath::n($weight),
        )."\n";
    }

    public function box(float $x, float $y, float $width, float $height, float $weight = 0.35, ?string $fill = null): void
    {
        $this->body .= sprintf(
            '<rect x="%s" y="%s" width="%s" height="%s" fill="%s" stroke="%s" stroke-width="%s"/>',
            SvgPath::n($x),
            SvgPath::n($y),
            SvgPath::n($width),
            SvgPath::n($height),
            $fill ?? 'none',
            self::INK,
            SvgPath::n($weight),
        )."\n";
    }

    /**
     * @param  float  $size  of the letters, mm
     * @param  'start'|'middle'|'end'  $anchor
     * @param  float  $turn  counter-clockwise, degrees
     * @param  bool  $halo  white behind the letters, for text on a drawing
     */
    public function text(
        float $x,
        float $y,
        float $size,
        string $text,
        string $anchor = 'start',
        bool $strong = false,
        bool $faint = false,
        float $turn = 0.0,
        bool $halo = false,
    ): void {
        if ($text === '') {
            return;
        }
        $this->body .= sprintf('<text x="%s" y="%s" font-size="%s"%s%s%s%s%s>%s</text>', SvgPath::n($x), SvgPath::n($y), SvgPath::n($size),
            $anchor === 'start' ? '' : ' text-anchor="'.$anchor.'"', $strong ? ' font-weight="600"' : '', $faint ? ' fill="#5b6864"' : '',
            $turn === 0.0 ? '' : sprintf(' transform="rotate(%s %s %s)"', SvgPath::n(-$turn), SvgPath::n($x), SvgPath::n($y)),
            $halo ? sprintf(' stroke="#fff" stroke-width="%s" paint-order="stroke" stroke-linejoin="round"', SvgPath::n($size * 0.3)) : '',
            SvgPath::escape($text))."\n";
    }

    /**
     * @param  list<Shape>  $shapes  mm of the building, y up
     * @param  float  $x  where the shapes' origin lies, mm of paper
     * @param  float  $scale  20 for 1:20
     */
    public function drawing(array $shapes, float $x, float $y, float $scale): void
    {
        $this->body .= sprintf(
            '<g transform="translate(%s %s) scale(%s)" stroke="%s" stroke-linejoin="round">',
            SvgPath::n($x),
            SvgPath::n($y),
            rtrim(number_format(1 / $scale, 8, '.', ''), '0'),
            self::INK,
        )."\n";
        $fine = Fineness::at($scale);
        foreach ($shapes as $shape) {
            if ($shape->kind !== 'text') {
                $this->body .= sprintf(
                    '<path d="%s" fill="%s" fill-rule="evenodd" %s%s/>', SvgPath::of($shape),
                    $shape->kind === 'area' ? $shape->layer->fill() ?? 'none' : 'none',
                    $fine->hasOutline($shape) ? 'stroke-width="'.SvgPath::n($fine->weight($shape->layer) * $scale).'"' : 'stroke="none"',
                    $shape->dashed ? sprintf(' stroke-dasharray="%s %s"', SvgPath::n(2 * $scale), SvgPath::n($scale)) : '')."\n";
            }
        }
        $this->body .= "</g>\n";
    }

    public function circle(float $x, float $y, float $radius, float $weight = 0.18): void
    {
        $this->body .= sprintf(
            '<circle cx="%s" cy="%s" r="%s" fill="none" stroke="%s" stroke-width="%s"/>',
            SvgPath::n($x),
            SvgPath::n($y),
            SvgPath::n($radius),
            self::INK,
            SvgPath::n($weight),
        )."\n";
    }

    /**
     * A whole drawing with its placed symbols and its texts.
     *
     * @param  float  $x  where its upper left corner lies, mm of paper
     * @param  float  $scale  100 for 1:100
     */
    public function whole(Drawing $drawing, float $x, float $y, float $scale): void
    {
        [$left, , , $top] = $drawing->bounds;
        [$ox, $oy] = [$x - $left / $scale, $y + $top / $scale];
        $under = array_values(
            array_filter($drawing->shapes, static fn (Shape $s): bool => $s->kind !== 'text' && $s->layer === Layer::Face),
        );
        $this->drawing($under, $ox, $oy, $scale);
        foreach ($drawing->placements as $p) {
            $this->drawing($drawing->symbols[$p->symbol], $ox + $p->x / $scale, $oy - $p->y / $scale, $scale);
        }
        $this->drawing(
            array_values(array_filter($drawing->shapes, static fn (Shape $s): bool => $s->kind !== 'text' && $s->layer !== Layer::Face)),
            $ox,
            $oy,
            $scale,
        );
        foreach ($drawing->shapes as $shape) {
            if ($shape->kind === 'text') {
                [$tx, $ty, $height] = $shape->rings[0];
                $this->text(
                    $ox + $tx / $scale,
                    $oy - $ty / $scale + $height / $scale * 0.35,
                    $height / $scale,
                    $shape->text,
                    'middle',
                    halo: true,
                );
            }
        }
    }

    public function svg(): string
    {
        return '<?xml version="1.0" encoding="UTF-8"?>'."\n"
            .sprintf(
                '<svg xmlns="http://www.w3.org/2000/svg" version="1.1" width="%smm" height="%smm" viewBox="0 0 %s %s" font-family="Archivo, \'Archivo Variable\', sans-serif" fill="%s">',
                SvgPath::n($this->width), SvgPath::n($this->height), SvgPath::n($this->width), SvgPath::n($this->height), self::INK)."\n"
            .'<title>'.SvgPath::escape($this->title)."</title>\n"
            .sprintf('<rect width="%s" height="%s" fill="#fff"/>', SvgPath::n($this->width), SvgPath::n($this->height))."\n"
            .$this->body."</svg>\n";
    }
}
