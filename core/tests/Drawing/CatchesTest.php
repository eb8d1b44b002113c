<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Drawing;

use Isleward\Core\Drawing\Catches;
use Isleward\Core\Drawing\CatchKind;
use Isleward\Core\Drawing\CatchLine;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

final class CatchesTest extends TestCase
{
    public function test_lines_to_catch_on_are_named_and_come_from_every_storey_once(): void
    {
        $house = House::box();
        $low = $house->place(['left' => 1000, 'type' => $house->type('W-03')->id]);
        $high = $house->place(['left' => 1000, 'type' => $house->type('W-02')->id], storey: 1);
        $lines = Catches::of($house->design, $house->body(), [[$house->placed($low->id), 0.0], [$house->placed($high->id), 500.0]]);
        self::assertSame(
            [
                0.0 => 'left end', 6000.0 => 'middle of the wall', 12000.0 => 'right end',
                450.0 => '150 from the return', 11550.0 => '150 from the return', 1000.0 => 'left jamb of W-03',
                2200.0 => 'right jamb of W-03', 1600.0 => 'centre of W-03', 1500.0 => 'left jamb of W-02',
                1850.0 => 'centre of W-02',
            ],
            array_column(array_map(static fn (CatchLine $c): array => $c->toArray(), $lines['upright']), 'name', 'at'),
            'the right jamb of W-02, 500 to the right at 2200, is one line with that of W-03',
        );
        self::assertSame([900.0, 2350.0, 4500.0, 5950.0], array_column($lines['level'], 'at'));
        self::assertSame('head of W-02, S1', $lines['level'][3]->name);

        // what each is, without its name
        $of = static fn (CatchLine $c): array => [$c->kind, $c->element, $c->side];
        $wall = $house->wall()->id;
        self::assertSame([CatchKind::End, $wall, 'left'], $of($lines['upright'][0]));
        self::assertSame([CatchKind::Middle, $wall, null], $of($lines['upright'][1]));
        self::assertContains([CatchKind::Margin, $wall, 'right'], array_map($of, $lines['upright']));
        self::assertContains([CatchKind::Jamb, $low->id, 'right'], array_map($of, $lines['upright']));
        self::assertContains([CatchKind::Centre, $high->id, null], array_map($of, $lines['upright']));
        self::assertSame([CatchKind::Head, $high->id, null], $of($lines['level'][3]));
    }

    public function test_a_setting_out_line_goes_before_what_it_falls_together_with_whatever_it_is_called(): void
    {
        $house = House::box();
        $line = new CatchLine(6000.0, 'line middle of the stair', CatchKind::Line, 'li-1');
        $upright = Catches::of($house->design, $house->body(), [], ['upright' => [$line], 'level' => []])['upright'];
        self::assertSame([$line], array_values(array_filter($upright, static fn (CatchLine $c): bool => abs($c->at - 6000.0) < 1)));
    }
}
