<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\LeaningPlane;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Refusal;

/** A run worked out: its stretches between its corners, and what stands at them. */
final readonly class Run
{
    /**
     * @param  list<FlatStretch>  $stretches
     * @param  list<Meeting>  $meetings  in order; of a closed run the one between its last and its first stretch comes last
     * @param  list<RunMember>  $corners
     */
    private function __construct(public array $stretches, public array $meetings, public array $corners)
    {
    }

    /**
     * @param  non-empty-list<Curve>  $path  straight stretches in plan, one from where the other ends; the outside lies to their right
     * @param  list<float>  $leans  of each from upright, radians, positive inward
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
        $planes = array_map(static fn (Curve $c, int $i): LeaningPlane => new LeaningPlane($c, $foot, $leans[$i]), $path, array_keys($path));
        $count = count($path);
        $meetings = [];
        foreach ($corners as $i => $_) {
            $meetings[] = Meeting::of($planes[$i], $planes[($i + 1) % $count], $i + 1);
        }
        $closed = count($corners) === $count;
        $stretches = [];
        foreach ($planes as $i => $plane) {
            $before = $i > 0 ? $i - 1 : ($closed ? $count - 1 : null);
            $stretches[] = new FlatStretch(
                $plane,
                $rules,
                $height,
                $before === null ? null : [$meetings[$before], $corners[$before]],
                isset($corners[$i]) ? [$meetings[$i], $corners[$i]] : null,
                $floors,
                $byHand[$i] ?? ByHand::nothing(),
                null,
            );
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
        return [...array_merge(...array_map(static fn (FlatStretch $s): array => $s->members(), $this->stretches)), ...$this->corners];
    }

    /** @return list<RunPane> */
    public function panes(): array
    {
        return array_merge(...array_map(static fn (FlatStretch $s): array => $s->panes(), $this->stretches));
    }

    /** @return list<RunMember> */
    private static function standing(Corner $corner, FlatStretch $before, FlatStretch $after): array
    {
        if ($corner->profile === null) {
            return [];
        }
        [$axes, $pieces] = $before->half(false);
        [$other, $others] = $after->half(true);
        if ($corner->kind === CornerKind::Mitred) {
            return [
                RunMember::of('mitred mullion', $corner->profile, $axes, $pieces),
                RunMember::of('mitred mullion', $corner->profile, $other, $others),
            ];
        }

        return [RunMember::of('corner post', $corner->profile, $axes, [...$pieces, ...self::turned($others, $other, $axes)])];
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
