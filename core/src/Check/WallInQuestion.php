<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Building\Abutment;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\Meeting;
use Isleward\Core\Building\Nib;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Length;

/** A wall with its openings where they lie, and what may be asked of it. */
final readonly class WallInQuestion
{
    /** @var list<PlacedOpening> from left to right */
    public array $placed;

    /** @var list<PlacedOpening> those that are asked about: rules about one opening look at these alone */
    public array $asked;

    public bool $inner;

    /** @var list<Abutment> walls that end against it */
    public array $abutments;

    /**
     * @param  list<PlacedOpening>  $placed
     * @param  array<string, mixed>|null  $about  ids of the openings that are asked about, as keys; null for all
     */
    public function __construct(public Design $design, public Body $body, array $placed, ?array $about = null)
    {
        usort($placed, static fn (PlacedOpening $a, PlacedOpening $b): int => $a->left <=> $b->left);
        $this->placed = $placed;
        $this->asked = $about === null
                    ? $placed
                    : array_values(array_filter($placed, static fn (PlacedOpening $p): bool => isset($about[$p->opening->id])));
        $this->inner = $design->isInner($body->host);
        $this->abutments = Meeting::abutments($design, $body);
    }

    /** @param  array<string, mixed>|null  $about  ids of the openings that are asked about, as keys; null for all */
    public static function of(Design $design, Body $body, ?array $about = null): self
    {
        return new self($design, $body, array_map(Places::in($design)->of(...), $design->openingsOf($body->host->id())), $about);
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

    /**
     * What an opening needs to keep off an end: in an outer wall the margin at a corner, in an inner one the nib beside a door; nothing at
     * a free end.
     */
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

    /**
     * What an opening keeps off on a side: where that begins, and by how much. At an end it is the margin from where the clear face begins;
     * for a door in an inner wall also the nib from a wall that meets its own.
     *
     * @return array{float, float, Abutment|null} u, margin, and the wall that meets it there
     */
    public function stop(PlacedOpening $p, bool $atRight): array
    {
        $nib = Nib::beside($this->design, $this->body, $this->inner && $this->hasDoor($p) ? $this->abutments : [], $p, $atRight);

        return [$nib->at, $nib->wall === null ? $this->margin($p, $atRight) : $this->design->settings->nib, $nib->wall];
    }

    /** Where the jamb on a side would have to be to keep off what it keeps off there; u, mm. */
    public function clearJamb(PlacedOpening $p, bool $atRight): float
    {
        [$stop, $margin] = $this->stop($p, $atRight);

        return $atRight ? $stop - $margin : $stop + $margin;
    }

    /**
     * A sideways move, when the opening fits there: clear of what it keeps off on both sides, of walls that meet its own, and of the other
     * openings.
     */
    public function moveAside(PlacedOpening $p, float $by): ?Remedy
    {
        $there = $p->at($p->left + $by, $p->sill);
        [$from, $before] = $this->stop($there, false);
        [$to, $after] = $this->stop($there, true);
        $slack = Tolerance::LENGTH;
        if ($there->left < $from + $before - $slack || $there->right > $to - $after + $slack || ! $this->isClear(
            $p,
            $there->left,
            $p->sill,
        )) {
            return null;
        }
        foreach ($this->abutments as $a) {
            if ($a->reach($there) > $slack) {
                return null;
            }
        }

        return new Remedy(
            sprintf('Move %s to the %s', $this->say($by), $by > 0 ? 'right' : 'left'),
            'opening.change', ['id' => $p->opening->id, 'by' => ['u' => $by]],
        );
    }

    /** What people call a wall that meets this one. */
    public function named(Wall $wall): string
    {
        $name = $this->design->outlines[$wall->outline]->name ?? '';

        return $name === '' ? 'an inner wall' : '“'.$name.'”';
    }

    /** A move up or down, when the opening fits there. */
    public function moveUp(PlacedOpening $p, float $by): ?Remedy
    {
        $moved = $p->at($p->left, $p->sill + $by);
        $fits = $moved->pastFoot($this->body) <= Tolerance::LENGTH
                    && $moved->pastHead($this->body) <= Tolerance::LENGTH
                    && $this->isClear($p, $p->left, $p->sill + $by);

        return $fits ? new Remedy(
            sprintf('Move %s %s', $this->say($by), $by > 0 ? 'up' : 'down'),
            'opening.change', ['id' => $p->opening->id, 'by' => ['v' => $by]],
        ) : null;
    }

    /** @param  array{0: float, 1: float}|null  $at  (u, v); null for its middle */
    public function finding(string $rule, PlacedOpening $p, float $figure, string $what, ?Remedy $remedy, ?array $at = null): Finding
    {
        return new Finding($rule, $this->body->host->id(), [$p->opening->id], $figure, sprintf('%s %s.', ucfirst($this->label($p)), $what),
            $at ?? [$p->middle(), ($p->sill + $p->head) / 2], $remedy);
    }

    private function isClear(PlacedOpening $p, float $left, float $sill): bool
    {
        $there = $p->at($left, $sill);
        foreach ($this->placed as $other) {
            if ($other->opening->id !== $p->opening->id && $there->overlaps($other)) {
                return false;
            }
        }

        return true;
    }
}
