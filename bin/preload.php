<?php

declare(strict_types=1);

/* Compiles the core, and what of the application stands on it alone, once when PHP-FPM starts: no request has to look for its classes. */

foreach (['core/src', 'app/Assembly', 'app/Derived', 'app/Editing'] as $folder) {
    foreach (new RecursiveIteratorIterator(
        new RecursiveDirectoryIterator(dirname(__DIR__).'/'.$folder, FilesystemIterator::SKIP_DOTS),
    ) as $file) {
        if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
            opcache_compile_file($file->getPathname());
        }
    }
}
