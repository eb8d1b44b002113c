<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;

/** Ids of a prefix and 60 random bits in base 32 (Crockford's letters, lower case). */
final class RandomIds implements Ids
{
    private const LETTERS = '0123456789abcdefghjkmnpqrstvwxyz';

    public function next(Kind $kind): string
    {
        $rest = '';
        for ($i = 0; $i < 12; $i++) {
            $rest .= self::LETTERS[random_int(0, 31)];
        }

        return $kind->id($rest);
    }
}
