<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Solid;
use Isleward\Core\Scene\Contributor;
use Isleward\Core\Scene\Material;
use Isleward\Core\Scene\Part;
use Isleward\Core\Scene\Piece;
use Isleward\Core\Scene\UnitPieces;

/** Screens in the solid model: one geometry before each wall. */
final class ScreenParts implements Contributor
{
    private const SAGITTA = 0.5;

    public function parts(Design $design, Body $body): iterable
    {
        foreach (Screens::in($design)->on($body->host->id()) as $face) {
            $screen = $face->screen;
            $material = Material::Infill->value;
            foreach ($design->settings->finishes as $finish) {
                $material = $finish->id === $screen->finish ? $finish->material() : $material;
            }
            $start = $face->surface->start();
            yield new Part(
                sprintf('screen %s %s %s', $screen->id, $face->wall, $material),
                static fn (): array => array_map(
                    static fn (Solid $solid): Piece => new Piece($solid, 'screen', $material, self::SAGITTA), ScreenSolid::of($face),
                ),
                $screen->id, null, $start->x, $start->y, 0.0, 0.0,
            );
            foreach ($face->units as $unit) {
                $at = $face->surface->inPlan($unit->u);
                $size = round($unit->unit->outline->width(), 3).' '.round($unit->unit->outline->height(), 3);
                yield new Part(
                    sprintf('screen unit %s %s %d %s', $unit->type, $size, $screen->part($unit->n)->mirrored, $screen->front()),
                    static fn (): array => UnitPieces::of(
                        $unit->unit, $design->settings, -$screen->front(), true, $unit->unit->depth(), null,
                    ),
                    $screen->id, null, $at->x, $at->y, $unit->level, $face->surface->angle(),
                );
            }
        }
    }
}
