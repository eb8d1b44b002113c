<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Design\Settings;
use Isleward\Core\Geometry\CurvedSheet;
use Isleward\Core\Geometry\Mesh;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Unit\FinishPart;
use Isleward\Core\Unit\Member;
use Isleward\Core\Unit\Pose;
use Isleward\Core\Unit\Role;
use Isleward\Core\Unit\SolvedUnit;

/**
 * The solids of a unit, its leaves as far open as they stand: x from its left jamb, y up from its foot, z outward from the
 * wall's outer face, mm. Curves are chords that leave them by 0.5 mm at the most.
 */
final class UnitParts
{
    private const SAGITTA = 0.5;

    /** @var array<string, list<Mesh>> by material */
    private array $meshes = [];

    /** @param  array<int, Pose>  $poses  by leaf */
    private function __construct(
        private readonly SolvedUnit $unit,
        private readonly Settings $settings,
        private readonly float $setback,
        private readonly bool $facesOut,
        private readonly float $thickness,
        private readonly array $poses,
        private readonly ?Upright $bent,
    ) {
    }

    /**
     * @param  float  $setback  unit's outer side behind the wall's outer face, mm
     * @param  float  $thickness  of the wall, mm
     * @param  float|null  $ajar  how far its lights stand open; null as their type shows them
     * @param  Upright|null  $bent  what it is bent to, from its left jamb on; null for one that is flat
     */
    public static function geometry(
        SolvedUnit $unit,
        Settings $settings,
        float $setback,
        bool $facesOut,
        float $thickness,
        ?float $ajar,
        ?Upright $bent = null,
    ): Geometry {
        return new Geometry(array_map(
            Mesh::merged(...),
            self::solids($unit, $settings, $setback, $facesOut, $thickness, $ajar, $bent),
        ));
    }

    /**
     * @return array<string, list<Mesh>> each member, infill, pane and blade a closed solid of its own, by material; arguments as of {@see
     *    geometry}
     */
    public static function solids(
        SolvedUnit $unit,
        Settings $settings,
        float $setback,
        bool $facesOut,
        float $thickness,
        ?float $ajar,
        ?Upright $bent = null,
    ): array {
        $poses = [];
        foreach ($unit->lights as $light) {
            foreach ($light->leaves as $leaf) {
                $share = $ajar ?? $light->light->ajar;
                if ($share > 0) {
                    $poses[$leaf->index] = $leaf->motion->at($share);
                }
            }
        }
        $parts = new self($unit, $settings, $setback, $facesOut, $thickness, $poses, $bent);
        foreach ($unit->members as $member) {
            $parts->member($member);
        }
        foreach ($unit->panes as $pane) {
            $parts->prism(Material::Glass->value, $pane->contour->ring(self::SAGITTA), $pane->back, $pane->thickness(), $pane->leaf);
        }

        return $parts->meshes;
    }

    private function member(Member $member): void
    {
        $material = $this->material($member);
        if ($member->section !== null) {
            [$x0, , $x1] = $member->contour->bounds();
            $this->add($material, self::blade($member->section, $x0, $x1), null);

            return;
        }
        $ring = $member->contour->ring(self::SAGITTA);
        if ($member->role === Role::Trim) {
            $trim = $this->unit->tree->frame->trim ?? throw new \LogicException('A trim has a size.');
            foreach ([
                [$trim['outside'], -$this->setback - $member->depth],
                [$trim['inside'], $this->thickness - $this->setback],
            ] as [$there, $back]) {
                if ($there) {
                    $this->prism($material, $ring, $back, $member->depth, null);
                }
            }

            return;
        }
        if ($member->role === Role::Cill) {
            $this->cill($member, $material);

            return;
        }
        $inside = $this->finish(FinishPart::FrameInside);
        if ($member->part() === FinishPart::FrameOutside && $inside !== null && $inside !== $material) {
            $this->prism($material, $ring, $member->back, $member->depth / 2, null);
            $this->prism($inside, $ring, $member->back + $member->depth / 2, $member->depth / 2, null);

            return;
        }
        $this->prism($material, $ring, $member->back, $member->depth, $member->leaf);
    }

    /** In the reveal as wide as the unit; before the wall with its horns. */
    private function cill(Member $member, string $material): void
    {
        [$x0, $y0, $x1, $y1] = $member->contour->bounds();
        $outline = [0.0, $this->unit->width];
        if ($this->setback > 0) {
            $ring = [$outline[0], $y0, $outline[1], $y0, $outline[1], $y1, $outline[0], $y1];
            $this->prism($material, $ring, -$this->setback, $this->setback, null);
        }
        if ($member->depth > 0) {
            $ring = [$x0, $y0, $x1, $y0, $x1, $y1, $x0, $y1];
            $this->prism($material, $ring, -max(0.0, $this->setback) - $member->depth, $member->depth, null);
        }
    }

