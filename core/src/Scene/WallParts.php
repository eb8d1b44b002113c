<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\CurvedMesher;
use Isleward\Core\Building\WallSolid;
use Isleward\Core\Design\Design;

/** Walls, with their openings cut through. */
final class WallParts implements Contributor
{
    public function parts(Design $design, Body $body): iterable
    {
        if ($body->host->curtain() !== null) {
            return;
        }
        $id = $body->host->id();
        $start = $body->surface->start();
        yield new Part(
            'wall '.$id,
            static fn (): array => [
                new Piece(WallSolid::of($design, $body), 'wall', Material::Wall->value, CurvedMesher::SAGITTA),
            ],
            $id,
            null,
            $start->x,
            $start->y,
            0.0,
            $body->isPlane() ? $body->surface->angle() : 0.0,
        );
    }
}
