<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Fields;

/** A trim on the wall round a unit; mm. */
final readonly class TrimSize
{
    /**
     * @param  float  $face  its width
     * @param  float  $proud  how far it stands proud of the wall
     */
    private function __construct(public float $face, public float $proud, public bool $outside, public bool $inside)
    {
    }

    public static function from(Fields $f): self
    {
        return new self(
            $f->size('face', 'The face width of a trim'),
            $f->size('proud', 'The thickness of a trim'),
            $f->bool('outside', true),
            $f->bool('inside'),
        );
    }

    /** Whether it is on that side of the wall. */
    public function isOn(bool $outside): bool
    {
        return $outside ? $this->outside : $this->inside;
    }

    /** @return array{face: float, proud: float, outside: bool, inside: bool} */
    public function toArray(): array
    {
        return ['face' => $this->face, 'proud' => $this->proud, 'outside' => $this->outside, 'inside' => $this->inside];
    }
}