    private function material(Member $member): string
    {
        return $this->finish($member->part()) ?? match ($member->part()) {
            FinishPart::Sash, FinishPart::Leaf => Material::Sash->value,
            FinishPart::Infill => Material::Infill->value,
            FinishPart::Louvre => Material::Louvre->value,
            default => Material::Frame->value,
        };
    }

    private function finish(FinishPart $part): ?string
    {
        $id = $this->unit->tree->finishes[$part->value] ?? null;
        $finish = $id === null ? null : $this->settings->finish($id);

        return $finish?->material();
    }

    private function add(string $material, Mesh $mesh, ?int $leaf): void
    {
        $pose = $leaf === null ? null : $this->poses[$leaf] ?? null;
        $out = [];
        for ($i = 0, $n = count($mesh->positions); $i < $n; $i += 3) {
            [$x, $y, $z] = [$mesh->positions[$i], $mesh->positions[$i + 1], $mesh->positions[$i + 2]];
            if ($pose !== null) {
                [$x, $y, $z] = $pose->of($x, $y, $z);
            }
            if ($this->facesOut) {
                array_push($out, $x, $y, -$this->setback - $z);
            } else {
                array_push($out, $this->unit->width - $x, $y, -$this->setback - $this->unit->depth() + $z);
            }
        }
        $this->meshes[$material][] = new Mesh($out, $mesh->triangles);
    }

    /**
     * A piece over a ring, so deep.
     *
     * @param  list<float>  $ring  x and y, the inside on its left
     * @param  float  $back  behind the unit's outer side, mm
     */
    private function prism(string $material, array $ring, float $back, float $depth, ?int $leaf): void
    {
        if ($this->bent === null) {
            $this->add($material, self::straight($ring, $back, $depth), $leaf);

            return;
        }
        $near = $this->setback + $back;
        if (! $this->facesOut) {
            $near = $this->setback + $this->unit->depth() - $back - $depth;
            $turned = [];
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                array_push($turned, $this->unit->width - $ring[$i], $ring[$i + 1]);
            }
            $ring = $turned;
        }
        $ring = Region::polygon($ring)->rings[0];
        $rings = [[$ring, $ring]];
        $this->meshes[$material][] = CurvedSheet::mesh($this->bent, $this->bent->start(), $rings, $near, $near + $depth, self::SAGITTA);
    }

    /**
     * In (x, y, depth inward), so that it is turned inside out until the depth becomes −z.
     *
     * @param  list<float>  $ring
     */
    private static function straight(array $ring, float $back, float $depth): Mesh
    {
        [$flat, $triangles] = Region::polygon($ring)->triangles();
        $n = intdiv(count($flat), 2);
        $positions = [];
        foreach ([$back, $back + $depth] as $z) {
            for ($i = 0; $i < $n; $i++) {
                array_push($positions, $flat[2 * $i], $flat[2 * $i + 1], $z);
            }
        }
        $out = $triangles;
        for ($i = 0, $count = count($triangles); $i < $count; $i += 3) {
            array_push($out, $triangles[$i] + $n, $triangles[$i + 2] + $n, $triangles[$i + 1] + $n);
        }
        for ($i = 0; $i < $n; $i++) {
            $j = ($i + 1) % $n;
            array_push($out, $i, $i + $n, $j + $n, $i, $j + $n, $j);
        }

        return new Mesh($positions, $out);
    }

    /** @param  list<float>  $section  [y, depth, …] */
    private static function blade(array $section, float $x0, float $x1): Mesh
    {
        $region = Region::polygon($section);
        [$flat, $triangles] = $region->triangles();
        $n = intdiv(count($flat), 2);
        $positions = [];
        foreach ([$x0, $x1] as $x) {
            for ($i = 0; $i < $n; $i++) {
                array_push($positions, $x, $flat[2 * $i], $flat[2 * $i + 1]);
            }
        }
        $out = $triangles;
        for ($i = 0, $count = count($triangles); $i < $count; $i += 3) {
            array_push($out, $triangles[$i] + $n, $triangles[$i + 2] + $n, $triangles[$i + 1] + $n);
        }
        for ($i = 0; $i < $n; $i++) {
            $j = ($i + 1) % $n;
            array_push($out, $i, $i + $n, $j + $n, $i, $j + $n, $j);
        }

        return new Mesh($positions, $out);
    }
}
