<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\CurvedSheet;
use Isleward\Core\Geometry\Mesh;
use Isleward\Core\Geometry\Region;

/**
 * The solid of a curved wall with its openings. What is left of the outer face gives the rings; each of their points has its own on the
 * inner face: across an opening's jamb, sill or head as its cut goes, at an end of the wall where that ends there.
 */
final class CurvedMesher
{
    /** mm */
    public const SAGITTA = 1.0;

    /** Openings are sought in strips of so much, mm. */
    private const STRIP = 1000.0;

    /** Points are known again by their place in steps of so much, mm. */
    private const SPOT = 1e-4;

    /** Openings keep so far off an end that only one of their faces runs past, and one another, mm. */
    private const CLEAR = 0.5;

    /** @param  list<PlacedOpening>  $openings */
    public static function mesh(Body $body, array $openings, float $sagitta): Mesh
    {
        $t = $body->host->depth();
        $rims = $body->isLevel() ? null : new Rims($body);
        [$outer, $inners] = self::holes($body, $openings);
        if ($rims !== null) {
            [$outer, $inners] = self::between($rims, $outer, $inners);
        }
        $known = self::known($outer, $inners);
        $sides = null;
        $whole = ($rims?->face() ?? $body->faceBetween($body->left->at, $body->right->at))->cut($outer);
        $rings = [];
        foreach ($whole->rings as $ring) {
            $inner = [];
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                [$u, $v] = [$ring[$i], $ring[$i + 1]];
                $behind = $rims?->behind($u, $v);
                $inner[] = $behind[0] ?? match (true) {
                    abs($u - $body->left->at) < 2e-3 => $body->left->inner,
                    abs($u - $body->right->at) < 2e-3 => $body->right->inner,
                    default => $known[self::spot($u, $v)] ?? self::across($sides ??= self::sides($outer, $inners), $u, $v),
                };
                $inner[] = $behind[1] ?? $v;
            }
            $rings[] = [$ring, $inner];
        }
        $ends = [];
        foreach ([$body->left, $body->right] as $end) {
            if ($end->arc !== null) {
                $ends[] = [$end->at, $end->arc];
            }
        }

