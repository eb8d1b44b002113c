<?php

declare(strict_types=1);

namespace Isleward\Core\Measure;

/**
 * Recursive-descent reader of one typed length.
 *
 *     sum      = product (("+" | "-") product)*
 *     product  = factor (("*" | "×" | "/") factor)*
 *     factor   = ["-"] (quantity | "(" sum ")")
 *     quantity = feet [["-"] inches] | inches | number [unit]
 *
 * A value is [mm, plain]: plain numbers carry no unit and become lengths only at the end, so "3*1200" and "2*1.2 m" both work.
 *
 * @internal
 */
final class LengthReader
{
    private const NUMBER = '\d{1,3}(?:[ \x{202F}\x{00A0}]\d{3})+(?!\d)(?:\.\d+)?|\d+(?:[.,]\d+)?|\.\d+';

    private const FRACTION = '(?:\d+[ \x{202F}\x{00A0}]+)?\d+\/\d+';

    private const FOOT_MARK = '(?:\'|’|′|ft)';

    private const INCH_MARK = '(?:"|”|″|\'\'|in)';

    private int $at = 0;

    private readonly string $text;

    public function __construct(string $text, private readonly Units $units)
    {
        $this->text = trim($text);
    }

    /** @throws InvalidLength */
    public function read(): float
    {
        if ($this->text === '') {
            throw InvalidLength::empty();
        }
        if (mb_strlen($this->text) > 200) {
            throw InvalidLength::unreadable($this->text, mb_substr($this->text, 0, 20));
        }
        [$value, $plain] = $this->sum();
        if ($this->rest() !== '') {
            throw InvalidLength::unreadable($this->text, $this->rest());
        }

        return $plain ? $value * $this->units->bareNumber() : $value;
    }

    /** @return array{float, bool} */
    private function sum(): array
    {
        [$value, $plain] = $this->product();
        while (($sign = $this->take('[+\-−]')) !== null) {
            [$next, $nextPlain] = $this->product();
            if ($plain !== $nextPlain) {
                [$value, $next, $plain] = [$this->length($value, $plain), $this->length($next, $nextPlain), false];
            }
            $value += $sign === '+' ? $next : -$next;
        }

        return [$value, $plain];
    }

    /** @return array{float, bool} */
    private function product(): array
    {
        [$value, $plain] = $this->factor();
        while (($sign = $this->take('[*×\/]')) !== null) {
            [$next, $nextPlain] = $this->factor();
            if ((! $nextPlain && ! $plain) || ($sign === '/' && ! $nextPlain)) {
                throw InvalidLength::notPlain($this->text);
            }
            if ($sign === '/' && $next === 0.0) {
                throw InvalidLength::dividedByZero($this->text);
            }
            $value = $sign === '/' ? $value / $next : $value * $next;
            $plain = $plain && $nextPlain;
        }

        return [$value, $plain];
    }

    /** @return array{float, bool} */
    private function factor(): array
    {
        if ($this->take('[\-−]') !== null) {
            [$value, $plain] = $this->factor();

            return [-$value, $plain];
        }
        if ($this->take('\(') !== null) {
            $inner = $this->sum();
            if ($this->take('\)') === null) {
                throw InvalidLength::unreadable($this->text, $this->rest());
            }

            return $inner;
        }

        return $this->quantity();
    }

    /** @return array{float, bool} */
    private function quantity(): array
    {
        $feet = $this->take('('.self::NUMBER.')\s*'.self::FOOT_MARK.'(?!\')', 1);
        if ($feet !== null) {
            $inches = $this->take('-?('.self::FRACTION.'|(?:'.self::NUMBER.')(?:\s+\d+\/\d+)?)\s*'.self::INCH_MARK, 1)
                ?? $this->take('('.self::FRACTION.'|'.self::NUMBER.')(?!\s*(?:mm|cm|m|\'|’|′|ft|[\d.,]))', 1);

            return [$this->number($feet) * Length::FOOT + ($inches === null ? 0.0 : $this->mixed($inches) * Length::INCH), false];
        }
        $inches = $this->take('('.self::FRACTION.'|'.self::NUMBER.')\s*'.self::INCH_MARK, 1);
        if ($inches !== null) {
            return [$this->mixed($inches) * Length::INCH, false];
        }
        $mixed = $this->take('(\d+[ \x{202F}\x{00A0}]+\d+\/\d+)(?![\d.])', 1);
        if ($mixed !== null) {
            return [$this->mixed($mixed), true];
        }
        $number = $this->take(self::NUMBER);
        if ($number === null) {
            throw InvalidLength::unreadable($this->text, $this->rest());
        }

        return match ($this->take('(mm|cm|m)(?![a-z])', 1)) {
            'mm' => [$this->number($number), false],
            'cm' => [$this->number($number) * 10, false],
            'm' => [$this->number($number) * 1000, false],
            default => [$this->number($number), true],
        };
    }

    private function length(float $value, bool $plain): float
    {
        return $plain ? $value * $this->units->bareNumber() : $value;
    }

    /** "6 1/2", "1/2" or a number. */
    private function mixed(string $text): float
    {
        if (preg_match('/^(?:(\d+)\D+)?(\d+)\/(\d+)$/u', $text, $m) !== 1) {
            return preg_match('/^(.+?)\s+(\d+)\/(\d+)$/u', $text, $n) === 1
                ? $this->number($n[1]) + $this->ratio($n[2], $n[3])
                : $this->number($text);
        }

        return (float) $m[1] + $this->ratio($m[2], $m[3]);
    }

    private function ratio(string $over, string $under): float
    {
        if ((float) $under === 0.0) {
            throw InvalidLength::dividedByZero($this->text);
        }

        return (float) $over / (float) $under;
    }

    private function number(string $text): float
    {
        if (preg_match('/^[1-9]\d{0,2},\d{3}$/', $text) === 1) {
            throw InvalidLength::ambiguousComma($this->text, $text);
        }

        return (float) str_replace([' ', "\u{202F}", "\u{00A0}", ','], ['', '', '', '.'], $text);
    }

    /** Takes what matches at the current place, past white space, and gives group $group of it. */
    private function take(string $pattern, int $group = 0): ?string
    {
        if (preg_match('/\G\s*(?:'.$pattern.')/iu', $this->text, $m, 0, $this->at) !== 1) {
            return null;
        }
        $this->at += strlen($m[0]);

        return $group === 0 ? trim($m[0]) : strtolower(trim($m[$group]));
    }

    private function rest(): string
    {
        return trim(substr($this->text, $this->at));
    }
}
