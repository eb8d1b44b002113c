<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** Corners between straight sides rounded by an arc that runs on from both. */
final class Rounded
{
    /**
     * @param  list<Curve>  $sides
     * @param  list<int>  $corners  numbers of the sides whose starts are rounded
     * @return list<Curve> each side, shortened, after the arc at its start
     *
     * @throws Refusal when a radius is larger than the sides have room for
     */
    public static function corners(array $sides, bool $closed, float $radius, array $corners): array
    {
        if ($radius < 1.0) {
            throw Refusal::because(
                'round.radius',
                sprintf('A corner is rounded by a radius of 1 mm or more; %s was given.', Length::mark($radius)),
                details: ['field' => 'radius'],
            );
        }
        $n = count($sides);
        $starts = $ends = array_fill(0, $n, 0.0);
        foreach ($corners as $i) {
            if ($i === 0 && ! $closed) {
                throw Refusal::because('round.free_end', 'The first wall’s left end is no corner: nothing meets it.');
            }
            [$before, $after] = [$sides[($i + $n - 1) % $n], $sides[$i]];
            if ($before->isCurved() || $after->isCurved()) {
                throw Refusal::because('round.curved', 'Only corners between straight walls are rounded: one of these is curved already.');
            }
            $turn = abs(atan2(
                $before->directionAt(0.0)->cross($after->directionAt(0.0)),
                $before->directionAt(0.0)->dot($after->directionAt(0.0)),
            ));
            if ($turn < Tolerance::ANGLE) {
                throw Refusal::because('round.in_line', 'These walls run on in one line: there is no corner to round.');
            }
            $ends[($i + $n - 1) % $n] = $radius * tan($turn / 2);
            $starts[$i] = $radius * tan($turn / 2);
        }
        $out = [];
        foreach ($sides as $i => $side) {
            [$start, $end] = [$starts[$i], $ends[$i]];
            $left = $side->length() - $start - $end;
            if ($left < 1.0) {
                throw Refusal::because('round.too_large', sprintf(
                    'A radius of %s takes %s of a side that is %s long: nothing of it would be left.',
                    Length::mark($radius),
                    Length::mark($start + $end),
                    Length::mark($side->length()),
                ), details: ['field' => 'radius', 'side' => $i + 1]);
            }
            if (in_array($i, $corners, true)) {
                $before = $sides[($i + $n - 1) % $n];
                $from = $before->pointAt($before->length() - $ends[($i + $n - 1) % $n]);
                $to = $side->pointAt($start);
                $turn = atan2(
                    $before->directionAt(0.0)->cross($side->directionAt(0.0)),
                    $before->directionAt(0.0)->dot($side->directionAt(0.0)),
                );
                $out[] = Curve::overChord($from, $to, $radius * (1 - cos($turn / 2)) * ($turn > 0 ? 1.0 : -1.0));
            }
            $a = $side->pointAt($start);
            $b = $side->pointAt($side->length() - $end);
            $out[] = Curve::line($a, $b);
        }

        return $out;
    }
}
