<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** One thing a user has put in. Its values are what is stored, logged and compared. */
interface Element
{
    public function id(): string;

    public function kind(): Kind;

    /** @return array<string, mixed> plain values, lengths in mm, keys always in one order */
    public function toArray(): array;
}
