<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Fields;

/** Glazing bars, evenly over the pane: they divide the glass, or lie on it on both faces. */
final readonly class Bars
{
    private function __construct(public int $upright, public int $level, public float $width, public bool $onPane)
    {
    }

    public static function from(Fields $f): self
    {
        return new self(
            $f->has('upright') ? $f->count('upright', 'The number of upright glazing bars', 0, 40) : 0,
            $f->has('level') ? $f->count('level', 'The number of level glazing bars', 0, 40) : 0,
            $f->has('width') ? $f->size('width', 'The width of a glazing bar') : 22.0,
            $f->bool('onPane'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['upright' => $this->upright, 'level' => $this->level, 'width' => $this->width] + ($this->onPane ? ['onPane' => true] : []);
    }
}
