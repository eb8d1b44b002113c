<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;

/** One thing a user has put in. Its values are what is stored, logged and compared. */
interface Element
{
    /** From its stored values. */
    public static function from(Fields $fields): self;

    public function id(): string;

    public function kind(): Kind;

    /** @return list<Naming> the elements it names, and how */
    public function names(): array;

    /** @return array<string, mixed> plain values, lengths in mm, keys always in one order */
    public function toArray(): array;
}
