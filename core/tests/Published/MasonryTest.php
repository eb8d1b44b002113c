<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Published;

use Isleward\Core\Check\Findings;
use Isleward\Core\Design\Module;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/**
 * Coordinating size 225 × 75 of brick 215 × 102.5 × 65 with joints of 10 (BS 4729, work sizes of BS EN 771-1; from memory):
 * an opening of n bricks is n × 225 + 10, a pier n × 225 − 10, a height n × 75.
 */
final class MasonryTest extends TestCase
{
    public function test_every_coordinated_size_is_its_own_nearest(): void
    {
        $brick = Module::brick();
        for ($n = 1; $n <= 60; $n++) {
            self::assertSame($n * 225 + 10.0, $brick->opening($n * 225 + 10.0));
            self::assertSame($n * 225 - 10.0, $brick->pier($n * 225 - 10.0));
            self::assertSame($n * 75.0, $brick->height($n * 75.0));
        }
    }

    public function test_sizes_between_go_to_the_nearest(): void
    {
        $brick = Module::brick();
        // 5 × 225 + 10 = 1135 and 6 × 225 + 10 = 1360: 1200 is nearer the first, 1250 the second
        self::assertSame([1135.0, 1360.0], [$brick->opening(1200.0), $brick->opening(1250.0)]);
        // 8 × 225 − 10 = 1790 and 7 × 225 − 10 = 1565
        self::assertSame([1790.0, 1565.0], [$brick->pier(1730.0), $brick->pier(1677.0)]);
        self::assertSame([1425.0, 1500.0], [$brick->height(1450.0), $brick->height(1463.0)]);
        self::assertSame([235.0, 215.0], [$brick->opening(30.0), $brick->pier(30.0)], 'one brick is the least');
    }

    /**
     * A nib of 200 beside a door in an inner wall, and 150 of bearing for a lintel (common practice; NHBC, BS 5977-1 for the bearing, from
     * memory).
     */
    public function test_nibs_and_bearings_short_of_the_usual_are_found(): void
    {
        $house = House::box(heights: [3000]);
        $house->do(
            'outline.draw',
            [
                'points' => [[6000, 300], [6000, 7700]],
                'closed' => false,
                'inner' => true,
                'thickness' => 100,
                'base' => $house->storey(0),
                'top' => $house->storey(0),
            ],
        );
        $door = $house->place(['left' => 199, 'type' => $house->type('D-01')->id], wall: 4);
        $nibs = Findings::of($house->design, $house->body(4));
        self::assertSame(['door.nib', 199.0], [$nibs[0]->rule, $nibs[0]->figure]);
        $house->do('opening.change', ['id' => $door->id, 'value' => 200]);
        self::assertSame([], Findings::of($house->design, $house->body(4)));
        foreach ([149.0 => 1, 150.0 => 0] as $pier => $count) {
            $house = House::box(heights: [3000]);
            $house->place(['left' => 2000, 'type' => $house->type('W-03')->id]);
            $house->place(['left' => 3200 + $pier, 'type' => $house->type('W-03')->id]);
            $found = Findings::of($house->design, $house->body());
            self::assertCount($count, $found);
            self::assertSame($count === 0 ? [] : ['lintel.bearing'], array_map(static fn ($f): string => $f->rule, $found));
        }
    }
}
