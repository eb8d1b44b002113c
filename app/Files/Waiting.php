<?php

declare(strict_types=1);

namespace App\Files;

/** Something of the same person is read just now; this comes next. */
final class Waiting extends \RuntimeException
{
    public static function forAFile(): self
    {
        return new self('Another file of yours is being read just now: this one is read when it is done.');
    }
}
