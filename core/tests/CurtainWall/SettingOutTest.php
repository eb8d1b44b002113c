<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\CurtainWall;

use Isleward\Core\CurtainWall\SettingOut;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SettingOutTest extends TestCase
{
    /**
     * Bays by worked arithmetic.
     *
     * @param  array<string, mixed>  $rule
     * @param  list<float>  $bays
     */
    #[DataProvider('worked')]
    public function test_bays_come_out_as_reckoned_by_hand(array $rule, float $length, array $bays): void
    {
        self::assertEqualsWithDelta($bays, self::bays(SettingOut::from(new Fields($rule))->places($length), $length), 1e-6);
    }

    /** @return iterable<string, array{array<string, mixed>, float, list<float>}> */
    public static function worked(): iterable
    {
        $module = static fn (string $where, float $offset = 0.0): array => [
            'by' => 'module', 'size' => 1200.0, 'remainder' => $where, 'offset' => $offset,
        ];
        $eight = array_fill(0, 8, 1200.0);
        // 10 000 at 1 200: 8 full and 400 left
        yield 'what is left at the end' => [$module('end'), 10000.0, [...$eight, 400.0]];
        yield 'at the start' => [$module('start'), 10000.0, [400.0, ...$eight]];
        yield '200 at either end' => [$module('both'), 10000.0, [200.0, ...$eight, 200.0]];
        yield 'shared: 10 000 in nine' => [$module('shared'), 10000.0, array_fill(0, 9, 10000 / 9)];
        yield 'nothing left' => [$module('end'), 9600.0, $eight];
        yield 'nothing left, at both ends' => [$module('both'), 9600.0, $eight];
        yield 'nothing left, shared' => [$module('shared'), 9600.0, $eight];
        yield 'started 300 in' => [$module('end', 300.0), 10000.0, [300.0, ...$eight, 100.0]];
        yield 'started 300 before' => [$module('end', -300.0), 10000.0, [900.0, ...array_fill(0, 7, 1200.0), 700.0]];
        yield 'moved by a whole module' => [$module('both', 1200.0), 10000.0, [200.0, ...$eight, 200.0]];
        // an arc of radius 9 000 over 80° is 9000 · 80π/180 = 12 566.37 long: ten and 566.37 (published.md)
        yield 'along an arc' => [$module('end'), 9000 * deg2rad(80), [...array_fill(0, 10, 1200.0), 566.370614]];
        yield 'seven alike' => [['by' => 'count', 'count' => 7], 10500.0, array_fill(0, 7, 1500.0)];
        yield 'one' => [['by' => 'count', 'count' => 1], 10500.0, [10500.0]];
        yield 'no larger than 1 500' => [['by' => 'greatest', 'size' => 1500.0], 10000.0, array_fill(0, 7, 10000 / 7)];
        yield 'just as large' => [['by' => 'greatest', 'size' => 2500.0], 10000.0, array_fill(0, 4, 2500.0)];
        yield 'larger than all' => [['by' => 'greatest', 'size' => 20000.0], 10000.0, [10000.0]];
        $list = static fn (string $after, float ...$sizes): array => ['by' => 'sizes', 'sizes' => $sizes, 'after' => $after];
        yield 'a list again' => [$list('again', 900.0, 1500.0), 6000.0, [900.0, 1500.0, 900.0, 1500.0, 900.0, 300.0]];
        yield 'a list and the rest' => [$list('rest', 900.0, 1500.0), 6000.0, [900.0, 1500.0, 3600.0]];
        yield 'a list and no rest' => [$list('rest', 900.0, 1500.0), 2400.0, [900.0, 1500.0]];
        yield 'a list that adds up' => [$list('nothing', 900.0, 1500.0, 3600.0), 6000.0, [900.0, 1500.0, 3600.0]];
        yield 'a list started 600 before' => [
            ['by' => 'sizes', 'sizes' => [900.0, 1500.0], 'after' => 'again', 'offset' => -600.0], 4000.0, [300.0, 1500.0, 900.0, 1300.0],
        ];
    }

    public function test_each_storey_has_rows_of_its_own_and_a_line_at_its_floor(): void
    {
        $rows = SettingOut::from(new Fields(['by' => 'sizes', 'sizes' => [900.0], 'after' => 'rest', 'perStorey' => true]));
        self::assertSame([900.0, 3600.0, 4500.0, 6900.0, 7800.0], $rows->up(9000.0, [3600.0, 6900.0]));
        $through = SettingOut::from(new Fields(['by' => 'module', 'size' => 2000.0]));
        self::assertSame([2000.0, 4000.0, 6000.0, 8000.0], $through->up(9000.0, [3600.0, 6900.0]));
    }

    /** Laws: bays fill the length, none larger than was asked for, and the same rule says the same when it is read again. */
    public function test_bays_fill_the_length_whatever_the_rule(): void
    {
        mt_srand(1207);
        for ($i = 0; $i < 400; $i++) {
            $size = mt_rand(40, 400) * 5.0;
            $length = $size * mt_rand(100, 3000) / 100;
            $rule = SettingOut::from(new Fields(match ($i % 4) {
                0 => [
                    'by' => 'module', 'size' => $size,
                    'remainder' => ['start', 'end', 'both'][$i % 3], 'offset' => mt_rand(-9999, 9999) / 3,
                ],
                1 => ['by' => 'module', 'size' => $size, 'remainder' => 'shared'],
                2 => ['by' => 'greatest', 'size' => $size],
                default => ['by' => 'sizes', 'sizes' => [$size, $size / 2], 'after' => 'again'],
            }));
            $bays = self::bays($rule->places($length), $length);
            self::assertEqualsWithDelta($length, array_sum($bays), 1e-6);
            self::assertGreaterThan(0.0, min($bays));
            self::assertLessThanOrEqual($size + 0.011, max($bays));
            $again = SettingOut::from(new Fields($rule->toArray()));
            self::assertEquals($rule, $again);
        }
    }

    /** @param  array<string, mixed>  $rule */
    #[DataProvider('refused')]
    public function test_what_does_not_fit_is_refused_with_figures(array $rule, float $length, string $reason, string $says): void
    {
        try {
            SettingOut::from(new Fields($rule))->places($length);
            self::fail('It was set out.');
        } catch (Refusal $refusal) {
            self::assertSame($reason, $refusal->reason);
            self::assertStringContainsString($says, str_replace("\u{202F}", ' ', $refusal->getMessage()));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, float, string, string}> */
    public static function refused(): iterable
    {
        yield 'a module over the length' => [
            ['by' => 'module', 'size' => 1200.0], 900.0,
            'setting_out.module_too_large', 'A module of 1 200 does not fit: this stretch is only 900.',
        ];
        yield 'a list that is too long' => [
            ['by' => 'sizes', 'sizes' => [900.0, 1500.0], 'after' => 'rest'], 2000.0, 'setting_out.list_sum', 'come to 2 400',
        ];
        yield 'a list that falls short' => [
            ['by' => 'sizes', 'sizes' => [900.0, 1500.0], 'after' => 'nothing'], 2500.0, 'setting_out.list_sum', '100 short',
        ];
        yield 'lines without end' => [['by' => 'module', 'size' => 1.0], 50000.0, 'setting_out.too_many', '50000 lines'];
        yield 'no size' => [['by' => 'module', 'size' => 0.0], 900.0, 'size.too_small', 'A module must be at least 1'];
        yield 'an empty list' => [['by' => 'sizes', 'sizes' => []], 900.0, 'setting_out.list', '0 were given'];
        yield 'an offset of alike ones' => [['by' => 'count', 'count' => 3, 'offset' => 50.0], 900.0, 'setting_out.offset', 'repeats'];
    }

    /**
     * @param  list<float>  $places
     * @return list<float>
     */
    private static function bays(array $places, float $length): array
    {
        $bays = [];
        $from = 0.0;
        foreach ([...$places, $length] as $to) {
            $bays[] = $to - $from;
            $from = $to;
        }

        return $bays;
    }
}
