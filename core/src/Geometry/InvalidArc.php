<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** An arc that no circle makes. */
final class InvalidArc extends Refusal
{
    public static function radiusTooSmall(float $radius, float $chord): self
    {
        return new self('arc.radius', sprintf(
            'A radius of %s is under half the chord of %s: no arc of it reaches from one end to the other. Give %s or more.',
            Length::mark($radius),
            Length::mark($chord),
            Length::mark($chord / 2),
        ), details: ['field' => 'radius', 'least' => $chord / 2]);
    }

    public static function noRise(): self
    {
        return new self('arc.rise', 'An arc with no rise is straight: give how far its middle stands off the chord.', details: ['field' => 'rise']);
    }

    public static function tooShort(float $length, float $chord): self
    {
        return new self('arc.length', sprintf(
            'An arc %s long is no longer than its chord of %s: give more.',
            Length::mark($length),
            Length::mark($chord),
        ), details: ['field' => 'length', 'least' => $chord]);
    }

    public static function badAngle(float $degrees): self
    {
        return new self('arc.angle', sprintf(
            'An arc turns by more than 0° and by %d° at the most; %s° was given.',
            ArcFigures::MOST,
            round($degrees, 3),
        ), details: ['field' => 'angle']);
    }

    public static function inLine(): self
    {
        return new self('arc.in_line', 'The three points lie on one line: no arc goes through them.', details: ['field' => 'through']);
    }

    public static function turnsBack(): self
    {
        return new self(
            'arc.turns_back',
            'An arc that runs on from the stretch before would have to turn right back: no arc ends there.',
            details: ['field' => 'tangent'],
        );
    }
}
