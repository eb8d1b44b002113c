<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Contributors;
use Isleward\Core\Design\Design;

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

    /** @param  iterable<Body>  $bodies what is shown, with all that stands in it */
    public static function of(string $name, Design $design, iterable $bodies): self
    {
        $geometries = $parts = [];
        foreach ($bodies as $body) {
            foreach (Contributors::to(Contributor::class) as $contributor) {
                foreach ($contributor->parts($design, $body) as $part) {
                    $geometries[$part->geometry] ??= Geometry::of(($part->pieces)());
                    $parts[] = $part;
                }
            }
        }

        return new self($name, $geometries, $parts);
    }

    /**
     * One unit by itself.
     *
     * @param  list<Piece>  $pieces
     */
    public static function unit(string $name, array $pieces): self
    {
        $part = new Part($name, static fn (): array => $pieces, 'unit', null, 0.0, 0.0, 0.0, 0.0);

        return new self($name, [$name => Geometry::of($pieces)], [$part]);
    }
}
