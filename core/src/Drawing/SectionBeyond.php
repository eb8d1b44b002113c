<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Vec2;

/** What stands beyond the line of a section, seen square on: walls with their openings and lights, each over what stands farther off. */
final class SectionBeyond
{
    /** @var list<Shape> */
    private array $shapes = [];

    private function __construct(private readonly Design $design, private readonly View $view)
    {
    }

    /**
     * @param  array<string, Body>  $bodies
     * @return list<Shape> the farthest first
     */
    public static function of(Design $design, array $bodies, Vec2 $from, Vec2 $to): array
    {
        $self = new self($design, new View($from, $to));
        foreach ($self->view->faces($bodies) as [$body, $depth, $ua, $ub]) {
            $self->face($body, $depth, $ua, $ub);
        }

        return $self->shapes;
    }

    private function face(Body $body, float $depth, float $ua, float $ub): void
    {
        $s = fn (float $u): float => $this->view->s($body->surface->inPlan($u, $depth));
        $this->shapes[] = Shape::area(
            Layer::Beyond,
            [[$s($ua), $body->foot, $s($ub), $body->foot, $s($ub), $body->head, $s($ua), $body->head]],
        );
        foreach ($this->design->openingsOf($body->host->id()) as $opening) {
            $placed = Places::in($this->design)->of($opening);
            if ($placed->left < $ua - 1 || $placed->right > $ub + 1) {
                continue;
            }
            $map = static fn (float $u, float $v): array => [$s($u), $v];
            $this->shapes[] = Shape::area(Layer::Void, [$placed->ring($depth)])->mapped($map)->on(Layer::Beyond);
            foreach (Symbols::solved($this->design, $opening)->lights ?? [] as $light) {
                $ring = $light->contour->ring(1.0);
                $width = $opening->width;
                $this->shapes[] = Shape::area(Layer::Glass, [$ring])->mapped(
                    fn (float $x, float $y): array => [
                        $placed->cut === null
                            ? $s($placed->left + ($opening->facesOut ? $x : $width - $x))
                            : $this->view->s($placed->inPlan($body->surface, $opening->facesOut ? $x : $width - $x)),
                        $placed->sill + $y,
                    ],
                );
            }
        }
    }
}
