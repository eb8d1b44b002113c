<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Outline;
use Isleward\Core\Design\Wall;
use Isleward\Core\Fields;
use Isleward\Core\Geometry\Line;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Refusal;
use Isleward\Core\Wall\Bodies;

/** A chain of walls given new corners: some walls keep their ids, some are new. Openings keep their rules; those that no longer fit are told. */
final class Reshape
{
    /** @var array<int, array{Wall, Vec2, Vec2, bool}> in order, from 0: like which wall, from, to, and whether it is new */
    public array $sides = [];

    private function __construct(private readonly Design $design, public readonly Outline $outline)
    {
    }

    public static function of(Design $design, Outline $outline): self
    {
        $shape = new self($design, $outline);
        foreach ($design->wallsOf($outline->id) as $wall) {
            $shape->sides[] = [$wall, $wall->from, $wall->to, false];
        }

        return $shape;
    }

    public function indexOf(string $wall): int
    {
        foreach ($this->sides as $i => [$side]) {
            if ($side->id === $wall) {
                return $i;
            }
        }
        throw new \LogicException('The wall is not of this outline.');
    }

    /** The side before (−1) or after (+1), when the chain goes on there. */
    public function beside(int $i, int $step): ?int
    {
        $n = count($this->sides);
        $j = $i + $step;
        if ($this->outline->closed) {
            return ($j + $n) % $n;
        }

        return $j >= 0 && $j < $n ? $j : null;
    }

    public function setFrom(int $i, Vec2 $from): void
    {
        $this->sides[$i][1] = $from;
    }

    public function setTo(int $i, Vec2 $to): void
    {
        $this->sides[$i][2] = $to;
    }

    /** Where side $i's line meets the line through two points; null when they run alike. */
    public function meet(int $i, Vec2 $a, Vec2 $b): ?Vec2
    {
        [, $from, $to] = $this->sides[$i];

        return (new Line($from, $to))->meets(new Line($a, $b));
    }

    /**
     * The change it comes to, checked, with the ids of walls in order.
     *
     * @return array{Change, list<string>}
     *
     * @throws Refusal when the walls cannot stand so
     */
    public function change(Ids $ids): array
    {
        $points = array_values(array_map(static fn (array $s): Vec2 => $s[1], $this->sides));
        if (! $this->outline->closed) {
            $points[] = $this->sides[count($this->sides) - 1][2];
        }
        foreach ($this->sides as $i => [$like, $from, $to, $new]) {
            if (! $new && $to->minus($from)->dot($like->to->minus($like->from)) <= 0 && $to->minus($from)->length() < $like->face()->length()) {
                throw Refusal::because('outline.turned_over', sprintf('Side %d would be left with no length.', $i + 1), [$like->id]);
            }
        }
        OutlineShape::require($points, $this->outline->closed);
        $operations = $order = [];
        foreach ($this->sides as $i => [$like, $from, $to, $new]) {
            $wall = Wall::from(new Fields([
                'id' => $new ? $ids->next(Kind::Wall) : $like->id, 'position' => $i, 'fromX' => $from->x, 'fromY' => $from->y, 'toX' => $to->x, 'toY' => $to->y,
            ] + $like->toArray()));
            $operations[] = $new ? Operation::add($wall) : Operation::alter($like, $wall);
            $order[] = $wall->id;
        }
        $change = new Change('', $operations);
        Bodies::of($this->design->after($change));

        return [$change, $order];
    }

    /**
     * What of the openings and lines on these walls no longer fits after a change, as sentences.
     *
     * @param  list<string>  $walls
     * @return list<string>
     */
    public static function told(Design $before, Design $after, array $walls): array
    {
        $bodies = Bodies::of($after);
        $told = [];
        foreach (array_intersect_key($bodies, array_flip($walls)) as $body) {
            foreach ($after->openingsOf($body->wall->id) as $opening) {
                $p = $after->places->of($opening);
                $what = sprintf('%s on %s', ucfirst($after->label($opening)), $after->storeys->get($opening->storey)->name);
                $was = self::fits($before, $opening);
                if ($p->isOff($body)) {
                    $told[] = "$what would lie off its wall.";
                } elseif ($was && ($p->left < $body->start() - 0.01 || $p->right > $body->end() + 0.01)) {
                    $told[] = "$what would run past the end of its wall.";
                }
            }
        }

        return $told;
    }

    private static function fits(Design $design, Opening $opening): bool
    {
        if (! isset($design->openings[$opening->id])) {
            return true;
        }
        $p = $design->places->opening($opening->id);
        [$start, $end] = $design->places->span($design->wall($p->opening->wall));

        return $p->left >= $start - 0.01 && $p->right <= $end + 0.01;
    }
}
