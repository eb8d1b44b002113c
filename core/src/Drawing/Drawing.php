<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

/** Shapes and placed symbols in mm, y up: the one source for screen, SVG and print. */
final readonly class Drawing
{
    /**
     * @param  list<Shape>  $shapes
     * @param  array<string, list<Shape>>  $symbols
     * @param  list<Placement>  $placements
     * @param  array{float, float, float, float}  $bounds  x0, y0, x1, y1
     */
    public function __construct(
        public string $title,
        public array $bounds,
        public array $shapes,
        public array $symbols = [],
        public array $placements = [],
    ) {
    }

    /**
     * Drawings side by side in one, each moved right by its offset; their symbols are shared.
     *
     * @param  list<array{self, float}>  $parts
     */
    public static function sideBySide(string $title, array $parts): self
    {
        $shapes = $symbols = $placements = [];
        $bounds = [0.0, 0.0, 0.0, 0.0];
        foreach ($parts as $i => [$part, $x]) {
            foreach ($part->shapes as $shape) {
                $shapes[] = $shape->placed($x, 0.0, 0.0);
            }
            $symbols += $part->symbols;
            foreach ($part->placements as $p) {
                $placements[] = new Placement($p->symbol, $p->x + $x, $p->y, $p->element);
            }
            [$x0, $y0, $x1, $y1] = $part->bounds;
            $bounds = $i === 0 ? [$x0 + $x, $y0, $x1 + $x, $y1]
                : [min($bounds[0], $x0 + $x), min($bounds[1], $y0), max($bounds[2], $x1 + $x), max($bounds[3], $y1)];
        }

        return new self($title, $bounds, $shapes, $symbols, $placements);
    }

    /**
     * @param  list<Shape>  $shapes
     * @return list<array<string, mixed>>
     */
    public static function plain(array $shapes): array
    {
        return array_map(static fn (Shape $s): array => $s->toArray(), $shapes);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $all = self::plain(...);

        return [
            'title' => $this->title,
            'bounds' => $this->bounds,
            'shapes' => $all($this->shapes),
            'symbols' => (object) array_map($all, $this->symbols), // by name also when there is none
            'placements' => array_map(static fn (Placement $p): array => $p->toArray(), $this->placements),
        ];
    }
}
