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
     * @param  list<RunPart>  $parts  the same, with what of its path each is
     * @param  list<Meeting>  $meetings  in order; of a closed run the one between its last and its first stretch comes last
     * @param  list<RunMember>  $corners
     * @param  list<int>  $cornerOf  of each of those the stretch of the path it stands at the end of
     * @param  list<string>  $cornerName  of each of those how it is named in that, {@see PartName::corner}
     * @param  list<array{int, float, float}>  $joints  of corners of glass to glass: the stretch of the path, how wide and how long
     * @param  array<int, list<Lost>>  $lostOnFacets  changes by hand that no facet has, by stretch of the path
     */
    private function __construct(
        public array $stretches,
        public array $parts,
        public array $meetings,
        public array $corners,
        public array $cornerOf,
        public array $cornerName,
        public array $joints,
        private array $lostOnFacets,
    ) {
    }

    /**
     * @param  float  $foot  level, mm over the datum
     * @param  list<float>  $floors  levels of all floors over the foot
     * @param  list<ByHand>  $byHand  by stretch of the path; what is not given is as the rules say
     * @param  bool  $mirrored  left and right of each stretch change places, as of a unit that is handed the other way
     * @param  bool  $whole  all of it is worked out at once; else each stretch when it is first asked for, and refused then
     *
     * @throws Refusal when something of it cannot be, with figures
     */
    public static function along(
        RunPath $path,
        GridRules $rules,
        float $foot,
        float $height,
        array $floors = [],
        array $byHand = [],
        bool $mirrored = false,
        bool $whole = true,
    ): self {
        $bays = $rules->bays->through ? $path->through($rules->bays) : [];
        $parts = $places = $corners = $lost = [];
        foreach ($path->stretches as $i => $stretch) {
            $hand = $byHand[$i] ?? ByHand::nothing();
            $its = $stretch->rules ?? $rules;
            $round = $stretch->rules === null || $stretch->rules === $rules ? $bays[$i] ?? null : null;
            if ($stretch->faceted && $stretch->curve->isCurved()) {
                $facets = Facets::of($stretch->curve, $round ?? $its->bays->places($stretch->curve->length()), $hand);
                $lost[$i] = $facets->lost;
                foreach ($facets->chords as $k => $chord) {
                    $parts[] = [$chord, $stretch->lean, $its->ofOneBay(), $facets->byHand[$k], null, false, []];
                    $places[] = [$i, $facets->lines->at[$k], $facets->lines->names[$k], $k];
                    $corners[] = Facets::kink($its);
                }
                array_pop($corners);
            } else {
                $parts[] = [$stretch->curve, $stretch->lean, $its, $hand, $round, $stretch->square, $stretch->head];
                $places[] = [$i, 0.0, null, 0];
            }
            if (isset($path->corners[$i])) {
                $corners[] = $path->corners[$i];
            }
        }

        $run = self::standingBetween($parts, $places, $corners, [$foot, $height, $floors, $mirrored], $lost);
        foreach ($whole ? $run->stretches : [] as $stretch) {
            $stretch->grid();
        }

        return $run;
    }

    /**
     * @param  list<array{Curve, float, GridRules, ByHand, list<float>|null, bool, list<list<array{float, float}>>}>  $parts
     * @param  list<array{int, float, string|null, int}>  $places  what of the path each is
     * @param  list<Corner>  $corners
     * @param  array{float, float, list<float>, bool}  $upright  foot, height and floors; and whether left and right change places
     * @param  array<int, list<Lost>>  $lost
     */
    private static function standingBetween(array $parts, array $places, array $corners, array $upright, array $lost): self
    {
        [$foot, $height, $floors, $mirrored] = $upright;
        $count = count($parts);
        $meetings = $sides = [];
        foreach ($corners as $i => $corner) {
            [$before, $after] = [$parts[$i], $parts[($i + 1) % $count]];
            [$one, $next] = [self::plane($before[0], $before[1], $foot, false), self::plane($after[0], $after[1], $foot, true)];
            $meetings[] = $meeting = Meeting::of($one, $next, $i + 1);
            if ($corner->kind->isSquare() && ($before[0]->isCurved() || $after[0]->isCurved())) {
                throw self::squareOfArc($i + 1);
            }
            $sides[] = $corner->kind->isSquare() ? SquarePost::of(
                $meeting,
                $corner,
                [$one->normal(0.0, 0.0), $before[2], $before[3]],
                [$next->normal(0.0, 0.0), $after[2], $after[3]],
            ) : [[$meeting, $corner], [$meeting, $corner]];
        }
        $closed = count($corners) === $count;
        $stretches = $highs = [];
        foreach ($parts as $i => [$curve, $lean, $rules, $hand, $bays, $square, $over]) {
            $head = $over === [] ? null : SlopedHead::under($over, $curve->length(), $rules->profile(Role::Head));
            $highs[] = $head?->ends() ?? [$height, $height];
            $before = $i > 0 ? $i - 1 : ($closed ? $count - 1 : null);
            $left = $before === null ? null : $sides[$before][1];
            $right = $sides[$i][0] ?? null;
            $stretches[] = $curve->isCurved()
                ? new BentStretch(
                    self::cylinder($curve, $lean, $i),
                    $rules,
                    $foot,
                    $height,
                    $left,
                    $right,
                    $floors,
                    $hand,
                    $bays,
                    $mirrored,
                )
                : new FlatStretch(
                    new LeaningPlane($curve, $foot, $lean),
                    $rules,
                    $head?->top() ?? $height,
                    $left,
                    $right,
                    $floors,
                    $hand,
                    $bays,
                    $mirrored,
                    $square,
                    $head,
                );
        }
        $stand = $standsAt = $called = $joints = [];
        foreach ($corners as $i => $corner) {
            if ($corner->profile === null && $corner->joint > 0.0) {
                $joints[] = [$places[$i][0], $corner->joint, min($highs[$i][1], $highs[($i + 1) % $count][0]) / $meetings[$i]->edge->z];
            }
            foreach (self::standing($corner, $stretches[$i], $stretches[($i + 1) % $count]) as $member) {
                $stand[] = $member;
                $standsAt[] = $places[$i][0];
                $called[] = self::called($places, $i);
            }
        }

        $of = array_map(static fn (Stretch $s, array $place): RunPart => new RunPart($s, ...$place), $stretches, $places);

        return new self($stretches, $of, $meetings, $stand, $standsAt, $called, $joints, $lost);
    }

    /**
     * Changes by hand that could not be kept.
     *
     * @param  int|null  $path  of one stretch of the path; null for all
     * @return list<Lost>
     */
    public function lost(?int $path = null): array
    {
        $lost = $path === null ? array_merge(...array_values($this->lostOnFacets)) : $this->lostOnFacets[$path] ?? [];
        foreach ($this->parts as $part) {
            array_push($lost, ...($path === null || $part->path === $path ? $part->stretch->grid()->lost : []));
        }

        return $lost;
    }

    /** Of all its faces together, mm². */
    public function faceArea(): float
    {
        return array_sum(array_map(static fn (Stretch $s): float => $s->faceArea(), $this->stretches));
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
        if ($corner->kind->isSquare()) {
            [$axes, $pieces] = $corner->kind === CornerKind::SquareLeft ? $before->half(false) : $after->half(true);

            return $pieces === [] ? [] : [RunMember::straight('corner post', $corner->profile, $axes, $pieces)];
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

    /** @param  list<array{int, float, string|null, int}>  $places */
    private static function called(array $places, int $corner): string
    {
        $next = $places[$corner + 1] ?? null;

        return PartName::corner($next !== null && $next[0] === $places[$corner][0] ? $next[2] : null);
    }

    private static function squareOfArc(int $corner): Refusal
    {
        return Refusal::because(
            'corner.square_arc',
            sprintf('At corner %d an arc ends: a post is square to one side only between straight stretches.', $corner),
            details: ['corner' => $corner],
        );
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
                    'Stretch %d is an arc and cannot lean: it would be part of a cone, and its panes would not be alike from row to row.',
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
