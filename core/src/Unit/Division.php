<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Fields;
use Isleward\Core\Refusal;

/** A region divided into parts by mullions or transoms of one section. */
final readonly class Division implements Node
{
    /**
     * @param  float  $face  face width of the dividers, mm
     * @param  non-empty-list<Part>  $parts  left to right, or bottom to top
     */
    private function __construct(public Axis $axis, public float $face, public array $parts)
    {
    }

    public static function from(Fields $f, int $depth): self
    {
        $parts = array_map(static fn (Fields $part): Part => Part::from($part, $depth), $f->list('parts'));
        if (count($parts) < 2) {
            throw Refusal::because('unit.division', 'A division needs two parts or more.');
        }

        return new self($f->choice('axis', Axis::class), $f->size('face', 'The face width of a divider'), $parts);
    }

    /**
     * The parts' clear sizes, which with the dividers between them make up $total exactly.
     *
     * @return list<float> mm
     */
    public function sizes(float $total): array
    {
        $left = $total - $this->face * (count($this->parts) - 1);
        $shares = 0.0;
        foreach ($this->parts as $part) {
            $left -= $part->fixed ?? 0.0;
            $shares += $part->fixed === null ? $part->share : 0.0;
        }
        if ($left < 0 || ($shares === 0.0 && $left > 1e-6)) {
            throw Refusal::because('unit.division_no_room', sprintf(
                'The parts of this division take %.1f mm and %.1f mm is there.', $total - $left, $total));
        }

        return array_map(static fn (Part $p): float => $p->fixed ?? $left * $p->share / $shares, $this->parts);
    }

    public function toArray(): array
    {
        return ['axis' => $this->axis->value, 'face' => $this->face, 'parts' => array_map(static fn (Part $p): array => $p->toArray(), $this->parts)];
    }
}
