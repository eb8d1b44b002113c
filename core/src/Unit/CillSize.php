<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Fields;

/** A cill under a unit; mm. */
final readonly class CillSize
{
    /**
     * @param  float  $projection  how far it stands out of the wall's outer face
     * @param  float  $horns  how far it runs past each jamb
     */
    private function __construct(public float $projection, public float $height, public float $horns)
    {
    }

    public static function from(Fields $f): self
    {
        return new self(
            $f->size('projection', 'The projection of a cill', 0.0),
            $f->size('height', 'The height of a cill'),
            $f->has('horns') ? $f->size('horns', 'The horn of a cill', 0.0) : 0.0,
        );
    }

    /** @return array{projection: float, height: float, horns: float} */
    public function toArray(): array
    {
        return ['projection' => $this->projection, 'height' => $this->height, 'horns' => $this->horns];
    }
}
