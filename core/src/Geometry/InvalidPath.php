<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

use Isleward\Core\Measure\Refusal;

/** A path that cannot be: no length, an arc that is none, sides that cross. */
final class InvalidPath extends Refusal
{
    public static function noLength(): self
    {
        return new self('path.no_length', 'Two points lie on one spot, so there is no line between them.');
    }

    public static function tooFlat(float $rise): self
    {
        return new self(
            'path.arc_too_flat',
            sprintf('An arc that rises %.4f mm is straight: give a rise of at least 0.1 mm, or none.', $rise),
        );
    }

    public static function offsetPastCentre(float $radius, float $offset): self
    {
        return new self(
            'path.offset_past_centre',
            sprintf('An arc of radius %.1f cannot be moved %.1f inward: it would pass its centre.', $radius, abs($offset)),
        );
    }

    public static function neverMeets(): self
    {
        return new self('path.never_meets', 'Sides that move so never meet: two that lie across from each other must come together.');
    }

    public static function sidesInLine(): self
    {
        return new self('path.sides_in_line', 'Two sides that lie in one line move at different speeds: they would part.');
    }

    public static function beyond(float $distance, float $length): self
    {
        return new self('path.beyond', sprintf('%.1f lies outside a path of length %.1f.', $distance, $length));
    }

    public static function ellipses(): self
    {
        return new self(
            'path.ellipses',
            'Shapes with elliptical sides cannot be joined with or cut by shapes with curved sides: make one of them circular or straight.',
        );
    }

    public static function noHinge(): self
    {
        return new self('path.no_hinge', 'A leaning surface is hinged at a straight foot, and leans by less than a right angle.');
    }
}
