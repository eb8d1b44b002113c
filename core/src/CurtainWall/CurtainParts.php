<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Solid;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Scene\Contributor;
use Isleward\Core\Scene\Material;
use Isleward\Core\Scene\Part;
use Isleward\Core\Scene\Piece;
use Isleward\Core\Scene\UnitPieces;

/**
 * Curtain walls in the solid model. Members and panes that are alike share a geometry and are placed many times; what a corner or a lean
 * cuts is one geometry a stretch, and so is a whole curtain wall that is let into an opening.
 */
final class CurtainParts implements Contributor
{
    private const SAGITTA = 0.5;

    public function parts(Design $design, Body $body): iterable
    {
        if ($body->host->curtain() !== null) {
            yield from self::standing($design, $body);
        }
        foreach (CurtainDrawn::letInto($design, $body) as $placed) {
            $run = $placed->isOff($body) ? null : LetIn::find($design, $placed);
            if ($run !== null) {
                $opening = $placed->opening;
                $rules = Runs::type($design, $opening->curtain->grid ?? '')->rules();
                [$x, $y, $angle] = CurtainDrawn::stands($design, $body, $placed);
                yield new Part(
                    'curtain '.LetIn::key($design, $placed),
                    static fn (): array => self::pieces(
                        $design,
                        $rules,
                        array_map(static fn (RunMember $m): array => [$m, PartName::member($m)], $run->members()),
                        array_map(static fn (RunPane $p): array => [$p, PartName::cell($p->cell)], $run->panes()),
                    ),
                    $opening->id,
                    $opening->storey,
                    $x,
                    $y,
                    $placed->sill,
                    $angle,
                );
            }
        }
    }

    /** @return iterable<Part> */
    private static function standing(Design $design, Body $body): iterable
    {
        $id = $body->host->id();
        $standing = Runs::in($design)->find($id);
        if ($standing === null) {
            return;
        }
        $index = $standing->indexOf($id);
        $apart = $panes = [];
        $rules = $standing->grids[$index]->rules();
        foreach ($standing->partsOf($index) as $part) {
            foreach ($part->stretch->members() as $member) {
                $shared = self::shared($member->pieces, $member->axes);
                $name = PartName::member($member, $part->line);
                if ($shared === null) {
                    $apart[] = [$member, $name];
                } else {
                    yield self::alike([$id, $name], $shared, $member->pieces, 'frame', self::madeOf($design, $rules, $member));
                }
            }
            foreach ($part->stretch->panes() as $pane) {
                $shared = $pane->cell->infill->kind->isUnit() ? null : self::shared($pane->pieces, $pane->axes);
                $name = PartName::cell($pane->cell, $part->line);
                if ($shared === null) {
                    $panes[] = [$pane, $name];
                } else {
                    $material = self::material($design, $rules, $pane->cell->infill->kind);
                    yield self::alike([$id, $name], $shared, $pane->pieces, 'pane', array_fill(0, count($pane->pieces), $material));
                }
            }
        }
        foreach ($standing->run->corners as $i => $member) {
            if ($standing->run->cornerOf[$i] === $index) {
                $apart[] = [$member, $standing->run->cornerName[$i]];
            }
        }
        if ($apart !== [] || $panes !== []) {
            $start = $body->surface->start();
            $local = static fn (Solid $s): Solid => new Moved($s, static fn (float $x, float $y, float $z): array => [
                $x - $start->x, $z - $standing->foot, $start->y - $y,
            ]);
            yield new Part('curtain '.$id, static fn (): array => array_map(
                static fn (Piece $p): Piece => new Piece($local($p->solid), $p->role, $p->material, $p->sagitta, $p->name),
                self::inSpace($design, $rules, $apart, $panes),
            ), $id, null, $start->x, $start->y, $standing->foot, 0.0);
        }
    }

    /**
     * @param  array{string, string|null}  $of  the element, and what it is of it
     * @param  list<Solid>  $pieces  in axes of their own
     * @param  array{Axes, string, float}  $shared  where they stand, what names their directions, and the angle in plan
     * @param  list<string>  $materials  of each
     */
    private static function alike(array $of, array $shared, array $pieces, string $role, array $materials): Part
    {
        [$axes, $way, $angle] = $shared;
        $shape = hash('xxh128', serialize(array_map(
            static fn (Solid $p): array => $p instanceof CutPrism
                ? [array_map(static fn (float $c): float => round($c, 3), $p->profile->ring(self::SAGITTA)), $p->lower, $p->upper]
                : throw new \LogicException('What is alike is made of prisms.'),
            $pieces,
        )));
        [$c, $s] = [cos($angle), sin($angle)];
        $place = static function (float $x, float $y, float $z) use ($axes, $c, $s): array {
            $at = $axes->x->times($x)->plus($axes->y->times($y))->plus($axes->z->times($z));

            return [$at->x * $c + $at->y * $s, $at->z, $at->x * $s - $at->y * $c];
        };
        $made = static fn (Solid $p, string $material): Piece => new Piece(new Moved($p, $place), $role, $material, self::SAGITTA);
        $named = implode('+', array_unique($materials));

        return new Part(
            "member $way $named $shape",
            static fn (): array => array_map($made, $pieces, $materials),
            $of[0],
            null,
            $axes->origin->x,
            $axes->origin->y,
            $axes->origin->z,
            $angle,
            name: $of[1],
        );
    }

