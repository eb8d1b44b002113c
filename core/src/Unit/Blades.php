<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Measure\Refusal;

/** Fills a region with a louvre: its frame, and as many blades as fit, the remainder shared between top and bottom. */
final class Blades
{
    /** @return array{count: int, pitch: float, gap: float, end: float, length: float, free: float, clash: bool} */
    public static function fill(Solver $solver, Louvre $louvre, Contour $region, string $path): array
    {
        $frame = $solver->tree->frame;
        $inner = $solver->border(
            $region,
            [$louvre->face, $louvre->face, $louvre->face, $louvre->face],
            [
                'roles' => [Role::LouvreFrame, Role::LouvreFrame, Role::LouvreFrame],
                'back' => 0.0,
                'depth' => $frame->depth,
                'mitred' => true,
                'leaf' => null,
                'path' => $path,
                'door' => false,
            ],
        );
        $high = $inner?->height() ?? 0.0;
        $projected = $louvre->projected();
        if ($inner === null || $high < $projected) {
            throw Refusal::because(
                'louvre.no_room',
                sprintf(
                    'Not one blade %s high fits into a louvre %s high with a frame of %s.',
                    UnitTree::mm($projected),
                    UnitTree::mm($region->height()),
                    UnitTree::mm($louvre->face),
                ),
                details: ['path' => $path, 'field' => 'louvre.chord']);
        }
        $count = $louvre->count ?? (int) floor(($high - $projected) / (float) $louvre->pitch + 1e-9) + 1;
        $pitch = $louvre->pitch ?? ($count > 1 ? ($high - $projected) / ($count - 1) : $high);
        $end = ($high - $projected - $pitch * ($count - 1)) / 2;
        if ($count === 1) {
            $end = ($high - $projected) / 2;
        }
        [$x0, $y0, $x1] = $inner->bounds();
        $free = 0.0;
        $gap = $louvre->gap($pitch);
        // the blades stand in the middle of the frame's depth
        $back = ($frame->depth - $louvre->depth()) / 2;
        for ($i = 0; $i < $count; $i++) {
            $low = $y0 + $end + $i * $pitch;
            foreach (Solver::strip($inner, false, $low, $low + $projected) as $piece) {
                [$bx0, , $bx1] = $piece->bounds();
                $section = self::section($louvre, $low, $back, $frame->depth / 2);
                $solver->member(new Member(Role::Blade, $piece, $back, $louvre->depth(), $path, null, $section));
                // a way through lies over each blade but the last, as long as the blade
                $free += $i < $count - 1 ? $gap * ($bx1 - $bx0) : 0.0;
            }
        }
        $free += 2 * min($gap, max(0.0, $end)) * ($x1 - $x0);
        $a = deg2rad($louvre->angle);
        $thick = $louvre->profile === BladeProfile::Z ? $louvre->chord / 2 * cos($a) + $louvre->thickness : $louvre->thickness;
        $clash = $count > 1 && $pitch < $projected && $pitch * cos($a) < $thick;

        return [
            'count' => $count,
            'pitch' => $pitch,
            'gap' => $gap,
            'end' => $end,
            'length' => $x1 - $x0,
            'free' => $free,
            'clash' => $clash,
        ];
    }

    /**
     * @return list<float> [y, depth behind the unit's outer side, …] of a blade whose lowest point is at $low, its outer edge the lower one
     */
    private static function section(Louvre $louvre, float $low, float $back, float $middle): array
    {
        $a = deg2rad($louvre->angle);
        [$c, $s] = [cos($a), sin($a)];
        [$l, $t] = [$louvre->chord, $louvre->thickness];
        $mid = $low + $louvre->projected() / 2;
        $turned = static fn (float $along, float $across): array => [
            $mid + $along * $s + $across * $c,
            $middle + $along * $c - $across * $s,
        ];
        $points = [];
        if ($louvre->profile === BladeProfile::Ellipse) {
            for ($i = 0; $i < 24; $i++) {
                $points[] = $turned($l / 2 * cos($i * M_PI / 12), $t / 2 * sin($i * M_PI / 12));
            }
        } elseif ($louvre->profile === BladeProfile::Flat) {
            $points = [$turned(-$l / 2, -$t / 2), $turned($l / 2, -$t / 2), $turned($l / 2, $t / 2), $turned(-$l / 2, $t / 2)];
        } else {
            // a slanted web with an upright flange at each end, down at the front and up at the back
            $flange = $l / 4;
            [$fy, $fz] = [$mid - $l / 2 * $s, $middle - $l / 2 * $c];
            [$by, $bz] = [$mid + $l / 2 * $s, $middle + $l / 2 * $c];
            $points = [
                [$fy - $flange, $fz],
                [$fy - $flange, $fz + $t],
                [$fy, $fz + $t],
                [$by, $bz],
                [$by + $flange, $bz],
                [$by + $flange, $bz - $t],
                [$by, $bz - $t],
                [$fy, $fz],
            ];
        }
        $out = [];
        foreach ($points as [$y, $z]) {
            array_push($out, $y, $z);
        }

        return $out;
    }
}
