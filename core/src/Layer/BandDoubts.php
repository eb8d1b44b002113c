<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Remedy;
use Isleward\Core\Check\Rule;
use Isleward\Core\Check\WallInQuestion;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;

/** What is doubtful about bands: those that cannot stand, pieces that meet, openings they cover, pins whose piece is gone. */
final class BandDoubts implements Rule
{
    /** Of an opening's area, from which on it is told (common practice). */
    private const COVERED = 0.5;

    /** Pieces nearer than that to each other cannot be fixed or cleaned (common practice), mm. */
    private const APART = 5.0;

    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        $bands = Bands::in($wall->design);
        foreach ($bands->all() as $band) {
            if ($bands->home($band) !== $wall->body->host->id()) {
                continue;
            }
            $why = $bands->why($band);
            if ($why !== null) {
                $findings[] = $this->about($wall, 'band.cannot', $band, 1.0, $band->name.' cannot stand as it is: '.$why);
            }
            $lost = $bands->find($band)->lost ?? [];
            if ($lost !== []) {
                $findings[] = $this->about($wall, 'band.pins_lost', $band, (float) count($lost), sprintf(
                    '%d pinned %s of %s not there any more, as it has fewer now.', count($lost),
                    count($lost) === 1 ? 'piece' : 'pieces', $band->name.(count($lost) === 1 ? ' is' : ' are'),
                ), new Remedy('Forget them', 'band.pin', ['id' => $band->id, 'pieces' => $lost, 'release' => true]));
            }
        }
        foreach ($bands->before($wall->body->host->id()) as [$fins, $pieces]) {
            array_push($findings, ...$this->meeting($wall, $fins, $pieces));
        }
        foreach ($wall->asked as $placed) {
            array_push($findings, ...$this->covered($wall, $placed));
        }

