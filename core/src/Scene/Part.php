<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

/** A geometry placed: turned by $angle about z (radians, counter-clockwise), then moved. */
final readonly class Part
{
    /**
     * @param  string  $geometry  names its geometry: parts that are alike share one
     * @param  \Closure(): list<Piece>  $pieces  what it is made of; asked once for a geometry
     * @param  string|null  $storey  that it belongs to; null for what runs through several
     */
    public function __construct(
        public string $geometry,
        public \Closure $pieces,
        public string $element,
        public ?string $storey,
        public float $x,
        public float $y,
        public float $z,
        public float $angle,
    ) {
    }
}
