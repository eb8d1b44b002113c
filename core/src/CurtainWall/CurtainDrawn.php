<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Contributor;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Placement;
use Isleward\Core\Drawing\SectionCut;
use Isleward\Core\Drawing\SeenFace;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\Symbols;

/** Curtain walls: stretches of outlines, and those that are let into openings. */
final class CurtainDrawn implements Contributor
{
    /** A plan cuts curtain walls so far over its floor, mm (common practice). */
    private const CUT = 1200.0;

    public function elevation(Design $design, Body $body, Symbols $symbols): array
    {
        $out = [];
        if ($body->host->curtain() !== null) {
            $standing = Runs::in($design)->find($body->host->id());
            if ($standing === null) {
                return self::bare($body);
            }
            $i = $standing->indexOf($body->host->id());
            foreach ($standing->partsOf($i) as $part) {
                foreach (FaceShapes::of($design, $part->stretch->drawn(), $standing->upright($i)) as $shape) {
                    $out[] = $shape->placed($standing->starts[$i] + $part->u, $standing->foot, 0.0);
                }
            }
        }
        foreach (self::letInto($design, $body) as $placed) {
            $opening = $placed->opening;
            $key = Symbols::key($opening);
            $run = LetIn::find($design, $placed);
            $symbols->all[$key] ??= $run === null
                ? self::crossed(0.0, 0.0, $opening->width, $opening->height)
                : FaceShapes::of($design, $run->stretches[0]->drawn(), fromOutside: $opening->facesOut);
            $out[] = new Placement($key, $placed->middle() - $opening->width / 2, $placed->sill, $opening->id);
        }

        return $out;
    }

    public function plan(Design $design, Body $body, string $storey, float $letters): array
    {
        $floor = $design->storeys->floor($storey);
        $drawn = [];
        if ($body->host->curtain() !== null) {
            $standing = Runs::in($design)->find($body->host->id());
            if ($standing === null) {
                return [$body->host->id() => [Shape::contour(Layer::Cut, $body->footprint())]];
            }
            $high = min($design->storeys->ceiling($storey), $standing->foot + $standing->height);
            $level = min(max($floor + self::CUT, $standing->foot + 1.0), $high - 1.0);
            $drawn[$body->host->id()] = (new LevelCut($design, $level))->of($standing, $standing->indexOf($body->host->id()));
        }
        foreach (self::letInto($design, $body) as $placed) {
            $opening = $placed->opening;
            $run = LetIn::find($design, $placed);
            if ($opening->storey === $storey && $run !== null) {
                $level = min(max($floor + self::CUT - $placed->sill, 1.0), $opening->height - 1.0);
                [$x, $y, $angle] = self::stands($design, $body, $placed);
                $drawn[$opening->id] = array_map(
                    static fn (Shape $s): Shape => $s->placed($x, $y, $angle),
                    (new LevelCut($design, $level))->ofRun($run, 0.0),
                );
            }
        }

        return $drawn;
    }

    public function section(SectionCut $cut): array
    {
        $shapes = [];
        $body = $cut->body;
        [$d0, $d1] = array_map(static fn (float $s): float => $body->surface->depth($cut->view->at($s)), [$cut->s0, $cut->s1]);
        $along = abs($d1 - $d0) < abs($cut->s1 - $cut->s0) / 2;
        $s = static fn (float $depth): float => $cut->s0 + ($cut->s1 - $cut->s0) * ($depth - $d0) / ($d1 - $d0);
        $u = $body->surface->u($cut->view->at(($cut->s0 + $cut->s1) / 2));
        if ($body->host->curtain() !== null) {
            $standing = Runs::in($cut->design)->find($body->host->id());
            if ($along || $standing === null) {
                [$s0, $s1, $foot, $head] = [$cut->s0, $cut->s1, $body->foot, $body->head];

                return [Shape::area(Layer::Cut, [[$s0, $foot, $s1, $foot, $s1, $head, $s0, $head]])];
            }
            $i = $standing->indexOf($body->host->id());
            $at = $u - $standing->starts[$i];
            foreach ($standing->partsOf($i) as $part) {
                if ($at >= $part->u && $at <= $part->u + $part->stretch->drawn()->face->width()) {
                    $lean = $standing->path->stretches[$i]->lean;
                    $level = $standing->walls[$i]->curtain?->square !== true;
                    $made = UprightCut::of($cut->design, $part->stretch, $at - $part->u, $lean, $level);
                    foreach ($made as $shape) {
                        $shapes[] = $shape->mapped(static fn (float $d, float $z): array => [$s($d), $standing->foot + $z]);
                    }
                }
            }
        }
        foreach ($along ? [] : $cut->holes as [$placed]) {
            $opening = $placed->opening;
            $run = $opening->curtain === null ? null : LetIn::find($cut->design, $placed);
            if ($opening->curtain !== null && $run !== null) {
                $x = $placed->across($body->surface, $cut->view->at(($cut->s0 + $cut->s1) / 2));
                $depth = Runs::type($cut->design, $opening->curtain->grid)->depth();
                $made = UprightCut::of(
                    $cut->design,
                    $run->stretches[0],
                    $opening->facesOut ? $x : $opening->width - $x,
                    0.0,
                );
                foreach ($made as $shape) {
                    $shapes[] = $shape->mapped(static fn (float $d, float $z): array => [
                        $s($opening->setback + ($opening->facesOut ? $d : $depth - $d)), $placed->sill + $z,
                    ]);
                }
            }
        }

        return $shapes;
    }

