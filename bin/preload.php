<?php

declare(strict_types=1);

/* Compiles the core once when PHP-FPM starts, so that no request has to look for its classes. */

foreach (new RecursiveIteratorIterator(
    new RecursiveDirectoryIterator(dirname(__DIR__).'/core/src', FilesystemIterator::SKIP_DOTS),
) as $file) {
    if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
        opcache_compile_file($file->getPathname());
    }
}
