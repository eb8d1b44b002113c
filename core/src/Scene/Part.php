<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

/**
 * A geometry placed: turned by $angle about z (radians, counter-clockwise), then moved. One may be stretched before and turned any way:
 * then
 * $turn says the whole of its turn.
 */
final readonly class Part
{
    /**
     * @param  string  $geometry  names its geometry: parts that are alike share one
     * @param  \Closure(): list<Piece>  $pieces  what it is made of; asked once for a geometry
     * @param  string|null  $storey  that it belongs to; null for what runs through several
     * @param  array{float, float, float, float}|null  $turn  quaternion x, y, z, w of geometries as they lie: x along, y up, z outward
     * @param  array{float, float, float}|null  $stretch  along those, before it is turned
     * @param  string|null  $name  what it is of its element, where that is only a part of it
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
        public ?array $turn = null,
        public ?array $stretch = null,
        public ?string $name = null,
    ) {
    }

    /** @return array{float, float, float, float} quaternion x, y, z, w */
    public function turned(): array
    {
        return $this->turn ?? [0.0, sin($this->angle / 2), 0.0, cos($this->angle / 2)];
    }
}