        return $findings;
    }

    /**
     * @param  list<int>  $pieces
     * @return list<Finding>
     */
    private function meeting(WallInQuestion $wall, Fins $fins, array $pieces): array
    {
        $met = $nearest = 0;
        $first = null;
        $before = $pieces[0] > 0 ? $pieces[0] - 1 : null;
        foreach ($pieces as $i) {
            $apart = $before === $i - 1 ? self::apart($fins, $before, $i) : INF;
            if ($apart < self::APART - Tolerance::LENGTH) {
                $met++;
                $first ??= $i;
                $nearest = $first === $i ? $apart : min($nearest, $apart);
            }
            $before = $i;
        }
        if ($first === null) {
            return [];
        }
        $u = $wall->body->surface->u(new Vec2($fins->x[$first], $fins->y[$first]));
        $said = $nearest <= 0 ? sprintf('run into the ones before them, by %s', Length::mark(-$nearest))
            : sprintf('come as near as %s to the ones before them', Length::mark($nearest));

        return [new Finding('band.meets', $wall->body->host->id(), [$fins->band->id], $nearest, Length::said(sprintf(
            '%d pieces of %s %s; the first is number %d.', $met, $fins->band->name, $said, $fins->n[$first] + 1,
        ), $wall->design->settings->units), [$u, $fins->foot + 500.0])];
    }

    /**
     * How far two pieces that follow each other lie apart, over the line between their places; negative where they run into each other,
     * mm.
     */
    private static function apart(Fins $fins, int $a, int $b): float
    {
        $way = (new Vec2($fins->x[$b] - $fins->x[$a], $fins->y[$b] - $fins->y[$a]));
        if ($way->length() < 1e-6) {
            return -$fins->thickness[$a];
        }
        // the nearest they come over any direction that parts them: along the way, and square to each of their sides
        $best = -INF;
        foreach ([$way->angle(), $fins->angle[$a], $fins->angle[$b], self::side($fins, $a), self::side($fins, $b)] as $angle) {
            $direction = Vec2::atAngle($angle);
            foreach ([1.0, -1.0] as $sign) {
                [, $end] = self::over($fins, $a, $direction->times($sign));
                [$start] = self::over($fins, $b, $direction->times($sign));
                $best = max($best, $start - $end);
            }
        }

        return $best;
    }

    /** The direction square to the side of a piece as it is turned, in plan, radians. */
    private static function side(Fins $fins, int $i): float
    {
        return $fins->angle[$i] + deg2rad($fins->turn[$i]);
    }

    /** @return array{float, float} from where to where a piece reaches over a direction in plan */
    private static function over(Fins $fins, int $i, Vec2 $direction): array
    {
        [$along, $out] = [Vec2::atAngle($fins->angle[$i]), Vec2::atAngle($fins->angle[$i] - M_PI / 2)];
        [$da, $do] = [$along->dot($direction), $out->dot($direction)];
        $at = (new Vec2($fins->x[$i], $fins->y[$i]))->dot($direction);
        $reach = array_map(static fn (array $p): float => $at + $p[0] * $da + $p[2] * $do, Posed::of($fins, $i)->corners());

        return $reach === [] ? [$at, $at] : [min($reach), max($reach)];
    }

    /** @return list<Finding> */
    private function covered(WallInQuestion $wall, PlacedOpening $placed): array
    {
        $boxes = [];
        $by = [];
        foreach (Bands::in($wall->design)->before($wall->body->host->id()) as [$fins, $pieces]) {
            foreach ($pieces as $i) {
                $ring = BandsDrawn::seenBefore($wall->body->surface, $fins, $i);
                [$x, $y] = [[], []];
                for ($k = 0, $n = count($ring); $k < $n; $k += 2) {
                    $x[] = $ring[$k];
                    $y[] = $ring[$k + 1];
                }
                if ($x === []) {
                    continue;
                }
                $box = [max(min($x), $placed->left), max(min($y), $placed->sill), min(max($x), $placed->right),
                    min(max($y), $placed->head)];
                if ($box[2] > $box[0] && $box[3] > $box[1]) {
                    $boxes[] = $box;
                    $by[$fins->band->id] = $fins->band->name;
                }
            }
        }
        $whole = ($placed->right - $placed->left) * ($placed->head - $placed->sill);
        $share = $boxes === [] ? 0.0 : self::union($boxes) / $whole;

        return $share < self::COVERED ? [] : [$wall->finding('layer.covers', $placed, $share, sprintf(
            'is covered by %s: %d %% of it as it is seen square on', implode(' and ', $by), (int) round($share * 100),
        ), null)];
    }

    /**
     * The area of rectangles together.
     *
     * @param  non-empty-list<array{float, float, float, float}>  $boxes
     */
    private static function union(array $boxes): float
    {
        $xs = [];
        foreach ($boxes as $box) {
            $xs[(string) $box[0]] = $box[0];
            $xs[(string) $box[2]] = $box[2];
        }
        sort($xs);
        $area = 0.0;
        for ($i = 1, $n = count($xs); $i < $n; $i++) {
            [$from, $to] = [$xs[$i - 1], $xs[$i]];
            $spans = [];
            foreach ($boxes as $box) {
                if ($box[0] < $to && $box[2] > $from) {
                    $spans[] = [$box[1], $box[3]];
                }
            }
            sort($spans);
            $end = -INF;
            foreach ($spans as [$low, $high]) {
                $area += ($to - $from) * max(0.0, $high - max($low, $end));
                $end = max($end, $high);
            }
        }

        return $area;
    }

    private function about(WallInQuestion $wall, string $rule, Band $band, float $figure, string $says, ?Remedy $remedy = null): Finding
    {
        $body = $wall->body;

        return new Finding(
            $rule, $body->host->id(), [$band->id], $figure, Length::said($says, $wall->design->settings->units),
            [($body->start() + $body->end()) / 2, ($body->foot + $body->head) / 2], $remedy,
        );
    }
}
