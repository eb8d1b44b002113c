<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;

/**
 * The size that masonry is set out by: a unit with one joint, along and up. An opening of n units has one joint more than
 * its units, a pier one less; a height is counted from a bed joint. Brickwork: 225 × 75 with joints of 10 (BS 4729, work
 * sizes of BS EN 771-1).
 */
final readonly class Module
{
    /**
     * @param  float  $length  along the wall, unit and joint, mm
     * @param  float  $height  course, unit and joint, mm
     * @param  float  $joint  mm
     */
    private function __construct(public float $length, public float $height, public float $joint)
    {
    }

    public static function brick(): self
    {
        return new self(225.0, 75.0, 10.0);
    }

    public static function from(Fields $f): self
    {
        return new self(
            $f->size('length', 'The length of the masonry module', 10.0),
            $f->size('height', 'The height of the masonry module', 10.0),
            $f->size('joint', 'The joint of the masonry module', 0.0),
        );
    }

    /** The nearest width of an opening, mm. */
    public function opening(float $width): float
    {
        return max(1.0, round(($width - $this->joint) / $this->length)) * $this->length + $this->joint;
    }

    /** The nearest length of a pier, mm. */
    public function pier(float $length): float
    {
        return max(1.0, round(($length + $this->joint) / $this->length)) * $this->length - $this->joint;
    }

    /** The nearest height, counted from a bed joint, mm. */
    public function height(float $height): float
    {
        return round($height / $this->height) * $this->height;
    }

    /** @return array{length: float, height: float, joint: float} */
    public function toArray(): array
    {
        return ['length' => $this->length, 'height' => $this->height, 'joint' => $this->joint];
    }
}
