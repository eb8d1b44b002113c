<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Refusal;

/** The bands of a design as they stand, each worked out when it is first asked for. */
final class Bands
{
    /** @var array<string, Fins|Refusal> */
    private array $found = [];

    /** @var array<string, array<string, list<int>>> pieces by band, by wall */
    private array $placed = [];

    /** @var list<Band>|null */
    private ?array $all = null;

    /** @var \WeakMap<Band, Fins>|null how each stood last */
    private static ?\WeakMap $stood = null;

    /** @var array<string, Upright>|null of the walls that a line of its own may run before */
    private ?array $outer = null;

    private function __construct(private readonly Design $design)
    {
    }

    public static function in(Design $design): self
    {
        return $design->once(self::class, static fn (Design $d): self => new self($d));
    }

    /** @return list<Band> in the order they were put in */
    public function all(): array
    {
        if ($this->all === null) {
            $this->all = array_values(array_filter($this->design->layers, static fn (object $l): bool => $l instanceof Band));
            usort($this->all, static fn (Band $a, Band $b): int => $a->position <=> $b->position);
        }

        return $this->all;
    }

    public static function band(Design $design, string $id): Band
    {
        $band = $design->layers[$id] ?? null;

        return $band instanceof Band ? $band : throw Refusal::because('band.unknown', 'That band is not in this project any more.', [$id]);
    }

    /** @throws Refusal when it cannot stand */
    public function of(Band $band): Fins
    {
        $found = $this->look($band);

        return $found instanceof Fins ? $found : throw $found;
    }

    public function find(Band $band): ?Fins
    {
        $found = $this->look($band);

        return $found instanceof Fins ? $found : null;
    }

    /** Why it cannot stand; null when it does. */
    public function why(Band $band): ?string
    {
        $found = $this->look($band);

        return $found instanceof Refusal ? $found->getMessage() : null;
    }

    /** @return list<array{Fins, list<int>}> bands with the pieces that stand before a wall, in the order they were put in */
    public function before(string $wall): array
    {
        $out = [];
        foreach ($this->all() as $band) {
            // one that runs along other walls is not worked out for it
            if ($band->outline !== null && ! $this->mayStandBefore($band, $wall)) {
                continue;
            }
            $pieces = $this->placed($band)[$wall] ?? [];
            $fins = $pieces === [] ? null : $this->find($band);
            if ($fins !== null) {
                $out[] = [$fins, $pieces];
            }
        }

        return $out;
    }

    /** @return array<string, list<int>> its pieces by the wall they stand before; none where it cannot stand */
    public function placed(Band $band): array
    {
        return $this->placed[$band->id] ??= $this->sorted($band);
    }

    private function mayStandBefore(Band $band, string $wall): bool
    {
        return ($this->design->walls[$wall] ?? null)?->outline === $band->outline
            && ($band->walls === [] || in_array($wall, $band->walls, true));
    }

    /** @return list<string> the walls before which it stands; of one that cannot stand, before which it would */
    public function wallsOf(Band $band): array
    {
        if ($band->outline !== null) {
            $walls = array_map(static fn (Wall $w): string => $w->id, $this->design->wallsOf($band->outline));
            $some = array_values(array_intersect($walls, $band->walls));

            return $some === [] ? $walls : $some;
        }
        $walls = array_keys($this->placed($band));

        return $walls === [] ? array_filter([$this->home($band)], is_string(...)) : $walls;
    }

    /** The wall that a band which cannot stand is told with, and whose scene and drawing hold it otherwise. */
    public function home(Band $band): ?string
    {
        $walls = $band->outline === null ? [] : $this->design->wallsOf($band->outline);

        return $band->walls[0] ?? $walls[0]->id ?? array_key_first($this->design->walls);
    }

    private function look(Band $band): Fins|Refusal
    {
        if (! isset($this->found[$band->id])) {
            try {
                // what is tried is asked for in the design that the edit makes, and again in that which is looked at
                self::$stood ??= new \WeakMap;
                $this->found[$band->id] = self::$stood[$band] = Fins::of($this->design, $band, self::$stood[$band] ?? null);
            } catch (Refusal $why) {
                $this->found[$band->id] = $why;
            }
        }

        return $this->found[$band->id];
    }

    /** @return array<string, list<int>> */
    private function sorted(Band $band): array
    {
        $by = [];
        $fins = $this->find($band);
        foreach ($fins->stretch ?? [] as $i => $stretch) {
            $wall = $fins?->line->walls[$stretch] ?? self::nearest($this->outer(), new Vec2($fins->x[$i] ?? 0.0, $fins->y[$i] ?? 0.0));
            if ($wall !== null) {
                $by[$wall][] = $i;
            }
        }

        return $by;
    }

    /** @return array<string, Upright> */
    private function outer(): array
    {
        return $this->outer ??= array_map(static fn (Body $b): Upright => $b->surface, array_filter(
            Bodies::of($this->design),
            fn (Body $b): bool => ! $this->design->isInner($b->host),
        ));
    }

    /** @param  array<string, Upright>  $surfaces */
    private static function nearest(array $surfaces, Vec2 $at): ?string
    {
        $nearest = null;
        $least = INF;
        foreach ($surfaces as $id => $surface) {
            $u = max(0.0, min($surface->length, $surface->u($at)));
            $apart = $surface->inPlan($u)->distanceTo($at);
            if ($apart < $least - 1e-6) {
                [$nearest, $least] = [$id, $apart];
            }
        }

        return $nearest;
    }
}
