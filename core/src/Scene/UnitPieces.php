<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Design\Settings;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Prism;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Shell;
use Isleward\Core\Geometry\Solid;
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
final class UnitPieces
{
    private const SAGITTA = 0.5;

    /** @var list<Piece> */
    private array $pieces = [];

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
     * Each member, infill, pane and blade a solid of its own.
     *
     * @param  float  $setback  unit's outer side behind the wall's outer face, mm
     * @param  float  $thickness  of the wall, mm
     * @param  float|null  $ajar  how far its lights stand open; null as their type shows them
     * @param  Upright|null  $bent  what it is bent to, from its left jamb on; null for one that is flat
     * @return list<Piece>
     */
    public static function of(
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
        $made = new self($unit, $settings, $setback, $facesOut, $thickness, $poses, $bent);
        foreach ($unit->members as $member) {
            $made->member($member);
        }
        foreach ($unit->panes as $pane) {
            $made->piece('pane', Material::Glass->value, $pane->contour, $pane->back, $pane->thickness(), $pane->leaf);
        }

        return $made->pieces;
    }

    private function member(Member $member): void
    {
        [$role, $material] = [$member->role->value, $this->material($member)];
        if ($member->section !== null) {
            [$x0, , $x1] = $member->contour->bounds();
            $section = new Profile(Contour::polygon(Region::polygon($member->section)->rings[0]));
            $this->add($role, $material, new Prism($section, $x0, $x1 - $x0, alongX: true), null);

            return;
        }
        if ($member->role === Role::Trim) {
            $trim = $this->unit->tree->frame->trim ?? throw new \LogicException('A trim has a size.');
            foreach ([
                [$trim->outside, -$this->setback - $member->depth],
                [$trim->inside, $this->thickness - $this->setback],
            ] as [$there, $back]) {
                if ($there) {
                    $this->piece($role, $material, $member->contour, $back, $member->depth, null);
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
            $this->piece($role, $material, $member->contour, $member->back, $member->depth / 2, null);
            $this->piece($role, $inside, $member->contour, $member->back + $member->depth / 2, $member->depth / 2, null);

            return;
        }
        $this->piece($role, $material, $member->contour, $member->back, $member->depth, $member->leaf);
    }

    /** In the reveal as wide as the unit; before the wall with its horns. */
    private function cill(Member $member, string $material): void
    {
        [$x0, $y0, $x1, $y1] = $member->contour->bounds();
        $role = $member->role->value;
        if ($this->setback > 0) {
            $within = Contour::rectangle(0.0, $y0, $this->unit->width, $y1);
            $this->piece($role, $material, $within, -$this->setback, $this->setback, null);
        }
        if ($member->depth > 0) {
            $before = Contour::rectangle($x0, $y0, $x1, $y1);
            $this->piece($role, $material, $before, -max(0.0, $this->setback) - $member->depth, $member->depth, null);
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

    /** What lies over a contour, so deep; $back behind the unit's outer side, mm. */
    private function piece(string $role, string $material, Contour $contour, float $back, float $depth, ?int $leaf): void
    {
        if ($this->bent === null) {
            $this->add($role, $material, new Prism(new Profile($contour), $back, $depth), $leaf);

            return;
        }
        $near = $this->facesOut ? $this->setback + $back : $this->setback + $this->unit->depth() - $back - $depth;
        $profile = new Profile($this->facesOut ? $contour : $contour->mirrored($this->unit->width));
        $this->pieces[] = new Piece(new Shell($this->bent, $profile, $near, $near + $depth), $role, $material, self::SAGITTA);
    }

    /** @param  Solid  $solid  in (x, y, depth behind the unit's outer side), its leaf shut */
    private function add(string $role, string $material, Solid $solid, ?int $leaf): void
    {
        $pose = $leaf === null ? null : $this->poses[$leaf] ?? null;
        [$setback, $far, $width] = [$this->setback, $this->setback + $this->unit->depth(), $this->facesOut ? null : $this->unit->width];
        $to = static function (float $x, float $y, float $z) use ($pose, $setback, $far, $width): array {
            [$x, $y, $z] = $pose === null ? [$x, $y, $z] : $pose->of($x, $y, $z);

            return $width === null ? [$x, $y, -$setback - $z] : [$width - $x, $y, $z - $far];
        };
        $this->pieces[] = new Piece(new Moved($solid, $to, mirrors: true), $role, $material, self::SAGITTA);
    }
}
