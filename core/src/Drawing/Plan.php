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
use Isleward\Core\Measure\Length;

/**
 * A storey's plan: its walls broken where any of the storey's openings are, high ones too, with the units' plan symbols and, outside
 * beside each, its sill (S) and head (H) over the floor. x east, y north.
 */
final class Plan
{
    /** Height of the letters beside openings, mm: 2.5 on paper at 1:50. */
    public const LETTERS = 125.0;

    /**
     * @param  array<string, Body>  $bodies
     * @param  float  $letters  height of the texts, mm on the drawing
     * @return array{Drawing, array<string, list<Shape>>, list<string>} the walls, each opening's shapes by its id, and which wall each
     *    shape of the drawing is
     */
    public static function of(Design $design, array $bodies, string $storey, float $letters = self::LETTERS): array
    {
        $shapes = $openings = $walls = [];
        $bounds = [INF, INF, -INF, -INF];
        foreach ($bodies as $body) {
            if (! $design->storeys->isWithin($storey, $body->host->base(), $body->host->top())) {
                continue;
            }
            $here = [];
            foreach ($design->openingsOf($body->host->id()) as $opening) {
                if ($opening->storey === $storey) {
                    $here[] = $placed = Places::in($design)->of($opening);
                    $openings[$opening->id] = self::opening($design, $body, $placed, $letters);
                }
            }
            foreach ($body->isPlane() ? self::flat($body, $here) : self::curved($body, $here) as [$shape, $reach]) {
                $shapes[] = $shape;
                $walls[] = $body->host->id();
                $bounds = [
                    min($bounds[0], $reach[0]),
                    min($bounds[1], $reach[1]),
                    max($bounds[2], $reach[2]),
                    max($bounds[3], $reach[3]),
                ];
            }
        }
        $name = $design->storeys->get($storey)->name;

        return [new Drawing($name, $shapes === [] || is_infinite($bounds[0]) ? [0.0, 0.0, 0.0, 0.0] : $bounds, $shapes), $openings, $walls];
    }

    /**
     * @param  list<PlacedOpening>  $openings
     * @return list<array{Shape, array{float, float, float, float}}> what is cut of a plane wall, and how far it reaches
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

        return $left->isEmpty() ? [] : [[$shape, Region::fromRings($shape->rings)->bounds() ?? [0.0, 0.0, 0.0, 0.0]]];
    }

    /**
     * @param  list<PlacedOpening>  $openings
     * @return list<array{Shape, array{float, float, float, float}}> the pieces that are cut of any other wall, their arcs as arcs
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

        return array_map(
            static fn (Profile $p): array => [Shape::contour(Layer::Cut, $p->outer), $p->outer->bounds()],
            $pieces,
        );
    }

    /** @return list<Shape> */
    private static function opening(Design $design, Body $body, PlacedOpening $placed, float $letters): array
    {
        $t = $body->host->depth();
        $shapes = self::reveals($body, $placed);
        $unit = Symbols::solved($design, $placed->opening);
        if ($unit !== null) {
            $at = $placed->inPlan($body->surface, 0.0);
            $angle = $placed->angle($body->surface);
            foreach (UnitPlan::shapes($unit, $placed->opening->setback, $placed->opening->facesOut, $placed->opening->ajar) as $shape) {
                $shapes[] = $placed->isBent()
                    ? $shape->bent($body->surface->stretch($placed->left, $placed->right))
                    : $shape->placed($at->x, $at->y, $angle);
            }
        }
        $floor = $design->storeys->floor($placed->opening->storey);
        $units = $design->settings->units;
        $beside = $body->surface->inPlan($placed->middle(), -$letters * 3);
        $within = $body->surface->inPlan($placed->middle(), $t + $letters * 2);
        $mark = $placed->opening->mark ?? ($placed->opening->type === null ? '' : $design->type($placed->opening->type)->mark);

        return [
            ...$shapes,
            Shape::text($beside->x, $beside->y + $letters * 0.65, $letters, 'H '.Length::format($placed->head - $floor, $units)),
            Shape::text($beside->x, $beside->y - $letters * 0.65, $letters, 'S '.Length::format($placed->sill - $floor, $units)),
            ...($mark === '' ? [] : [Shape::text($within->x, $within->y, $letters, $mark)]),
        ];
    }

    /** @return list<Shape> the faces of the wall through an opening */
    private static function reveals(Body $body, PlacedOpening $placed): array
    {
        $t = $body->host->depth();
        if ($placed->cut === null) {
            $at = $body->surface->inPlan($placed->left);
            $width = $placed->opening->width;

            return array_map(static fn (float $depth): Shape => Shape::line(Layer::Reveal, [0.0, $depth, $width, $depth])
                ->placed($at->x, $at->y, $body->surface->angle()), [0.0, $t]);
        }
        $faces = [];
        foreach ([0.0, $t] as $depth) {
            $behind = $body->surface->behind($depth);
            $from = $placed->left + $placed->cut->along(0.0, $depth);
            $to = $placed->left + $placed->cut->along($placed->opening->width, $depth);
            $arc = $behind->part($from / $body->length, $to / $body->length);
            $faces[] = Shape::arc(Layer::Reveal, $arc->cx, $arc->cy, $arc->rx, $arc->start, $arc->sweep);
        }

        return $faces;
    }
}
