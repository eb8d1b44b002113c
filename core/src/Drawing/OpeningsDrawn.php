<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;

/** Openings, bare or with their units. */
final class OpeningsDrawn implements Contributor
{
    /** What is cut at less than this to its length is shown without its unit: that would be cut along itself. */
    private const STEEP = 0.5;

    public function elevation(Design $design, Body $body, Symbols $symbols): array
    {
        $placements = [];
        foreach ($design->openingsOf($body->host->id()) as $opening) {
            if ($opening->curtain !== null) {
                continue;
            }
            $placed = Places::in($design)->of($opening);
            $placements[] = new Placement(
                $symbols->of($design, $opening),
                $placed->middle() - $opening->width / 2,
                $placed->sill,
                $opening->id,
            );
        }

        return $placements;
    }

    /** With the units' plan symbols and, outside beside each, its sill (S) and head (H) over the floor. */
    public function plan(Design $design, Body $body, string $storey, float $letters): array
    {
        $drawn = [];
        foreach ($design->openingsOf($body->host->id()) as $opening) {
            if ($opening->storey === $storey) {
                $drawn[$opening->id] = self::inPlan($design, $body, Places::in($design)->of($opening), $letters);
            }
        }

        return $drawn;
    }

    public function section(SectionCut $cut): array
    {
        $shapes = [];
        foreach ($cut->holes as [$placed]) {
            [$x, $face, $per] = self::way($cut, $placed);
            if (abs($per) <= 1 / self::STEEP) {
                array_push($shapes, ...self::cut($cut, $placed, $x, $face, $per));
            }
        }

        return $shapes;
    }

    /** Whether the wall's outside comes first along the line of a section. */
    public static function comesFirst(SectionCut $cut, PlacedOpening $placed): bool
    {
        $per = self::way($cut, $placed)[2];

        return is_infinite($per) || $per > 0;
    }

    public function seen(SeenFace $face): array
    {
        $shapes = [];
        foreach ($face->openings() as $placed) {
            $hole = Shape::area(Layer::Void, [$placed->ring($face->depth)])
                ->mapped(static fn (float $u, float $v): array => [$face->s($u), $v]);
            $shapes[] = $face->afar ? $hole->on(Layer::Beyond) : $hole;
            array_push($shapes, ...($face->afar ? self::panes($face, $placed) : self::unit($face, $placed)));
        }

        return $shapes;
    }

    /** @return list<Shape> only the lights, of a unit far off */
    private static function panes(SeenFace $face, PlacedOpening $placed): array
    {
        $opening = $placed->opening;
        $x = static fn (float $x): float => $opening->facesOut ? $x : $opening->width - $x;
        $to = static fn (float $at, float $y): array => [
            $placed->cut === null
                ? $face->s($placed->left + $x($at))
                : $face->view->s($placed->inPlan($face->body->surface, $x($at))),
            $placed->sill + $y,
        ];

        return array_map(
            static fn ($light): Shape => Shape::area(Layer::Glass, [$light->contour->ring(1.0)])->mapped($to),
            Symbols::solved($face->design, $opening)->lights ?? [],
        );
    }

    /** @return list<Shape> */
    private static function unit(SeenFace $face, PlacedOpening $placed): array
    {
        $opening = $placed->opening;
        $unit = Symbols::solved($face->design, $opening);
        if ($unit === null) {
            return [];
        }
        $outside = ($face->depth === 0.0) === $opening->facesOut;
        $front = $opening->setback + ($face->depth === 0.0 ? 0.0 : $unit->depth());
        $to = static fn (float $x, float $y): array => [
            $face->view->s($placed->inPlan($face->body->surface, $opening->facesOut ? $x : $opening->width - $x, $front)),
            $placed->sill + $y,
        ];
        $shapes = [];
        foreach (UnitElevation::shapes($unit, $outside) as $shape) {
            if ($shape->kind !== 'text') {
                $shapes[] = $shape->straight(0.5)->mapped($to);
            }
        }

        return $shapes;
    }

    /**
     * How a section's line runs through an opening: there the place over its width and the depth behind its chord run evenly.
     *
     * @return array{float, float, float} the place over its width, s where the depth begins, and s for a mm of depth: endless along it
     */
    private static function way(SectionCut $cut, PlacedOpening $placed): array
    {
        $surface = $cut->body->surface;
        $x = $placed->across($surface, $cut->view->at(($cut->s0 + $cut->s1) / 2));
        $angle = $placed->isBent() ? $surface->angle($placed->left + $x) : $placed->angle($surface);
        $out = Vec2::atAngle($angle)->rightHand();
        $deeper = -$cut->view->along->dot($out);
        $depth0 = -$cut->view->from->minus($placed->inPlan($surface, $placed->isBent() ? $x : 0.0))->dot($out);

        return abs($deeper) > 1e-6 ? [$x, -$depth0 / $deeper, 1 / $deeper] : [$x, 0.0, INF];
    }

    /** @return list<Shape> the unit of an opening where it is cut; the rest as {@see way} says */
    private static function cut(SectionCut $cut, PlacedOpening $placed, float $x, float $face, float $per): array
    {
        $opening = $placed->opening;
        $unit = Symbols::solved($cut->design, $opening);
        if ($unit === null) {
            return [];
        }
        $depth = $unit->depth();

        return array_map(
            static fn (Shape $s): Shape => $s->mapped(static fn (float $z, float $y): array => [
                $face + $per * ($opening->facesOut ? $opening->setback + $z : $opening->setback + $depth - $z), $placed->sill + $y,
            ]),
            UnitSection::shapes($unit, $opening->facesOut ? $x : $opening->width - $x, $opening->setback, $opening->ajar),
        );
    }

    /** @return list<Shape> */
    private static function inPlan(Design $design, Body $body, PlacedOpening $placed, float $letters): array
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
        $mark = $placed->opening->mark ?? ($placed->opening->isBare() ? '' : $design->label($placed->opening));

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
