<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Prism;
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
            $shape = hash('xxh32', serialize([$field->toArray(), $pieces->region->bounds()]));
            $key = sprintf('field %s %s %s', $field->id, $shape, $material);
            yield new Part(
                $key,
                static function () use ($pieces, $field, $foot, $material): array {
                    $solids = array_map(
                        static fn (Contour $c, float $length, float $turn): Solid => new FieldSolid($field, $c, $length, $turn),
                        $pieces->pieces,
                        $pieces->lengths,
                        $pieces->turns,
                    );
                    if ($pieces->frame !== null) {
                        $solids[] = new Prism($pieces->frame, $field->out, $field->frameDeep);
                    }

                    return array_map(static fn (Solid $solid): Piece => new Piece(
                        new Moved($solid, static fn (float $x, float $y, float $z): array => [$x, $y - $foot, $z]),
                        'batten', $material, self::SAGITTA,
                    ), $solids);
                },
                $field->id, $field->storey, $start->x, $start->y, $foot, $body->surface->angle(),
            );
        }
    }
}
