<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Region;

/**
 * The building seen square on from a direction, as projection draws it: faces that are turned away or curved are foreshortened, and what
 * stands behind others is left out. x runs to the right, y is the level; mm.
 */
final class SquareOn
{
    /** @var list<Shape> */
    private array $shapes = [];

    /** @var list<array{float, float, float, float}> boxes of faces that stand nearer */
    private array $nearer = [];

    private function __construct(private readonly Design $design, private readonly View $view)
    {
    }

    /**
     * @param  array<string, Body>  $bodies
     * @param  float  $bearing  compass direction one looks from, degrees clockwise from north
     * @param  float  $letters  height of the texts, mm on the drawing
     */
    public static function of(Design $design, array $bodies, float $bearing, float $letters = 250.0): Drawing
    {
        $title = self::title($bearing);
        if ($bodies === []) {
            return new Drawing($title, [0.0, 0.0, 1000.0, 1000.0], []);
        }
        $view = View::from($bodies, deg2rad(90 - $bearing + $design->settings->north));
        $self = new self($design, $view);
        foreach (array_reverse($view->faces($bodies)) as [$body, $depth, $from, $to]) {
            $self->face($body, $depth, $from, $to);
        }
        $shapes = [...$self->shapes, ...Elevation::levels($design, Bounds::of($self->shapes, 0.0), $letters)];

        return new Drawing($title, Bounds::of($shapes, $letters), $shapes);
    }

    public static function title(float $bearing): string
    {
        return sprintf('Elevation from %d° (%s), square on', round($bearing) % 360, mb_strtolower(Frontage::eighth($bearing)));
    }

    private function face(Body $body, float $depth, float $from, float $to): void
    {
        $s = fn (float $u): float => $this->view->s($body->surface->inPlan($u, $depth));
        $box = [min($s($from), $s($to)), $body->foot, max($s($from), $s($to)), $body->head];
        $seen = $this->visible([[$box[0], $box[1], $box[2], $box[1], $box[2], $box[3], $box[0], $box[3]]], $box);
        if ($seen !== []) {
            $this->shapes[] = Shape::area(Layer::Face, $seen);
            foreach ($this->design->openingsOf($body->host->id()) as $opening) {
                $placed = Places::in($this->design)->of($opening);
                if ($placed->left >= $from - 1 && $placed->right <= $to + 1) {
                    $this->opening($body, $placed, $depth);
                }
            }
        }
        $this->nearer[] = $box;
    }

    private function opening(Body $body, PlacedOpening $placed, float $depth): void
    {
        $opening = $placed->opening;
        $hole = Shape::area(Layer::Void, [$placed->ring($depth)])->mapped(
            fn (float $u, float $v): array => [$this->view->s($body->surface->inPlan($u, $depth)), $v],
        );
        $shapes = [$hole];
        $unit = Symbols::solved($this->design, $opening);
        if ($unit !== null) {
            $outside = ($depth === 0.0) === $opening->facesOut;
            $front = $opening->setback + ($depth === 0.0 ? 0.0 : $unit->depth());
            $turned = ! $opening->facesOut;
            foreach (UnitElevation::shapes($unit, $outside) as $shape) {
                if ($shape->kind === 'text') {
                    continue;
                }
                $shapes[] = $shape->straight(0.5)->mapped(fn (float $x, float $y): array => [
                    $this->view->s($placed->inPlan($body->surface, $turned ? $opening->width - $x : $x, $front)),
                    $placed->sill + $y,
                ]);
            }
        }
        foreach ($shapes as $shape) {
            if ($shape->kind !== 'area') {
                $box = Bounds::of([$shape], 0.0);
                if ($this->covers($box) === []) {
                    $this->shapes[] = $shape;
                }

                continue;
            }
            $rings = $this->visible($shape->rings, Bounds::of([$shape], 0.0));
            if ($rings !== []) {
                $this->shapes[] = Shape::area($shape->layer, $rings);
            }
        }
    }

    /**
     * @param  list<list<float>>  $rings
     * @param  array{float, float, float, float}  $box
     * @return list<list<float>> what nothing stands before
     */
    private function visible(array $rings, array $box): array
    {
        $covers = $this->covers($box);
        if ($covers === []) {
            return $rings;
        }
        $holes = array_map(static fn (array $b): array => [$b[0], $b[1], $b[2], $b[1], $b[2], $b[3], $b[0], $b[3]], $covers);
        $left = Region::fromRings(array_map(static fn (array $r): array => Region::polygon($r)->rings[0], $rings))->cut($holes);

        return $left->rings;
    }

    /**
     * @param  array{float, float, float, float}  $box
     * @return list<array{float, float, float, float}>
     */
    private function covers(array $box): array
    {
        return array_values(array_filter(
            $this->nearer,
            static fn (array $n): bool => $n[0] < $box[2] - 0.01 && $n[2] > $box[0] + 0.01
                && $n[1] < $box[3] - 0.01 && $n[3] > $box[1] + 0.01,
        ));
    }
}
