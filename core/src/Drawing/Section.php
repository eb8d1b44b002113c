<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Contributors;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\SectionLine;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;

/**
 * The building cut upright along a line in plan and seen to the line's left: walls, slabs and units that are cut, what stands beyond,
 * and the levels of storeys, sills and heads over the datum. x runs along the line from its first end, y is the level; mm.
 */
final class Section
{
    /** @var list<array{PlacedOpening, float, float}> openings that are cut, with where their wall begins and ends along the line */
    private array $openings = [];

    /** @var list<Shape> */
    private array $shapes = [];

    private readonly View $view;

    private function __construct(private readonly Design $design, Vec2 $from, Vec2 $to)
    {
        $this->view = new View($from, $to);
    }

    /**
     * @param  array<string, Body>  $bodies
     * @param  float  $letters  height of the texts, mm on the drawing; 0 for no levels
     * @return array{Drawing, list<array{id: string, x0: float, x1: float, sill: float, head: float}>} and the openings that are cut
     */
    public static function of(Design $design, array $bodies, SectionLine $line, float $letters = 180.0): array
    {
        $self = new self($design, $line->from, $line->to);
        $self->shapes = SectionBeyond::of($design, $bodies, $self->view);
        foreach ($bodies as $body) {
            $self->cut($body);
        }
        if ($self->shapes === []) {
            return [new Drawing('Section '.$line->name, [0.0, 0.0, $self->view->length, 3000.0], []), []];
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
        $surface = $bodies[$placed->opening->host]->surface;
        $middle = $surface->inPlan($placed->middle());
        $outward = $surface->outward($placed->middle());
        [$near, $far] = [0.0, 0.0];
        foreach ($bodies as $body) {
            $ring = $body->footprint()->ring();
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $out = (new Vec2($ring[$i], $ring[$i + 1]))->minus($middle)->dot($outward);
                [$near, $far] = [max($near, $out), min($far, $out)];
            }
        }
        [$a, $b] = [$middle->plus($outward->times($near + 1000)), $middle->plus($outward->times($far - 1000))];

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

    /** What stands where the line runs through it. */
    private function cut(Body $body): void
    {
        foreach ($this->view->inside($body->footprint()) as [$s0, $s1]) {
            $cut = new SectionCut($this->design, $body, $this->view, $s0, $s1);
            foreach ($cut->holes as [$placed]) {
                $this->openings[] = OpeningsDrawn::comesFirst($cut, $placed) ? [$placed, $s0, $s1] : [$placed, $s1, $s0];
            }
            foreach (Contributors::to(Contributor::class) as $contributor) {
                array_push($this->shapes, ...$contributor->section($cut));
            }
        }
    }
}
