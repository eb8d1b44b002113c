<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\LeafSweep;
use Isleward\Core\Check\Remedy;
use Isleward\Core\Check\Rule;
use Isleward\Core\Check\WallInQuestion;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Length;

/** What is doubtful about roofs: those that cannot stand, walls that end short of them or run up through them. */
final class RoofDoubts implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        $roofs = Roofs::in($wall->design);
        foreach ($roofs->all() as $roof) {
            $why = $roofs->home($roof) === $wall->body->host->id() ? $roofs->why($roof) : null;
            if ($why !== null) {
                $findings[] = self::about($wall, 'roof.cannot', $roof, 1.0, $roof->name.' cannot stand as it is: '.$why, null,
                    new Remedy('Remove the roof', 'roof.remove', ['ids' => [$roof->id]]));
            }
        }
        $findings = [...$findings, ...self::left($wall)];
        $sides = $roofs->over($wall->body->host->id());
        foreach ($sides === [] ? [] : $wall->asked as $placed) {
            array_push($findings, ...self::struck($wall, $placed, $sides));
        }
        foreach ($sides as $i => [$shape, $side]) {
            if ($i > 0 && $sides[$i - 1][0] === $shape) {
                continue; // another chord of an arc
            }
            if ($shape->roof->edge($wall->body->host->id())?->open === true) {
                continue; // nothing is to close it there
            }
            [$low, $high] = self::over($wall, $shape, $side);
            if ($shape->roof->within) {
                // a parapet has to reach over its edge
                $edge = $shape->foot() + $shape->roof->upright();
                $lowest = min(array_column($wall->body->headLine($wall->body->start(), $wall->body->end()), 1));
                if ($lowest < $edge - 1.0) {
                    $findings[] = self::about($wall, 'roof.over_parapet', $shape->roof, $edge - $lowest, sprintf(
                        'This wall is no parapet to %s: its head lies %s under that roof’s upper side.', $shape->roof->name,
                        Length::mark($edge - $lowest),
                    ), $edge);
                }

                continue;
            }
            $head = $wall->body->head;
            if ($wall->body->host->head()?->roof === $shape->roof->id && $wall->body->heads !== null) {
                continue; // it runs up to it
            }
            $up = self::runsUp($wall, $shape->roof);
            if ($low > $head + 1.0 || $high > $head + 1.0) {
                $findings[] = self::about($wall, 'roof.short', $shape->roof, $high - $head, sprintf(
                    '%s lies %s over this wall’s head%s: the wall ends short of it.', $shape->roof->name, Length::mark($high - $head),
                    $low > $head + 1.0 || $side->pitch !== null ? '' : ' at its gable’s highest',
                ), $high, $up);
            } elseif ($low < $head - 1.0) {
                $findings[] = self::about($wall, 'roof.through', $shape->roof, $head - $low, sprintf(
                    'This wall runs up %s into %s.', Length::mark($head - $low), $shape->roof->name,
                ), $low, $up);
            }
        }

        return $findings;
    }

    /**
     * Heads and feet that follow a roof which does not lie over all of their wall any more, or leaves it no height.
     *
     * @return list<Finding>
     */
    private static function left(WallInQuestion $wall): array
    {
        $body = $wall->body;
        $findings = [];
        $edges = ['head' => [$body->host->head(), $body->heads], 'foot' => [$body->host->foot(), $body->feet]];
        foreach ($edges as $which => [$edge, $cover]) {
            $roof = $edge === null ? null : $wall->design->layers[(string) $edge->roof] ?? null;
            if ($cover === null && $roof instanceof Roof && $body->host->curtain() === null) {
                $findings[] = self::about($wall, 'roof.not_followed', $roof, 1.0, sprintf(
                    'This wall’s %s is to follow %s, which does not lie over all of it or leaves it no height: it is level.', $which,
                    $roof->name,
                ), null, new Remedy('Keep it level', 'wall.edge', ['walls' => [$body->host->id()], $which => null]));
            }
        }

        return $findings;
    }

    /**
     * Leaves that strike the underside of eaves before they stand open.
     *
     * @param  list<array{RoofShape, RoofSide}>  $sides
     * @return list<Finding>
     */
    private static function struck(WallInQuestion $wall, PlacedOpening $placed, array $sides): array
    {
        $worst = null;
        $surface = $wall->body->surface;
        foreach (LeafSweep::all($wall, $placed) as $sweep) {
            foreach ($sides as [$shape, $side]) {
                $middle = $surface->inPlan($placed->middle());
                // as far out as its underside comes down to the leaf's head
                $out = $side->pitch === null ? INF : max(0.0, ($side->levelAt($middle->x, $middle->y) - $sweep->head) / tan($side->pitch));
                if ($out >= $side->overhang - Tolerance::LENGTH) {
                    continue;
                }
                $ring = [];
                [$end, $far] = [$wall->body->length, $side->overhang];
                foreach ([[0.0, $out], [$end, $out], [$end, $far], [0.0, $far]] as [$u, $d]) {
                    $at = $surface->inPlan($u, -$d);
                    array_push($ring, $at->x, $at->y);
                }
                $angle = $sweep->struckBy($ring);
                if ($angle !== null && ($worst === null || $angle < $worst[0])) {
                    $worst = [$angle, $shape->roof->name];
                }
            }
        }

        return $worst === null ? [] : [$wall->finding('roof.swing', $placed, $worst[0], sprintf(
            'has a leaf that opens to %s° only: then it strikes the eaves of %s', round($worst[0], 1), $worst[1],
        ), null)];
    }

    /** What puts a wall right that ends elsewhere than its roof. */
    private static function runsUp(WallInQuestion $wall, Roof $roof): ?Remedy
    {
        $cover = Roofs::in($wall->design)->cover($roof, false);
        $body = $wall->body;

        if ($cover === null || $body->host->curtain() !== null || ! $body->isCoveredBy($cover)
            || ! $body->between($cover, $body->feet)->stands()) {
            return null;
        }

        return new Remedy('Run the wall up to it', 'wall.edge', ['walls' => [$body->host->id()], 'head' => ['roof' => $roof->id]]);
    }

    /** @return array{float, float} the lowest and the highest level of its underside over the wall's outer face */
    private static function over(WallInQuestion $wall, RoofShape $shape, RoofSide $side): array
    {
        $surface = $wall->body->surface;
        if ($side->pitch !== null) {
            $at = $surface->inPlan(($wall->body->start() + $wall->body->end()) / 2);
            $level = $side->levelAt($at->x, $at->y);

            return [$level, $level];
        }
        // along a gable the slopes on both sides rise to its top
        $levels = array_column($side->corners, 2);
        foreach ([$wall->body->start(), $wall->body->end()] as $u) {
            $at = $surface->inPlan($u);
            $levels[] = min([INF, ...array_map(static fn (RoofSide $s): float => $s->levelAt($at->x, $at->y), $shape->slopes())]);
        }

        return [max(min([INF, ...$levels]), $wall->body->head), max([-INF, ...$levels])];
    }

    private static function about(
        WallInQuestion $wall,
        string $rule,
        Roof $roof,
        float $figure,
        string $says,
        ?float $level = null,
        ?Remedy $remedy = null,
    ): Finding {
        $body = $wall->body;

        return new Finding(
            $rule, $body->host->id(), [$roof->id, $body->host->id()], $figure, Length::said($says, $wall->design->settings->units),
            [($body->start() + $body->end()) / 2, $level ?? ($body->foot + $body->head) / 2], $remedy,
        );
    }
}
