<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Scene\Contributor;
use Isleward\Core\Scene\Material;
use Isleward\Core\Scene\Part;
use Isleward\Core\Scene\Piece;

/** Roofs in the solid model, each with the first wall of its outline. */
final class RoofParts implements Contributor
{
    private const SAGITTA = 1.0;

    public function parts(Design $design, Body $body): iterable
    {
        $roofs = Roofs::in($design);
        foreach ($roofs->all() as $roof) {
            $shape = $roofs->home($roof) === $body->host->id() ? $roofs->find($roof) : null;
            if ($shape === null) {
                continue;
            }
            $material = Material::Wall->value;
            foreach ($design->settings->finishes as $finish) {
                $material = $finish->id === $roof->finish ? $finish->material() : $material;
            }
            $start = $shape->sides[0]->from;
            // geometries lie with y up and z towards the south
            $to = static fn (float $x, float $y, float $z): array => [$x - $start->x, $z - $shape->foot(), $start->y - $y];
            yield new Part(
                'roof '.$roof->id.' '.$material,
                static fn (): array => array_map(
                    static fn (CutPrism $solid): Piece => new Piece(new Moved($solid, $to), 'roof', $material, self::SAGITTA),
                    $shape->solids(),
                ),
                $roof->id, $roof->storey, $start->x, $start->y, $shape->foot(), 0.0,
            );
        }
    }
}
