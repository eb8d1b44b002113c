<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Fields;

/** The frame of a sash or leaf and what it holds. */
final readonly class Sash
{
    /**
     * @param  float  $face  face width of stiles, mm
     * @param  float  $topRail  mm
     * @param  float  $bottomRail  mm
     * @param  float  $depth  mm
     * @param  int  $columns  panels side by side, of a panelled leaf
     * @param  int  $rows  panels over each other
     * @param  float  $innerRail  face width of the rails and muntins between panels, and of a part-glazed leaf's middle rail, mm
     * @param  float  $glazedFrom  height over the leaf's foot at which the glass of a part-glazed leaf begins, mm
     */
    private function __construct(
        public float $face,
        public float $topRail,
        public float $bottomRail,
        public float $depth,
        public LeafStyle $style,
        public int $columns,
        public int $rows,
        public float $innerRail,
        public float $glazedFrom,
    ) {
    }

    public static function from(Fields $f): self
    {
        $face = $f->size('sashFace', 'The face width of a sash');

        return new self(
            $face,
            $f->has('topRail') ? $f->size('topRail', 'The face width of a top rail') : $face,
            $f->has('bottomRail') ? $f->size('bottomRail', 'The face width of a bottom rail') : $face,
            $f->size('sashDepth', 'The depth of a sash'),
            $f->choice('style', LeafStyle::class, LeafStyle::Glazed),
            $f->has('columns') ? $f->count('columns', 'The number of panels across', 1, 12) : 2,
            $f->has('rows') ? $f->count('rows', 'The number of panels up', 1, 12) : 3,
            $f->has('innerRail') ? $f->size('innerRail', 'The face width of the rails between panels') : $face,
            $f->has('glazedFrom') ? $f->size('glazedFrom', 'The height at which the glass begins') : 900.0,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['sashFace' => $this->face, 'topRail' => $this->topRail, 'bottomRail' => $this->bottomRail, 'sashDepth' => $this->depth]
            + match ($this->style) {
                LeafStyle::Glazed => [],
                LeafStyle::Flush => ['style' => $this->style->value],
                LeafStyle::Panelled => [
                    'style' => $this->style->value,
                    'columns' => $this->columns,
                    'rows' => $this->rows,
                    'innerRail' => $this->innerRail,
                ],
                LeafStyle::PartGlazed => [
                    'style' => $this->style->value,
                    'innerRail' => $this->innerRail,
                    'glazedFrom' => $this->glazedFrom,
                ],
            };
    }
}
