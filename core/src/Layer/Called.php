<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

/** What every layer answers of itself in the same way: what it is kept under, called, and in what order it comes. */
trait Called
{
    public function id(): string
    {
        return $this->id;
    }

    public function called(): string
    {
        return $this->name;
    }

    public function position(): int
    {
        return $this->position;
    }

    public function outline(): ?string
    {
        return $this->outline;
    }
}
