<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Fields;

/** One compartment of a unit: glass or a solid infill, straight in the frame or in a sash or leaf that opens. */
final readonly class Light implements Node
{
    /**
     * @param  float  $sashFace  face width of stiles and top rail, mm; 0 for a pane in the frame
     * @param  float  $bottomRail  face width of the bottom rail, mm
     * @param  float  $sashDepth  mm
     * @param  float  $glass  thickness of the glazing unit or the infill, mm
     * @param  bool  $solid  filled with a solid infill rather than glass
     */
    private function __construct(
        public Operation $operation,
        public HingeSide $hinge,
        public Opens $opens,
        public float $sashFace,
        public float $bottomRail,
        public float $sashDepth,
        public float $glass,
        public bool $solid,
    ) {
    }

    public static function from(Fields $f): self
    {
        $operation = $f->choice('operation', Operation::class);
        $solid = $f->bool('solid');
        $thickness = $f->size('glass', $solid ? 'The thickness of the infill' : 'The thickness of the glass');
        if ($operation === Operation::Fixed) {
            return new self($operation, HingeSide::Left, Opens::Inward, 0.0, 0.0, 0.0, $thickness, $solid);
        }
        $face = $f->size('sashFace', 'The face width of a sash');

        return new self(
            $operation,
            $operation->isHanded() ? $f->choice('hinge', HingeSide::class) : HingeSide::Left,
            $operation->isOneWay() ? $f->choice('opens', Opens::class) : Opens::Inward,
            $face,
            $f->has('bottomRail') ? $f->size('bottomRail', 'The face width of a bottom rail') : $face,
            $f->size('sashDepth', 'The depth of a sash'),
            $thickness,
            $solid,
        );
    }

    public function toArray(): array
    {
        $filling = ['glass' => $this->glass] + ($this->solid ? ['solid' => true] : []);
        if ($this->operation === Operation::Fixed) {
            return ['operation' => $this->operation->value] + $filling;
        }

        return ['operation' => $this->operation->value]
            + ($this->operation->isHanded() ? ['hinge' => $this->hinge->value] : [])
            + ($this->operation->isOneWay() ? ['opens' => $this->opens->value] : [])
            + ['sashFace' => $this->sashFace, 'bottomRail' => $this->bottomRail, 'sashDepth' => $this->sashDepth] + $filling;
    }
}
