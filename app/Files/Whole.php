<?php

declare(strict_types=1);

namespace App\Files;

/** Writes a file whole or not at all: beside its place first, looked at again, then put there in one step. */
final class Whole
{
    /** @throws StorageFull */
    public static function write(string $path, string $content): void
    {
        $folder = dirname($path);
        if (! is_dir($folder) && ! @mkdir($folder, 0o775, true) && ! is_dir($folder)) {
            throw StorageFull::at($folder);
        }
        $beside = $path.'.'.bin2hex(random_bytes(6)).'.part';
        try {
            if (@file_put_contents(
                $beside,
                $content,
            ) !== strlen($content) || @filesize($beside) !== strlen($content) || ! @rename($beside, $path)) {
                throw StorageFull::at($folder);
            }
        } finally {
            if (is_file($beside)) {
                @unlink($beside);
            }
        }
    }
}
