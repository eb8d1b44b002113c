<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Design;

/**
 * A wall's face in figures: over the outer face, corner to corner; openings by their shape, overlaps counted once and nothing beyond the
 * edge.
 */
final readonly class FaceArea
{
    /**
     * @param  float  $gross  mm²
     * @param  float  $net  without its openings, mm²
     * @param  int  $openings  how many
     * @param  float  $shapes  of all its openings, each whole, as their schedule adds them up, mm²
     */
    private function __construct(public float $gross, public float $net, public int $openings, public float $shapes)
    {
    }

    public static function of(Design $design, Body $body): self
    {
        $placed = array_map(Places::in($design)->of(...), $design->openingsOf($body->host->id()));
        $holes = array_map(static fn (PlacedOpening $p): array => $p->ring(), $placed);
        $shapes = array_sum(array_map(static fn (PlacedOpening $p): float => $p->area(), $placed));

        return new self($body->face()->area(), $body->face()->cut($holes)->area(), count($holes), $shapes);
    }

    /** What its openings take out of it, mm². */
    public function cutOut(): float
    {
        return $this->gross - $this->net;
    }

    public function share(): float
    {
        return $this->gross > 0.0 ? $this->cutOut() / $this->gross : 0.0;
    }

    /** @return array{gross: float, cutOut: float, net: float, openings: int, shapes: float} */
    public function toArray(): array
    {
        return [
            'gross' => $this->gross,
            'cutOut' => $this->cutOut(),
            'net' => $this->net,
            'openings' => $this->openings,
            'shapes' => $this->shapes,
        ];
    }
}
