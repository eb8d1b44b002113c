<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Zero;

/**
 * Blades that fill a light: as many as fit at the pitch with what remains shared between top and bottom, or a typed number.
 * A blade is laid across the light, its section $chord long and $thickness thick, its outer edge the lower one by $angle.
 */
final readonly class Louvre
{
    /**
     * @param  float  $chord  length of a blade's section, mm
     * @param  float  $thickness  mm
     * @param  float  $angle  of the section from level, degrees; 0 level, 90 shut
     * @param  float|null  $pitch  between blades, mm; null when their number is typed
     * @param  float  $face  face width of the louvre's own frame, mm
     */
    private function __construct(
        public BladeProfile $profile,
        public float $chord,
        public float $thickness,
        public float $angle,
        public ?float $pitch,
        public ?int $count,
        public float $face,
    ) {
    }

    public static function from(Fields $f): self
    {
        $angle = $f->has('angle') ? $f->number('angle') : 45.0;
        if ($angle < 0 || $angle > 90) {
            throw Refusal::because(
                'louvre.angle',
                sprintf('A blade stands at 0° (level) to 90° (shut); %s° was given.', $angle),
                details: ['field' => 'louvre.angle'],
            );
        }
        $thickness = $f->has('thickness') ? $f->size('thickness', 'The thickness of a blade', 0.5) : 2.0;
        $chord = $f->has('chord') ? $f->size('chord', 'The depth of a blade') : 80.0;
        if ($thickness >= $chord) {
            throw Refusal::because(
                'louvre.thick',
                sprintf('A blade %s deep cannot be %s thick.', UnitTree::mm($chord), UnitTree::mm($thickness)),
                details: ['field' => 'louvre.thickness'],
            );
        }
        $count = $f->has('count') ? $f->count('count', 'The number of blades', 1, 400) : null;

        return new self(
            $f->choice('profile', BladeProfile::class, BladeProfile::Flat),
            $chord,
            $thickness,
            Zero::plain($angle),
            $count === null ? ($f->has('pitch') ? $f->size('pitch', 'The pitch of the blades') : 75.0) : null,
            $count,
            $f->has('face') ? $f->size('face', 'The face width of the louvre’s frame', 0.0) : 25.0,
        );
    }

    /** Height that a blade takes up, square on, mm. */
    public function projected(): float
    {
        $a = deg2rad($this->angle);

        return match ($this->profile) {
            BladeProfile::Flat => $this->chord * sin($a) + $this->thickness * cos($a),
            // an upstand at its back and a downstand at its front, each a quarter of the chord
            BladeProfile::Z => $this->chord * sin($a) + $this->chord / 2,
            BladeProfile::Ellipse => hypot($this->chord * sin($a), $this->thickness * cos($a)),
        };
    }

    /** Depth of a blade from front to back, mm. */
    public function depth(): float
    {
        $a = deg2rad($this->angle);

        return $this->profile === BladeProfile::Ellipse
            ? hypot($this->chord * cos($a), $this->thickness * sin($a)) : $this->chord * cos($a) + $this->thickness * sin($a);
    }

    /** The clear gap between two blades, at right angles to the way through, mm; 0 when they shut. */
    public function gap(float $pitch): float
    {
        $a = deg2rad($this->angle);
        $thick = match ($this->profile) {
            BladeProfile::Flat, BladeProfile::Ellipse => $this->thickness,
            BladeProfile::Z => $this->chord / 2 * cos($a) + $this->thickness,
        };

        return max(0.0, $pitch * cos($a) - $thick);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['profile' => $this->profile->value, 'chord' => $this->chord, 'thickness' => $this->thickness, 'angle' => $this->angle,
            'face' => $this->face] + ($this->count !== null ? ['count' => $this->count] : ['pitch' => $this->pitch]);
    }
}
