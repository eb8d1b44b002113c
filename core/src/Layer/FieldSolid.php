<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Mesh;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Prism;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Solid;

/** One batten of a field: x along its wall, y up, z outward from the wall's outer face; mm. */
final readonly class FieldSolid implements Solid
{
    private Solid $solid;

    public function __construct(Field $field, Contour $piece, float $length)
    {
        if ($field->isCutToShape()) {
            $this->solid = new Prism(new Profile($piece), $field->out, $field->deep);

            return;
        }
        // a section run along its length, turned about its own axis, then laid at its angle about its middle
        [$w, $d] = [$field->wide / 2, $field->deep / 2];
        $section = $field->round
            ? Contour::of([Curve::curved(0.0, 0.0, $w, $w, 0.0, M_PI), Curve::curved(0.0, 0.0, $w, $w, M_PI, M_PI)])
            : Contour::rectangle(-$w, -$d, $w, $d);
        [$mx, $my] = $piece->firstMoments();
        [$cx, $cy] = [$mx / $piece->area(), $my / $piece->area()];
        [$turn, $lie] = [deg2rad($field->turn), deg2rad($field->angle)];
        // its back lies as far out as is said, however it is turned
        $out = $field->out + abs($w * sin($turn)) + abs($d * cos($turn));
        $this->solid = new Moved(
            new Prism(new Profile($section), -$length / 2, $length),
            static function (float $x, float $y, float $z) use ($cx, $cy, $turn, $lie, $out): array {
                // the section's x lies over the wall and its y outward; it runs along z, which is up before it is laid
                [$over, $deep] = [$x * cos($turn) - $y * sin($turn), $x * sin($turn) + $y * cos($turn)];

                return [$cx + $over * cos($lie) - $z * sin($lie), $cy + $over * sin($lie) + $z * cos($lie), $out + $deep];
            },
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
