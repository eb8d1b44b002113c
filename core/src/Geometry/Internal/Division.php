<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry\Internal;

use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Upright;

/** How the two faces of a curved sheet are divided into triangles: in columns no wider than the sagitta allows, with partners on both. */
final class Division
{
    /** Places nearer than this to where a column ends are on it, mm: farther than what the triangulation takes for one place. */
    private const ON = 2 * Tolerance::GRID;

    /** Places on a face that are told apart: so many a mm. */
    private const SPOTS = 10000;

    /** @var array<int, float> places put onto the borders of the near face's columns */
    private array $snapped = [];

    public function __construct(private readonly Upright $surface, private readonly float $sagitta)
    {
    }

    /**
     * @param  list<array{list<float>, list<float>}>  $rings  of the region on the near and on the far face, point for point
     * @return array{list<list<array{float, float, float, float}>>, list<int>, list<int>} the rings with points added where they pass from
     *    one column to the next (u on the near face and on the far one, v on both), and the triangles of either face, as seen from outside
     */
    public function of(array $rings, float $near, float $far): array
    {
        // the columns of the near face serve the far one too, as long as no triangle of it turns over there or grows too wide
        $own = $this->borders($rings, 0, $this->step($near) < $this->step($far) ? $near : $far);
        $over = self::over($rings);
        $fine = array_map(fn (array $ring): array => $this->divided($ring[0], $ring[1], $own, $over), $rings);
        $corners = self::triangles($fine, 0, $own);
        $others = $this->serves($fine, $corners, $far) ? $corners : null;
        if ($others === null) {
            $borders = [$this->borders($rings, 0, $near), $this->borders($rings, 1, $far)];
            $fine = array_map(fn (array $ring): array => $this->split($ring[0], $ring[1], $borders), $rings);
            [$corners, $others] = [self::triangles($fine, 0, $borders[0]), self::triangles($fine, 1, $borders[1])];
        }

        return [$fine, $corners, $others];
    }

    /**
     * Where the upright sides of the region stand on the far face: a border there is to run on as straight as on the near one.
     *
     * @param  list<array{list<float>, list<float>}>  $rings
     * @return array<int, float> by their place on the near face
     */
    private static function over(array $rings): array
    {
        $over = [];
        foreach ($rings as [$near, $far]) {
            $n = count($near);
            for ($i = 0, $j = $n - 2; $i < $n; $j = $i, $i += 2) {
                if (abs($near[$i] - $near[$j]) < self::ON && abs($far[$i] - $far[$j]) < self::ON) {
                    $over[(int) round($near[$i] / self::ON)] = $far[$i];
                }
            }
        }

        return $over;
    }

    /**
     * @param  list<list<array{float, float, float, float}>>  $fine
     * @return list<int> numbers of points in threes, counter-clockwise as seen from outside
     */
    private static function triangles(array $fine, int $face, Borders $borders): array
    {
        $us = $vs = $loops = [];
        foreach ($fine as $ring) {
            $loop = [];
            foreach ($ring as $point) {
                $loop[] = count($us);
                $us[] = $point[$face];
                $vs[] = $point[2 + $face];
            }
            $loops[] = $loop;
        }

        return Columns::triangles($loops, $us, $vs, $borders);
    }

    /**
     * Whether triangles of the near face are triangles of the far one too.
     *
     * @param  list<list<array{float, float, float, float}>>  $fine
     * @param  list<int>  $corners
     */
    private function serves(array $fine, array $corners, float $far): bool
    {
        $us = $vs = [];
        foreach ($fine as $ring) {
            foreach ($ring as $point) {
                $us[] = $point[1];
                $vs[] = $point[3];
            }
        }
        $most = $this->step($far) + self::ON;
        for ($i = 0, $n = count($corners); $i < $n; $i += 3) {
            [$a, $b, $c] = [$corners[$i], $corners[$i + 1], $corners[$i + 2]];
            [$du, $eu] = [$us[$b] - $us[$a], $us[$c] - $us[$a]];
            if ($du * ($vs[$c] - $vs[$a]) - $eu * ($vs[$b] - $vs[$a]) <= 0.0
                || abs($du) > $most || abs($eu) > $most || abs($eu - $du) > $most) {
                return false;
            }
        }

        return true;
    }

    /** How wide a column may be on the outer face, mm, so that its chord leaves the face at a depth by no more than the sagitta. */
    private function step(float $depth): float
    {
        if ($this->surface->isFlat()) {
            return INF;
        }
        $radius = abs($this->surface->radius());

        return $radius * 2 * acos(max(0.0, 1 - $this->sagitta / max($radius, $this->surface->lengthAt(0.0, $radius, $depth))));
    }

