<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Measure\Refusal;

/** An outline that no walls can stand on. */
final class InvalidOutline extends Refusal
{
    public static function tooFew(bool $closed): self
    {
        return new self('outline.too_few', $closed ? 'A closed outline needs three corners or more.' : 'A wall needs two ends.');
    }

    public static function noLength(int $side): self
    {
        return new self(
            'outline.no_length',
            sprintf('Side %d has no length: two corners lie on one spot.', $side),
            details: ['side' => $side],
        );
    }

    public static function selfCrossing(int $side, int $other): self
    {
        return new self(
            'outline.self_crossing',
            sprintf('Sides %d and %d cross or touch: an outline may not meet itself.', $side, $other),
            details: ['sides' => [$side, $other]],
        );
    }

    public static function tooSharp(int $corner, float $degrees): self
    {
        return new self(
            'outline.too_sharp',
            sprintf('At corner %d the sides meet at %.1f°; walls need 15° at the least to be joined.', $corner, $degrees),
            details: ['corner' => $corner],
        );
    }

    public static function badPoint(): self
    {
        return new self('outline.point', 'Each corner needs an x and a y.');
    }

    public static function upsideDown(): self
    {
        return new self('wall.upside_down', 'A wall’s last storey cannot lie under its first.');
    }
}
