<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Measure\Fields;

/** An edit of screens that keeps what it was given: it sees all openings, since cut-outs follow those of any of a screen's walls. */
trait OnScreens
{
    private function __construct(private readonly Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args);
    }

    public function scope(): Scope
    {
        return Scope::everything();
    }
}
