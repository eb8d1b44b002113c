<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Layer;

use Isleward\Core\Layer\Spaced;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SpacedTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $rule
     * @param  list<float>  $corners
     * @param  array{int, float, float, float}  $expected  how many; the first, the second, the last
     */
    #[DataProvider('worked')]
    public function test_places_by_worked_arithmetic(array $rule, float $length, bool $closed, array $corners, array $expected): void
    {
        $places = Spaced::from(new Fields($rule))->along($length, $closed, $corners);
        self::assertCount($expected[0], $places);
        foreach ([$places[0], $places[1], $places[count($places) - 1]] as $i => $place) {
            self::assertEqualsWithDelta($expected[$i + 1], $place, 1e-6);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, float, bool, list<float>, array{int, float, float, float}}> */
    public static function worked(): iterable
    {
        // 10 000 at 300: 33 gaps are 9 900, 100 are left
        yield 'a pitch, the rest at the end' => [['size' => 300], 10000.0, false, [], [34, 0.0, 300.0, 9900.0]];
        yield 'a pitch, the rest at both ends' => [['size' => 300, 'remainder' => 'both'], 10000.0, false, [], [34, 50.0, 350.0, 9950.0]];
        yield 'a pitch that goes in' => [['size' => 250], 10000.0, false, [], [41, 0.0, 250.0, 10000.0]];
        yield 'from a start' => [['size' => 300, 'start' => 150, 'end' => 100], 10000.0, false, [], [33, 150.0, 450.0, 9750.0]];
        yield 'so many' => [['by' => 'count', 'count' => 5], 10000.0, false, [], [5, 0.0, 2500.0, 10000.0]];
        yield 'no farther apart than' => [['by' => 'greatest', 'size' => 300], 10000.0, false, [], [35, 0.0, 10000 / 34, 10000.0]];
        yield 'so many once round' => [['by' => 'count', 'count' => 8], 10000.0, true, [], [8, 0.0, 1250.0, 8750.0]];
        yield 'a pitch once round, shared' => [['size' => 300, 'remainder' => 'both'], 10000.0, true, [],
            [33, 0.0, 10000 / 33, 320000 / 33]];
        yield 'once round from a start' => [['by' => 'count', 'count' => 4, 'start' => 3000], 10000.0, true, [],
            [4, 500.0, 3000.0, 8000.0]];
        // a box of 4 000 × 3 000: 14 gaps of 285.7 and 10 of 300 between its corners
        yield 'one on every corner' => [
            ['size' => 300, 'corners' => 'on'], 14000.0, true, [0.0, 4000.0, 7000.0, 11000.0], [48, 0.0, 4000 / 14, 13700.0],
        ];
        yield 'one on the corner of an open line' => [['size' => 300, 'corners' => 'on'], 7000.0, false, [4000.0],
            [25, 0.0, 4000 / 14, 7000.0]];
        yield 'none near a corner' => [
            ['size' => 300, 'corners' => 'clear', 'clear' => 150], 3000.0, false, [1000.0], [10, 0.0, 300.0, 3000.0],
        ];
        yield 'once round none near where it begins' => [
            ['size' => 500, 'corners' => 'clear', 'clear' => 400], 4000.0, true, [0.0, 2000.0], [6, 500.0, 1000.0, 3500.0],
        ];
    }

    /** @param  array<string, mixed>  $rule */
    #[DataProvider('wrong')]
    public function test_what_has_no_room_is_refused(array $rule, string $says): void
    {
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage($says);
        Spaced::from(new Fields($rule))->along(10000.0, false, [5000.0]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'too many, told how many before they are made' => [['size' => 0.05], 'at least'];
        yield 'far too many' => [['size' => 1, 'by' => 'count', 'count' => 200000], 'runs from 1 to 20000; 200000'];
        yield 'no room' => [['size' => 100, 'start' => 6000, 'end' => 5000], 'there is no room for any'];
        yield 'a margin off the line' => [['size' => 100, 'start' => -1], 'begins and ends on its line'];
        yield 'a count on corners' => [['by' => 'count', 'count' => 3, 'corners' => 'on'], 'follows from the pitch'];
    }

    public function test_two_hundred_thousand_are_told_before_they_are_made(): void
    {
        $this->expectExceptionMessage('That would be 200 001 pieces; a band has 20 000 at the most.');
        Spaced::from(new Fields(['size' => 1]))->along(200000.0, false, []);
    }
}