    /**
     * The columns of a face.
     *
     * @param  list<array{list<float>, list<float>}>  $rings
     */
    private function borders(array $rings, int $face, float $depth): Borders
    {
        [$low, $high] = [INF, -INF];
        $sides = [];
        foreach ($rings as $ring) {
            $us = $ring[$face];
            $n = count($us);
            for ($i = 0, $before = $us[$n - 2]; $i < $n; $before = $us[$i], $i += 2) {
                $u = $us[$i];
                [$low, $high] = [min($low, $u), max($high, $u)];
                if (abs($u - $before) < self::ON) {
                    $sides[(int) round($u / self::ON)] = $u;
                }
            }
        }
        if ($this->surface->isFlat()) {
            return new Borders([$low, $high]);
        }

        return Borders::of($low, $high, $this->step($depth), $sides, 2 * self::ON);
    }

    /**
     * A ring with points added wherever a side of it passes from one column of the near face to the next.
     *
     * @param  list<float>  $near
     * @param  list<float>  $far
     * @param  array<int, float>  $over  {@see over}
     * @return list<array{float, float, float, float}> u on the near face and on the far one, v on both
     */
    private function divided(array $near, array $far, Borders $own, array $over): array
    {
        $out = [];
        $n = count($near);
        for ($i = 0; $i < $n; $i += 2) {
            $j = $i + 2 < $n ? $i + 2 : 0;
            [$a, $b] = [$near[$i], $near[$j]];
            $out[] = [$this->snapped[(int) ($a * self::SPOTS)] ??= $own->snapped($a, self::ON), $far[$i], $near[$i + 1], $far[$i + 1]];
            if (abs($b - $a) < self::ON) {
                continue; // upright: it passes no border
            }
            $passed = $a < $b ? $own->between($a, $b, self::ON) : array_reverse($own->between($b, $a, self::ON));
            [$rise, $behind] = [$near[$j + 1] - $near[$i + 1], $far[$j + 1] - $far[$i + 1]];
            foreach ($passed as $u) {
                $share = ($u - $a) / ($b - $a);
                $straight = abs($rise) < self::ON ? $over[(int) round($u / self::ON)] ?? null : null;
                $out[] = [
                    $u, $straight ?? $far[$i] + ($far[$j] - $far[$i]) * $share, $near[$i + 1] + $rise * $share,
                    $far[$i + 1] + $behind * $share,
                ];
            }
        }

        return $out;
    }

    /**
     * A ring with points added wherever a side of it passes from one column to the next, on either face.
     *
     * @param  list<float>  $near
     * @param  list<float>  $far
     * @param  array{Borders, Borders}  $borders
     * @return list<array{float, float, float, float}> u on the near face and on the far one, v on both
     */
    private function split(array $near, array $far, array $borders): array
    {
        $out = [];
        $n = count($near);
        for ($i = 0; $i < $n; $i += 2) {
            $j = ($i + 2) % $n;
            $out[] = [
                $borders[0]->snapped($near[$i], self::ON), $borders[1]->snapped($far[$i], self::ON), $near[$i + 1], $far[$i + 1],
            ];
            if (abs($near[$j] - $near[$i]) < self::ON && abs($far[$j] - $far[$i]) < self::ON) {
                continue; // upright: it passes no border
            }
            $shares = [];
            foreach ([[$near[$i], $near[$j]], [$far[$i], $far[$j]]] as $face => [$a, $b]) {
                foreach (abs($b - $a) < self::ON ? [] : $borders[$face]->between(min($a, $b), max($a, $b), self::ON) as $u) {
                    $shares[] = [($u - $a) / ($b - $a), $face, $u];
                }
            }
            sort($shares);
            $long = max(abs($near[$j] - $near[$i]), abs($far[$j] - $far[$i]));
            $last = 0.0;
            foreach ($shares as [$share, $face, $u]) {
                if (($share - $last) * $long < 2 * self::ON && $last > 0.0) {
                    // both faces break here, as good as
                    [$a, $b, $v, $behind] = array_pop($out);
                    $out[] = $face === 0 ? [$u, $b, $v, $behind] : [$a, $u, $v, $behind];

                    continue;
                }
                $a = $face === 0 ? $u : $borders[0]->snapped($near[$i] + ($near[$j] - $near[$i]) * $share, self::ON);
                $b = $face === 1 ? $u : $borders[1]->snapped($far[$i] + ($far[$j] - $far[$i]) * $share, self::ON);
                $out[] = [
                    $a, $b, $near[$i + 1] + ($near[$j + 1] - $near[$i + 1]) * $share, $far[$i + 1] + ($far[$j + 1] - $far[$i + 1]) * $share,
                ];
                $last = $share;
            }
        }

        return $out;
    }
}
