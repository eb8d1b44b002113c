<?php

declare(strict_types=1);

namespace Isleward\Core\Measure;

/** A text that is not a length, or not one that can be built. */
final class InvalidLength extends Refusal
{
    public static function empty(): self
    {
        return new self('length.empty', 'Type a length, for example 1450, 1200+150, 1.2 m or 5\' 6 1/2".');
    }

    public static function unreadable(string $text, string $at): self
    {
        $where = $at === '' ? 'it stops too soon' : sprintf('“%s” is not understood', mb_substr($at, 0, 20));

        return new self(
            'length.unreadable',
            sprintf('“%s” is not a length: %s.', mb_substr($text, 0, 60), $where),
            details: ['text' => $text],
        );
    }

    public static function ambiguousComma(string $text, string $number): self
    {
        return new self(
            'length.ambiguous',
            sprintf(
                '“%s” could be a thousand or a decimal: write %s or %s.',
                $number,
                str_replace(',', '', $number),
                str_replace(',', '.', $number),
            ),
            details: ['text' => $text],
        );
    }

    public static function dividedByZero(string $text): self
    {
        return new self('length.divided_by_zero', sprintf('“%s” divides by zero.', $text), details: ['text' => $text]);
    }

    public static function notPlain(string $text): self
    {
        return new self(
            'length.not_plain',
            sprintf('“%s” multiplies or divides one length by another: one of the two must be a plain number.', $text),
            details: ['text' => $text],
        );
    }

    public static function outOfRange(float $mm): self
    {
        return new self('length.out_of_range', is_finite($mm)
            ? sprintf(
                '%s mm is more than the %d m that a project may reach.',
                number_format($mm, 0, '.', ' '),
                (int) (Length::LIMIT / 1000),
            )
            : 'That length is not a number.');
    }
}