    /**
     * Of upright stretches what stands square to them: it is placed by a turn about an upright axis.
     *
     * @param  list<Solid>  $pieces
     * @return array{Axes, string, float}|null
     */
    private static function shared(array $pieces, ?Axes $axes): ?array
    {
        if ($pieces === [] || $axes === null) {
            return null;
        }
        foreach ([$axes->x, $axes->y, $axes->z] as $direction) {
            if (abs($direction->z) > 1e-9 && abs($direction->z) < 1 - 1e-9) {
                return null;
            }
        }
        // along its stretch runs z of what is level, x of what is upright and of panes
        $way = abs($axes->z->z) > 0.5 ? 'upright' : (abs($axes->y->z) > 0.5 ? 'face' : 'level');
        $along = $way === 'level' ? $axes->z : $axes->x;

        return [$axes, $way, atan2($along->y, $along->x)];
    }

    /**
     * @param  list<array{RunMember, string|null}>  $members  with their names
     * @param  list<array{RunPane, string|null}>  $panes
     * @return list<Piece> as geometries lie: x along, y up, z outward, of a run along x whose foot is at 0
     */
    private static function pieces(Design $design, GridRules $rules, array $members, array $panes): array
    {
        return array_map(static fn (Piece $p): Piece => new Piece(
            new Moved($p->solid, static fn (float $x, float $y, float $z): array => [$x, $z, -$y]),
            $p->role,
            $p->material,
            $p->sagitta,
            $p->name,
        ), self::inSpace($design, $rules, $members, $panes));
    }

    /**
     * @param  list<array{RunMember, string|null}>  $members  with their names
     * @param  list<array{RunPane, string|null}>  $panes
     * @return list<Piece> x east, y north, z up
     */
    private static function inSpace(Design $design, GridRules $rules, array $members, array $panes): array
    {
        $out = [];
        foreach ($members as [$member, $name]) {
            $materials = self::madeOf($design, $rules, $member);
            foreach ($member->solids() as $i => $solid) {
                $out[] = new Piece($solid, 'frame', $materials[$i], self::SAGITTA, $name);
            }
        }
        foreach ($panes as [$pane, $name]) {
            $type = $design->types[$pane->cell->infill->type ?? ''] ?? null;
            if ($type !== null && $pane->axes !== null) {
                array_push($out, ...self::unit($design, $pane, $pane->axes, $name));
            }
            foreach ($pane->solids() as $solid) {
                $material = self::material($design, $rules, $pane->cell->infill->kind);
                $out[] = new Piece($solid, 'pane', $material, self::SAGITTA, $name);
            }
        }

        return $out;
    }

    /** @return list<Piece> */
    private static function unit(Design $design, RunPane $pane, Axes $axes, ?string $name): array
    {
        $type = $design->type((string) $pane->cell->infill->type);
        $unit = CellUnit::in($pane->cell, $type->tree())->unit;
        [$x0, $y0] = $pane->cell->contour()->bounds();
        $in = new Axes($axes->point($x0 - $pane->u, $y0 - $pane->v, 0.0), $axes->x, $axes->y, $axes->z);

        return array_map(
            static fn (Piece $p): Piece => new Piece(InSpace::of($p->solid, $in), $p->role, $p->material, $p->sagitta, $name),
            UnitPieces::of($unit, $design->settings, 0.0, true, $unit->depth(), null),
        );
    }

    /** @return list<string> what each piece of a member is made of: caps lie before what they are clipped to */
    private static function madeOf(Design $design, GridRules $rules, RunMember $member): array
    {
        $own = FinishOf::member($member)->in($rules, $design->settings)?->material() ?? Material::Frame->value;
        $cap = FinishOf::Caps->in($rules, $design->settings)?->material() ?? $own;

        return array_map(static fn (Solid $p): string => $member->profile->capWidth !== null && $p instanceof CutPrism
            && $p->profile->bounds()[3] <= Tolerance::LENGTH ? $cap : $own, $member->pieces);
    }

    private static function material(Design $design, GridRules $rules, InfillKind $kind): string
    {
        return FinishOf::infill($kind)?->in($rules, $design->settings)?->material() ?? match ($kind) {
            InfillKind::Vision => Material::Glass->value,
            InfillKind::Louvre => Material::Louvre->value,
            default => Material::Infill->value,
        };
    }
}
