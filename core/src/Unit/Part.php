<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** One part of a division: a fixed clear size, or a share of what the fixed ones leave. */
final readonly class Part
{
    /** @param  float|null  $fixed clear size in mm, or null for a share */
    private function __construct(public ?float $fixed, public float $share, public Node $node)
    {
    }

    public static function from(Fields $f, int $depth): self
    {
        $fixed = $f->has('fixed') ? $f->size('fixed', 'A fixed part') : null;
        $share = $f->has('share') ? $f->number('share') : 1.0;
        if ($share <= 0) {
            throw Refusal::because('unit.share', 'A share must be more than nothing.');
        }

        return new self($fixed, $share, UnitTree::node($f->fields('node'), $depth + 1));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [...($this->fixed !== null ? ['fixed' => $this->fixed] : ['share' => $this->share]), 'node' => $this->node->toArray()];
    }
}
