<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Contributors;
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

    /** @var list<array{array{float, float, float, float}, list<float>}> faces that stand nearer: box and ring */
    private array $nearer = [];

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
        $self = new self;
        foreach (array_reverse($view->faces($design, $bodies, afar: false)) as $face) {
            $self->face($face);
        }
        $shapes = [...$self->shapes, ...Elevation::levels($design, Bounds::of($self->shapes, 0.0), $letters)];

        return new Drawing($title, Bounds::of($shapes, $letters), $shapes);
    }

    public static function title(float $bearing): string
    {
        return sprintf('Elevation from %d° (%s), square on', round($bearing) % 360, mb_strtolower(Frontage::eighth($bearing)));
    }

    private function face(SeenFace $face): void
    {
        foreach (Contributors::to(Contributor::class) as $contributor) {
            foreach ($contributor->seen($face) as $shape) {
                $box = Bounds::of([$shape]);
                if ($shape->kind === 'area') {
                    $rings = $this->visible($shape->rings, $box);
                    array_push($this->shapes, ...($rings === [] ? [] : [Shape::area($shape->layer, $rings)]));
                } elseif ($this->covers($box) === []) {
                    $this->shapes[] = $shape;
                }
            }
        }
        $this->nearer[] = [$face->box(), $face->ring()];
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
        $left = Region::fromRings(array_map(static fn (array $r): array => Region::polygon($r)->rings[0], $rings))->cut($covers);

        return $left->rings;
    }

    /**
     * @param  array{float, float, float, float}  $box
     * @return list<list<float>> rings of what stands before some of it
     */
    private function covers(array $box): array
    {
        return array_column(array_filter(
            $this->nearer,
            static fn (array $near): bool => $near[0][0] < $box[2] - 0.01 && $near[0][2] > $box[0] + 0.01
                && $near[0][1] < $box[3] - 0.01 && $near[0][3] > $box[1] + 0.01,
        ), 1);
    }
}
