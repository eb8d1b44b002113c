<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Solid;
use Isleward\Core\Scene\Contributor;
use Isleward\Core\Scene\Material;
use Isleward\Core\Scene\Part;
use Isleward\Core\Scene\Piece;

/** Fields of battens in the solid model: all battens of one are one geometry. */
final class FieldParts implements Contributor
{
    private const SAGITTA = 0.5;

    public function parts(Design $design, Body $body): iterable
    {
        foreach (FieldsOn::in($design)->on($body->host->id()) as $pieces) {
            $field = $pieces->field;
            $material = Material::Louvre->value;
            foreach ($design->settings->finishes as $finish) {
                $material = $finish->id === $field->finish ? $finish->material() : $material;
            }
            $start = $body->surface->start();
            $foot = $pieces->region->bounds()[1];
            $arc = $body->surface->isFlat() ? null : [$body->surface->radius(), $body->surface->angle()];
            $shape = hash('xxh32', serialize([$field->toArray(), $pieces->region->bounds(), $arc]));
            $key = sprintf('field %s %s %s', $field->id, $shape, $material);
            yield new Part(
                $key,
                static function () use ($pieces, $foot, $material): array {
                    return array_map(static fn (Solid $solid): Piece => new Piece(
                        new Moved($solid, static fn (float $x, float $y, float $z): array => [$x, $y - $foot, $z]),
                        'batten', $material, self::SAGITTA,
                    ), FieldSolids::all($pieces));
                },
                $field->id, $field->storey, $start->x, $start->y, $foot, $body->surface->isFlat() ? $body->surface->angle() : 0.0,
            );
        }
    }
}
