<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Meeting;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;

/** A leaf hung at its side that strikes another wall before it stands open as far as it turns. */
final class SwingStruck implements Rule
{
    /** Curved walls are chords that leave their faces by so much at the most, mm. */
    private const SAGITTA = 0.5;

    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        foreach ($wall->asked as $p) {
            $sweeps = LeafSweep::all($wall, $p);
            $said = $sweeps === [] ? [] : self::saidAlready($wall, $p);
            $worst = null;
            foreach ($sweeps as $sweep) {
                $struck = self::struck($wall, $sweep, $said);
                $worst = $struck !== null && ($worst === null || $struck[0] < $worst[0]) ? $struck : $worst;
            }
            if ($worst !== null) {
                [$angle, $other] = $worst;
                $findings[] = $wall->finding(
                    'leaf.swing', $p, $angle, sprintf('has a leaf that opens to %s° only: then it strikes %s', rtrim(
                        rtrim(number_format($angle, 1, '.', ''), '0'),
                        '.',
                    ),
                        $wall->design->isInner($other) ? $wall->named($other) : 'the wall beside it'), null);
            }
        }

        return $findings;
    }

    /** @return array<string, true> walls that the opening itself runs into: of these more is said than that a leaf strikes them */
    private static function saidAlready(WallInQuestion $wall, PlacedOpening $p): array
    {
        $said = [];
        foreach ([[false, $wall->body->left], [true, $wall->body->right]] as [$atRight, $end]) {
            $stop = Meeting::clearEnd($wall->design, $wall->body, $p->sill, $p->head, $atRight);
            if ($end->meets !== null && ($atRight ? $p->right > $stop + Tolerance::LENGTH : $p->left < $stop - Tolerance::LENGTH)) {
                $said[$end->meets] = true;
            }
        }
        foreach ($wall->abutments as $a) {
            if ($a->reach($p) > Tolerance::LENGTH) {
                $said[$a->wall->id] = true;
            }
        }

        return $said;
    }

    /**
     * @param  array<string, true>  $said
     * @return array{float, Wall}|null the angle it opens to, degrees, and what it strikes
     */
    private static function struck(WallInQuestion $wall, LeafSweep $sweep, array $said): ?array
    {
        $best = null;
        $storeys = $wall->design->storeys;
        foreach ($wall->design->walls as $other) {
            if ($other->id === $wall->body->host->id() || isset($said[$other->id]) || ! self::isNear($other, $sweep->hinge, $sweep->radius)
                || $storeys->floor($other->base) >= $sweep->head - Tolerance::LENGTH
                || $storeys->ceiling($other->top) <= $sweep->foot + Tolerance::LENGTH) {
                continue;
            }
            $angle = $sweep->struckBy(Bodies::one($wall->design, $other)->footprint()->ring(self::SAGITTA));
            if ($angle !== null && ($best === null || $angle < $best[0])) {
                $best = [$angle, $other];
            }
        }

        return $best;
    }

    private static function isNear(Wall $other, Vec2 $point, float $radius): bool
    {
        $surface = $other->surface();
        $nearest = $surface->inPlan(max(0.0, min($surface->length, $surface->u($point))));

        return $point->distanceTo($nearest) <= $radius + $other->thickness;
    }
}
