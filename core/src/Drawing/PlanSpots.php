<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;

/** Named places of a storey's plan that a pointer catches on: corners and jambs, on both faces. */
final readonly class PlanSpots
{
    /**
     * @param  float  $u  along the outer face, also of what lies behind it, mm
     * @param  float  $depth  behind the outer face, mm
     * @param  string|null  $opening  whose jamb it is; null for a corner
     * @param  float  $run  from the wall's left end along the face that it lies on, mm: along the arc where that is curved
     */
    private function __construct(
        public string $host,
        public ?string $opening,
        public string $name,
        public float $u,
        public float $depth,
        public float $run,
        public float $x,
        public float $y,
    ) {
    }

    /**
     * @param  array<string, Body>  $bodies
     * @return list<self>
     */
    public static function of(Design $design, array $bodies, string $storey): array
    {
        $spots = [];
        foreach ($bodies as $body) {
            if (! $design->storeys->isWithin($storey, $body->host->base(), $body->host->top())) {
                continue;
            }
            $faces = ['outer face' => 0.0, 'inner face' => $body->host->depth()];
            foreach ($faces as $face => $depth) {
                foreach ($depth === 0.0 ? [$body->start(), $body->end()] : [$body->left->inner, $body->right->inner] as $u) {
                    $spots[] = self::at($body, null, "corner, $face", $u, $depth);
                }
            }
            foreach ($design->openingsOf($body->host->id()) as $opening) {
                if ($opening->storey !== $storey) {
                    continue;
                }
                $placed = Places::in($design)->of($opening);
                foreach ($faces as $face => $depth) {
                    foreach ([0.0, $opening->width] as $x) {
                        $u = $placed->left + ($placed->cut?->along($x, $depth) ?? $x);
                        $spots[] = self::at($body, $opening->id, sprintf('jamb of %s, %s', $design->label($opening), $face), $u, $depth);
                    }
                }
            }
        }

        return $spots;
    }

    /** @return array<string, string|float|null> */
    public function toArray(): array
    {
        return [
            'host' => $this->host, 'opening' => $this->opening, 'name' => $this->name, 'depth' => $this->depth, 'run' => $this->run,
            'x' => $this->x, 'y' => $this->y,
        ];
    }

    private static function at(Body $body, ?string $opening, string $name, float $u, float $depth): self
    {
        $point = $body->surface->inPlan($u, $depth);

        $run = $body->surface->lengthAt(0.0, $u, $depth) * ($u <=> 0.0);

        return new self($body->host->id(), $opening, $name, $u, $depth, $run, $point->x, $point->y);
    }
}
