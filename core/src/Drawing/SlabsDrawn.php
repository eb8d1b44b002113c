<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Slab;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Vec2;

/** Slabs that outlines stand on: their edges in elevation, their outlines in plan, themselves where they are cut. */
final class SlabsDrawn implements Contributor
{
    /** Curves of its outline are chords that leave them by so much at the most, mm. */
    private const SAGITTA = 0.5;

    public function elevation(Design $design, Body $body, Symbols $symbols): array
    {
        $slab = self::of($design, $body);

        return $slab === null || abs($slab->top - $design->storeys->floor($body->host->base())) > 0.01 ? [] : [
            Shape::area(Layer::Face, [[
                0.0, $slab->top - $slab->thickness, $body->length, $slab->top - $slab->thickness, $body->length, $slab->top, 0.0,
                $slab->top,
            ]]),
        ];
    }

    public function plan(Design $design, Body $body, string $storey, float $letters): array
    {
        $slab = self::of($design, $body);
        if ($slab === null || $slab->host !== $body->host->id() || $storey !== $body->host->base()) {
            return [];
        }
        $ring = $slab->contour->ring(self::SAGITTA);

        return [$slab->host => [Shape::line(Layer::Reveal, [...$ring, $ring[0], $ring[1]])]];
    }

    public function section(SectionCut $cut): array
    {
        $slab = self::of($cut->design, $cut->body);
        if ($slab === null) {
            return [];
        }
        $at = [];
        $ring = $slab->contour->ring(self::SAGITTA);
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            $a = new Vec2($ring[$i], $ring[$i + 1]);
            $b = new Vec2($ring[($i + 2) % $n], $ring[($i + 3) % $n]);
            [$da, $db] = [$cut->view->away($a), $cut->view->away($b)];
            if ($da > 0 !== $db > 0) {
                $at[] = $cut->view->s($a->plus($b->minus($a)->times($da / ($da - $db))));
            }
        }
        sort($at);
        $shapes = [];
        for ($i = 1, $n = count($at); $i < $n; $i += 2) {
            $low = $slab->top - $slab->thickness;
            $shapes[] = Shape::area(Layer::Cut, [[$at[$i - 1], $low, $at[$i], $low, $at[$i], $slab->top, $at[$i - 1], $slab->top]]);
        }

        return $shapes;
    }

    public function seen(SeenFace $face): array
    {
        return [];
    }

    private static function of(Design $design, Body $body): ?Slab
    {
        return $body->host instanceof Wall ? Slab::under($design, $body->host) : null;
    }
}
