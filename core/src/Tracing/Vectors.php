<?php

declare(strict_types=1);

namespace Isleward\Core\Tracing;

/** A drawing of others as lines, in its own units from its lower left corner, y up. Coordinates are flat lists of x0, y0, x1, y1. */
final readonly class Vectors
{
    /**
     * @param  list<float>  $lines  straight ones, whose ends are points to catch on
     * @param  list<float>  $curves  chords of curves
     * @param  list<float>  $lettering  outlines of letters, seen only
     * @param  list<array{x: float, y: float, size: float, angle: float, text: string}>  $texts  angle in degrees counter-clockwise
     * @param  list<string>  $notes  what was left out, in sentences
     */
    public function __construct(
        public float $width,
        public float $height,
        public array $lines,
        public array $curves,
        public array $lettering,
        public array $texts,
        public array $notes,
    ) {
    }

    public function count(): int
    {
        return intdiv(count($this->lines) + count($this->curves), 4);
    }

    /**
     * @return array{width: float, height: float, lines: list<float>, curves: list<float>, lettering: list<float>, texts: list<array{
     *    x: float, y: float, size: float, angle: float, text: string}>}
     */
    public function toArray(): array
    {
        return [
            'width' => $this->width,
            'height' => $this->height,
            'lines' => $this->lines,
            'curves' => $this->curves,
            'lettering' => $this->lettering,
            'texts' => $this->texts,
        ];
    }
}
