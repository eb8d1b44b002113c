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

    /** @var list<PlacedOpening> those that are asked about: rules about one opening look at these alone */
    public array $asked;

    public bool $inner;

    /**
     * @param  list<PlacedOpening>  $placed
     * @param  array<string, mixed>|null  $about  ids of the openings that are asked about, as keys; null for all
     */
    public function __construct(public Design $design, public Body $body, array $placed, ?array $about = null)
    {
        usort($placed, static fn (PlacedOpening $a, PlacedOpening $b): int => $a->left <=> $b->left);
        $this->placed = $placed;
        $this->asked = $about === null ? $placed : array_values(array_filter($placed, static fn (PlacedOpening $p): bool => isset($about[$p->opening->id])));
        $this->inner = $design->isInner($body->wall);
    }

    /** @param  array<string, mixed>|null  $about  ids of the openings that are asked about, as keys; null for all */
    public static function of(Design $design, Body $body, ?array $about = null): self
    {
        return new self($design, $body, array_map($design->places->of(...), $design->openingsOf($body->wall->id)), $about);
    }

    public function say(float $mm): string
    {
        return Length::format(abs($mm), $this->design->settings->units);
    }

    public function label(PlacedOpening $placed): string
    {
        return $this->design->label($placed->opening);
    }

    public function hasDoor(PlacedOpening $placed): bool
    {
        $type = $placed->opening->type;

        return $type !== null && $this->design->type($type)->hasDoor;
    }

    /** Level of the floor of an opening's storey. */
    public function floor(PlacedOpening $placed): float
    {
        return $this->design->storeys->floor($placed->opening->storey);
    }

    /** What an opening needs to keep off an end: in an outer wall the margin at a corner, in an inner one the nib beside a door; nothing at a free end. */
    public function margin(PlacedOpening $placed, bool $atRight): float
    {
        if (! ($atRight ? $this->body->right : $this->body->left)->joint->isCorner()) {
            return 0.0;
        }
        if ($this->inner) {
            return $this->hasDoor($placed) ? $this->design->settings->nib : 0.0;
        }

        return $this->design->settings->cornerMargin;
    }

    /** A sideways move, when the opening fits there: clear of both ends' margins, of the other openings and of what it overlaps now. */
    public function moveAside(PlacedOpening $p, float $by): ?Remedy
    {
        $left = $p->left + $by;
        $right = $p->right + $by;
        $slack = Tolerance::LENGTH;
        if ($left < $this->body->start() + $this->margin($p, false) - $slack || $right > $this->body->end() - $this->margin($p, true) + $slack || ! $this->isClear($p, $left, $p->sill)) {
            return null;
        }

        return new Remedy(
            sprintf('Move %s to the %s', $this->say($by), $by > 0 ? 'right' : 'left'),
            'opening.change', ['id' => $p->opening->id, 'by' => ['u' => $by]],
        );
    }

    /** A move up or down, when the opening fits there. */
    public function moveUp(PlacedOpening $p, float $by): ?Remedy
    {
        $fits = $p->sill + $by >= $this->body->foot - Tolerance::LENGTH && $p->head + $by <= $this->body->head + Tolerance::LENGTH && $this->isClear($p, $p->left, $p->sill + $by);

        return $fits ? new Remedy(
            sprintf('Move %s %s', $this->say($by), $by > 0 ? 'up' : 'down'),
            'opening.change', ['id' => $p->opening->id, 'by' => ['v' => $by]],
        ) : null;
    }

    /** @param  array{0: float, 1: float}|null  $at  (u, v); null for its middle */
    public function finding(string $rule, PlacedOpening $p, float $figure, string $what, ?Remedy $remedy, ?array $at = null): Finding
    {
        return new Finding($rule, $this->body->wall->id, [$p->opening->id], $figure, sprintf('%s %s.', ucfirst($this->label($p)), $what),
            $at ?? [($p->left + $p->right) / 2, ($p->sill + $p->head) / 2], $remedy);
    }

    private function isClear(PlacedOpening $p, float $left, float $sill): bool
    {
        $there = new PlacedOpening($p->opening, $left, $sill, $p->outline);
        foreach ($this->placed as $other) {
            if ($other->opening->id !== $p->opening->id && $there->overlaps($other)) {
                return false;
            }
        }

        return true;
    }
}
