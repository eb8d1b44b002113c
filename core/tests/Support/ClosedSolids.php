<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Support;

use Isleward\Core\Geometry\Mesh;

/** For tests of solids. */
trait ClosedSolids
{
    /** Every edge is used once each way: the surface is closed and nowhere joined to itself. */
    private static function assertClosed(Mesh $mesh): void
    {
        $spot = [];
        for ($i = 0; $i < count($mesh->positions); $i += 3) {
            $spot[] = sprintf(
                '%.2f %.2f %.2f',
                $mesh->positions[$i] + 0.0017,
                $mesh->positions[$i + 1] + 0.0017,
                $mesh->positions[$i + 2] + 0.0017,
            );
        }
        $edges = [];
        for ($i = 0; $i < count($mesh->triangles); $i += 3) {
            for ($k = 0; $k < 3; $k++) {
                $edge = $spot[$mesh->triangles[$i + $k]].'>'.$spot[$mesh->triangles[$i + ($k + 1) % 3]];
                self::assertArrayNotHasKey($edge, $edges, 'an edge is used twice in one direction');
                $edges[$edge] = true;
            }
        }
        foreach (array_keys($edges) as $edge) {
            [$a, $b] = explode('>', $edge);
            self::assertArrayHasKey("$b>$a", $edges, 'an edge has a triangle on one side only');
        }
    }

    /** The same by the numbers of its points, without bringing any together. */
    private static function assertClosedUnwelded(Mesh $mesh): void
    {
        $edges = [];
        $twice = 0;
        for ($i = 0, $n = count($mesh->triangles); $i < $n; $i += 3) {
            for ($k = 0; $k < 3; $k++) {
                $edge = $mesh->triangles[$i + $k] << 32 | $mesh->triangles[$i + ($k + 1) % 3];
                $twice += isset($edges[$edge]) ? 1 : 0;
                $edges[$edge] = true;
            }
        }
        $open = array_filter(array_keys($edges), static fn (int $e): bool => ! isset($edges[($e & 0xFFFFFFFF) << 32 | $e >> 32]));
        self::assertSame(0, $twice, 'an edge is used twice in one direction');
        self::assertSame([], $open, 'an edge has a triangle on one side only');
    }
}
