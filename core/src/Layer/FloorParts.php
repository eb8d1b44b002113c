<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Scene\Contributor;
use Isleward\Core\Scene\Material;
use Isleward\Core\Scene\Part;
use Isleward\Core\Scene\Piece;

/** Floor bands in the solid model, each with the first wall it follows; rows as far out as each other share a geometry. */
final class FloorParts implements Contributor
{
    private const SAGITTA = 1.0;

    public function parts(Design $design, Body $body): iterable
    {
        $bands = FloorBands::in($design);
        foreach ($bands->all() as $band) {
            if ($bands->home($band) !== $body->host->id()) {
                continue;
            }
            $material = Material::Wall->value;
            foreach ($design->settings->finishes as $finish) {
                $material = $finish->id === $band->finish ? $finish->material() : $material;
            }
            foreach ($bands->find($band) as $row) {
                $start = $row->line->stretches[0]->start();
                // geometries lie with y up and z towards the south
                $to = static fn (float $x, float $y, float $z): array => [$x - $start->x, $z, $start->y - $y];
                yield new Part(
                    sprintf('floor %s %.3F %s', $band->id, $row->out, $material),
                    static fn (): array => [new Piece(new Moved($row->solid(), $to), 'floor', $material, self::SAGITTA)],
                    $band->id, $row->storey, $start->x, $start->y, $row->top, 0.0,
                );
            }
        }
    }
}
