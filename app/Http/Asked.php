<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** What is asked for in an address: words and numbers, of the kind they should be or refused by name. */
final class Asked
{
    private const LONGEST = 20_000;

    public static function text(Request $request, string $name, ?string $default = null): string
    {
        $value = $request->query($name, $default);
        if (! is_string($value) || strlen($value) > self::LONGEST || ! mb_check_encoding($value, 'UTF-8')) {
            throw self::wrong($name, 'a text');
        }

        return $value;
    }

    public static function has(Request $request, string $name): bool
    {
        return $request->query($name) !== null;
    }

    public static function whole(Request $request, string $name, int $default, int $least, int $most): int
    {
        $value = $request->query($name, (string) $default);
        if (! is_string($value) || preg_match('/^-?\d{1,12}$/D', $value) !== 1 || (int) $value < $least || (int) $value > $most) {
            throw self::wrong($name, sprintf('a whole number from %d to %d', $least, $most));
        }

        return (int) $value;
    }

    public static function number(Request $request, string $name, float $default, float $least, float $most): float
    {
        $value = $request->query($name, (string) $default);
        if (! is_string($value) || ! is_numeric($value) || ! ((float) $value >= $least && (float) $value <= $most)) {
            throw self::wrong($name, sprintf('a number from %s to %s', $least, $most));
        }

        return (float) $value;
    }

    /** A number of a change in the log. */
    public static function base(Fields $body): int
    {
        $base = $body->int('base');
        if ($base < 0 || $base > 4_000_000_000) {
            throw Refusal::because(
                'field.invalid',
                '“base” is the number of the latest change that was seen.',
                details: ['field' => 'base'],
            );
        }

        return $base;
    }

    private static function wrong(string $name, string $kind): Refusal
    {
        return Refusal::because('field.invalid', sprintf('“%s” must be %s.', $name, $kind), details: ['field' => $name]);
    }
}
