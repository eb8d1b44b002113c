<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Zero;

/**
 * How high an opening lies, kept the way it was given: "sill 900 above the storey's floor", "head in line with that one's
 * head". Also the level of a setting-out line.
 */
final readonly class SillRule
{
    /**
     * @param  float  $height  mm above what it is measured from
     * @param  string|null  $ref  the line or opening it is measured from
     * @param  Edge  $point  of that opening
     * @param  Edge  $edge  which edge of this opening the figure sets; the other follows from its height
     */
    private function __construct(public SillDatum $from, public float $height, public ?string $ref, public Edge $point, public Edge $edge)
    {
    }

    public static function of(SillDatum $from, float $height, ?string $ref = null, Edge $point = Edge::Sill, Edge $edge = Edge::Sill): self
    {
        if ($from->isOther() && $ref === null) {
            throw Refusal::because(
                'sill.no_reference',
                $from === SillDatum::Opening ? 'Say which opening the level is taken from.' : 'Say which line the level is taken from.',
            );
        }

        return new self($from, Zero::plain($height), $from->isOther() ? $ref : null, $point, $edge);
    }

    public static function from(Fields $f): self
    {
        return self::of(
            $f->choice('from', SillDatum::class), $f->length('height'), $f->stringOrNull('ref'),
            $f->choice('point', Edge::class, Edge::Sill), $f->choice('edge', Edge::class, Edge::Sill),
        );
    }

    public function withHeight(float $height): self
    {
        return new self($this->from, Zero::plain($height), $this->ref, $this->point, $this->edge);
    }

    /** @return array{from: string, height: float, ref: string|null, point: string, edge: string} */
    public function toArray(): array
    {
        return [
            'from' => $this->from->value,
            'height' => $this->height,
            'ref' => $this->ref,
            'point' => $this->point->value,
            'edge' => $this->edge->value,
        ];
    }
}
