<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

/** A geometry placed: turned by $angle about z (radians, counter-clockwise), then moved. */
final readonly class Part
{
    public function __construct(
        public string $geometry,
        public string $element,
        public float $x,
        public float $y,
        public float $z,
        public float $angle,
    ) {
    }
}
