<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Mesher;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Unit\SolvedUnit;

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
            $placed = [];
            foreach ($design->openingsOf($body->host->id()) as $opening) {
                $p = Places::in($design)->of($opening);
                if (! $p->isOff($body)) {
                    $placed[] = $p;
                    $unit = Symbols::solved($design, $opening);
                    if ($unit !== null) {
                        [$key, $bent] = self::key($body, $p, $unit);
                        $geometries[$key] ??= UnitParts::geometry(
                            $unit,
                            $design->settings,
                            $opening->setback,
                            $opening->facesOut,
                            $body->host->depth(),
                            $opening->ajar,
                            $bent,
                        );
                        $at = $p->inPlan($body->surface, 0.0);
                        $angle = $bent === null ? $p->angle($body->surface) : $body->surface->angle($p->left);
                        $parts[] = new Part($key, $opening->id, $at->x, $at->y, $p->sill, $angle);
                    }
                }
            }
            $key = 'wall '.$body->host->id();
            $geometries[$key] = new Geometry([Material::Wall->value => Mesher::wall($body, $placed)]);
            $start = $body->surface->start();
            $parts[] = new Part($key, $body->host->id(), $start->x, $start->y, 0.0, $body->isPlane() ? $body->surface->angle() : 0.0);
        }

        return new self($name, $geometries, $parts);
    }

    /** @return array{string, Upright|null} what names a unit's geometry, and what it is bent to, from its left jamb towards +x */
    private static function key(Body $body, PlacedOpening $placed, SolvedUnit $unit): array
    {
        $opening = $placed->opening;
        $key = sprintf('unit %s %s %s', Symbols::key($opening), round($opening->setback, 3), $opening->ajar ?? '')
            .(($unit->tree->frame->trim['inside'] ?? false) ? ' '.round($body->host->depth(), 3) : '');
        if (! $placed->isBent()) {
            return [$key, null];
        }
        $radius = $body->surface->radius();
        $arc = Curve::curved(0.0, $radius, abs($radius), abs($radius), $radius > 0 ? -M_PI / 2 : M_PI / 2, $opening->width / $radius);

        return [$key.' bent '.round($radius, 3), Upright::over($arc)];
    }

    /** One unit by itself. */
    public static function unit(string $name, Geometry $geometry): self
    {
        return new self($name, [$name => $geometry], [new Part($name, 'unit', 0.0, 0.0, 0.0, 0.0)]);
    }
}
