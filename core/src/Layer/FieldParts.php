<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Moved;
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
            $shape = hash('xxh32', serialize([$field->toArray(), $pieces->region->bounds()]));
            $key = sprintf('field %s %s %s', $field->id, $shape, $material);
            yield new Part(
                $key,
                static fn (): array => array_map(static fn (Contour $c, float $length): Piece => new Piece(
                    new Moved(new FieldSolid($field, $c, $length), static fn (float $x, float $y, float $z): array => [$x, $y - $foot, $z]),
                    'batten', $material, self::SAGITTA,
                ), $pieces->pieces, $pieces->lengths),
                $field->id, $field->storey, $start->x, $start->y, $foot, $body->surface->angle(),
            );
        }
    }
}
