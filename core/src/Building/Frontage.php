<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Geometry\Upright;

/** One continuous outer surface through all its storeys, with its own u from its left end. */
final readonly class Frontage
{
    private const COMPASS = ['North', 'North-east', 'East', 'South-east', 'South', 'South-west', 'West', 'North-west'];

    /**
     * @param  string  $outline  the outline it begins with
     * @param  float  $bearing  compass bearing it faces, a curved one at its middle; degrees clockwise from north
     * @param  non-empty-array<string, float>  $walls  wall id → u of the wall's left end, mm
     * @param  bool  $folds  it meets the frontage before it at a corner, so they unfold side by side
     * @param  bool  $inner  a face of inner walls
     * @param  array{float, float}|null  $bearings  of a curved one, at its left and its right end
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $outline,
        public float $bearing,
        public Upright $surface,
        public float $width,
        public float $foot,
        public float $head,
        public array $walls,
        public bool $folds,
        public bool $inner = false,
        public ?array $bearings = null,
    ) {
    }

    /** The eighth of the compass it faces: "North", "North-east" … */
    public function facing(): string
    {
        return self::eighth($this->bearing);
    }

    /** @param  float  $bearing  degrees clockwise from north */
    public static function eighth(float $bearing): string
    {
        return self::COMPASS[((int) round($bearing / 45)) % 8];
    }
}
