<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

/** What rows stand in order of, rising or falling. */
final readonly class Sorting
{
    public function __construct(public string $key, public bool $down = false)
    {
    }

    /** @return array{key: string, down: bool} */
    public function toArray(): array
    {
        return ['key' => $this->key, 'down' => $this->down];
    }
}
