<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Overlay;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Region;

/** Walls, with the holes their openings make in them. */
final class WallsDrawn implements Contributor
{
    public function elevation(Design $design, Body $body, Symbols $symbols): array
    {
        if ($body->host->curtain() !== null) {
            return [];
        }
        $shapes = [Shape::area(Layer::Face, $body->face()->rings)];
        foreach ($design->openingsOf($body->host->id()) as $opening) {
            $placed = Places::in($design)->of($opening);
            if ($placed->cut !== null) {
                $ring = $placed->ring();
                $shapes[] = Shape::line(Layer::Reveal, [...$ring, $ring[0], $ring[1]]);
            }
        }

        return $shapes;
    }

    /** Broken where any of the storey's openings are, high ones too. */
    public function plan(Design $design, Body $body, string $storey, float $letters): array
    {
        if ($body->host->curtain() !== null) {
            return [];
        }
        $here = [];
        foreach ($design->openingsOf($body->host->id()) as $opening) {
            if ($opening->storey === $storey) {
                $here[] = Places::in($design)->of($opening);
            }
        }

        return [$body->host->id() => $body->isPlane() ? self::flat($body, $here) : self::curved($body, $here)];
    }

    public function section(SectionCut $cut): array
    {
        if ($cut->body->host->curtain() !== null) {
            return [];
        }
        $holes = array_merge(...array_column($cut->holes, 1));
        $rings = $cut->face()->cut($holes)->rings;

        return [
            ...($rings === [] ? [] : [Shape::area(Layer::Cut, $rings)]),
            ...array_map(static fn (array $ring): Shape => Shape::line(Layer::Reveal, [...$ring, $ring[0], $ring[1]]), $holes),
        ];
    }

    public function seen(SeenFace $face): array
    {
        if ($face->body->host->curtain() !== null) {
            return [];
        }

        return [Shape::area($face->afar ? Layer::Beyond : Layer::Face, [$face->ring()])];
    }

    /**
     * @param  list<PlacedOpening>  $openings
     * @return list<Shape> what is cut of a plane wall
     */
    private static function flat(Body $body, array $openings): array
    {
        $t = $body->host->depth();
        $holes = array_map(static fn (PlacedOpening $p): array => [
            $p->left, -1.0, $p->right, -1.0, $p->right, $t + 1, $p->left, $t + 1,
        ], $openings);
        $left = Region::polygon([
            $body->left->at, 0.0, $body->right->at, 0.0, $body->right->inner, $t, $body->left->inner, $t,
        ])->cut($holes);
        $shape = Shape::area(Layer::Cut, $left->rings)->mapped(static function (float $u, float $depth) use ($body): array {
            $p = $body->surface->inPlan($u, $depth);

            return [$p->x, $p->y];
        });

        return $left->isEmpty() ? [] : [$shape];
    }

    /**
     * @param  list<PlacedOpening>  $openings
     * @return list<Shape> the pieces that are cut of any other wall, their arcs as arcs
     */
    private static function curved(Body $body, array $openings): array
    {
        $holes = [];
        foreach ($openings as $p) {
            $left = $p->through($body->surface, 0.0, $body->host->depth());
            $right = $p->through($body->surface, $p->opening->width, $body->host->depth());
            $holes[] = new Profile(Contour::polygon([
                $left->x0, $left->y0, $right->x0, $right->y0, $right->x1, $right->y1, $left->x1, $left->y1,
            ]));
        }
        $pieces = [new Profile($body->footprint())];
        foreach ($holes as $hole) {
            $pieces = Overlay::difference($pieces, [$hole]);
        }

        return array_map(static fn (Profile $p): Shape => Shape::contour(Layer::Cut, $p->outer), $pieces);
    }
}
