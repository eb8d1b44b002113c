<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\HostPart;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Solid;
use Isleward\Core\Scene\Contributor;
use Isleward\Core\Scene\Material;
use Isleward\Core\Scene\Part;
use Isleward\Core\Scene\Piece;
use Isleward\Core\Scene\UnitPieces;

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
            $lights = Rooflights::of($design, $shape);
            $start = $shape->sides[0]->from;
            // geometries lie with y up and z towards the south
            $to = static fn (float $x, float $y, float $z): array => [$x - $start->x, $z - $shape->foot(), $start->y - $y];
            yield new Part(
                'roof '.$roof->id.' '.$material,
                static fn (): array => array_map(
                    static fn (Solid $solid): Piece => new Piece(new Moved($solid, $to), 'roof', $material, self::SAGITTA),
                    $lights === [] ? $shape->solids() : Rooflights::faces($shape, $lights),
                ),
                $roof->id, $roof->storey, $start->x, $start->y, $shape->foot(), 0.0,
            );
            foreach ($lights as $placed) {
                yield self::light($design, $placed, $roof);
            }
        }
    }

    /** Rooflights of one type, size and pitch are one geometry. */
    private static function light(Design $design, PlacedRooflight $placed, Roof $roof): Part
    {
        $light = $placed->light;
        $axes = $placed->face->axes;
        $at = $axes->point($placed->u, $placed->v, 0.0);
        [$c, $s] = [$axes->z->z, $axes->y->z];
        // x along the eaves, y up, z level towards the one who sees it
        $to = static fn (float $x, float $y, float $z): array => [$x, $y * $s + $z * $c, $z * $s - $y * $c];

        return new Part(
            sprintf('rooflight %s %.3f %.3f %.3f %.6f', $placed->type->treeHash, $light->width, $light->height, $light->proud, $s),
            static fn (): array => array_map(
                static fn (Piece $p): Piece => new Piece(new Moved($p->solid, $to), $p->role, $p->material, $p->sagitta),
                UnitPieces::of($placed->unit, $design->settings, -$light->proud, true, $placed->face->through, null),
            ),
            $roof->id, $roof->storey, $at->x, $at->y, $at->z, atan2($axes->x->y, $axes->x->x), name: HostPart::light($light->n),
        );
    }
}
