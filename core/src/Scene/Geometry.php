<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Geometry\Mesh;

/** A geometry made once and placed many times: a mesh for each material in it. */
final readonly class Geometry
{
    /**
     * @param  array<string, Mesh>  $meshes material → mesh
     * @param  array<string, list<array{string|null, int}>>  $names material → which of its triangles are whose: a name and how many,
     *    in order; none where nothing in it has a name
     */
    private function __construct(public array $meshes, public array $names)
    {
    }

    /** @param  list<Piece>  $pieces */
    public static function of(array $pieces): self
    {
        $meshes = [];
        foreach ($pieces as $piece) {
            $meshes[$piece->material][] = [$piece->name, $piece->solid->mesh($piece->sagitta)];
        }
        $named = array_filter($pieces, static fn (Piece $p): bool => $p->name !== null) !== [];

        return new self(
            array_map(static fn (array $m): Mesh => count($m) === 1 ? $m[0][1] : Mesh::merged(array_column($m, 1)), $meshes),
            $named ? array_map(self::names(...), $meshes) : [],
        );
    }

    /**
     * Merged meshes have the triangles that are smooth first, then those that are flat.
     *
     * @param  non-empty-list<array{string|null, Mesh}>  $meshes
     * @return list<array{string|null, int}>
     */
    private static function names(array $meshes): array
    {
        $out = [];
        foreach ([true, false] as $smooth) {
            foreach ($meshes as [$name, $mesh]) {
                $count = $smooth ? $mesh->smooth : intdiv(count($mesh->triangles), 3) - $mesh->smooth;
                $last = count($out) - 1;
                if ($last >= 0 && $out[$last][0] === $name) {
                    $out[$last][1] += $count;
                } elseif ($count > 0) {
                    $out[] = [$name, $count];
                }
            }
        }

        return $out;
    }
}
