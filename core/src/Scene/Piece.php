<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Geometry\Solid;

/** One solid of a part, of one material. */
final readonly class Piece
{
    /**
     * @param  string  $role  what it is of the part: "wall", "frame", "pane" …
     * @param  string  $material  a {@see Material} or a finish of the project
     * @param  float  $sagitta  by how much chords may leave its curves where it is shown, mm
     * @param  string|null  $name  of what it is a piece, where that has a name within its element
     */
    public function __construct(
        public Solid $solid,
        public string $role,
        public string $material,
        public float $sagitta,
        public ?string $name = null,
    ) {
    }
}
