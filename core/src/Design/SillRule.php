<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Fields;

/** How high a sill lies, kept the way it was given: "900 above the storey's floor". */
final readonly class SillRule
{
    /** @param  float  $height mm above what it is measured from */
    private function __construct(public SillDatum $from, public float $height)
    {
    }

    public static function of(SillDatum $from, float $height): self
    {
        return new self($from, $height);
    }

    public static function from(Fields $f): self
    {
        return new self($f->choice('from', SillDatum::class), $f->length('height'));
    }

    /** Level of the sill, mm above the datum. */
    public function level(float $storeyFloor, float $wallFoot): float
    {
        return $this->height + $this->origin($storeyFloor, $wallFoot);
    }

    /** The same way of measuring, with the figure that puts the sill at a level. */
    public function withLevel(float $level, float $storeyFloor, float $wallFoot): self
    {
        return new self($this->from, $level - $this->origin($storeyFloor, $wallFoot));
    }

    /** @return array{from: string, height: float} */
    public function toArray(): array
    {
        return ['from' => $this->from->value, 'height' => $this->height];
    }

    private function origin(float $storeyFloor, float $wallFoot): float
    {
        return match ($this->from) {
            SillDatum::Floor => $storeyFloor,
            SillDatum::Foot => $wallFoot,
            SillDatum::Datum => 0.0,
        };
    }
}
