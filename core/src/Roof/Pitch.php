<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Measure\Refusal;

/** The pitch of a roof's face, in degrees, read as people say it: "35", "35°", "9 : 12" rise over run, "75 %". */
final class Pitch
{
    public const LEAST = 0.2;

    public const MOST = 85.0;

    /** @throws Refusal when it is no pitch, or no roof has one */
    public static function read(mixed $said): float
    {
        $text = is_string($said) ? str_replace(',', '.', trim($said)) : $said;
        $number = '(\d+(?:\.\d+)?)';
        $degrees = match (true) {
            is_int($text) || is_float($text) => (float) $text,
            ! is_string($text) => null,
            preg_match("/^$number\s*°?$/u", $text, $m) === 1 => (float) $m[1],
            preg_match("/^$number\s*%$/u", $text, $m) === 1 => rad2deg(atan((float) $m[1] / 100)),
            preg_match("/^$number\s*[:\/]\s*$number$/u", $text, $m) === 1 => rad2deg(atan2((float) $m[1], (float) $m[2])),
            default => null,
        };
        if ($degrees === null) {
            throw Refusal::because(
                'roof.pitch_unread',
                sprintf('“%s” is no pitch: give degrees, as 35, or rise over run, as 9 : 12.', is_scalar($said) ? (string) $said : '…'),
                details: ['field' => 'pitch'],
            );
        }

        return $degrees >= self::LEAST && $degrees <= self::MOST ? $degrees : throw Refusal::because(
            'roof.pitch',
            sprintf('A roof rises by %s° to %s°; %s° was given.', self::LEAST, self::MOST, round($degrees, 2)),
            details: ['field' => 'pitch', 'least' => self::LEAST, 'most' => self::MOST],
        );
    }
}
