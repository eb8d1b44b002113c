<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\SectionLine;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;

/**
 * The building cut upright along a line in plan and seen to the line's left: walls, floors and units that are cut, what stands beyond,
 * and the levels of storeys, sills and heads over the datum. x runs along the line from its first end, y is the level; mm.
 */
final class Section
{
    /** A wall cut at less than this to its length shows its opening without the unit in it: the unit would be cut along itself. */
    private const STEEP = 0.5;

    /** @var list<array{PlacedOpening, float, float}> openings that are cut, with where their wall begins and ends along the line */
    private array $openings = [];

    /** @var list<Shape> */
    private array $shapes = [];

    private readonly Vec2 $along;

    private readonly Vec2 $towards;

    private readonly float $length;

    /** @param  array<string, Body>  $bodies */
    private function __construct(private readonly Design $design, private readonly array $bodies, private readonly Vec2 $from, Vec2 $to)
    {
        $this->length = $from->distanceTo($to);
        $this->along = $to->minus($from)->unit();
        $this->towards = $this->along->rightHand()->times(-1.0);
    }

    /**
     * @param  array<string, Body>  $bodies
     * @param  float  $letters  height of the texts, mm on the drawing; 0 for no levels
     * @return array{Drawing, list<array{id: string, x0: float, x1: float, sill: float, head: float}>} and the openings that are cut
     */
    public static function of(Design $design, array $bodies, SectionLine $line, float $letters = 180.0): array
    {
        $self = new self($design, $bodies, $line->from, $line->to);
        $self->shapes = SectionBeyond::of($design, $bodies, $line->from, $line->to);
        $self->slabs();
        foreach ($bodies as $body) {
            $self->cut($body);
        }
        if ($self->shapes === []) {
            return [new Drawing('Section '.$line->name, [0.0, 0.0, $self->length, 3000.0], []), []];
        }
        $marks = $letters === 0.0 ? [] : SectionLevels::of($design, $self->openings, $self->reach(), $letters);
        $bounds = Bounds::of([...$self->shapes, ...$marks], $letters);

        return [new Drawing('Section '.$line->name, $bounds, [...$self->shapes, ...$marks]), array_map(static fn (array $o): array => [
            'id' => $o[0]->opening->id, 'x0' => min($o[1], $o[2]), 'x1' => max($o[1], $o[2]), 'sill' => $o[0]->sill,
            'head' => $o[0]->head], $self->openings)];
    }

    /**
     * The line square through an opening's middle, through the whole building, from outside.
     *
     * @param  array<string, Body>  $bodies
     */
    public static function through(Design $design, array $bodies, string $opening): SectionLine
    {
        $placed = Places::in($design)->of($design->opening($opening));
        $surface = $bodies[$placed->opening->wall]->surface;
        $middle = $surface->inPlan(($placed->left + $placed->right) / 2);
        [$near, $far] = [0.0, 0.0];
        foreach ($bodies as $body) {
            foreach ($body->footprint()->rings as $ring) {
                for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                    $out = $body->surface->inPlan($ring[$i], $ring[$i + 1])->minus($middle)->dot($surface->outward());
                    [$near, $far] = [max($near, $out), min($far, $out)];
                }
            }
        }
        [$a, $b] = [$middle->plus($surface->outward()->times($near + 1000)), $middle->plus($surface->outward()->times($far - 1000))];

