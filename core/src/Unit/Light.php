<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Fields;

/** One compartment of a unit: a pane straight in the frame, or in a sash or leaf that opens. */
final readonly class Light implements Node
{
    /**
     * @param  float  $sashFace  face width of stiles and top rail, mm; 0 for a pane in the frame
     * @param  float  $bottomRail  face width of the bottom rail, mm
     * @param  float  $sashDepth  mm
     * @param  float  $glass  thickness of the glazing unit, mm
     */
    private function __construct(
        public Operation $operation,
        public HingeSide $hinge,
        public Opens $opens,
        public float $sashFace,
        public float $bottomRail,
        public float $sashDepth,
        public float $glass,
    ) {
    }

    public static function from(Fields $f): self
    {
        $operation = $f->choice('operation', Operation::class);
        if ($operation === Operation::Fixed) {
            return new self($operation, HingeSide::Left, Opens::Inward, 0.0, 0.0, 0.0, $f->size('glass', 'The thickness of the glass'));
        }
        $face = $f->size('sashFace', 'The face width of a sash');

        return new self(
            $operation,
            $f->choice('hinge', HingeSide::class),
            $f->choice('opens', Opens::class),
            $face,
            $f->has('bottomRail') ? $f->size('bottomRail', 'The face width of a bottom rail') : $face,
            $f->size('sashDepth', 'The depth of a sash'),
            $f->size('glass', 'The thickness of the glass'),
        );
    }

    public function toArray(): array
    {
        return $this->operation === Operation::Fixed
            ? ['operation' => $this->operation->value, 'glass' => $this->glass]
            : [
                'operation' => $this->operation->value, 'hinge' => $this->hinge->value, 'opens' => $this->opens->value,
                'sashFace' => $this->sashFace, 'bottomRail' => $this->bottomRail, 'sashDepth' => $this->sashDepth, 'glass' => $this->glass,
            ];
    }
}
