<?php

declare(strict_types=1);

namespace App\Editing;

/** It is not known whether an edit was done: asked for again under its key, it is answered with what became of it. */
final class Unsure extends \RuntimeException
{
    public static function because(\Throwable $e): self
    {
        return new self('Whether this was done is not known yet: ask for it again under the same key.', 0, $e);
    }
}
