<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Geometry\Curve;

/** Lines that run beside others at a distance, and meet as those do. */
final class OffsetPath
{
    /**
     * @param  list<Curve>  $path  in order, each ending where the next begins
     * @param  float|list<float>  $right  how far to the right of them, mm, or of each; negative to the left
     * @return list<Curve>
     */
    public static function of(array $path, float|array $right, bool $closed): array
    {
        $by = is_array($right) ? $right : array_fill(0, count($path), $right);
        $sides = array_map(static fn (Curve $c, float $r): Curve => $c->offset(-$r), $path, $by);
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
