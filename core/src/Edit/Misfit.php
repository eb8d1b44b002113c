<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Wall\PlacedOpening;

/** One opening of many that would not fit where it was asked to be, with the reason. */
final readonly class Misfit
{
    /** @param  PlacedOpening|null  $placed  where it would have been; null when there is no such place */
    public function __construct(public string $element, public string $sentence, public ?PlacedOpening $placed = null)
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $p = $this->placed;

        return ['element' => $this->element, 'sentence' => $this->sentence, 'place' => $p === null ? null : [
            'wall' => $p->opening->wall, 'storey' => $p->opening->storey, 'left' => $p->left, 'sillLevel' => $p->sill, 'width' => $p->opening->width, 'height' => $p->opening->height,
        ]];
    }
}
