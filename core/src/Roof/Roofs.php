<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Building\Planes;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Refusal;

/** The roofs of a design as they stand, each worked out when it is first asked for. */
final class Roofs
{
    /** @var array<string, RoofShape|Refusal> */
    private array $found = [];

    /** @var array<string, Planes> */
    private array $covers = [];

    private function __construct(private readonly Design $design)
    {
    }

    public static function in(Design $design): self
    {
        return $design->once(self::class, static fn (Design $d): self => new self($d));
    }

    /** @return list<Roof> in the order they were put in */
    public function all(): array
    {
        $roofs = array_values(array_filter($this->design->layers, static fn (object $l): bool => $l instanceof Roof));
        usort($roofs, static fn (Roof $a, Roof $b): int => $a->position <=> $b->position);

        return $roofs;
    }

    public static function roof(Design $design, string $id): Roof
    {
        $roof = $design->layers[$id] ?? null;

        return $roof instanceof Roof ? $roof : throw Refusal::because('roof.unknown', 'That roof is not in this project any more.', [$id]);
    }

    /** @throws Refusal when it cannot stand */
    public function of(Roof $roof): RoofShape
    {
        $found = $this->look($roof);

        return $found instanceof Refusal ? throw $found : $found;
    }

    /** None where it cannot stand. */
    public function find(Roof $roof): ?RoofShape
    {
        $found = $this->look($roof);

        return $found instanceof Refusal ? null : $found;
    }

    public function why(Roof $roof): ?string
    {
        $found = $this->look($roof);

        return $found instanceof Refusal ? $found->getMessage() : null;
    }

    /** Its underside or its upper side as what walls end at; none where it cannot stand. */
    public function cover(Roof $roof, bool $upper): ?Planes
    {
        $shape = $this->find($roof);
        $up = $upper ? $roof->upright() : 0.0;

        return $shape === null ? null : $this->covers[$roof->id.($upper ? ' upper' : '')] ??= new Planes(array_map(
            static fn (RoofSide $s): array => [$s->contour()->ring(), [$s->plane[0] + $up, $s->plane[1], $s->plane[2]]],
            $shape->slopes(),
        ));
    }

    /** @return list<string> walls of the outlines it lies over */
    public function wallsOf(Roof $roof): array
    {
        return array_merge(...array_map(fn (string $outline): array => array_map(
            static fn (Wall $w): string => $w->id, $this->design->wallsOf($outline),
        ), $roof->outlines()));
    }

    /** @return list<string> walls that are otherwise when it is: those it lies over, and of any outline those that follow it */
    public function concerned(Roof $roof): array
    {
        $follow = array_filter(
            $this->design->walls, static fn (Wall $w): bool => in_array($roof->id, [$w->head?->roof, $w->foot?->roof], true),
        );

        return array_values(array_unique([...$this->wallsOf($roof), ...array_map(static fn (Wall $w): string => $w->id, $follow)]));
    }

    /** The wall that it is told and modelled with. */
    public function home(Roof $roof): ?string
    {
        return $this->wallsOf($roof)[0] ?? array_key_first($this->design->walls);
    }

    /** @return list<array{RoofShape, RoofSide}> what of roofs lies over a wall */
    public function over(string $wall): array
    {
        $outline = ($this->design->walls[$wall] ?? null)?->outline;
        $out = [];
        foreach ($this->all() as $roof) {
            foreach (in_array($outline, $roof->outlines(), true) ? $this->find($roof)?->over($wall) ?? [] : [] as $side) {
                array_push($out, ...($side->isGone() ? [] : [[$this->of($roof), $side]]));
            }
        }

        return $out;
    }

    private function look(Roof $roof): RoofShape|Refusal
    {
        if (! isset($this->found[$roof->id])) {
            try {
                $this->found[$roof->id] = RoofShape::of($this->design, $roof);
            } catch (Refusal $why) {
                $this->found[$roof->id] = $why;
            }
        }

        return $this->found[$roof->id];
    }
}
