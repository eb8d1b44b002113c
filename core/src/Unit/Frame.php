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
     * @param  array{projection: float, height: float, horns: float}|null  $cill  how far it stands out of the wall's outer face, its
     *    height, and how far it runs past each jamb, mm
     * @param  array{face: float, proud: float, outside: bool, inside: bool}|null  $trim  face width, and how far it stands proud of the
     *    wall, mm
     */
    private function __construct(
        public float $left,
        public float $right,
        public float $head,
        public float $sill,
        public float $depth,
        public bool $mitred,
        public ?array $cill,
        public ?array $trim,
    ) {
    }

    public static function from(Fields $f): self
    {
        $jamb = $f->has('jamb') ? $f->size('jamb', 'The face width of a frame', 0.0) : 0.0;
        $cill = $f->has('cill') ? $f->fields('cill') : null;
        $trim = $f->has('trim') ? $f->fields('trim') : null;

        return new self(
            $f->has('left') ? $f->size('left', 'The face width of a frame', 0.0) : $jamb,
            $f->has('right') ? $f->size('right', 'The face width of a frame', 0.0) : $jamb,
            $f->size('head', 'The face width of a frame', 0.0),
            $f->size('sill', 'The face width of a frame', 0.0),
            $f->size('depth', 'The depth of a frame'),
            $f->bool('mitred'),
            $cill === null ? null : [
                'projection' => $cill->size('projection', 'The projection of a cill', 0.0),
                'height' => $cill->size('height', 'The height of a cill'),
                'horns' => $cill->has('horns') ? $cill->size('horns', 'The horn of a cill', 0.0) : 0.0,
            ],
            $trim === null ? null : [
                'face' => $trim->size('face', 'The face width of a trim'),
                'proud' => $trim->size('proud', 'The thickness of a trim'),
                'outside' => $trim->bool('outside', true),
                'inside' => $trim->bool('inside'),
            ],
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
            + ($this->cill !== null ? ['cill' => $this->cill] : [])
            + ($this->trim !== null ? ['trim' => $this->trim] : []);
    }
}
