<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Scene\Contributor;
use Isleward\Core\Scene\Material;
use Isleward\Core\Scene\Part;
use Isleward\Core\Scene\Piece;

/**
 * Fins and tubes in the solid model: those of one section are one geometry, stretched to the size of each, which is exact for what is
 * straight.
 */
final class BandParts implements Contributor
{
    /** Of a section one wide. */
    private const SAGITTA = 0.004;

    public function parts(Design $design, Body $body): iterable
    {
        foreach (Bands::in($design)->before($body->host->id()) as [$fins, $pieces]) {
            $band = $fins->band;
            $material = self::material($design, $band);
            $key = implode(' ', ['fin', $band->stand->value, $band->shape->value, hash('xxh32', serialize($band->profile)), $material]);
            $solid = static fn (): array => [new Piece(Posed::prism($band, [1.0, 1.0, 1.0]), 'fin', $material, self::SAGITTA)];
            foreach ($pieces as $i) {
                $posed = Posed::of($fins, $i);
                $angle = $fins->angle[$i];
                $at = $fins->outward($i, $posed->centre[2]);
                yield new Part(
                    $key, $solid, $band->id, $band->storey,
                    $at->x + cos($angle) * $posed->centre[0], $at->y + sin($angle) * $posed->centre[0], $fins->foot + $posed->centre[1],
                    $angle,
                    Posed::product([0.0, sin($angle / 2), 0.0, cos($angle / 2)], $posed->quaternion),
                    $posed->size,
                );
            }
        }
    }

    private static function material(Design $design, Band $band): string
    {
        foreach ($design->settings->finishes as $finish) {
            if ($finish->id === $band->finish) {
                return $finish->material();
            }
        }

        return Material::Louvre->value;
    }
}
