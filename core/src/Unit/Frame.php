<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Side;
use Isleward\Core\Measure\Fields;

/** The frame round a unit, its cill, and the trim that stands proud of the wall round it. */
final readonly class Frame
{
    /**
     * @param  float  $left  face width, mm; 0 for none on that side (a door without a threshold)
     * @param  float  $depth  mm
     * @param  bool  $mitred  corners cut at the bisector; else jambs run through and heads and sills stop at them
     */
    private function __construct(
        public float $left,
        public float $right,
        public float $head,
        public float $sill,
        public float $depth,
        public bool $mitred,
        public ?CillSize $cill,
        public ?TrimSize $trim,
    ) {
    }

    public static function from(Fields $f): self
    {
        $jamb = $f->has('jamb') ? $f->size('jamb', 'The face width of a frame', 0.0) : 0.0;

        return new self(
            $f->has('left') ? $f->size('left', 'The face width of a frame', 0.0) : $jamb,
            $f->has('right') ? $f->size('right', 'The face width of a frame', 0.0) : $jamb,
            $f->size('head', 'The face width of a frame', 0.0),
            $f->size('sill', 'The face width of a frame', 0.0),
            $f->size('depth', 'The depth of a frame'),
            $f->bool('mitred'),
            $f->has('cill') ? CillSize::from($f->fields('cill')) : null,
            $f->has('trim') ? TrimSize::from($f->fields('trim')) : null,
        );
    }

    public function width(Side $side): float
    {
        return match ($side) {
            Side::Left => $this->left,
            Side::Right => $this->right,
            Side::Head => $this->head,
            Side::Sill => $this->sill,
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ($this->left === $this->right ? ['jamb' => $this->left] : ['left' => $this->left, 'right' => $this->right])
            + ['head' => $this->head, 'sill' => $this->sill, 'depth' => $this->depth]
            + ($this->mitred ? ['mitred' => true] : [])
            + ($this->cill !== null ? ['cill' => $this->cill->toArray()] : [])
            + ($this->trim !== null ? ['trim' => $this->trim->toArray()] : []);
    }
}
