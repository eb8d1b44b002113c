<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\End;
use Isleward\Core\Building\Joint;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Remedy;
use Isleward\Core\Check\Rule;
use Isleward\Core\Check\WallInQuestion;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Unit\UnitChecks;

/** What is doubtful about curtain walls: runs, at the stretch it is about, and what is let into openings. */
final class CurtainDoubts implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        return [...self::run($wall), ...array_merge(...array_map(
            static fn (PlacedOpening $p): array => $p->opening->curtain === null ? [] : self::letIn($wall, $p, $p->opening),
            $wall->asked,
        ))];
    }

    /** @return list<Finding> */
    private static function run(WallInQuestion $wall): array
    {
        $host = $wall->body->host;
        if ($host->curtain() === null) {
            return [];
        }
        $runs = Runs::in($wall->design);
        $body = $wall->body;
        $middle = [($body->start() + $body->end()) / 2, ($body->foot + $body->head) / 2];
        $say = static fn (string $sentence): string => Length::said($sentence, $wall->design->settings->units);
        $why = $runs->why($host->id());
        if ($why !== null) {
            return [self::cannot($wall, $why, $host->id(), $middle)];
        }
        $standing = $runs->at($host->id());
        $at = $standing->indexOf($host->id());
        $lean = $standing->upright($at);
        $findings = [];
        $hands = array_map(static fn (RunPart $part): ByHand => $part->line === null
            ? Runs::byHand($standing->walls[$part->path]->curtain ?? throw new \LogicException('A run is of curtain walls.'))
            : ByHand::nothing(), $standing->run->parts);
        $limits = $wall->design->settings->curtainRules;
        foreach (RunDoubts::of($standing->run, $standing->grids[$at]->rules(), RunLimits::from($limits), $hands, $at) as $doubt) {
            $part = $standing->run->parts[$doubt->stretch];
            if ($part->path === $at) {
                $findings[] = new Finding($doubt->rule, $host->id(), [$host->id()], $doubt->figure, $say($doubt->says), [
                    $doubt->u === null ? $middle[0] : $standing->starts[$at] + $part->u + $doubt->u,
                    $doubt->v === null ? $middle[1] : $standing->foot + $doubt->v * $lean,
                ]);
            }
        }
        $floor = $wall->design->storeys->floor($host->base());
        $foot = $host->curtain()->footLevel($floor) - $floor;
        if (abs($foot) > Tolerance::LENGTH) {
            $findings[] = new Finding('run.off_floor', $host->id(), [$host->id()], $foot, sprintf(
                'This stretch stands %s %s the floor of its storey.',
                $wall->say($foot),
                $foot > 0 ? 'over' : 'under',
            ), [$middle[0], $body->foot], new Remedy('Put it on the floor', 'curtain.set', [
                'walls' => array_map(static fn ($w): string => $w->id, $standing->walls), 'foot' => 0, 'footFrom' => 'floor',
            ]));
        }
        if ($at === 0 && ! $wall->inner && self::facesIn($wall->design, $standing)) {
            $findings[] = new Finding(
                'run.faces_in',
                $host->id(),
                array_map(static fn (Wall $w): string => $w->id, $standing->walls),
                0.0,
                'This run faces in: the outside of its glass lies in the room that it closes off.',
                $middle,
                new Remedy('Turn outside round', 'outline.turn', ['id' => $host->outline()]),
            );
        }
        array_push($findings, ...self::inLine($wall, $host->curtain(), $standing->partsOf($at)[0]->stretch->grid(), $host->id(), $middle));
        foreach ($standing->partsOf($at) as $part) {
            array_push($findings, ...self::units($wall, $part->stretch, $host->id(), true, static fn (GridCell $c): array => [
                $standing->starts[$at] + $part->u + $c->contour()->bounds()[0],
                $standing->foot + $c->contour()->bounds()[1] * $lean,
            ]));
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function letIn(WallInQuestion $wall, PlacedOpening $p, Opening $opening): array
    {
        $middle = [$p->middle(), ($p->sill + $p->head) / 2];
        try {
            $run = LetIn::of($wall->design, $p);
        } catch (Refusal $why) {
            return [self::cannot($wall, $why, $opening->id, $middle)];
        }
        $curtain = $opening->curtain ?? throw new \LogicException('It is let in.');
        $rules = Runs::type($wall->design, $curtain->grid)->rules();
        $findings = [];
        $limits = RunLimits::from($wall->design->settings->curtainRules);
        foreach (RunDoubts::of($run, $rules, $limits, [Runs::byHand($curtain)]) as $doubt) {
            $findings[] = new Finding(
                $doubt->rule,
                $wall->body->host->id(),
                [$opening->id],
                $doubt->figure,
                Length::said($doubt->says, $wall->design->settings->units),
                [$doubt->u === null ? $middle[0] : $p->left + $doubt->u, $doubt->v === null ? $middle[1] : $p->sill + $doubt->v],
            );
        }

        array_push($findings, ...self::inLine($wall, $curtain, $run->stretches[0]->grid(), $opening->id, $middle));

        return [...$findings, ...self::units(
            $wall,
            $run->stretches[0],
            $opening->id,
            $opening->facesOut,
            static fn (GridCell $c): array => [$p->left + $c->contour()->bounds()[0], $p->sill + $c->contour()->bounds()[1]],
        )];
    }

    /** Whether a run that closes a room off, by itself or against what its ends meet, has its outside in there. */
    private static function facesIn(Design $design, StandingRun $standing): bool
    {
        $walls = $standing->walls;
        $last = $walls[count($walls) - 1];
        $meets = static fn (End $end): bool => $end->joint === Joint::Tee;
        $closed = $last->to->isAt($walls[0]->from);
        $ends = [Bodies::one($design, $walls[0])->left, Bodies::one($design, $last)->right];
        if (! $closed && (count($walls) < 2 || ! $meets($ends[0]) || ! $meets($ends[1]))) {
            return false;
        }
        $ring = [];
        foreach ($walls as $wall) {
            foreach ([0.0, 0.5] as $share) {
                array_push($ring, ...$wall->face()->at($share));
            }
        }

        // its outside lies right of the way it runs, so it goes round a room with that at its left
        return Region::signedArea([...$ring, $last->to->x, $last->to->y]) < 0.0;
    }

    /**
     * That nothing is left of what it is in line with.
     *
     * @param  array{float, float}  $at
     * @return list<Finding>
     */
    private static function inLine(WallInQuestion $wall, Curtain $curtain, Grid $grid, string $element, array $at): array
    {
        $findings = [];
        foreach ([
            [$curtain->bays, $grid->bays, 'upright lines are in line with what does not lie over against it any more: it has one bay'],
            [$curtain->rows, $grid->rows, 'level lines are in line with what is not at its height any more: it has one row'],
        ] as [$alignment, $lines, $says]) {
            if ($alignment !== null && count($lines->at) === 2) {
                $findings[] = new Finding('run.aligned_nothing', $wall->body->host->id(), [$element], 0.0, "Its $says.", $at);
            }
        }

        return $findings;
    }

    /**
     * What is doubtful about units in cells: sashes too wide or heavy, rain in.
     *
     * @param  \Closure(GridCell): array{float, float}  $at
     * @return list<Finding>
     */
    private static function units(WallInQuestion $wall, Stretch $stretch, string $element, bool $facesOut, \Closure $at): array
    {
        $findings = $said = [];
        foreach ($stretch->grid()->cells as $cell) {
            if ($cell->infill->type === null || $stretch instanceof FlatStretch && $stretch->cuts($cell) !== false) {
                continue;
            }
            $type = $wall->design->type($cell->infill->type);
            $unit = CellUnit::in($cell, $type->tree())->unit;
            foreach ([
                ...UnitChecks::of($unit, $wall->design->settings->unitRules),
                ...($wall->inner ? [] : UnitChecks::rain($unit, $facesOut)),
            ] as $doubt) {
                if (! isset($said[$doubt['rule'].$type->id])) {
                    $said[$doubt['rule'].$type->id] = true;
                    $findings[] = new Finding($doubt['rule'], $wall->body->host->id(), [$element, $type->id], $doubt['figure'], sprintf(
                        '%s in %s %s.',
                        $type->mark,
                        $cell->name(),
                        Length::said($doubt['what'], $wall->design->settings->units),
                    ), $at($cell));
                }
            }
        }

        return $findings;
    }

    /** @param  array{float, float}  $at */
    private static function cannot(WallInQuestion $wall, Refusal $why, string $element, array $at): Finding
    {
        return new Finding('run.cannot', $wall->body->host->id(), [$element], 0.0, sprintf(
            'This curtain wall cannot be built as it is: %s',
            $why->said($wall->design->settings->units),
        ), $at);
    }
}
