<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Remedy;
use Isleward\Core\Check\Rule;
use Isleward\Core\Check\WallInQuestion;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Region;

/** Slabs along a line of their own that no wall touches: nothing that is drawn holds them. */
final class SlabDoubts implements Rule
{
    /** Walls this near hold a slab, mm. */
    private const NEAR = 1.0;

    private const SAGITTA = 0.5;

    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        $bands = FloorBands::in($wall->design);
        $body = $wall->body;
        foreach ($bands->all() as $band) {
            if ($band->depth !== null || $band->outline !== null || $bands->home($band) !== $body->host->id()) {
                continue;
            }
            $floating = array_values(array_filter($bands->find($band), static fn (FloorRow $r): bool => ! self::isHeld($wall, $r)));
            if ($floating !== []) {
                $names = array_map(static fn (FloorRow $r): string => $wall->design->storeys->get($r->storey)->name, $floating);
                $findings[] = new Finding(
                    'slab.floating', $body->host->id(), [$band->id, $body->host->id()], (float) count($floating),
                    sprintf('%s floats at %s: no wall touches it there.', $band->name, implode(', ', $names)),
                    [($body->start() + $body->end()) / 2, $floating[0]->top],
                    new Remedy('Remove it', 'floor-band.remove', ['ids' => [$band->id]]),
                );
            }
        }

        return $findings;
    }

    private static function isHeld(WallInQuestion $wall, FloorRow $row): bool
    {
        $edge = $row->line->offset($row->out + self::NEAR);
        $slab = $edge === [] ? Region::empty() : Region::polygon(Contour::of($edge)->ring(self::SAGITTA));
        foreach (Bodies::of($wall->design) as $body) {
            if ($body->foot < $row->top + self::NEAR && $body->head > $row->foot() - self::NEAR
                && ! $slab->intersection(Region::polygon($body->footprint()->ring(self::SAGITTA)))->isEmpty()) {
                return true;
            }
        }

        return false;
    }
}
