<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A glazing unit, panes and gaps by turns from outside in, and its place in the depth; or a solid infill in its place. */
final readonly class Glazing
{
    /** How far the glass runs into its frame, mm (common practice). */
    public const EDGE_COVER = 15.0;

    private float $thickness;

    /**
     * @param  non-empty-list<float>  $layers  pane, gap, pane … mm; of a solid infill its thickness
     * @param  float|null  $at  its outer face behind the unit's outer side, mm; null for the middle of what holds it
     */
    private function __construct(public bool $solid, public array $layers, public float $edgeCover, public ?float $at)
    {
        $this->thickness = array_sum($layers);
    }

    public static function from(Fields $f): self
    {
        $solid = $f->bool('solid');
        $layers = [];
        if (! $solid && $f->has('glazing')) {
            foreach (array_keys($f->array('glazing')) as $i) {
                $layers[] = (new Fields($f->array('glazing'), $f->units()))->size(
                    (string) $i,
                    $i % 2 === 0 ? 'The thickness of a pane' : 'The gap between panes',
                );
            }
            if ($layers === [] || count($layers) % 2 === 0 || count($layers) > 9) {
                throw Refusal::because(
                    'unit.glazing',
                    sprintf('A glazing unit is a pane, or panes with gaps between them (6, 16, 6); %d figures were given.', count($layers)),
                    details: ['field' => 'glazing'],
                );
            }
        } else {
            $thickness = $f->size('glass', $solid ? 'The thickness of the infill' : 'The thickness of the glass');
            // a thickness alone: from 18 mm on two panes of 6 mm, else one pane
            $layers = ! $solid && $thickness >= 18 ? [6.0, $thickness - 12, 6.0] : [$thickness];
        }

        return new self(
            $solid,
            $layers,
            $f->has('edgeCover') ? $f->size('edgeCover', 'The edge cover', 0.0) : self::EDGE_COVER,
            $f->has('glassAt') ? $f->length('glassAt') : null,
        );
    }

    public function thickness(): float
    {
        return $this->thickness;
    }

    /** The panes together, without gaps, mm. */
    public function glass(): float
    {
        $sum = 0.0;
        foreach ($this->solid ? [] : $this->layers as $i => $layer) {
            $sum += $i % 2 === 0 ? $layer : 0.0;
        }

        return $sum;
    }

    /** "6-16-6". */
    public function text(): string
    {
        return implode('-', array_map(static fn (float $l): string => rtrim(rtrim(sprintf('%.1f', $l), '0'), '.'), $this->layers));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ($this->solid ? ['solid' => true, 'glass' => $this->layers[0]] : ['glazing' => $this->layers])
            + ($this->edgeCover !== self::EDGE_COVER ? ['edgeCover' => $this->edgeCover] : [])
            + ($this->at !== null ? ['glassAt' => $this->at] : []);
    }
}
