<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Fields;
use Isleward\Core\Refusal;

/**
 * Where an opening lies along its wall, kept the way it was given: "1450 from the left end to the near jamb", "centre on
 * the middle". All lengths in mm along the outer face.
 */
final readonly class PositionRule
{
    /** @param  float  $value mm; for {@see Reference::Fraction} a share of the wall's length from its left end, 0 to 1 */
    private function __construct(public Reference $from, public float $value, public Jamb $to)
    {
    }

    public static function of(Reference $from, float $value, Jamb $to): self
    {
        if ($from === Reference::Fraction && ($value < 0 || $value > 1)) {
            throw Refusal::because('position.fraction', sprintf('A share of the wall runs from 0 to 100 %%; %s %% was given.', round($value * 100, 2)));
        }

        return new self($from, $value, $to);
    }

    public static function from(Fields $f): self
    {
        $from = $f->choice('from', Reference::class);

        return self::of($from, $from === Reference::Fraction ? $f->number('value') : $f->length('value'), $f->choice('to', Jamb::class));
    }

    /** Distance of the left jamb from the wall's left end, mm. */
    public function leftJamb(float $wallLength, float $width): float
    {
        $at = match ($this->from) {
            Reference::Left => $this->value,
            Reference::Right => $wallLength - $this->value,
            Reference::Middle => $wallLength / 2 + $this->value,
            Reference::Fraction => $wallLength * $this->value,
        };

        return $at - $this->pointInWidth($width);
    }

    /** The same way of measuring, with the figure that puts the left jamb where it is asked for. */
    public function withLeftJambAt(float $leftJamb, float $wallLength, float $width): self
    {
        $at = $leftJamb + $this->pointInWidth($width);

        return self::of($this->from, match ($this->from) {
            Reference::Left => $at,
            Reference::Right => $wallLength - $at,
            Reference::Middle => $at - $wallLength / 2,
            Reference::Fraction => $at / $wallLength,
        }, $this->to);
    }

    /** The rule that keeps an opening in place when its wall's left and right ends change roles. */
    public function turned(): self
    {
        return match ($this->from) {
            Reference::Left => new self(Reference::Right, $this->value, $this->to),
            Reference::Right => new self(Reference::Left, $this->value, $this->to),
            Reference::Middle => new self($this->from, -$this->value + 0.0, self::otherJamb($this->to)),
            Reference::Fraction => new self($this->from, 1 - $this->value, self::otherJamb($this->to)),
        };
    }

    /** @return array{from: string, value: float, to: string} */
    public function toArray(): array
    {
        return ['from' => $this->from->value, 'value' => $this->value, 'to' => $this->to->value];
    }

    /** How far right of the left jamb the measured point lies. */
    private function pointInWidth(float $width): float
    {
        return match ($this->to) {
            Jamb::Centre => $width / 2,
            Jamb::Near => $this->from === Reference::Right ? $width : 0.0,
            Jamb::Far => $this->from === Reference::Right ? 0.0 : $width,
        };
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
