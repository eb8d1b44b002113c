<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Zero;

/** How a leaf moves, from shut to wholly open. */
final readonly class Motion
{
    /**
     * @param  float  $at  x of an upright axis or y of a level one, mm
     * @param  float  $z  depth of the axis behind the unit's outer side, mm
     * @param  float  $angle  turned when wholly open, radians, {@see Pose}
     * @param  float  $dx  slid when wholly open, mm
     * @param  array{index: int, jamb: float, width: float, thick: float}|null  $fold  place among folding leaves, counted from the jamb
     *    they go to; width negative when that is the right one; thickness
     */
    private function __construct(
        public bool $upright,
        public float $at,
        public float $z,
        public float $angle,
        public float $dx,
        public float $dy,
        public ?array $fold,
    ) {
    }

    public static function still(): self
    {
        return new self(true, 0.0, 0.0, 0.0, 0.0, 0.0, null);
    }

    public static function turning(bool $upright, float $at, float $z, float $angle): self
    {
        return new self($upright, $at, $z, $angle, 0.0, 0.0, null);
    }

    public static function sliding(float $dx, float $dy): self
    {
        return new self(true, 0.0, 0.0, 0.0, $dx, $dy, null);
    }

    /**
     * @param  float  $z  depth of the face that the leaves open to
     * @param  float  $angle  of each leaf when wholly folded
     */
    public static function folding(int $index, float $jamb, float $width, float $thick, float $z, float $angle): self
    {
        return new self(true, 0.0, $z, $angle, 0.0, 0.0, ['index' => $index, 'jamb' => $jamb, 'width' => $width, 'thick' => $thick]);
    }

    public function moves(): bool
    {
        return $this->angle !== 0.0 || $this->dx !== 0.0 || $this->dy !== 0.0;
    }

    /** @param  float  $share  how far open, 0 to 1 */
    public function at(float $share): Pose
    {
        $angle = $this->angle * $share;
        if ($this->fold === null) {
            return new Pose($this->upright, $this->at, $this->z, $angle, $this->dx * $share, $this->dy * $share);
        }
        // a zigzag from the track: leaves hang on each other by turns at the face away from it and at the face that they open to,
        // so that folded they lie against each other; a pair takes 2·(width·cos + thickness·sin) along the track
        ['index' => $i, 'jamb' => $jamb, 'width' => $w, 'thick' => $t] = $this->fold;
        $start = $jamb + $i * $w;
        $pair = 2 * ($w * cos($angle) + ($w > 0 ? 1 : -1) * $t * sin(abs($angle)));
        $odd = $i % 2 === 1;
        $along = intdiv($i, 2) * $pair + ($odd ? $pair - $w * cos($angle) : 0.0) - $i * $w;
        $off = $odd ? abs($w) * sin(abs($angle)) * ($this->angle * $w > 0 ? 1 : -1) : 0.0;

        return new Pose(true, $start, $this->z, $i % 2 === 1 ? -$angle : $angle, $along, 0.0, $off);
    }

    public function mirrored(float $width): self
    {
        return new self(
            $this->upright, $this->upright ? $width - $this->at : $this->at, $this->z, $this->upright ? -$this->angle : $this->angle,
            Zero::plain(-$this->dx), $this->dy,
            $this->fold === null ? null : [
                'index' => $this->fold['index'],
                'jamb' => $width - $this->fold['jamb'],
                'width' => -$this->fold['width'],
            ] + $this->fold);
    }
}
