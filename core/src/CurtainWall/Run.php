<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\LeaningPlane;
use Isleward\Core\Geometry\UprightCylinder;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Refusal;

/** A run worked out: its stretches between its corners, and what stands at them. */
final readonly class Run
{
    /**
     * @param  list<Stretch>  $stretches
     * @param  list<Meeting>  $meetings  in order; of a closed run the one between its last and its first stretch comes last
     * @param  list<RunMember>  $corners
     */
    private function __construct(public array $stretches, public array $meetings, public array $corners)
    {
    }

    /**
     * @param  non-empty-list<Curve>  $path  straight stretches and arcs in plan, one from where the other ends; outside lies to their right
     * @param  list<float>  $leans  of each from upright, radians, positive inward; an arc has none
     * @param  list<Corner>  $corners  between each and the next; of a closed run one more
     * @param  float  $foot  level, mm over the datum
     * @param  list<float>  $floors  levels of all floors over the foot
     * @param  list<ByHand>  $byHand  by stretch; what is not given is as the rules say
     *
     * @throws Refusal when something of it cannot be, with figures
     */
    public static function solve(
        GridRules $rules,
        array $path,
        array $leans,
        array $corners,
        float $foot,
        float $height,
        array $floors = [],
        array $byHand = [],
    ): self {
        $count = count($path);
        $meetings = [];
        foreach (array_keys($corners) as $i) {
            $next = ($i + 1) % $count;
            $meetings[] = Meeting::of(
                self::plane($path[$i], $leans[$i], $foot, false),
                self::plane($path[$next], $leans[$next], $foot, true),
                $i + 1,
            );
        }
        $closed = count($corners) === $count;
        $stretches = [];
        foreach ($path as $i => $curve) {
            $before = $i > 0 ? $i - 1 : ($closed ? $count - 1 : null);
            $left = $before === null ? null : [$meetings[$before], $corners[$before]];
            $right = isset($corners[$i]) ? [$meetings[$i], $corners[$i]] : null;
            $hand = $byHand[$i] ?? ByHand::nothing();
            $stretches[] = $curve->isCurved()
                ? new BentStretch(self::cylinder($curve, $leans[$i], $i), $rules, $foot, $height, $left, $right, $floors, $hand, null)
                : new FlatStretch(new LeaningPlane($curve, $foot, $leans[$i]), $rules, $height, $left, $right, $floors, $hand, null);
        }
        $stand = [];
        foreach ($corners as $i => $corner) {
            array_push($stand, ...self::standing($corner, $stretches[$i], $stretches[($i + 1) % $count]));
        }

        return new self($stretches, $meetings, $stand);
    }

    /** @return list<RunMember> of all stretches and corners */
    public function members(): array
    {
        return [...array_merge(...array_map(static fn (Stretch $s): array => $s->members(), $this->stretches)), ...$this->corners];
    }

    /** @return list<RunPane> */
    public function panes(): array
    {
        return array_merge(...array_map(static fn (Stretch $s): array => $s->panes(), $this->stretches));
    }

    /** @return list<RunMember> */
    private static function standing(Corner $corner, Stretch $before, Stretch $after): array
    {
        if ($corner->profile === null) {
            return [];
        }
        [$axes, $pieces] = $before->half(false);
        [$other, $others] = $after->half(true);
        $made = $corner->kind === CornerKind::Mitred
            ? [['mitred mullion', $axes, $pieces], ['mitred mullion', $other, $others]]
            : [['corner post', $axes, [...$pieces, ...self::turned($others, $other, $axes)]]];
        $out = [];
        foreach ($made as [$what, $in, $of]) {
            if ($of !== []) {
                $out[] = RunMember::straight($what, $corner->profile, $in, $of);
            }
        }

        return $out;
    }

    /** The plane a stretch lies in where it meets another: of an arc the upright one that touches it there. */
    private static function plane(Curve $curve, float $lean, float $foot, bool $atStart): LeaningPlane
    {
        if (! $curve->isCurved()) {
            return new LeaningPlane($curve, $foot, $lean);
        }
        $at = $atStart ? $curve->start() : $curve->end();
        $along = $curve->directionAt($atStart ? 0.0 : $curve->length())->times(1000.0);

        return new LeaningPlane($atStart ? Curve::line($at, $at->plus($along)) : Curve::line($at->minus($along), $at), $foot, 0.0);
    }

    private static function cylinder(Curve $curve, float $lean, int $i): UprightCylinder
    {
        if ($lean !== 0.0) {
            throw Refusal::because(
                'run.leaning_arc',
                sprintf(
                    'Stretch %d is an arc and cannot lean: leaning, it would be part of a cone, whose panes no longer fit one another row by row.',
                    $i + 1,
                ),
                details: ['stretch' => $i + 1],
            );
        }

        return new UprightCylinder($curve);
    }

    /**
     * Pieces in other axes that share their origin and z.
     *
     * @param  list<CutPrism>  $pieces
     * @return list<CutPrism>
     */
    private static function turned(array $pieces, Axes $from, Axes $to): array
    {
        $x = $to->place($to->origin->plus($from->x));
        $angle = (new Vec2($x->x, $x->y))->angle();

        return array_map(static fn (CutPrism $p): CutPrism => $p->turned($angle), $pieces);
    }
}
