<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Mesh;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Prism;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Solid;

/** One batten of a field: x along its wall, y up, z outward from the wall's outer face; mm. */
final readonly class FieldSolid implements Solid
{
    private Solid $solid;

    public function __construct(Field $field, Contour $piece, float $length, ?float $turn = null)
    {
        if ($field->isCutToShape()) {
            $this->solid = new Prism(new Profile($piece), $field->out, $field->deep);

            return;
        }
        // a section as it is turned run along its length, then laid at its angle about its middle
        $section = $field->section($turn);
        [$mx, $my] = $piece->firstMoments();
        [$cx, $cy] = [$mx / $piece->area(), $my / $piece->area()];
        $lie = deg2rad($field->angle);
        // its back lies as far out as is said, however it is turned
        $out = $field->out - $section->bounds()[1];
        $this->solid = new Moved(
            new Prism(new Profile($section), -$length / 2, $length),
            // the section's x lies over the wall and its y outward; it runs along z, which is up before it is laid
            static fn (float $x, float $y, float $z): array => [
                $cx + $x * cos($lie) - $z * sin($lie), $cy + $x * sin($lie) + $z * cos($lie), $out + $y,
            ],
            true,
        );
    }

    public function volume(): float
    {
        return $this->solid->volume();
    }

    public function mesh(float $sagitta): Mesh
    {
        return $this->solid->mesh($sagitta);
    }
}
