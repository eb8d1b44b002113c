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

    private readonly Vec2 $along;

    private readonly Vec2 $towards;

    private readonly float $length;

    private function __construct(private readonly Design $design, private readonly Vec2 $from, Vec2 $to)
    {
        $this->length = $from->distanceTo($to);
        $this->along = $to->minus($from)->unit();
        $this->towards = $this->along->rightHand()->times(-1.0);
    }

    /**
     * @param  array<string, Body>  $bodies
     * @return list<Shape> the farthest first
     */
    public static function of(Design $design, array $bodies, Vec2 $from, Vec2 $to): array
    {
        $self = new self($design, $from, $to);
        $faces = [];
        foreach ($bodies as $body) {
            $facing = $body->surface->outward()->dot($self->towards);
            if (abs($facing) < 1e-6) {
                continue; // seen edge on
            }
            $depth = $facing < 0 ? 0.0 : $body->wall->thickness;
            [$a, $b] = [$body->left->atDepth($depth), $body->right->atDepth($depth)];
            [$pa, $pb] = [$body->surface->inPlan($a, $depth), $body->surface->inPlan($b, $depth)];
            [$ua, $ub] = $self->visible($pa, $pb, $a, $b);
            if ($ub - $ua > 1) {
                $middle = $body->surface->inPlan(($ua + $ub) / 2, $depth);
                $faces[] = [$self->away($middle), $body, $depth, $ua, $ub];
            }
        }
        usort($faces, static fn (array $x, array $y): int => $y[0] <=> $x[0]);
        foreach ($faces as [, $body, $depth, $ua, $ub]) {
            $self->face($body, $depth, $ua, $ub);
        }

        return $self->shapes;
    }

    /**
     * The part of a face that lies beyond the line and between its ends.
     *
     * @return array{float, float} u from and to
     */
    private function visible(Vec2 $pa, Vec2 $pb, float $a, float $b): array
    {
        foreach ([
            [$this->away($pa), $this->away($pb)],
            [$this->s($pa), $this->s($pb)],
            [$this->length - $this->s($pa), $this->length - $this->s($pb)],
        ] as [$fa, $fb]) {
            if ($fa <= 1e-6 && $fb <= 1e-6) {
                return [0.0, 0.0];
            }
        }
        [$t0, $t1] = [0.0, 1.0];
        foreach ([
            [$this->away($pa), $this->away($pb)],
            [$this->s($pa), $this->s($pb)],
            [$this->length - $this->s($pa), $this->length - $this->s($pb)],
        ] as [$fa, $fb]) {
            if ($fa < 0) {
                $t0 = max($t0, $fa / ($fa - $fb));
            } elseif ($fb < 0) {
                $t1 = min($t1, $fa / ($fa - $fb));
            }
        }

        return [$a + ($b - $a) * $t0, $a + ($b - $a) * $t1];
    }

    private function face(Body $body, float $depth, float $ua, float $ub): void
    {
        $s = fn (float $u): float => $this->s($body->surface->inPlan($u, $depth));
        $this->shapes[] = Shape::area(
            Layer::Beyond,
            [[$s($ua), $body->foot, $s($ub), $body->foot, $s($ub), $body->head, $s($ua), $body->head]],
        );
        foreach ($this->design->openingsOf($body->wall->id) as $opening) {
            $placed = Places::in($this->design)->of($opening);
            if ($placed->left < $ua - 1 || $placed->right > $ub + 1) {
                continue;
            }
            $map = static fn (float $u, float $v): array => [$s($u), $v];
            $this->shapes[] = Shape::area(Layer::Void, [$placed->ring()])->mapped($map)->on(Layer::Beyond);
            foreach (Symbols::solved($this->design, $opening)->lights ?? [] as $light) {
                $ring = $light->contour->ring(1.0);
                $width = $opening->width;
                $this->shapes[] = Shape::area(Layer::Glass, [$ring])->mapped(
                    static fn (float $x, float $y): array => [
                        $s($placed->left + ($opening->facesOut ? $x : $width - $x)),
                        $placed->sill + $y,
                    ],
                );
            }
        }
    }

    private function s(Vec2 $point): float
    {
        return $point->minus($this->from)->dot($this->along);
    }

    private function away(Vec2 $point): float
    {
        return $point->minus($this->from)->dot($this->towards);
    }
}
