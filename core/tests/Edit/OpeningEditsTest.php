<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OpeningEditsTest extends TestCase
{
    /**
     * A window 1200 wide on a wall of 12 000, by hand.
     *
     * @param  array<string, mixed>  $position
     */
    #[DataProvider('positions')]
    public function test_positions_are_measured_from_anything_to_anything(array $position, float $left): void
    {
        $house = House::box();
        $opening = $house->place(['type' => $house->type('W-03')->id, 'position' => $position]);
        self::assertEqualsWithDelta($left, $house->placed($opening->id)->left, 1e-9);
    }

    /** @return iterable<string, array{array<string, mixed>, float}> */
    public static function positions(): iterable
    {
        foreach ([
            ['left', '1450', 'near', 1450], ['left', 1450, 'far', 250], ['left', 1450, 'centre', 850],
            ['right', 1450, 'near', 9350], ['right', 1450, 'far', 10550], ['right', 1450, 'centre', 9950],
            ['middle', 0, 'centre', 5400], ['middle', 100, 'near', 6100], ['middle', -100, 'far', 4700],
            ['fraction', 0.25, 'centre', 2400], ['fraction', 0.25, 'near', 3000],
        ] as [$from, $value, $to, $left]) {
            yield "$value from $from to $to" => [['from' => $from, 'value' => $value, 'to' => $to], (float) $left];
        }
    }

    public function test_positions_hold_the_way_they_were_given_when_the_wall_grows(): void
    {
        $house = House::box();
        $type = ['type' => $house->type('W-03')->id];
        $centred = $house->place($type + ['position' => ['from' => 'middle', 'value' => 0, 'to' => 'centre']]);
        $left = $house->place($type + ['left' => 1450], storey: 1);
        $right = $house->place($type + ['position' => ['from' => 'right', 'value' => 500, 'to' => 'near']], storey: 1);
        $wall = $house->wall();
        $longer = \Isleward\Core\Design\Wall::from(new \Isleward\Core\Measure\Fields(['toX' => 15000.0] + $wall->toArray()));
        $house->design = $house->design->after(
            new \Isleward\Core\Design\Change('', [\Isleward\Core\Design\Operation::alter($wall, $longer)]),
        );
        self::assertEqualsWithDelta(6900.0, $house->placed($centred->id)->left, 1e-9);
        self::assertEqualsWithDelta(1450.0, $house->placed($left->id)->left, 1e-9);
        self::assertEqualsWithDelta(14500.0, $house->placed($right->id)->right, 1e-9);
    }

    public function test_a_sill_follows_what_it_is_measured_from(): void
    {
        $house = House::box(heights: [4200, 3600, 3600]);
        $type = ['type' => $house->type('W-03')->id, 'left' => 2000];
        $floor = $house->place($type + ['sill' => ['from' => 'floor', 'height' => 900]], storey: 1);
        $datum = $house->place(['left' => 5000] + $type + ['sill' => ['from' => 'datum', 'height' => '5.1 m']], storey: 1);
        $house->do('storey.change', ['id' => $house->storey(0), 'height' => '4200+300']);
        self::assertEqualsWithDelta(5400.0, $house->placed($floor->id)->sill, 1e-9);
        self::assertEqualsWithDelta(5100.0, $house->placed($datum->id)->sill, 1e-9);
        $house->do('opening.change', ['id' => $datum->id, 'sillFrom' => 'floor']);
        self::assertEqualsWithDelta(600.0, $house->design->opening($datum->id)->sill->height, 1e-9);
    }

    public function test_a_change_of_measure_leaves_it_in_place_and_a_head_sets_the_height(): void
    {
        $house = House::box();
        $id = $house->place(['type' => $house->type('W-03')->id, 'left' => 1450])->id;
        foreach ([['from' => 'right'], ['to' => 'centre'], ['from' => 'fraction'], ['from' => 'middle', 'to' => 'far']] as $measure) {
            $house->do('opening.change', ['id' => $id, 'measure' => $measure]);
            self::assertEqualsWithDelta(1450.0, $house->placed($id)->left, 1e-6);
        }
        $house->do('opening.change', ['id' => $id, 'head' => '2350+75']);
        self::assertEqualsWithDelta(1525.0, $house->design->opening($id)->height, 1e-9);
        self::assertEqualsWithDelta(900.0, $house->design->opening($id)->sill->height, 1e-9);
    }

    /** Common practice: a door stands a nib of 200 off the corner, so its far jamb is 200 + 900 from the inner corner. */
    public function test_a_door_stands_a_nib_off_the_corner(): void
    {
        $house = House::box();
        $door = $house->place(
            [
                'type' => $house->type('D-01')->id,
                'width' => 900,
                'position' => ['from' => 'left', 'value' => '300+200', 'to' => 'near'],
                'sill' => ['from' => 'floor', 'height' => 0],
            ],
        );
        self::assertEqualsWithDelta(1400.0, $house->placed($door->id)->right, 1e-9);
        self::assertSame(0.0, $house->placed($door->id)->sill);
    }

    /** BS EN 771-1 work sizes (from memory): an opening of n bricks is n × 225 + 10 wide, a pier n × 225 − 10, a height n × 75. */
    public function test_brick_coordination_typed_as_sums(): void
    {
        $house = House::box();
        $first = $house->place(
            ['left' => '3*225-10', 'width' => '5*225+10', 'height' => '18*75', 'sill' => ['from' => 'floor', 'height' => '12*75']],
        );
        self::assertSame(
            [665.0, 1135.0, 1350.0, 900.0],
            [$house->placed($first->id)->left, $first->width, $first->height, $first->sill->height],
        );
        $second = $house->place(['left' => '1800 + 4*225-10', 'width' => '5*225+10', 'height' => '18*75']);
        self::assertEqualsWithDelta(
            4 * 225 - 10,
            $house->placed($second->id)->left - $house->placed($first->id)->right,
            1e-9,
            'the pier between',
        );
    }

    /** @param  array<string, mixed>  $args */
    #[DataProvider('refused')]
    public function test_what_cannot_be_is_refused_with_the_reason(array $args, string $code, string $says): void
    {
        $house = House::box();
        try {
            $house->place($args + ['type' => $house->type('W-03')->id]);
            self::fail('It was placed.');
        } catch (Refusal $refusal) {
            self::assertSame($code, $refusal->reason);
            self::assertStringContainsString($says, str_replace("\u{202F}", ' ', $refusal->getMessage()));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function refused(): iterable
    {
        yield 'beyond the right end' => [
            ['left' => 13200],
            'opening.off_wall',
            'it would begin 13 200 from the left end and the wall is 12 000 long',
        ];
        yield 'before the left end' => [['left' => -1500], 'opening.off_wall', '300 before the wall’s left end'];
        yield 'over the head' => [
            ['left' => 1000, 'sill' => ['from' => 'datum', 'height' => 8000]],
            'opening.off_wall',
            '800 over the wall’s head',
        ];
        yield 'no width' => [['left' => 1000, 'width' => 0], 'size.too_small', 'width of an opening'];
        yield 'a negative height' => [['left' => 1000, 'height' => '-5'], 'size.too_small', '−5 was given'];
        yield 'a storey that is none' => [['left' => 1000, 'storey' => 'st-none'], 'storey.unknown', 'not in this project'];
        yield 'no room for glass' => [['left' => 1000, 'width' => 200], 'unit.no_room', 'no room for glass'];
        yield 'a sum that does not parse' => [['left' => '12oo'], 'length.unreadable', 'oo'];
        yield 'more than the whole' => [
            ['position' => ['from' => 'fraction', 'value' => 1.2, 'to' => 'near']],
            'position.fraction',
            '120 %',
        ];
    }
}
