<?php

declare(strict_types=1);

namespace App\People;

/** A mail address as it is compared: composed letters (NFC), small, nothing around it. Letters that only look alike stay different ones. */
final class Email
{
    public const LONGEST = 200;

    public static function of(string $typed): string
    {
        $composed = \Normalizer::normalize(trim($typed), \Normalizer::FORM_C);

        return mb_strtolower($composed === false ? trim($typed) : $composed);
    }
}
