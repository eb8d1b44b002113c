<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\LeafSweep;
use Isleward\Core\Check\Remedy;
use Isleward\Core\Check\Rule;
use Isleward\Core\Check\WallInQuestion;
use Isleward\Core\Design\Layered;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Area;
use Isleward\Core\Measure\Length;
use Isleward\Core\Unit\FreeOpening;
use Isleward\Core\Unit\SolvedLight;

/** What is doubtful about bands: those that cannot stand, pieces that meet, openings they cover, pins whose piece is gone. */
final class BandDoubts implements Rule
{
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
        array_push($findings, ...$this->fields($wall));
        $floors = FloorBands::in($wall->design);
        foreach ($floors->all() as $band) {
            $why = $floors->home($band) === $wall->body->host->id() ? $floors->why($band) : null;
            if ($why !== null) {
                $findings[] = $this->about($wall, 'floor-band.cannot', $band, 1.0, $band->name.' cannot stand as it is: '.$why);
            }
        }
        foreach ($bands->before($wall->body->host->id()) as [$fins, $pieces]) {
            array_push($findings, ...$this->meeting($wall, $fins, $pieces));
        }
        $boxes = $wall->asked === [] ? [] : self::boxes($wall);
        foreach ($boxes === [] ? [] : $wall->asked as $placed) {
            array_push($findings, ...$this->covered($wall, $placed, $boxes), ...self::inTheWay($wall, $placed));
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function fields(WallInQuestion $wall): array
    {
        $findings = [];
        $fields = FieldsOn::in($wall->design);
        $units = $wall->design->settings->units;
        foreach ($fields->all($wall->body->host->id()) as $field) {
            $why = $fields->why($field);
            if ($why !== null) {
                $findings[] = $this->about(
                    $wall, 'field.cannot', $field, 1.0, $field->name.' cannot stay as it is: '.$why,
                    new Remedy('Remove the field', 'field.remove', ['ids' => [$field->id]]),
                );
            }
            $needs = self::needs($wall, $field);
            $free = $fields->find($field)?->freeArea();
            if ($needs !== null && $free !== null && $free < $needs - 1.0) {
                $findings[] = $this->about($wall, 'field.free', $field, $free / $needs, sprintf(
                    '%s leaves %s clear before an opening whose leaves open %s: %d %% of that.', $field->name,
                    Area::format($free, $units), Area::format($needs, $units), (int) floor(100 * $free / $needs),
                ));
            }
            $shortest = min([INF, ...$fields->find($field)->lengths ?? []]);
            if ($shortest < $wall->design->settings->layerRules->short) {
                $findings[] = $this->about($wall, 'field.short', $field, $shortest, sprintf(
                    'The shortest batten of %s is %s long: too short to be fixed at both ends.', $field->name, Length::mark($shortest),
                ));
            }
        }

        return $findings;
    }

    /** What the unit behind a field opens when its leaves stand wide open, mm²; null where it has none, or the field lies in it. */
    private static function needs(WallInQuestion $wall, Field $field): ?float
    {
        $opening = $field->cell === null && $field->out >= 0.0 ? $wall->design->openings[$field->opening ?? ''] ?? null : null;
        $unit = $opening === null ? null : Symbols::solved($wall->design, $opening);
        $open = array_sum(array_map(
            static fn (SolvedLight $light): float => FreeOpening::of($light, 1.0)->area,
            $unit->lights ?? [],
        ));

        return $open > 0.0 ? $open : null;
    }

    /**
     * @param  list<int>  $pieces
     * @return list<Finding>
     */
    private function meeting(WallInQuestion $wall, Fins $fins, array $pieces): array
    {
        $limit = $wall->design->settings->layerRules->apart;
        $met = $nearest = 0;
        $first = null;
        $before = $pieces[0] > 0 ? $pieces[0] - 1 : null;
        foreach ($pieces as $i) {
            $apart = $before === $i - 1 ? self::apart($fins, $before, $i, $limit) : INF;
            if ($apart < $limit - Tolerance::LENGTH) {
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
     * How far two pieces that follow each other lie apart in plan, over whichever direction parts them most; negative where they run into
     * each other, mm. Where they are far enough apart it is not looked for farther.
     */
    private static function apart(Fins $fins, int $a, int $b, float $limit): float
    {
        $way = new Vec2($fins->x[$b] - $fins->x[$a], $fins->y[$b] - $fins->y[$a]);
        if ($way->length() < 1e-6) {
            return -$fins->thickness[$a];
        }
        $pieces = [$a => Posed::of($fins, $a), $b => Posed::of($fins, $b)];
        $best = -INF;
        // over the way from one to the other, and square to the sides of both
        foreach ([$way->angle(), ...self::sides($fins, $a), ...self::sides($fins, $b)] as $angle) {
            [$dx, $dy] = [cos($angle), sin($angle)];
            $reach = [];
            foreach ($pieces as $i => $posed) {
                $askew = $angle - $fins->angle[$i];
                [$low, $high] = $posed->over(cos($askew), 0.0, -sin($askew));
                $at = $fins->x[$i] * $dx + $fins->y[$i] * $dy;
                $reach[] = [$at + $low, $at + $high];
            }
            $best = max($best, $reach[1][0] - $reach[0][1], $reach[0][0] - $reach[1][1]);
            if ($best >= $limit) {
                return $best;
            }
        }

        return $best;
    }

    /** @return array{float, float} directions square to the sides of a piece as it is turned, in plan, radians */
    private static function sides(Fins $fins, int $i): array
    {
        $turned = $fins->band->stand === Stand::Standing ? $fins->angle[$i] + deg2rad($fins->turn[$i]) : $fins->angle[$i];

        return [$turned, $turned + M_PI / 2];
    }

    /**
     * What stands before a wall, as boxes seen square on to it.
     *
     * @return list<array{float, float, float, float, string}> u, level, u, level, and what it is called
     */
    private static function boxes(WallInQuestion $wall): array
    {
        $boxes = [];
        $surface = $wall->body->surface;
        foreach (Bands::in($wall->design)->before($wall->body->host->id()) as [$fins, $pieces]) {
            foreach ($pieces as $i) {
                $u = $surface->u(new Vec2($fins->x[$i], $fins->y[$i]));
                $askew = $fins->angle[$i] - $surface->angle($u);
                $posed = Posed::of($fins, $i);
                [$x0, $x1] = $posed->over(cos($askew), 0.0, sin($askew));
                [$y0, $y1] = $posed->over(0.0, 1.0, 0.0);
                $boxes[] = [$u + $x0, $fins->foot + $y0, $u + $x1, $fins->foot + $y1, $fins->band->name];
            }
        }

        return $boxes;
    }

    /**
     * @param  list<array{float, float, float, float, string}>  $before
     * @return list<Finding>
     */
    private function covered(WallInQuestion $wall, PlacedOpening $placed, array $before): array
    {
        $boxes = $by = [];
        foreach ($before as [$x0, $y0, $x1, $y1, $name]) {
            $box = [max($x0, $placed->left), max($y0, $placed->sill), min($x1, $placed->right), min($y1, $placed->head)];
            if ($box[2] > $box[0] && $box[3] > $box[1]) {
                $boxes[] = $box;
                $by[$name] = $name;
            }
        }
        $whole = ($placed->right - $placed->left) * ($placed->head - $placed->sill);
        $share = $boxes === [] ? 0.0 : self::union($boxes) / $whole;

        return $share < $wall->design->settings->layerRules->covered ? [] : [$wall->finding('layer.covers', $placed, $share, sprintf(
            'is covered by %s: %d %% of it as it is seen square on', implode(' and ', $by), (int) round($share * 100),
        ), null)];
    }

    /** @return list<Finding> pieces that a leaf strikes before it stands open */
    private static function inTheWay(WallInQuestion $wall, PlacedOpening $placed): array
    {
        $worst = null;
        foreach (LeafSweep::all($wall, $placed) as $sweep) {
            foreach (Bands::in($wall->design)->before($wall->body->host->id()) as [$fins, $pieces]) {
                foreach ($pieces as $i) {
                    $far = $sweep->radius + $fins->thickness[$i] + $fins->reach[$i] + $fins->length[$i];
                    if (abs($fins->x[$i] - $sweep->hinge->x) > $far || abs($fins->y[$i] - $sweep->hinge->y) > $far) {
                        continue;
                    }
                    $posed = Posed::of($fins, $i);
                    [$low, $high] = $posed->over(0.0, 1.0, 0.0);
                    if ($fins->foot + $high <= $sweep->foot + Tolerance::LENGTH || $fins->foot + $low >= $sweep->head - Tolerance::LENGTH) {
                        continue;
                    }
                    $angle = $sweep->struckBy(BandsDrawn::footprint($fins, $i, $posed));
                    if ($angle !== null && ($worst === null || $angle < $worst[0])) {
                        $worst = [$angle, $fins, $fins->n[$i]];
                    }
                }
            }
        }

        return $worst === null ? [] : [$wall->finding('layer.swing', $placed, $worst[0], sprintf(
            'has a leaf that opens to %s° only: then it strikes piece %d of %s', round($worst[0], 1), $worst[2] + 1, $worst[1]->band->name,
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

    private function about(WallInQuestion $wall, string $rule, Layered $band, float $figure, string $says, ?Remedy $remedy = null): Finding
    {
        $body = $wall->body;

        return new Finding(
            $rule, $body->host->id(), [$band->id()], $figure, Length::said($says, $wall->design->settings->units),
            [($body->start() + $body->end()) / 2, ($body->foot + $body->head) / 2], $remedy,
        );
    }
}
