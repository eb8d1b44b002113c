<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Measure\Length;

/** What is doubtful about a run: slivers, stray offsets, infills too heavy or too large, members no bar gives, lines by hand too near. */
final class RunDoubts
{
    /**
     * @param  list<ByHand>  $byHand  by stretch
     * @param  int|null  $path  only about what stands along this stretch of its path
     * @return list<RunDoubt>
     */
    public static function of(Run $run, GridRules $rules, RunLimits $limits, array $byHand = [], ?int $path = null): array
    {
        $doubts = [];
        foreach ([['bays', $rules->bays], ['rows', $rules->rows]] as [$what, $rule]) {
            if ($rule->offset !== 0.0) {
                $doubts[] = new RunDoubt(
                    'run.offset',
                    sprintf('The pattern of its %s starts %s from where its rule lets it start.', $what, Length::mark($rule->offset)),
                    self::first($run, $path),
                    $rule->offset,
                );
            }
        }
        foreach ($run->stretches as $i => $stretch) {
            if ($path !== null && $run->parts[$i]->path !== $path) {
                continue;
            }
            $grid = $stretch->grid();
            array_push($doubts, ...self::slivers($grid, $i, $limits), ...self::near($grid, $i, $byHand[$i] ?? ByHand::nothing(), $limits));
            $found = [];
            foreach ($stretch->panes() as $pane) {
                array_push($found, ...self::pane($pane, $i, $limits));
            }
            foreach ($stretch->members() as $member) {
                if ($member->length > $limits->bar) {
                    $found[] = new RunDoubt('run.bar', sprintf(
                        'A %s is %s long; the longest bar gives %s.',
                        $member->what,
                        Length::mark($member->length),
                        Length::mark($limits->bar),
                    ), $i, $member->length);
                }
            }
            array_push($doubts, ...self::worst($found));
        }

        return $doubts;
    }

    /**
     * Of several that are alike the one with the greatest figure, with how many there are.
     *
     * @param  list<RunDoubt>  $found
     * @return list<RunDoubt>
     */
    private static function worst(array $found): array
    {
        $worst = $count = [];
        foreach ($found as $doubt) {
            $count[$doubt->rule] = ($count[$doubt->rule] ?? 0) + 1;
            if (! isset($worst[$doubt->rule]) || $doubt->figure > $worst[$doubt->rule]->figure) {
                $worst[$doubt->rule] = $doubt;
            }
        }

        return array_values(array_map(
            static fn (RunDoubt $d): RunDoubt => $count[$d->rule] === 1 ? $d : $d->saying(
                $d->says.sprintf(' There are %d more past that limit.', $count[$d->rule] - 1),
            ),
            $worst,
        ));
    }

    /** @return list<RunDoubt> */
    private static function slivers(Grid $grid, int $stretch, RunLimits $limits): array
    {
        $doubts = [];
        $numbers = $grid->bays->numbers();
        for ($k = 1, $n = count($grid->bays->at); $k < $n; $k++) {
            // a line in one row only leaves a sliver on either side
            [$before, $after] = $grid->bays->beside($k);
            foreach (array_filter([$before, $grid->bays->isWhole($k) ? null : $after], is_int(...)) as $other) {
                $wide = abs($grid->bays->at[$k] - $grid->bays->at[$other]);
                if ($wide < $limits->sliver) {
                    $from = min($k, $other);
                    $doubts[] = new RunDoubt(
                        'run.sliver',
                        sprintf('Bay %d is only %s wide.', $numbers[$from] + 1, Length::mark($wide)),
                        $stretch,
                        $wide,
                        $grid->bays->at[$from],
                    );
                }
            }
        }

        return $doubts;
    }

    /** @return list<RunDoubt> */
    private static function near(Grid $grid, int $stretch, ByHand $byHand, RunLimits $limits): array
    {
        $doubts = [];
        foreach ($byHand->lines as $change) {
            $lines = $change->axis === Axis::Upright ? $grid->bays : $grid->rows;
            $place = $change->done === LineDone::Removed ? null : $lines->place($change->name());
            if ($place === null) {
                continue;
            }
            foreach (array_filter($lines->beside($place), is_int(...)) as $other) {
                $apart = abs($lines->at[$other] - $lines->at[$place]);
                if ($apart < $limits->apart) {
                    $doubts[] = new RunDoubt('run.line_near', sprintf(
                        'The line %s that was %s by hand lies %s from the next.',
                        $change->line,
                        $change->done->value,
                        Length::mark($apart),
                    ), $stretch, $apart, $change->axis === Axis::Upright ? $lines->at[$place] : null);
                }
            }
        }

        return $doubts;
    }

    /** @return list<RunDoubt> */
    private static function pane(RunPane $pane, int $stretch, RunLimits $limits): array
    {
        $area = $pane->area();
        $weight = $area / 1e6 * $pane->cell->infill->weight();
        [$x0, $y0, $x1, $y1] = $pane->cell->contour()->bounds();
        $at = [($x0 + $x1) / 2, ($y0 + $y1) / 2];
        $doubts = [];
        if ($weight > $limits->weight) {
            $doubts[] = new RunDoubt(
                'run.infill_heavy',
                sprintf('The infill of %s weighs %.0f kg, more than %.0f.', $pane->cell->name(), $weight, $limits->weight),
                $stretch,
                $weight,
                ...$at,
            );
        }
        if ($area > $limits->area && $pane->cell->infill->kind !== InfillKind::Void) {
            $doubts[] = new RunDoubt(
                'run.infill_large',
                sprintf('The infill of %s has %.2f m², more than %.2f.', $pane->cell->name(), $area / 1e6, $limits->area / 1e6),
                $stretch,
                $area,
                ...$at,
            );
        }

        return $doubts;
    }

    /** The first of the run's own stretches along one of its path. */
    private static function first(Run $run, ?int $path): int
    {
        foreach ($path === null ? [] : $run->parts as $i => $part) {
            if ($part->path === $path) {
                return $i;
            }
        }

        return 0;
    }
}
