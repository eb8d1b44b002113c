<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;

/** Where an opening lies along its wall, kept the way it was given: "1450 from the left end to the near jamb", "centre on the middle". */
final readonly class PositionRule
{
    private function __construct(public Along $along, public Jamb $to)
    {
    }

    public static function of(Along $along, Jamb $to): self
    {
        return new self($along, $to);
    }

    public static function from(Fields $f): self
    {
        return new self(Along::from($f), $f->choice('to', Jamb::class));
    }

    /** How far right of the left jamb the measured point lies, mm. */
    public function pointInWidth(float $width): float
    {
        return match ($this->to) {
            Jamb::Centre => $width / 2,
            Jamb::Near => $this->along->from === Reference::Right ? $width : 0.0,
            Jamb::Far => $this->along->from === Reference::Right ? 0.0 : $width,
        };
    }

    /** The rule mirrored about the middle of its wall, $length long. */
    public function turned(float $length): self
    {
        $ends = $this->along->from === Reference::Left || $this->along->from === Reference::Right;

        return new self($this->along->turned($length), $ends ? $this->to : self::otherJamb($this->to));
    }

    /** @return array<string, string|float|null> */
    public function toArray(): array
    {
        return [...$this->along->toArray(), 'to' => $this->to->value];
    }

    private static function otherJamb(Jamb $jamb): Jamb
    {
        return match ($jamb) {
            Jamb::Near => Jamb::Far,
            Jamb::Far => Jamb::Near,
            Jamb::Centre => Jamb::Centre,
        };
    }
}
