<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Bend;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Rounded;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Rounds corners of an "outline" by a "radius": those at the left ends of "walls", or all between straight walls. The walls beside a corner
 * grow shorter; openings stay where they are along them, each measured the way it was.
 */
final readonly class OutlineRound implements Edit
{
    /** @param  list<string>|null  $walls */
    private function __construct(private string $outline, private float $radius, private ?array $walls)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->string('outline'), $args->length('radius'), $args->has('walls') ? $args->strings('walls') : null);
    }

    public function scope(): Scope
    {
        return Scope::everything();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $outline = $design->outline($this->outline);
        $walls = $design->wallsOf($outline->id);
        $sides = array_map(static fn (Wall $w): Curve => $w->face(), $walls);
        $corners = $this->corners($walls, $sides, $outline->closed);
        $curves = Rounded::corners($sides, $outline->closed, $this->radius, $corners);
        $shape = Reshape::of($design, $outline);
        $shape->sides = [];
        $next = 0;
        foreach ($walls as $i => $wall) {
            if (in_array($i, $corners, true)) {
                $shape->sides[] = Side::along($wall->withKeeps(Bend::Radius), $curves[$next++], true);
            }
            $shape->sides[] = Side::along($wall, $curves[$next++], false);
        }
        [$change, $order] = $shape->change($ids);
        $then = $design->after($change);
        $kept = [];
        foreach ($walls as $wall) {
            array_push($kept, ...InPlace::along($design, $then, $wall, $then->wall($wall->id)));
        }

        return Reshape::settled($design, sprintf(
            'Rounded %s of %s by %s',
            count($corners) === 1 ? 'a corner' : count($corners).' corners',
            $outline->name,
            Words::length($design, $this->radius),
        ), [...$change->operations, ...$kept], $order[0], $order);
    }

    /**
     * @param  list<Wall>  $walls
     * @param  list<Curve>  $sides
     * @return list<int>
     */
    private function corners(array $walls, array $sides, bool $closed): array
    {
        $corners = [];
        foreach ($walls as $i => $wall) {
            if ($this->walls !== null) {
                if (in_array($wall->id, $this->walls, true)) {
                    $corners[] = $i;
                }

                continue;
            }
            $before = $i > 0 ? $sides[$i - 1] : ($closed ? $sides[count($sides) - 1] : null);
            if ($before !== null && ! $before->isCurved() && ! $sides[$i]->isCurved()
                && abs($before->directionAt(0.0)->cross($sides[$i]->directionAt(0.0))) > 1e-6) {
                $corners[] = $i;
            }
        }

        return $corners !== [] ? $corners : throw Refusal::because(
            'round.none',
            'There is no corner between two straight walls to round.',
            [$this->outline],
        );
    }
}
