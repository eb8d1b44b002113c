<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Building\Solved;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Remedy;
use Isleward\Core\Check\Rule;
use Isleward\Core\Check\WallInQuestion;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** What is doubtful about rooflights: no face to stand in any more, past its edge, over one another, units that no roof holds. */
final class RooflightDoubts implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        $roofs = Roofs::in($wall->design);
        foreach ($roofs->all() as $roof) {
            $shape = $roofs->home($roof) === $wall->body->host->id() ? $roofs->find($roof) : null;
            if ($shape === null) {
                continue;
            }
            $before = [];
            foreach ($roof->lights as $light) {
                try {
                    $row = Rooflights::row($wall->design, $shape, $light);
                } catch (Refusal $why) {
                    $findings[] = self::about($wall, 'rooflight.cannot', $roof, $light, 1.0, $why->getMessage());

                    continue;
                }
                array_push($findings, ...self::standing($wall, $roof, $row, $before));
                array_push($before, ...$row);
            }
        }

        return $findings;
    }

    /**
     * @param  list<PlacedRooflight>  $row
     * @param  list<PlacedRooflight>  $before  those that were looked at before
     * @return list<Finding>
     */
    private static function standing(WallInQuestion $wall, Roof $roof, array $row, array $before): array
    {
        $findings = [];
        $light = $row[0]->light;
        $called = Rooflights::called($light).' of '.$roof->name;
        $off = max([0.0, ...array_map(static fn (PlacedRooflight $p): float => $p->off, $row)]);
        if ($off > 0.0) {
            $findings[] = self::about($wall, 'rooflight.off_face', $roof, $light, $off, sprintf(
                '%s lies %s past the edge of its face; it is not cut out there.', $called, Length::mark($off),
            ));
        }
        foreach ($before as $other) {
            if ($other->light->wall === $light->wall
                && array_filter($row, static fn (PlacedRooflight $p): bool => $p->overlaps($other)) !== []) {
                $findings[] = self::about($wall, 'rooflight.overlap', $roof, $light, 1.0, sprintf(
                    '%s lies over %s.', $called, Rooflights::called($other->light),
                ));
                break;
            }
        }
        $type = $row[0]->type;
        $against = Rooflights::against(Solved::of($type, $light->width, $light->height), $type->mark);
        if ($against !== null) {
            $findings[] = self::about($wall, 'rooflight.unit', $roof, $light, 1.0, sprintf('%s: %s', $called, $against));
        }

        return $findings;
    }

    private static function about(WallInQuestion $wall, string $rule, Roof $roof, Rooflight $light, float $figure, string $says): Finding
    {
        $body = $wall->body;
        $shape = Roofs::in($wall->design)->of($roof);

        return new Finding(
            $rule, $body->host->id(), [$roof->id, $body->host->id()], $figure, Length::said($says, $wall->design->settings->units),
            [($body->start() + $body->end()) / 2, ($shape->foot() + $shape->top()) / 2],
            new Remedy('Remove the rooflight', 'roof.light-remove', ['id' => $roof->id, 'ns' => [$light->n]]),
        );
    }
}
