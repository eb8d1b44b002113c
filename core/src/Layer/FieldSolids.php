<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Prism;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Shell;
use Isleward\Core\Geometry\Solid;
use Isleward\Core\Geometry\Upright;

/**
 * The solids of a field, from where its wall begins. On a flat wall x runs along it and z outward; on an arc x runs east and z south. y is
 * the level. Before an arc battens that stand upright are straight, each square to the arc at its middle; all others are bent to it.
 */
final class FieldSolids
{
    /** @return list<Solid> the battens, and the frame after them */
    public static function all(FieldPieces $pieces): array
    {
        $solids = array_map(static fn (int $i): Solid => self::batten($pieces, $i), array_keys($pieces->pieces));
        $field = $pieces->field;
        if ($pieces->frame !== null) {
            $solids[] = $pieces->surface->isFlat()
                ? new Prism($pieces->frame, $field->out, $field->frameDeep)
                : new Shell($pieces->surface, $pieces->frame, -$field->out - $field->frameDeep, -$field->out);
        }

        return $solids;
    }

    public static function batten(FieldPieces $pieces, int $i): Solid
    {
        [$field, $surface, $piece] = [$pieces->field, $pieces->surface, $pieces->pieces[$i]];
        if (! $surface->isFlat() && ! $field->isUpright()) {
            return new Shell($surface, new Profile($piece), -$field->out - $field->deep, -$field->out);
        }
        $solid = new FieldSolid($field, $piece, $pieces->lengths[$i], $pieces->turns[$i]);
        if ($surface->isFlat()) {
            return $solid;
        }
        $middle = self::middle($piece);
        [$at, $along, $out, $start] = [
            $surface->inPlan($middle), $surface->tangent($middle), $surface->outward($middle), $surface->start(),
        ];

        return new Moved($solid, static fn (float $x, float $y, float $z): array => [
            $at->x - $start->x + $along->x * ($x - $middle) + $out->x * $z, $y,
            $start->y - $at->y - $along->y * ($x - $middle) - $out->y * $z,
        ]);
    }

    /**
     * What stands straight between two places along a wall, from one distance before it to another.
     *
     * @return list<float> ring in plan
     */
    public static function across(Upright $surface, float $from, float $to, float $near, float $far): array
    {
        $middle = ($from + $to) / 2;
        [$at, $along, $out] = [$surface->inPlan($middle), $surface->tangent($middle), $surface->outward($middle)];
        $ring = [];
        foreach ([[$from, $near], [$to, $near], [$to, $far], [$from, $far]] as [$u, $n]) {
            array_push(
                $ring, $at->x + $along->x * ($u - $middle) + $out->x * $n, $at->y + $along->y * ($u - $middle) + $out->y * $n,
            );
        }

        return $ring;
    }

    private static function middle(Contour $piece): float
    {
        [$x0, , $x1] = $piece->bounds();

        return ($x0 + $x1) / 2;
    }
}
