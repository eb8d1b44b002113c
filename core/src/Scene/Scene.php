<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Opening;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Unit\SolvedUnit;
use Isleward\Core\Wall\Body;
use Isleward\Core\Wall\Mesher;

/**
 * The solid model: mm, x east, y north, z up. A wall's geometry is in its own (u, v, n) with v the level; a unit's has its
 * origin at the opening's left jamb and sill on the wall's outer face. Both are stood upright by the writer: geometry x is
 * along the wall, y up, z outward.
 */
final readonly class Scene
{
    /**
     * @param  array<string, Geometry>  $geometries
     * @param  list<Part>  $parts
     */
    private function __construct(public string $name, public array $geometries, public array $parts)
    {
    }

    /** @param  iterable<Body>  $bodies the walls to show, with their openings */
    public static function of(string $name, Design $design, iterable $bodies): self
    {
        $geometries = $parts = [];
        foreach ($bodies as $body) {
            $angle = $body->surface->angle();
            $origin = $body->surface->origin;
            $holes = [];
            foreach ($design->openingsOf($body->wall->id) as $opening) {
                $placed = $design->places->of($opening);
                if ($placed->isOff($body)) {
                    continue;
                }
                $holes[] = $placed->ring();
                $unit = Symbols::solved($design, $opening);
                if ($unit !== null) {
                    $key = 'unit '.Symbols::key($opening).' '.round($opening->setback, 3);
                    $geometries[$key] ??= self::unit($unit, $opening);
                    $at = $body->surface->inPlan($placed->left);
                    $parts[] = new Part($key, $opening->id, $at->x, $at->y, $placed->sill, $angle);
                }
            }
            $key = 'wall '.$body->wall->id;
            $geometries[$key] = new Geometry([Material::Wall->value => Mesher::mesh($body, $holes)]);
            $parts[] = new Part($key, $body->wall->id, $origin->x, $origin->y, 0.0, $angle);
        }

        return new self($name, $geometries, $parts);
    }

    private static function unit(SolvedUnit $unit, Opening $opening): Geometry
    {
        $boxes = [];
        $add = static function (Material $material, float $x0, float $x1, float $y0, float $y1, float $back, float $depth) use (&$boxes, $unit, $opening): void {
            if (! $opening->facesOut) {
                [$x0, $x1, $back] = [$unit->width - $x1, $unit->width - $x0, $unit->depth - $back - $depth];
            }
            $z = -$opening->setback - $back;
            $boxes[$material->value][] = [$x0, $y0, $z - $depth, $x1, $y1, $z];
        };
        foreach ($unit->members as $m) {
            $add($m->role->isSash() ? Material::Sash : Material::Frame, $m->box->x0, $m->box->x1, $m->box->y0, $m->box->y1, $m->back, $m->depth);
        }
        foreach ($unit->panes as $p) {
            $add(Material::Glass, $p->box->x0, $p->box->x1, $p->box->y0, $p->box->y1, $p->back, $p->thickness);
        }

        return new Geometry(array_map(Mesh::boxes(...), $boxes));
    }
}
