<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Curve;

/** How a member is cut: its section, its length from point to point, and the angles of its ends (90° is square, 45° a mitre). */
final readonly class MemberCut
{
    /**
     * @param  float  $face  mm
     * @param  float  $length  of a curved one along its longer edge, mm
     * @param  list<float>  $ends  degrees between each end and its length, rising; of a curved one none
     * @param  float|null  $radius  of its longer edge, of a circular one, mm
     */
    private function __construct(public float $face, public float $depth, public float $length, public array $ends, public ?float $radius)
    {
    }

    public static function of(Member $member): self
    {
        $edges = $member->contour->edges();
        $longest = $edges[0];
        foreach ($edges as $e) {
            if ($e->isCurved() && (! $longest->isCurved() || $e->length() > $longest->length())) {
                $longest = $e;
            }
            if (! $longest->isCurved() && $e->length() > $longest->length()) {
                $longest = $e;
            }
        }
        if ($longest->isCurved() && ! self::isFilling($member)) {
            $inner = array_values(array_filter($edges, static fn (Curve $e): bool => $e->isCurved() && $e !== $longest));

            return new self(
                ($inner[0] ?? null) !== null ? abs($longest->rx - $inner[0]->rx) : 0.0,
                $member->depth,
                $longest->length(),
                [],
                $longest->rx === $longest->ry ? $longest->rx : null,
            );
        }
        // a member runs the way it is meant to, also where it is shorter than wide
        [$dx, $dy] = match ($member->role) {
            Role::Mullion, Role::Stile, Role::Muntin => [0.0, 1.0],
            Role::Transom, Role::Blade, Role::Cill => [1.0, 0.0],
            default => $longest->direction(0.0),
        };
        $along = $across = $ends = [];
        foreach ($edges as $e) {
            $along[] = $e->x0 * $dx + $e->y0 * $dy;
            $across[] = $e->y0 * $dx - $e->x0 * $dy;
            [$ex, $ey] = $e->direction(0.0);
            $angle = rad2deg(acos(min(1.0, abs($ex * $dx + $ey * $dy))));
            if (! $e->isCurved() && $angle > 1.0) {
                $ends[] = round($angle, 2);
            }
        }
        sort($ends);

        return new self(max($across) - min($across), $member->depth, max($along) - min($along), $ends, null);
    }

    private static function isFilling(Member $member): bool
    {
        return $member->role->isFilling();
    }
}
