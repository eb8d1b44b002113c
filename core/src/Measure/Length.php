<?php

declare(strict_types=1);

namespace Isleward\Core\Measure;

/** Lengths in millimetres: read from what people type, and written the way they read it. */
final class Length
{
    /** mm in an inch and a foot, exactly (international yard and pound agreement, 1959). */
    public const INCH = 25.4;

    public const FOOT = 304.8;

    /** Nothing in a project lies further than this from anything else, in mm: keeps the clipping grid exact. */
    public const LIMIT = 500_000.0;

    private const THIN_SPACE = "\u{202F}";

    /**
     * The length in mm that a text states: a figure, a sum ("1200+150"), a product with a plain number ("3*1200"), in
     * mm, cm, m, feet and inches. A bare number is in the project's units.
     *
     * @throws InvalidLength with the part that is not understood
     */
    public static function parse(string $text, Units $units): float
    {
        return self::within((new LengthReader($text, $units))->read());
    }

    /** @throws InvalidLength when the length is not finite or beyond {@see Length::LIMIT} */
    public static function within(float $mm): float
    {
        if (! is_finite($mm) || abs($mm) > self::LIMIT) {
            throw InvalidLength::outOfRange($mm);
        }

        return $mm;
    }

    /**
     * The length as the project's units write it: mm to a tenth ("1 450", "12.5"), metres to the millimetre ("1.450 m"),
     * feet and inches to 1/16 ("4' 9 1/16\""), with ≈ before a figure that is not exact to 0.05 mm.
     */
    public static function format(float $mm, Units $units): string
    {
        return match ($units) {
            Units::Millimetre => self::millimetres($mm),
            Units::Metre => (abs($mm - round($mm)) > 0.05 ? '≈' : '').str_replace(
                '-',
                '−',
                number_format($mm / 1000, 3, '.', self::THIN_SPACE),
            ).' m',
            Units::FeetInches => self::feetInches($mm),
        };
    }

    /** A length in a sentence of which it is not known yet in whose units it will be said: {@see said()}. */
    public static function mark(float $mm): string
    {
        return sprintf('{mm:%.6F}', $mm);
    }

    /** A sentence with the lengths that are marked in it written in these units. */
    public static function said(string $sentence, Units $units): string
    {
        return (string) preg_replace_callback(
            '/\{mm:(-?\d+\.\d+)\}/',
            static fn (array $m): string => self::format((float) $m[1], $units),
            $sentence,
        );
    }

    private static function millimetres(float $mm): string
    {
        $rounded = round($mm, 1);
        $whole = abs($rounded - round($rounded)) < 0.05;

        return str_replace('-', '−', number_format(Zero::plain($rounded), $whole ? 0 : 1, '.', self::THIN_SPACE));
    }

    private static function feetInches(float $mm): string
    {
        $sixteenths = (int) round(abs($mm) / self::INCH * 16);
        $exact = abs($sixteenths * self::INCH / 16 - abs($mm)) <= 0.05;
        $sign = ($exact ? '' : '≈').($mm < 0 && $sixteenths > 0 ? '−' : '');
        $feet = intdiv($sixteenths, 192);
        $inches = intdiv($sixteenths % 192, 16);
        $part = $sixteenths % 16;
        $fraction = '';
        if ($part > 0) {
            $divisor = $part & -$part;
            $fraction = ' '.intdiv($part, $divisor).'/'.intdiv(16, $divisor);
        }
        $inchText = $inches === 0 && $fraction !== '' ? ltrim($fraction) : $inches.$fraction;

        return $sign.($feet > 0 ? $feet."' " : '').$inchText.'"';
    }
}
