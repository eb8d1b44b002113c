<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** One opening of many that would not fit where it was asked to be, with the reason. */
final readonly class Misfit
{
    /** @param  Spot|null  $spot  where it would have been; null when there is no such place */
    public function __construct(public string $element, public string $sentence, public ?Spot $spot = null)
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['element' => $this->element, 'sentence' => $this->sentence, 'place' => $this->spot?->toArray()];
    }
}
