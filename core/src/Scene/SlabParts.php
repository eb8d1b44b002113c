<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Slab;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Prism;
use Isleward\Core\Geometry\Profile;

/** Slabs that outlines stand on, each with the first wall of its outline. */
final class SlabParts implements Contributor
{
    private const SAGITTA = 1.0;

    public function parts(Design $design, Body $body): iterable
    {
        $slab = $body->host instanceof Wall ? Slab::under($design, $body->host) : null;
        if ($slab === null || $slab->host !== $body->host->id()) {
            return;
        }
        $start = $body->surface->start();
        yield new Part(
            'slab '.$body->host->outline(),
            static fn (): array => [new Piece(
                new Moved(
                    new Prism(new Profile($slab->contour->shifted(-$start->x, -$start->y)), -$slab->thickness, $slab->thickness),
                    // geometries lie with y up and z towards the south
                    static fn (float $x, float $y, float $z): array => [$x, $z, -$y],
                ),
                'slab',
                Material::Wall->value,
                self::SAGITTA,
            )],
            $body->host->id(),
            null,
            $start->x,
            $start->y,
            $slab->top,
            0.0,
        );
    }
}
