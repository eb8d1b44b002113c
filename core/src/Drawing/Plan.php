<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
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
            if (! $design->storeys->isWithin($storey, $body->wall->base, $body->wall->top)) {
                continue;
            }
            $holes = [];
            foreach ($design->openingsOf($body->wall->id) as $opening) {
                if ($opening->storey === $storey) {
                    $placed = Places::in($design)->of($opening);
                    $holes[] = [
                        $placed->left,
                        -1.0,
                        $placed->right,
                        -1.0,
                        $placed->right,
                        $body->wall->thickness + 1,
                        $placed->left,
                        $body->wall->thickness + 1,
                    ];
                    $openings[$opening->id] = self::opening($design, $body, $placed, $letters);
                }
            }
            $rings = [];
            foreach ($body->footprint()->cut($holes)->rings as $ring) {
                $out = [];
                for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                    $p = $body->surface->inPlan($ring[$i], $ring[$i + 1]);
                    array_push($out, $p->x, $p->y);
                    $bounds = [min($bounds[0], $p->x), min($bounds[1], $p->y), max($bounds[2], $p->x), max($bounds[3], $p->y)];
                }
                $rings[] = $out;
            }
            $shapes[] = Shape::area(Layer::Cut, $rings);
            $walls[] = $body->wall->id;
        }
        $name = $design->storeys->get($storey)->name;

        return [new Drawing($name, $shapes === [] || is_infinite($bounds[0]) ? [0.0, 0.0, 0.0, 0.0] : $bounds, $shapes), $openings, $walls];
    }

    /** @return list<Shape> */
    private static function opening(Design $design, Body $body, PlacedOpening $placed, float $letters): array
    {
        $t = $body->wall->thickness;
        $width = $placed->right - $placed->left;
        $shapes = [
            Shape::line(Layer::Reveal, [0.0, 0.0, $width, 0.0]),
            Shape::line(Layer::Reveal, [0.0, $t, $width, $t]),
        ];
        $unit = Symbols::solved($design, $placed->opening);
        if ($unit !== null) {
            array_push($shapes, ...UnitPlan::shapes($unit, $placed->opening->setback, $placed->opening->facesOut, $placed->opening->ajar));
        }
        $at = $body->surface->inPlan($placed->left);
        $floor = $design->storeys->floor($placed->opening->storey);
        $units = $design->settings->units;
        $beside = $body->surface->inPlan(($placed->left + $placed->right) / 2, -$letters * 3);
        $within = $body->surface->inPlan(($placed->left + $placed->right) / 2, $t + $letters * 2);
        $mark = $placed->opening->mark ?? ($placed->opening->type === null ? '' : $design->type($placed->opening->type)->mark);

        return [
            ...array_map(static fn (Shape $s): Shape => $s->placed($at->x, $at->y, $body->surface->angle()), $shapes),
            Shape::text($beside->x, $beside->y + $letters * 0.65, $letters, 'H '.Length::format($placed->head - $floor, $units)),
            Shape::text($beside->x, $beside->y - $letters * 0.65, $letters, 'S '.Length::format($placed->sill - $floor, $units)),
            ...($mark === '' ? [] : [Shape::text($within->x, $within->y, $letters, $mark)]),
        ];
    }
}
