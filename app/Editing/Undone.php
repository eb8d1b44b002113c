<?php

declare(strict_types=1);

namespace App\Editing;

/** Something went wrong on our side, and the log was asked: nothing of the edit was done. */
final class Undone extends \RuntimeException
{
    public static function because(\Throwable $e): self
    {
        return new self('Something went wrong on our side. Nothing was changed: that has been looked up.', 0, $e);
    }
}
