<?php

declare(strict_types=1);

namespace Isleward\Core\Wall;

use Isleward\Core\Design\Design;

/** A wall's face in figures: over the outer face, corner to corner; openings by their shape, overlaps counted once and nothing beyond the edge. */
final readonly class FaceArea
{
    /**
     * @param  float  $gross  mm²
     * @param  float  $net  without its openings, mm²
     * @param  int  $openings  how many
     */
    private function __construct(public float $gross, public float $net, public int $openings)
    {
    }

    public static function of(Design $design, Body $body): self
    {
        $holes = array_map(static fn ($o): array => $design->places->of($o)->ring(), $design->openingsOf($body->wall->id));

        return new self($body->face()->area(), $body->face()->cut($holes)->area(), count($holes));
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

    /** @return array{gross: float, cutOut: float, net: float, openings: int} */
    public function toArray(): array
    {
        return ['gross' => $this->gross, 'cutOut' => $this->cutOut(), 'net' => $this->net, 'openings' => $this->openings];
    }
}
