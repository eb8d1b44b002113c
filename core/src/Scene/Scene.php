<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Mesher;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Symbols;

/**
 * The solid model: mm, x east, y north, z up. A wall's geometry is in its own (u, v, n) with v the level; a unit's has its
 * origin at the opening's left jamb and sill on the wall's outer face. Both are stood upright by the writer: geometry x is
 * along the wall, y up, z outward.
 */
final readonly class Scene
{
    /**
     * @param  array<string, Geometry>  $geometries
     * @param  list<Part>  $parts
     */
    private function __construct(public string $name, public array $geometries, public array $parts)
    {
    }

    /** @param  iterable<Body>  $bodies the walls to show, with their openings */
    public static function of(string $name, Design $design, iterable $bodies): self
    {
        $geometries = $parts = [];
        foreach ($bodies as $body) {
            $angle = $body->surface->angle();
            $origin = $body->surface->origin;
            $holes = [];
            foreach ($design->openingsOf($body->wall->id) as $opening) {
                $placed = Places::in($design)->of($opening);
                if ($placed->isOff($body)) {
                    continue;
                }
                $holes[] = $placed->ring();
                $unit = Symbols::solved($design, $opening);
                if ($unit !== null) {
                    $key = sprintf('unit %s %s %s', Symbols::key($opening), round($opening->setback, 3), $opening->ajar ?? '')
                        .(($unit->tree->frame->trim['inside'] ?? false) ? ' '.round($body->wall->thickness, 3) : '');
                    $geometries[$key] ??= UnitParts::geometry(
                        $unit,
                        $design->settings,
                        $opening->setback,
                        $opening->facesOut,
                        $body->wall->thickness,
                        $opening->ajar,
                    );
                    $at = $body->surface->inPlan($placed->left);
                    $parts[] = new Part($key, $opening->id, $at->x, $at->y, $placed->sill, $angle);
                }
            }
            $key = 'wall '.$body->wall->id;
            $geometries[$key] = new Geometry([Material::Wall->value => Mesher::mesh($body, $holes)]);
            $parts[] = new Part($key, $body->wall->id, $origin->x, $origin->y, 0.0, $angle);
        }

        return new self($name, $geometries, $parts);
    }

    /** One unit by itself. */
    public static function unit(string $name, Geometry $geometry): self
    {
        return new self($name, [$name => $geometry], [new Part($name, 'unit', 0.0, 0.0, 0.0, 0.0)]);
    }
}
