<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Geometry\Curve;

/** Lines that run beside others at a distance, and meet as those do. */
final class OffsetPath
{
    /**
     * @param  list<Curve>  $path  in order, each ending where the next begins
     * @param  float  $right  how far to the right of them, mm; negative to the left
     * @return list<Curve>
     */
    public static function of(array $path, float $right, bool $closed): array
    {
        $sides = array_map(static fn (Curve $c): Curve => $c->offset(-$right), $path);
        $n = count($sides);
        $corners = [];
        for ($i = 0; $i < ($closed ? $n : $n + 1); $i++) {
            [$before, $after] = [$sides[$i - 1] ?? ($closed ? $sides[$n - 1] : null), $sides[$i] ?? null];
            $corners[] = match (true) {
                $before === null => $sides[0]->start(),
                $after === null => $before->end(),
                // one that runs on into the next ends where that begins
                $before->end()->isAt($after->start()) => $after->start(),
                default => End::crossing($before, $after, $after->start()) ?? $after->start(),
            };
        }
        $out = [];
        foreach ($sides as $i => $side) {
            [$a, $b] = [$corners[$i], $corners[($i + 1) % count($corners)]];
            $out[] = $side->between($a->x, $a->y, $b->x, $b->y);
        }

        return $out;
    }
}
