<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Measure;

use Isleward\Core\Measure\InvalidLength;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LengthTest extends TestCase
{
    /** Imperial figures: international yard and pound agreement 1959, 1 in = 25.4 mm exactly (from memory). */
    #[DataProvider('typed')]
    public function test_it_reads_what_people_type(string $text, Units $units, float $mm): void
    {
        self::assertEqualsWithDelta($mm, Length::parse($text, $units), 1e-9);
    }

    /** @return iterable<string, array{string, Units, float}> */
    public static function typed(): iterable
    {
        $mm = Units::Millimetre;
        $ft = Units::FeetInches;
        foreach ([
            ['1450', $mm, 1450], ['1200+150', $mm, 1350], ['1.2m', $mm, 1200], ['1.2 m + 50', $mm, 1250], ['45 cm', $mm, 450],
            ['1 450', $mm, 1450],
            ["1\u{202F}450.5", $mm, 1450.5], ['3*1200-70', $mm, 3530], ['(1200+300)/2', $mm, 750], ['2400/2', $mm, 1200], ['-50', $mm, -50],
            ['1,5', Units::Metre, 1500],
            ['3.6', Units::Metre, 3600], ['250 mm', Units::Metre, 250], ["5' 6\"", $mm, 1676.4], ["3' 6\"", $ft, 1066.8],
            ["5' 6 1/2\"", $mm, 1689.1], ["5'-6\"", $ft, 1676.4],
            ["5' - 6\"", $ft, 1371.6], ['1/16"', $mm, 1.5875], ['1/32"', $mm, 0.79375], ['66', $ft, 1676.4], ['6 1/2', $ft, 165.1],
            ["12'", $ft, 3657.6], ["5'6", $ft, 1676.4],
            ['3 mm + (2*1")', $mm, 53.8], ['2930 mm + (400+25)', $ft, 2930 + 425 * 25.4],
        ] as $case) {
            yield $case[0].' in '.$case[1]->value => [$case[0], $case[1], (float) $case[2]];
        }
    }

    #[DataProvider('nonsense')]
    public function test_it_says_what_it_does_not_understand(string $text, string $code): void
    {
        try {
            Length::parse($text, Units::Millimetre);
            self::fail("“{$text}” was read.");
        } catch (InvalidLength $refusal) {
            self::assertSame($code, $refusal->reason);
            self::assertNotSame('', $refusal->getMessage());
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function nonsense(): iterable
    {
        foreach ([
            '' => 'length.empty', '  ' => 'length.empty', 'abc' => 'length.unreadable', '12oo' => 'length.unreadable',
            '1200+' => 'length.unreadable', '(12' => 'length.unreadable',
            '1..2' => 'length.unreadable', '5/0' => 'length.divided_by_zero', '1/0"' => 'length.divided_by_zero',
            '2 m * 3 m' => 'length.not_plain', '12/3 m' => 'length.not_plain',
            '1,450' => 'length.ambiguous', '600 m' => 'length.out_of_range', '1e9' => 'length.unreadable',
            '<script>' => 'length.unreadable',
        ] as $text => $code) {
            yield "“{$text}”" => [(string) $text, $code];
        }
    }

    #[DataProvider('written')]
    public function test_it_writes_lengths_the_way_the_units_do(float $mm, Units $units, string $text): void
    {
        self::assertSame($text, str_replace("\u{202F}", ' ', Length::format($mm, $units)));
    }

    /** @return iterable<array{float, Units, string}> */
    public static function written(): iterable
    {
        yield [1450.0, Units::Millimetre, '1 450'];
        yield [12.52, Units::Millimetre, '12.5'];
        yield [-85.0, Units::Millimetre, '−85'];
        yield [1450.0, Units::Metre, '1.450 m'];
        yield [1689.1, Units::FeetInches, "5' 6 1/2\""];
        yield [1676.4, Units::FeetInches, "5' 6\""];
        yield [12.7, Units::FeetInches, '1/2"'];
        yield [1000.0, Units::FeetInches, "≈3' 3 3/8\""];
    }

    public function test_what_is_written_in_sixteenths_reads_back_the_same(): void
    {
        mt_srand(1959);
        for ($i = 0; $i < 500; $i++) {
            $mm = mt_rand(1, 200_000) * Length::INCH / 16;
            self::assertEqualsWithDelta($mm, Length::parse(Length::format($mm, Units::FeetInches), Units::FeetInches), 1e-6);
        }
    }
}
