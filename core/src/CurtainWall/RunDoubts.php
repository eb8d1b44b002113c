<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Measure\Length;

/** What is doubtful about a run: slivers, stray offsets, infills too heavy or too large, members no bar gives, lines by hand too near. */
final class RunDoubts
{
    /**
     * @param  list<ByHand>  $byHand  by stretch
     * @return list<RunDoubt>
     */
    public static function of(Run $run, GridRules $rules, RunLimits $limits, array $byHand = []): array
    {
        $doubts = [];
        foreach ([['bays', $rules->bays], ['rows', $rules->rows]] as [$what, $rule]) {
            if ($rule->offset !== 0.0) {
                $doubts[] = new RunDoubt(
                    'run.offset',
                    sprintf('The pattern of its %s starts %s from where its rule lets it start.', $what, Length::mark($rule->offset)),
                    0,
                );
            }
        }
        foreach ($run->stretches as $i => $stretch) {
            $grid = $stretch->grid();
            array_push($doubts, ...self::slivers($grid, $i, $limits), ...self::near($grid, $i, $byHand[$i] ?? ByHand::nothing(), $limits));
            foreach ($stretch->panes() as $pane) {
                array_push($doubts, ...self::pane($pane, $i, $limits));
            }
            foreach ($stretch->members() as $member) {
                if ($member->length > $limits->bar) {
                    $doubts[] = new RunDoubt('run.bar', sprintf(
                        'A %s is %s long; the longest bar gives %s.',
                        $member->what,
                        Length::mark($member->length),
                        Length::mark($limits->bar),
                    ), $i);
                }
            }
        }

        return $doubts;
    }

    /** @return list<RunDoubt> */
    private static function slivers(Grid $grid, int $stretch, RunLimits $limits): array
    {
        $doubts = [];
        for ($k = 1, $n = count($grid->bays->at); $k < $n; $k++) {
            $wide = $grid->bays->at[$k] - $grid->bays->at[$k - 1];
            if ($wide < $limits->sliver) {
                $doubts[] = new RunDoubt(
                    'run.sliver',
                    sprintf('Bay %d is only %s wide.', $k, Length::mark($wide)),
                    $stretch,
                    $grid->bays->at[$k - 1],
                );
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
            $place = $change->done === LineDone::Removed ? null : $lines->place($change->line);
            if ($place === null) {
                continue;
            }
            foreach ([$place - 1, $place + 1] as $other) {
                $apart = abs($lines->at[$other] - $lines->at[$place]);
                if ($apart < $limits->apart) {
                    $doubts[] = new RunDoubt('run.line_near', sprintf(
                        'The line %s that was %s by hand lies %s from the next.',
                        $change->line,
                        $change->done->value,
                        Length::mark($apart),
                    ), $stretch, $change->axis === Axis::Upright ? $lines->at[$place] : null);
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
        $at = $pane->cell->contour()->bounds()[0];
        $doubts = [];
        if ($weight > $limits->weight) {
            $doubts[] = new RunDoubt(
                'run.infill_heavy',
                sprintf('The infill of %s weighs %.0f kg, more than %.0f.', $pane->cell->name(), $weight, $limits->weight),
                $stretch,
                $at,
            );
        }
        if ($area > $limits->area && $pane->cell->infill->kind !== InfillKind::Void) {
            $doubts[] = new RunDoubt(
                'run.infill_large',
                sprintf('The infill of %s has %.2f m², more than %.2f.', $pane->cell->name(), $area / 1e6, $limits->area / 1e6),
                $stretch,
                $at,
            );
        }

        return $doubts;
    }
}
