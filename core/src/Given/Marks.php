<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

/** Marks as people write them: "W-01", "w 1" and "W.01" are one. */
final class Marks
{
    public static function key(string $mark): string
    {
        /** @var array<string, string> $known */
        static $known = [];

        return $known[$mark] ??= (string) preg_replace(
            '/(?<!\d)0+(?=\d)/',
            '',
            (string) preg_replace('/[^\pL\d]+/u', '', mb_strtoupper((string) preg_replace('/(?<=\d)[\s.\-_\/]+(?=\d)/', 'x', $mark))),
        );
    }
}
