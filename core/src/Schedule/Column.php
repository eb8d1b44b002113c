<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

/** A column of a layout, with a heading of its own or null. */
final readonly class Column
{
    public function __construct(public string $key, public ?string $name = null)
    {
    }

    /** @return array{key: string, name: string|null} */
    public function toArray(): array
    {
        return ['key' => $this->key, 'name' => $this->name];
    }
}