        return SectionLine::from(
            new Fields([
                'id' => '',
                'name' => 'through '.$design->label($placed->opening),
                'fromX' => $a->x,
                'fromY' => $a->y,
                'toX' => $b->x,
                'toY' => $b->y,
            ]),
        );
    }

    /**
     * How far along the line what is drawn reaches.
     *
     * @return array{float, float}
     */
    private function reach(): array
    {
        $b = Bounds::of($this->shapes, 0.0);

        return [$b[0], $b[2]];
    }

    private function s(Vec2 $point): float
    {
        return $point->minus($this->from)->dot($this->along);
    }

    private function away(Vec2 $point): float
    {
        return $point->minus($this->from)->dot($this->towards);
    }

    /** A wall that the line crosses. */
    private function cut(Body $body): void
    {
        $quad = [];
        $t = $body->wall->thickness;
        foreach ([
            [$body->left->atDepth(0.0), 0.0],
            [$body->right->atDepth(0.0), 0.0],
            [$body->right->atDepth($t), $t],
            [$body->left->atDepth($t), $t],
        ] as [$u, $depth]) {
            $quad[] = $body->surface->inPlan($u, $depth);
        }
        foreach ($this->inside($quad) as [$s0, $s1]) {
            $this->cutBetween($body, $s0, $s1);
        }
    }

    private function cutBetween(Body $body, float $s0, float $s1): void
    {
        $surface = $body->surface;
        // along the line u and the depth behind the outer face run evenly
        $u0 = $surface->along($this->from);
        $du = $this->along->dot($surface->along);
        $dDepth = -$this->along->dot($surface->outward());
        $depth0 = -$this->from->minus($surface->origin)->dot($surface->outward());
        $holes = $units = [];
        foreach ($this->design->openingsOf($body->wall->id) as $opening) {
            $placed = Places::in($this->design)->of($opening);
            $hole = $this->hole($placed, $s0, $s1, $u0, $du);
            if ($hole === []) {
                continue;
            }
            array_push($holes, ...$hole);
            $this->openings[] = abs($dDepth) > 1e-6 && $dDepth < 0 ? [$placed, $s1, $s0] : [$placed, $s0, $s1];
            if (abs($dDepth) >= self::STEEP) {
                array_push(
                    $units,
                    ...$this->unit($placed, $body->wall->thickness, ($s0 + $s1) / 2 * $du + $u0, -$depth0 / $dDepth, 1 / $dDepth),
                );
            }
        }
        $rings = Region::rectangle($s0, $body->foot, $s1, $body->head)->cut($holes)->rings;
        if ($rings !== []) {
            $this->shapes[] = Shape::area(Layer::Cut, $rings);
        }
        foreach ($holes as $ring) {
            $this->shapes[] = Shape::line(Layer::Reveal, [...$ring, $ring[0], $ring[1]]);
        }
        array_push($this->shapes, ...$units);
    }

    /** @return list<list<float>> what an opening takes out of the cut face of its wall */
    private function hole(PlacedOpening $placed, float $s0, float $s1, float $u0, float $du): array
    {
        if (abs($du) < 1e-6) {
            $u = $u0;
            if ($u <= $placed->left || $u >= $placed->right) {
                return [];
            }
            $spans = $placed->outline === null ? [[$placed->sill, $placed->head]] : array_map(
                static fn (array $s): array => [$placed->sill + $s[0], $placed->sill + $s[1]],
                $placed->outline->spans(true, $u - $placed->left),
            );

            return array_map(static fn (array $s): array => [$s0, $s[0], $s1, $s[0], $s1, $s[1], $s0, $s[1]], $spans);
        }
        $ring = Shape::area(Layer::Void, [$placed->ring()])->mapped(
            static fn (float $u, float $v): array => [($u - $u0) / $du, $v],
        )->rings[0];
        $within = Region::polygon($ring)->intersection(Region::rectangle($s0, $placed->sill - 1, $s1, $placed->head + 1));

        return $within->rings;
    }

    /**
     * The unit of an opening where it is cut.
     *
     * @param  float  $u  on the wall
     * @param  float  $face  s of the wall's outer face
     * @param  float  $per  s for a mm of depth
     * @return list<Shape>
     */
    private function unit(PlacedOpening $placed, float $thickness, float $u, float $face, float $per): array
    {
        $unit = Symbols::solved($this->design, $placed->opening);
        if ($unit === null) {
            return [];
        }
        $opening = $placed->opening;
        $x = $u - $placed->left;
        $shapes = UnitSection::shapes($unit, $opening->facesOut ? $x : $opening->width - $x, $opening->setback, $opening->ajar);
        $depth = $unit->depth();

        return array_map(static fn (Shape $s): Shape => $s->mapped(static fn (float $z, float $y): array => [
            $face + $per * ($opening->facesOut ? $opening->setback + $z : $opening->setback + $depth - $z), $placed->sill + $y]), $shapes);
    }

    /** Floors within closed outer walls: as thick as the project says, their upper sides at the storeys' levels. */
    private function slabs(): void
    {
        foreach ($this->design->outlines as $outline) {
            if (! $outline->closed || $outline->inner) {
                continue;
            }
            $walls = $this->design->wallsOf($outline->id);
            foreach ($this->design->storeys->all as $storey) {
                $here = array_values(
                    array_filter($walls, fn ($w): bool => $this->design->storeys->isWithin($storey->id, $w->base, $w->top)),
                );
                if (count($here) < 3 || count($here) !== count($walls)) {
                    continue;
                }
                $ring = [];
                foreach ($here as $wall) {
                    $body = $this->bodies[$wall->id];
                    $ring[] = $body->surface->inPlan($body->left->atDepth($wall->thickness), $wall->thickness);
                    $ring[] = $body->surface->inPlan($body->right->atDepth($wall->thickness), $wall->thickness);
                }
                $floor = $this->design->storeys->floor($storey->id);
                foreach ($this->inside($ring) as [$s0, $s1]) {
                    if ($s1 - $s0 > 1) {
                        $this->shapes[] = Shape::area(
                            Layer::Cut,
                            [[
                                $s0,
                                $floor - $this->design->settings->slab,
                                $s1,
                                $floor - $this->design->settings->slab,
                                $s1,
                                $floor,
                                $s0,
                                $floor,
                            ]],
                        );
                    }
                }
            }
        }
    }

    /**
     * Where the line runs inside a polygon in plan, from its first end to its last.
     *
     * @param  list<Vec2>  $polygon
     * @return list<array{float, float}>
     */
    private function inside(array $polygon): array
    {
        $at = [];
        $n = count($polygon);
        foreach ($polygon as $i => $a) {
            $b = $polygon[($i + 1) % $n];
            [$da, $db] = [$this->away($a), $this->away($b)];
            // an end on the line counts as lying beyond it, so that it counts once
            if (($da >= 0) !== ($db >= 0)) {
                $at[] = $this->s($a) + ($this->s($b) - $this->s($a)) * $da / ($da - $db);
            }
        }
        sort($at);
        $spans = [];
        for ($i = 1, $n = count($at); $i < $n; $i += 2) {
            [$s0, $s1] = [max(0.0, $at[$i - 1]), min($this->length, $at[$i])];
            if ($s1 - $s0 > 0.01) {
                $spans[] = [$s0, $s1];
            }
        }

        return $spans;
    }
}
