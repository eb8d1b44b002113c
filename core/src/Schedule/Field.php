<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

/** A column that a schedule can have. */
final readonly class Field
{
    /**
     * @param  bool  $summed  it has a total, and adds up where rows alike become one
     * @param  array<string, int>  $order  places of its texts, where they do not stand by the alphabet
     */
    public function __construct(
        public string $key,
        public string $name,
        public Measured $measured,
        public bool $summed = false,
        public array $order = [],
    ) {
    }
}
