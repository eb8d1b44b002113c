<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A file that an element names. */
final class StoredFile
{
    /**
     * The name of a stored file ("file"): a hash of its content, and its kind.
     *
     * @throws Refusal when it is none
     */
    public static function named(Fields $f): string
    {
        $file = $f->string('file');

        return preg_match('/^[0-9a-f]{32}\.(json|png|jpg)$/', $file) === 1
                    ? $file
                    : throw Refusal::because('file.unknown', 'That file is not here: read it in again.');
    }
}
