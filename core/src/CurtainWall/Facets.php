<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Refusal;

/**
 * An arc as flat facets: one for every bay, with a mullion fitted to the kink between each and the next. What was changed by hand on the
 * stretch is carried to the facet it is about.
 */
final readonly class Facets
{
    /**
     * @param  list<Curve>  $chords
     * @param  list<ByHand>  $byHand  by facet
     * @param  Lines  $lines  where they begin and end, by arc length
     * @param  list<Lost>  $lost  changes that no facet has
     */
    private function __construct(public array $chords, public array $byHand, public Lines $lines, public array $lost)
    {
    }

    /** @param  list<float>  $bays  where upright lines are set out, by arc length */
    public static function of(Curve $arc, array $bays, ByHand $byHand): self
    {
        $upright = array_values(array_filter(
            $byHand->lines,
            static fn (LineChange $c): bool => $c->axis === Axis::Upright && $c->within === null,
        ));
        $level = array_values(array_filter($byHand->lines, static fn (LineChange $c): bool => $c->axis === Axis::Level));
        $lines = Lines::of($bays, $arc->length(), $upright);
        $chords = [];
        for ($i = 1, $n = count($lines->at); $i < $n; $i++) {
            $chords[] = Curve::line(self::at($arc, $lines->at[$i - 1]), self::at($arc, $lines->at[$i]));
        }
        $lost = $lines->lost;
        foreach ($byHand->lines as $change) {
            if ($change->within !== null && ($change->axis === Axis::Upright || ! in_array($change->within, $lines->names, true))) {
                $lost[] = new Lost(Lost::LINES, $change->axis === Axis::Upright
                    ? sprintf('Upright line %s stands at a kink: it cannot stand in one row only.', $change->line)
                    : sprintf('The facet at line %s, in which a level line was changed, is not there any more.', $change->within));
            }
        }
        foreach ($byHand->members as $member) {
            if ($member->axis === Axis::Upright) {
                $lost[] = new Lost(
                    Lost::MEMBERS,
                    sprintf('The mullion on line %s stands at a kink, which is fitted as the type says.', $member->line),
                );
            }
        }
        foreach (array_keys($byHand->free) as $i) {
            $lost[] = new Lost(Lost::FREE, sprintf('Free member %d lies across kinks: none is drawn on facets.', $i + 1));
        }
        $hands = [];
        foreach (array_keys($chords) as $i) {
            $name = $lines->names[$i];
            $hands[] = $byHand->forFacet($level, $name);
        }

        return new self($chords, $hands, $lines, $lost);
    }

    /**
     * What stands at a kink: a mullion of the type, half of it on either side, or where there is none a joint.
     *
     * @throws Refusal when its mullions cannot be fitted to a kink
     */
    public static function kink(GridRules $rules): Corner
    {
        $mullion = $rules->profile(Role::Mullion);
        if ($mullion !== null && $mullion->shape !== SectionShape::Rectangle) {
            throw Refusal::because(
                'run.facet_section',
                sprintf('A mullion at a kink is fitted to it, and only a rectangle is; this one is %s.', $mullion->name()),
                details: ['field' => 'mullion'],
            );
        }

        return $mullion === null ? Corner::glass($rules->joint) : Corner::post($mullion->halved());
    }

    private static function at(Curve $arc, float $length): Vec2
    {
        return new Vec2(...$arc->at($length / $arc->length()));
    }
}
