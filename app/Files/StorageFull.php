<?php

declare(strict_types=1);

namespace App\Files;

/** What was to be kept could not be written whole; nothing of it was kept. */
final class StorageFull extends \RuntimeException
{
    public static function at(string $where): self
    {
        $free = is_dir($where) ? @disk_free_space($where) : false;
        $why = $free !== false && $free < 1_000_000 ? 'its disk is full' : 'its disk is full or may not be written';

        return new self("The server cannot keep this file: $why. Nothing of it was kept; ask whoever runs Isleward, then try again.");
    }
}