        return CurvedSheet::mesh($body->surface, $body->surface->start(), $rings, 0.0, $t, $sagitta, $ends);
    }

    /**
     * Openings that run past a head or a foot that is not level, which a finding tells, end level before it.
     *
     * @param  list<list<float>>  $outer
     * @param  list<list<float>>  $inner
     * @return array{list<list<float>>, list<list<float>>}
     */
    private static function between(Rims $rims, array $outer, array $inner): array
    {
        $kept = [[], []];
        foreach ($outer as $i => $near) {
            $room = $rims->room($near, $inner[$i]);
            if ($room === null) {
                [$kept[0][], $kept[1][]] = [$near, $inner[$i]];

                continue;
            }
            [$from, $to] = self::reach($near);
            $sides = self::sides([$near], [$inner[$i]]);
            $inside = $room[1] > $room[0] ? Region::rectangle($from - 1.0, $room[0], $to + 1.0, $room[1]) : Region::empty();
            foreach (Region::polygon($near)->intersection($inside)->rings as $ring) {
                $behind = [];
                for ($k = 0, $n = count($ring); $k < $n; $k += 2) {
                    array_push($behind, self::across($sides, $ring[$k], $ring[$k + 1]), $ring[$k + 1]);
                }
                [$kept[0][], $kept[1][]] = [$ring, $behind];
            }
        }

        return $kept;
    }

    /**
     * The openings as they are cut, on both faces. One that runs past an end on one face alone stops before it on both, and is
     * left out where nothing of it is between the ends on both. Those that overlap, which a finding tells, are cut towards the centre, so
     * that what is left between them is the same on both faces.
     *
     * @param  list<PlacedOpening>  $openings
     * @return array{list<list<float>>, list<list<float>>} rings on the outer and on the inner face, point for point
     */
    private static function holes(Body $body, array $openings): array
    {
        $t = $body->host->depth();
        $outer = $inner = [];
        foreach ($openings as $p) {
            [$near, $far] = [$p->ring(), $p->ring($t)];
            [$from, $to] = self::room($body, $p, $near, $far);
            $whole = $from === 0.0 && $to === $p->opening->width;
            $kept = $whole ? $near : self::trimmed($p, $from, $to, 0.0);
            $behind = $whole ? $far : self::trimmed($p, $from, $to, $t);
            if ($kept !== null && $behind !== null) {
                [$outer[], $inner[]] = [$kept, $behind];
            }
        }
        foreach (self::overlapping($outer, $inner) as $i) {
            $low = max($body->left->at, $body->left->inner) + self::CLEAR;
            $high = min($body->right->at, $body->right->inner) - self::CLEAR;
            $past = self::reach($outer[$i])[0] < min($body->left->at, $body->left->inner);
            $beyond = self::reach($outer[$i])[1] > max($body->right->at, $body->right->inner);
            foreach ($outer[$i] as $k => $figure) {
                if ($k % 2 === 0) {
                    $outer[$i][$k] = max($past ? $figure : $low, min($beyond ? $figure : $high, $figure));
                }
            }
            $inner[$i] = $outer[$i];
        }

        return [$outer, $inner];
    }

    /**
     * From where to where over its width an opening can be cut through both faces alike.
     *
     * @param  list<float>  $near  its ring on the outer face
     * @param  list<float>  $far  on the inner face
     * @return array{float, float}
     */
    private static function room(Body $body, PlacedOpening $p, array $near, array $far): array
    {
        $t = $body->host->depth();
        [$from, $to] = [0.0, $p->opening->width];
        [$a, $b] = [self::reach($near), self::reach($far)];
        foreach ([
            [$body->left->at + self::CLEAR - $a[0], $body->left->inner + self::CLEAR - $b[0], true],
            [$a[1] - $body->right->at + self::CLEAR, $b[1] - $body->right->inner + self::CLEAR, false],
        ] as [$outer, $inner, $atLeft]) {
            $both = $outer > self::CLEAR && $inner > self::CLEAR;
            if ($both || ($outer <= 0.0 && $inner <= 0.0)) {
                continue;
            }
            $x = [
                ($atLeft ? $body->left->at + self::CLEAR : $body->right->at - self::CLEAR) - $p->left,
                ($atLeft ? $body->left->inner + self::CLEAR : $body->right->inner - self::CLEAR) - $p->left,
            ];
            $x = [$p->cut?->placeOf($x[0], 0.0) ?? $x[0], $p->cut?->placeOf($x[1], $t) ?? $x[1]];
            $atLeft ? $from = max($from, $x[0], $x[1]) : $to = min($to, $x[0], $x[1]);
        }

        return [$from, $to];
    }

    /** @return list<float>|null the ring at a depth of what of an opening lies between two places over its width; null for nothing */
    private static function trimmed(PlacedOpening $p, float $from, float $to, float $depth): ?array
    {
        $whole = ($p->outline ?? Contour::rectangle(0.0, 0.0, $p->opening->width, $p->opening->height))->ring(self::SAGITTA / 10);
        $kept = Region::polygon($whole)->intersection(Region::rectangle($from, -1.0, $to, $p->opening->height + 1.0))->rings;
        if ($kept === []) {
            return null;
        }
        $out = [];
        foreach ($p->cut?->ring($kept[0], $depth) ?? $kept[0] as $k => $figure) {
            $out[] = $figure + ($k % 2 === 0 ? $p->left : $p->sill);
        }

        return $out;
    }

    /**
     * @param  list<list<float>>  $outer
     * @param  list<list<float>>  $inner
     * @return list<int> numbers of those that another comes near to
     */
    private static function overlapping(array $outer, array $inner): array
    {
        $boxes = $lefts = [];
        foreach ($outer as $i => $ring) {
            [$a, $b] = [self::reach($ring), self::reach($inner[$i])];
            [$low, $high] = self::reach($ring, 1);
            $lefts[] = min($a[0], $b[0]) - self::CLEAR;
            $boxes[] = [max($a[1], $b[1]) + self::CLEAR, $low - self::CLEAR, $high + self::CLEAR];
        }
        asort($lefts);
        $order = array_keys($lefts);
        $found = [];
        foreach ($order as $k => $i) {
            [$right, $low, $high] = $boxes[$i];
            for ($m = $k + 1, $n = count($order); $m < $n && $lefts[$order[$m]] < $right; $m++) {
                $other = $boxes[$order[$m]];
                if ($high > $other[1] + self::CLEAR && $low < $other[2] - self::CLEAR) {
                    $found[$i] = $found[$order[$m]] = true;
                }
            }
        }

        return array_keys($found);
    }

    /**
     * @param  list<float>  $ring
     * @param  int  $axis  0 for u, 1 for v
     * @return array{float, float} the least and the greatest
     */
    private static function reach(array $ring, int $axis = 0): array
    {
        $low = $high = $ring[$axis];
        for ($i = $axis + 2, $n = count($ring); $i < $n; $i += 2) {
            if ($ring[$i] < $low) {
                $low = $ring[$i];
            } elseif ($ring[$i] > $high) {
                $high = $ring[$i];
            }
        }

        return [$low, $high];
    }

    /**
     * Corners of openings that nothing was cut off from: place on the outer face → u on the inner one.
     *
     * @param  list<list<float>>  $outer
     * @param  list<list<float>>  $inner
     * @return array<int, float>
     */
    private static function known(array $outer, array $inner): array
    {
        $known = [];
        foreach ($outer as $k => $ring) {
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $known[self::spot($ring[$i], $ring[$i + 1])] = $inner[$k][$i];
            }
        }

        return $known;
    }

    private static function spot(float $u, float $v): int
    {
        return ((int) round($u / self::SPOT) << 32) ^ (int) round($v / self::SPOT);
    }

    /**
     * @param  list<list<float>>  $outer
     * @param  list<list<float>>  $inner
     * @return array<int, list<array{float, float, float, float, float, float}>> sides by strip: from and to on the outer face, and u of
     *    both on the inner one
     */
    private static function sides(array $outer, array $inner): array
    {
        $strips = [];
        foreach ($outer as $k => $ring) {
            $n = count($ring);
            for ($i = 0; $i < $n; $i += 2) {
                $j = ($i + 2) % $n;
                $side = [$ring[$i], $ring[$i + 1], $ring[$j], $ring[$j + 1], $inner[$k][$i], $inner[$k][$j]];
                $from = (int) floor((min($ring[$i], $ring[$j]) - 1) / self::STRIP);
                $to = (int) floor((max($ring[$i], $ring[$j]) + 1) / self::STRIP);
                for ($strip = $from; $strip <= $to; $strip++) {
                    $strips[$strip][] = $side;
                }
            }
        }

        return $strips;
    }

    /**
     * u on the inner face of a point on the side of an opening.
     *
     * @param  array<int, list<array{float, float, float, float, float, float}>>  $strips
     */
    private static function across(array $strips, float $u, float $v): float
    {
        [$best, $least] = [$u, 0.01];
        foreach ($strips[(int) floor($u / self::STRIP)] ?? [] as [$ua, $va, $ub, $vb, $ia, $ib]) {
            $length = hypot($ub - $ua, $vb - $va);
            $share = max(0.0, min(1.0, (($u - $ua) * ($ub - $ua) + ($v - $va) * ($vb - $va)) / ($length * $length)));
            $off = hypot($ua + ($ub - $ua) * $share - $u, $va + ($vb - $va) * $share - $v);
            if ($off < $least) {
                [$least, $best] = [$off, $ia + ($ib - $ia) * $share];
            }
        }

        return $best;
    }
}
