<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** Along what a run stands in plan: stretches one after the other, and what stands where they meet. */
final readonly class RunPath
{
    /**
     * @param  non-empty-list<PathStretch>  $stretches
     * @param  list<Corner>  $corners  between each stretch and the next; of a closed path also between the last and the first
     */
    private function __construct(public array $stretches, public array $corners, public bool $closed)
    {
    }

    /**
     * @param  list<PathStretch>  $stretches
     * @param  list<Corner>  $corners
     *
     * @throws Refusal when one does not begin where the other ends, or it crosses itself
     */
    public static function of(array $stretches, array $corners): self
    {
        if ($stretches === []) {
            throw Refusal::because('run.path_empty', 'A run stands along one stretch or more; there is none.');
        }
        $closed = count($corners) === count($stretches);
        if (! $closed && count($corners) !== count($stretches) - 1) {
            throw Refusal::because(
                'run.corners',
                sprintf('%d stretches meet at %d corners; %d were given.', count($stretches), count($stretches) - 1, count($corners)),
            );
        }
        foreach (array_keys($corners) as $i) {
            $next = $stretches[($i + 1) % count($stretches)];
            $gap = $stretches[$i]->curve->end()->distanceTo($next->curve->start());
            if ($gap > Tolerance::LENGTH) {
                throw Refusal::because(
                    'run.path_broken',
                    sprintf('Stretch %d ends %s from where the next begins.', $i + 1, Length::mark($gap)),
                    details: ['stretch' => $i + 1, 'gap' => $gap],
                );
            }
        }
        self::requireSimple($stretches, $closed);

        return new self($stretches, $corners, $closed);
    }

    /** mm, along the glass line of all stretches */
    public function length(): float
    {
        return array_sum(array_map(static fn (PathStretch $s): float => $s->curve->length(), $this->stretches));
    }

    /**
     * Upright lines of a rule that is set out round the whole run, through its corners, as they lie on each stretch. One that comes to
     * lie at a corner is the corner's.
     *
     * @return list<list<float>> by stretch
     */
    public function through(SettingOut $bays): array
    {
        $places = $bays->places($this->length(), 'this run');
        $out = [];
        $from = 0.0;
        foreach ($this->stretches as $stretch) {
            $to = $from + $stretch->curve->length();
            $here = array_filter($places, static fn (float $at): bool => $at > $from + Tolerance::LENGTH && $at < $to - Tolerance::LENGTH);
            $out[] = array_values(array_map(static fn (float $at): float => $at - $from, $here));
            $from = $to;
        }

        return $out;
    }

    /** @param  non-empty-list<PathStretch>  $stretches */
    private static function requireSimple(array $stretches, bool $closed): void
    {
        $sides = [];
        foreach ($stretches as $i => $stretch) {
            $points = [...self::points($stretch->curve)];
            for ($k = 1, $n = count($points); $k < $n; $k++) {
                $sides[] = [$points[$k - 1], $points[$k], $i];
            }
        }
        $last = count($sides) - 1;
        foreach ($sides as $i => [$a, $b, $first]) {
            for ($j = $i + 2; $j <= $last; $j++) {
                if ($closed && $i === 0 && $j === $last) {
                    continue;
                }
                [$c, $d, $second] = $sides[$j];
                if (self::cross($a, $b, $c, $d)) {
                    throw Refusal::because(
                        'run.path_crosses',
                        $first === $second
                            ? sprintf('Stretch %d crosses itself.', $first + 1)
                            : sprintf('Stretches %d and %d cross each other.', $first + 1, $second + 1),
                        details: ['stretches' => [$first + 1, $second + 1]],
                    );
                }
            }
        }
    }

    /** @return list<Vec2> on a curve, chords of which leave it by 1 mm */
    private static function points(Curve $curve): array
    {
        $chords = $curve->isCurved() ? max(2, (int) ceil(abs($curve->sweep) / (2 * acos(max(0.0, 1 - 1.0 / $curve->rx))))) : 1;

        return array_map(static fn (int $i): Vec2 => new Vec2(...$curve->at($i / $chords)), range(0, $chords));
    }

    private static function cross(Vec2 $a, Vec2 $b, Vec2 $c, Vec2 $d): bool
    {
        $side = static fn (Vec2 $p, Vec2 $q, Vec2 $r): float => $q->minus($p)->cross($r->minus($p));

        return $side($a, $b, $c) * $side($a, $b, $d) < 0 && $side($c, $d, $a) * $side($c, $d, $b) < 0;
    }
}
