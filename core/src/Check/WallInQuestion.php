<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Length;
use Isleward\Core\Tolerance;
use Isleward\Core\Wall\Body;
use Isleward\Core\Wall\PlacedOpening;

/** A wall with its openings where they lie, and what may be asked of it. */
final readonly class WallInQuestion
{
    /** @var list<PlacedOpening> from left to right */
    public array $placed;

    /** @param  list<PlacedOpening>  $placed */
    public function __construct(public Design $design, public Body $body, array $placed)
    {
        usort($placed, static fn (PlacedOpening $a, PlacedOpening $b): int => $a->left <=> $b->left);
        $this->placed = $placed;
    }

    public static function of(Design $design, Body $body): self
    {
        return new self($design, $body, array_map(
            static fn ($o): PlacedOpening => $design->places->of($o),
            $design->openingsOf($body->wall->id),
        ));
    }

    public function say(float $mm): string
    {
        return Length::format(abs($mm), $this->design->settings->units);
    }

    public function label(PlacedOpening $placed): string
    {
        return $this->design->label($placed->opening);
    }

    /** What an opening needs to keep off an end: the margin at a corner, nothing at a free end. */
    public function margin(bool $atRight): float
    {
        return ($atRight ? $this->body->right : $this->body->left)->joint->isCorner() ? $this->design->settings->cornerMargin : 0.0;
    }

    /** A sideways move, when the opening fits there: clear of both ends' margins, of the other openings and of what it overlaps now. */
    public function moveAside(PlacedOpening $p, float $by): ?Remedy
    {
        $left = $p->left + $by;
        $right = $p->right + $by;
        $slack = Tolerance::LENGTH;
        if ($left < $this->margin(false) - $slack || $right > $this->body->length - $this->margin(true) + $slack) {
            return null;
        }
        foreach ($this->placed as $other) {
            if ($other->opening->id !== $p->opening->id
                && $other->left < $right - $slack && $other->right > $left + $slack
                && $other->sill < $p->head - $slack && $other->head > $p->sill + $slack) {
                return null;
            }
        }

        return new Remedy(
            sprintf('Move %s to the %s', $this->say($by), $by > 0 ? 'right' : 'left'),
            'opening.change', ['id' => $p->opening->id, 'by' => ['u' => $by]],
        );
    }
}
