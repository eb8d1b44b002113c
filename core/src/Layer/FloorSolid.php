<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Mesh;
use Isleward\Core\Geometry\Prism;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Solid;

/**
 * The section of a floor band run along its line, mitred at corners: x east, y north, z up from its top. Of a whole slab what lies behind
 * the edge is a prism. Its volume is the section's area times the way of its centroid (Pappus and Guldin; mitred corners keep to it, since
 * parallel lines that meet at a mitre differ in length as their distance does).
 */
final readonly class FloorSolid implements Solid
{
    public function __construct(private FloorBand $band, private BandLine $line, private float $out)
    {
    }

    public function volume(): float
    {
        $section = $this->section();
        [$mx] = $section->firstMoments();
        $area = $section->area();
        $way = array_sum(array_map(
            static fn (Curve $c): float => $c->length(),
            $this->line->offset($this->out - $mx / $area),
        ));

        return $area * $way + ($this->inner()?->volume() ?? 0.0);
    }

    /** Seen from above, mm². */
    public function area(): float
    {
        $outer = $this->line->offset($this->out);
        if ($this->band->depth === null) {
            return abs(Contour::of($outer === [] ? throw new \LogicException('A line has stretches.') : $outer)->area())
                - array_sum(array_map(static fn (Contour $h): float => abs($h->area()), $this->holes()));
        }
        $middle = $this->line->offset($this->out - $this->band->depth / 2);

        return $this->band->depth * array_sum(array_map(static fn (Curve $c): float => $c->length(), $middle));
    }

    public function mesh(float $sagitta): Mesh
    {
        $ring = $this->section()->ring(min($sagitta, 2.0));
        $points = [];
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            $points[] = [$ring[$i], $ring[$i + 1]];
        }
        $chains = [];
        foreach ($points as [$in]) {
            $chains[(string) $in] ??= $this->line->offset($this->out - $in);
        }
        // arcs of one stretch have their chords' ends on the same radii, whatever their distance
        $chords = [];
        foreach ($this->line->offset($this->out) as $i => $curve) {
            $chords[$i] = $curve->isCurved() ? max(2, intdiv(count($curve->chords($sagitta)), 2)) : 1;
        }
        $positions = [];
        $stations = 0;
        foreach ($chords as $i => $count) {
            $last = ! $this->line->closed && $i === count($chords) - 1;
            for ($k = 0; $k < $count + ($last ? 1 : 0); $k++) {
                foreach ($points as [$in, $z]) {
                    $curve = $chains[(string) $in][$i];
                    $at = $curve->pointAt($curve->length() * $k / $count);
                    array_push($positions, $at->x, $at->y, $z);
                }
                $stations++;
            }
        }
        $mesh = new Mesh($positions, $this->skin($stations, count($points), $ring));
        $mesh = $mesh->volume() < 0 ? new Mesh($positions, self::flipped($mesh->triangles)) : $mesh;
        $inner = $this->inner();

        return $inner === null ? $mesh : Mesh::merged([$mesh, $inner->mesh($sagitta)]);
    }

    /** The section that is run along: of a whole slab as deep as its edge reaches. */
    private function section(): Contour
    {
        $section = $this->band->section($this->band->depth ?? $this->band->edgeDepth());

        return $section->area() < 0 ? $section->reversed() : $section;
    }

    /** @return list<Contour> its openings, clockwise */
    private function holes(): array
    {
        return array_map(static function (OwnLine $hole): Contour {
            $curves = $hole->curves();
            $contour = Contour::of($curves === [] ? throw new \LogicException('An opening has sides.') : $curves);

            return $contour->area() > 0 ? $contour->reversed() : $contour;
        }, $this->band->holes);
    }

    private function inner(): ?Solid
    {
        if ($this->band->depth !== null) {
            return null;
        }
        $edge = $this->line->offset($this->out - $this->band->edgeDepth());
        $contour = Contour::of($edge === [] ? throw new \LogicException('A line has stretches.') : $edge);

        return new Prism(
            new Profile($contour->area() < 0 ? $contour->reversed() : $contour, $this->holes()), -$this->band->height, $this->band->height,
        );
    }

    /**
     * @param  list<float>  $ring  of the section
     * @return list<int>
     */
    private function skin(int $stations, int $around, array $ring): array
    {
        $triangles = [];
        $steps = $this->line->closed ? $stations : $stations - 1;
        for ($s = 0; $s < $steps; $s++) {
            $next = ($s + 1) % $stations;
            for ($j = 0; $j < $around; $j++) {
                $k = ($j + 1) % $around;
                [$a, $b, $c, $d] = [$s * $around + $j, $s * $around + $k, $next * $around + $k, $next * $around + $j];
                array_push($triangles, $a, $b, $c, $a, $c, $d);
            }
        }
        if (! $this->line->closed) {
            [, $caps] = Region::polygon($ring)->triangles();
            $end = ($stations - 1) * $around;
            foreach (array_chunk($caps, 3) as [$a, $b, $c]) {
                array_push($triangles, $a, $c, $b, $end + $a, $end + $b, $end + $c);
            }
        }

        return $triangles;
    }

    /**
     * @param  list<int>  $triangles
     * @return list<int>
     */
    private static function flipped(array $triangles): array
    {
        $out = [];
        foreach (array_chunk($triangles, 3) as [$a, $b, $c]) {
            array_push($out, $a, $c, $b);
        }

        return $out;
    }
}
