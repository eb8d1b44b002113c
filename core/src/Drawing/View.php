<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Crossing;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Vec2;

/** A look square on over a line in plan, to its left: s runs along the line from its first end, away is how far beyond it; mm. */
final readonly class View
{
    public Vec2 $along;

    private Vec2 $towards;

    public float $length;

    public function __construct(public Vec2 $from, Vec2 $to)
    {
        $this->length = $from->distanceTo($to);
        $this->along = $to->minus($from)->unit();
        $this->towards = $this->along->rightHand()->times(-1.0);
    }

    /**
     * From a compass direction, over a line before all of these walls.
     *
     * @param  array<string, Body>  $bodies
     * @param  float  $angle  of the direction that one stands in, in plan, radians from +x
     */
    public static function from(array $bodies, float $angle): self
    {
        $out = Vec2::atAngle($angle);
        $along = $out->rightHand()->times(-1.0);
        [$near, $left, $right] = [-INF, INF, -INF];
        foreach ($bodies as $body) {
            $ring = $body->footprint()->ring(1.0);
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $p = new Vec2($ring[$i], $ring[$i + 1]);
                $near = max($near, $p->dot($out));
                [$left, $right] = [min($left, $p->dot($along)), max($right, $p->dot($along))];
            }
        }
        $at = static fn (float $s): Vec2 => $along->times($s)->plus($out->times($near + 1000.0));

        return new self($at($left - 1000.0), $at($right + 1000.0));
    }

    /** Its endless line. */
    public function line(): Curve
    {
        return Curve::line($this->from, $this->from->plus($this->along));
    }

    /** The plan point so far along the line. */
    public function at(float $s): Vec2
    {
        return $this->from->plus($this->along->times($s));
    }

    public function s(Vec2 $point): float
    {
        return $point->minus($this->from)->dot($this->along);
    }

    public function away(Vec2 $point): float
    {
        return $point->minus($this->from)->dot($this->towards);
    }

    /**
     * The faces of walls that are turned this way, as far as they lie beyond the line and between its ends.
     *
     * @param  array<string, Body>  $bodies
     * @param  bool  $afar  {@see SeenFace::$afar}
     * @return list<SeenFace> the farthest first
     */
    public function faces(Design $design, array $bodies, bool $afar): array
    {
        $faces = [];
        foreach ($bodies as $body) {
            foreach ([
                [0.0, $body->left->at, $body->right->at],
                [$body->host->depth(), $body->left->inner, $body->right->inner],
            ] as [$depth, $a, $b]) {
                foreach ($this->seen($body, $depth, $a, $b) as [$ua, $ub]) {
                    $away = $this->away($body->surface->inPlan(($ua + $ub) / 2, $depth));
                    $faces[] = [$away, new SeenFace($design, $body, $this, $depth, $ua, $ub, $afar)];
                }
            }
        }
        usort($faces, static fn (array $x, array $y): int => $y[0] <=> $x[0]);

        return array_column($faces, 1);
    }

    /** @return list<array{float, float}> u from and to */
    private function seen(Body $body, float $depth, float $a, float $b): array
    {
        $surface = $body->surface;
        $face = $surface->behind($depth);
        $ends = [$this->from, $this->from->plus($this->along->times($this->length))];
        $lines = [Curve::line(...$ends)];
        foreach ($ends as $end) {
            $lines[] = Curve::line($end, $end->plus($this->towards));
        }
        $marks = [$a, $b];
        foreach ($lines as $line) {
            foreach (Crossing::endless($line, $face) as [$x, $y]) {
                $marks[] = $surface->u(new Vec2($x, $y));
            }
        }
        foreach ($surface->isFlat() ? [] : [1.0, -1.0] as $way) {
            // where an arc is seen edge on
            $marks[] = $surface->u($surface->foot->centre()->plus($this->along->times($way)));
        }
        $marks = array_values(array_filter($marks, static fn (float $u): bool => $u >= $a && $u <= $b));
        sort($marks);
        $seen = [];
        for ($i = 1, $n = count($marks); $i < $n; $i++) {
            $middle = ($marks[$i - 1] + $marks[$i]) / 2;
            $point = $surface->inPlan($middle, $depth);
            $facing = $surface->outward($middle)->dot($this->towards) * ($depth === 0.0 ? -1.0 : 1.0);
            if ($marks[$i] - $marks[$i - 1] > 1 && $facing > 1e-6 && $this->away($point) > 1e-6
                && $this->s($point) > 1e-6 && $this->s($point) < $this->length - 1e-6) {
                $seen[] = [$marks[$i - 1], $marks[$i]];
            }
        }

        return $seen;
    }

    /**
     * Where the line runs inside a shape in plan, from its first end to its last.
     *
     * @return list<array{float, float}>
     */
    public function inside(Contour $shape): array
    {
        $at = [];
        $line = $this->line();
        foreach ($shape->edges() as $e) {
            $marks = [0.0, 1.0];
            foreach ($e->isCurved() ? Crossing::endless($line, $e) : [] as [$x, $y]) {
                $share = $e->shareOf($x, $y);
                if ($share > 0.0 && $share < 1.0) {
                    $marks[] = $share;
                }
            }
            sort($marks);
            // an arc stays on one side between two crossings, so its middles there say where it crosses; an end on the line counts as
            // lying beyond it, so that it counts once
            $probes = [0.0];
            for ($i = 1, $n = count($marks); $e->isCurved() && $i < $n; $i++) {
                $probes[] = ($marks[$i - 1] + $marks[$i]) / 2;
            }
            $probes[] = 1.0;
            for ($i = 1, $n = count($probes); $i < $n; $i++) {
                [$a, $b] = [new Vec2(...$e->at($probes[$i - 1])), new Vec2(...$e->at($probes[$i]))];
                [$da, $db] = [$this->away($a), $this->away($b)];
                if (($da >= 0) !== ($db >= 0)) {
                    $at[] = $e->isCurved()
                        ? $this->s(new Vec2(...$e->at($marks[$i - 1])))
                        : $this->s($a) + ($this->s($b) - $this->s($a)) * $da / ($da - $db);
                }
            }
        }
        sort($at);
        $spans = [];
        for ($i = 1, $n = count($at); $i < $n; $i += 2) {
            [$s0, $s1] = [max(0.0, $at[$i - 1]), min($this->length, $at[$i])];
            if ($s1 - $s0 > 0.01) {
                $spans[] = [$s0, $s1];
            }
        }

        return $spans;
    }

    /**
     * Where the line runs over what lies between curves in plan that close, but for holes in it.
     *
     * @param  list<Curve>  $outer
     * @param  list<list<Curve>>  $holes  that lie apart
     * @return list<array{float, float}>
     */
    public function spans(array $outer, array $holes): array
    {
        $spans = $outer === [] ? [] : $this->inside(Contour::of($outer));
        foreach ($holes as $hole) {
            foreach ($hole === [] ? [] : $this->inside(Contour::of($hole)) as [$from, $to]) {
                $left = [];
                foreach ($spans as [$a, $b]) {
                    array_push($left, ...array_values(array_filter(
                        [[$a, min($b, $from)], [max($a, $to), $b]], static fn (array $s): bool => $s[1] - $s[0] > 0.01,
                    )));
                }
                $spans = $left;
            }
        }

        return $spans;
    }
}
