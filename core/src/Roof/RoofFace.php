<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Mesh;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Solid;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Geometry\Vec3;

/**
 * A sloped face of a roof as what stands in it sees it: u along its eaves from their left end, v up the slope from the upper edge of the
 * eaves, n outward from its upper side; mm. Its eaves, hips and ridges are cut upright, what stands in it square to it.
 */
final readonly class RoofFace implements Solid
{
    public Axes $axes;

    /** Square to the slope, mm. */
    public float $through;

    /**
     * @param  list<Contour>  $holes  in (u, v), within both its sides and clear of one another
     * @param  array{Vec2, Vec2}|null  $eaves  from and to, where it is one of several over its wall that are measured together
     */
    public function __construct(public RoofSide $side, private float $upright, public array $holes = [], private ?array $eaves = null)
    {
        $pitch = $side->pitch ?? throw new \LogicException('A gable is no face that something stands in.');
        $way = $side->to->minus($side->from)->times(1 / $side->from->distanceTo($side->to));
        [$c, $s] = [cos($pitch), sin($pitch)];
        [$from] = $eaves ?? [$side->from];
        $this->axes = new Axes(
            new Vec3($from->x, $from->y, $side->levelAt($from->x, $from->y) + $upright),
            new Vec3($way->x, $way->y, 0.0),
            new Vec3(-$way->y * $c, $way->x * $c, $s),
            new Vec3($way->y * $s, -$way->x * $s, $c),
        );
        $this->through = $upright * $c;
    }

    /** @param  list<Contour>  $holes */
    public function pierced(array $holes): self
    {
        return new self($this->side, $this->upright, $holes, $this->eaves);
    }

    /** Its upper side, or its underside, in (u, v), less what stands in it. */
    public function region(bool $under = false): Region
    {
        $rings = [];
        foreach ($this->side->rings($under) as $corners) {
            $ring = [];
            foreach ($corners as [$x, $y, $z]) {
                $at = $this->axes->place(new Vec3($x, $y, $z + ($under ? 0.0 : $this->upright)));
                array_push($ring, $at->x, $at->y);
            }
            $rings[] = $ring;
        }

        return Region::fromRings($rings)->cut(array_map(static fn (Contour $hole): array => $hole->ring(), $this->holes));
    }

    /**
     * Where something that stands square through it lies within both its sides.
     *
     * @return list<float> ring in plan, on its upper side; none where there is no such place
     */
    public function room(): array
    {
        $rings = $this->region()->intersection($this->region(true))->rings;
        usort($rings, static fn (array $a, array $b): int => Region::signedArea($b) <=> Region::signedArea($a));
        // of several the largest, with what is cut out of it joined to it there and back
        $ring = $rings[0] ?? [];
        foreach ($rings as $i => $hole) {
            if ($i > 0 && Region::signedArea($hole) < 0.0) {
                $ring = [...$ring, $ring[0], $ring[1], ...$hole, $hole[0], $hole[1]];
            }
        }
        $plan = [];
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            $at = $this->axes->point($ring[$i], $ring[$i + 1], 0.0);
            array_push($plan, $at->x, $at->y);
        }

        return $plan;
    }

    /** How long the eaves are. */
    public function width(): float
    {
        [$from, $to] = $this->eaves ?? [$this->side->from, $this->side->to];

        return $from->distanceTo($to);
    }

    /** How far its highest point lies up the slope. */
    public function height(): float
    {
        return max([0.0, ...array_map(
            fn (array $c): float => $this->axes->place(new Vec3($c[0], $c[1], $c[2] + $this->upright))->y, $this->side->corners,
        )]);
    }

    public function volume(): float
    {
        $holes = array_sum(array_map(static fn (Contour $hole): float => $hole->area(), $this->holes));
        // what stands through it takes an upright prism, clear of its eaves where those are not cut upright
        $gone = $this->side->isCut() ? ($this->side->contour()->area() - $this->side->planArea()) * $this->upright : 0.0;
        [$over, $under] = array_map($this->whole(...), [false, true]);
        $middle = array_map(static fn (float $a, float $b): float => ($a + $b) / 2, $over, $under);
        // from side to side its area is of the second degree: Simpson's rule is exact
        $areas = Region::signedArea($over) + 4 * Region::signedArea($middle) + Region::signedArea($under);

        return ($areas / 6 - $holes) * $this->through - $gone;
    }

    /** @return list<float> the ring of one of its sides in (u, v), whatever stands through it or in it */
    private function whole(bool $under): array
    {
        $ring = [];
        foreach ($under ? $this->side->under() : $this->side->corners as [$x, $y, $z]) {
            $at = $this->axes->place(new Vec3($x, $y, $z + ($under ? 0.0 : $this->upright)));
            array_push($ring, $at->x, $at->y);
        }

        return $ring;
    }

    public function mesh(float $sagitta): Mesh
    {
        $flat = Mesh::between($this->region()->rings, $this->region(true)->rings, 0.0, -$this->through);
        $positions = [];
        for ($i = 0, $n = count($flat->positions); $i < $n; $i += 3) {
            $at = $this->axes->point($flat->positions[$i], $flat->positions[$i + 1], $flat->positions[$i + 2]);
            array_push($positions, $at->x, $at->y, $at->z);
        }

        return new Mesh($positions, $flat->triangles);
    }
}