    public function seen(SeenFace $face): array
    {
        $shapes = [];
        $body = $face->body;
        if ($body->host->curtain() !== null) {
            $standing = Runs::in($face->design)->find($body->host->id());
            if ($standing === null) {
                return [];
            }
            $i = $standing->indexOf($body->host->id());
            foreach ($standing->partsOf($i) as $part) {
                $from = $standing->starts[$i] + $part->u;
                $width = $part->stretch->drawn()->face->width();
                if ($from >= $face->from - 1 && $from + $width <= $face->to + 1) {
                    foreach (FaceShapes::of($face->design, $part->stretch->drawn(), $standing->upright($i)) as $shape) {
                        if ($shape->kind !== 'text') {
                            $shapes[] = self::on($face, $shape->straight(0.5)->mapped(
                                static fn (float $x, float $y): array => [$face->s($from + $x), $standing->foot + $y],
                            ));
                        }
                    }
                }
            }
        }
        foreach ($face->openings() as $placed) {
            $opening = $placed->opening;
            $run = $opening->curtain === null ? null : LetIn::find($face->design, $placed);
            if ($run !== null) {
                $drawn = $run->stretches[0]->drawn();
                foreach (FaceShapes::of($face->design, $drawn, fromOutside: $opening->facesOut) as $shape) {
                    if ($shape->kind !== 'text') {
                        $shapes[] = self::on($face, $shape->straight(0.5)->mapped(
                            static fn (float $x, float $y): array => [$face->s($placed->left + $x), $placed->sill + $y],
                        ));
                    }
                }
            }
        }

        return $shapes;
    }

    /**
     * Where curtain wall that is let into an opening begins in plan, and which way it runs: left to right as seen from its outside.
     *
     * @return array{float, float, float}
     */
    public static function stands(Design $design, Body $body, PlacedOpening $placed): array
    {
        $opening = $placed->opening;
        $angle = $placed->angle($body->surface);
        if ($opening->facesOut) {
            $at = $placed->inPlan($body->surface, 0.0, $opening->setback);

            return [$at->x, $at->y, $angle];
        }
        $deep = Runs::type($design, $opening->curtain->grid ?? '')->depth();
        $at = $placed->inPlan($body->surface, $opening->width, $opening->setback + $deep);

        return [$at->x, $at->y, $angle + M_PI];
    }

    /** @return list<PlacedOpening> */
    public static function letInto(Design $design, Body $body): array
    {
        $out = [];
        foreach ($design->openingsOf($body->host->id()) as $opening) {
            if ($opening->curtain !== null) {
                $out[] = Places::in($design)->of($opening);
            }
        }

        return $out;
    }

    /** @return list<Shape> the face of a stretch whose run cannot stand */
    private static function bare(Body $body): array
    {
        return self::crossed($body->start(), $body->foot, $body->end(), $body->head);
    }

    /** @return list<Shape> */
    private static function crossed(float $x0, float $y0, float $x1, float $y1): array
    {
        return [
            Shape::area(Layer::Void, [[$x0, $y0, $x1, $y0, $x1, $y1, $x0, $y1]]),
            Shape::line(Layer::Reveal, [$x0, $y0, $x1, $y1]),
            Shape::line(Layer::Reveal, [$x0, $y1, $x1, $y0]),
        ];
    }

    private static function on(SeenFace $face, Shape $shape): Shape
    {
        return $face->afar && $shape->layer !== Layer::Glass ? $shape->on(Layer::Beyond) : $shape;
    }
}
