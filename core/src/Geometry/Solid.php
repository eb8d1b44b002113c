<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** What a thing is before anyone makes triangles of it; mm. */
interface Solid
{
    /** In mm³, worked out from its shape and not from chords. */
    public function volume(): float;

    /**
     * Closed, counter-clockwise seen from outside.
     *
     * @param  float  $sagitta  by how much chords may leave its curves, mm
     */
    public function mesh(float $sagitta): Mesh;
}
