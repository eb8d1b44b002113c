<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Check;

use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

final class FindingsTest extends TestCase
{
    public function test_an_opening_in_order_gives_none(): void
    {
        $house = House::box();
        // 150 from the inner face of the wall that returns, which is 300 thick
        $house->place(['left' => 450, 'type' => $house->type('W-03')->id]);
        $house->place(['left' => 1650, 'type' => $house->type('W-03')->id]);
        self::assertSame([], self::of($house));
    }

    public function test_each_doubt_has_its_figure_and_the_remedy_puts_it_right(): void
    {
        foreach ([
            'overlap' => [[['left' => 2000], ['left' => 3115]], 'opening.overlap', 85.0, 'Move 85 to the right'],
            'past the left end' => [[['left' => -200]], 'opening.past_edge', 200.0, 'Move 650 to the right'],
            'past the right end' => [[['left' => 11000]], 'opening.past_edge', 200.0, 'Move 650 to the left'],
            'past the head' => [
                [['left' => 2000, 'sill' => ['from' => 'datum', 'height' => 6000]]],
                'opening.past_edge',
                250.0,
                'Move 250 down',
            ],
            'past the foot' => [
                [['left' => 2000, 'sill' => ['from' => 'floor', 'height' => -40]]],
                'opening.past_edge',
                40.0,
                'Move 40 up',
            ],
            'in the left return' => [[['left' => 150]], 'opening.in_return', 150.0, 'Move 300 to the right'],
            'in the right return' => [[['left' => 10700]], 'opening.in_return', 200.0, 'Move 350 to the left'],
            'near the left corner' => [[['left' => 365]], 'opening.near_corner', 65.0, 'Move 85 to the right'],
            'near the right corner' => [[['left' => 10400]], 'opening.near_corner', 100.0, 'Move 50 to the left'],
        ] as $case => [$openings, $rule, $figure, $label]) {
            $house = House::box();
            foreach ($openings as $args) {
                $house->moved($args + ['type' => $house->type('W-03')->id]);
            }
            $findings = self::of($house);
            self::assertCount(1, $findings, $case);
            self::assertSame($rule, $findings[0]->rule, $case);
            self::assertEqualsWithDelta($figure, $findings[0]->figure, 1e-6, $case);
            $remedy = $findings[0]->remedy;
            self::assertNotNull($remedy, $case);
            self::assertSame($label, $remedy->label, $case);
            $house->do($remedy->edit, $remedy->args);
            self::assertSame([], self::of($house), "$case: nothing is left after the remedy");
        }
    }

    public function test_slips_and_oddities_are_found_with_their_figure_and_put_right(): void
    {
        foreach ([
            'sill from the datum' => [
                fn (House $h) => $h->place(
                    ['left' => 2000, 'sill' => ['from' => 'datum', 'height' => 4500]] + ['type' => $h->type('W-03')->id],
                    storey: 1,
                ),
                'opening.sill_datum',
                4500.0,
            ],
            'glazing facing in' => [
                fn (House $h) => $h->place(['left' => 2000, 'type' => $h->type('W-03')->id, 'facesOut' => false]),
                'unit.facing_in',
                90.0,
            ],
            'a door off its floor' => [
                fn (House $h) => $h->place(['left' => 2000, 'type' => $h->type('D-01')->id, 'sill' => ['from' => 'floor', 'height' => 45]]),
                'door.floating',
                45.0,
            ],
            'a name that lies' => [function (House $h): void {
                $id = $h->place(['left' => 2000, 'width' => 1135, 'height' => 1500])->id;
                $h->do('opening.fill', ['ids' => [$id], 'window' => $h->type('W-03')->id]);
                $h->do('opening.change', ['id' => $id, 'width' => 1195]);
            }, 'type.name_and_size', 60.0],
            'a head out of line' => [function (House $h): void {
                foreach ([0, 0, 12] as $i => $up) {
                    $h->place([
                        'left' => 1000 + 2000 * $i,
                        'type' => $h->type('W-03')->id,
                        'sill' => ['from' => 'floor', 'height' => 900 + $up],
                    ]);
                }
            }, 'opening.off_line.head', 12.0],
            'a jamb out of line with the storey below' => [function (House $h): void {
                $h->place(['left' => 2000, 'type' => $h->type('W-03')->id]);
                $h->place(['left' => 2019.9, 'type' => $h->type('W-03')->id], storey: 1);
            }, 'opening.off_line.jamb', 19.9],
        ] as $case => [$make, $rule, $figure]) {
            $house = House::box();
            $make($house);
            $findings = self::of($house);
            self::assertSame($rule, $findings[0]->rule ?? null, $case);
            self::assertEqualsWithDelta($figure, abs($findings[0]->figure), 1e-6, $case);
            $remedy = $findings[0]->remedy;
            self::assertNotNull($remedy, $case);
            $house->do($remedy->edit, $remedy->args);
            self::assertSame([], self::of($house), "$case: nothing is left after the remedy");
        }
        $house = House::box();
        $house->place(['left' => 2000, 'type' => $house->type('W-03')->id]);
        $house->place(['left' => 2020, 'type' => $house->type('W-03')->id], storey: 1);
        self::assertSame([], self::of($house), '20 is meant');
    }

    /** Limits are those a new project has (common practice): each case is just over one of them, and just under it nothing is said. */
    public function test_units_over_the_projects_limits_are_found_with_their_figure(): void
    {
        $sash = ['sashFace' => 60, 'sashDepth' => 68, 'glazing' => [6, 16, 6]];
        $hung = ['operation' => 'side-hung', 'hinge' => 'left', 'opens' => 'inward'] + $sash;
        $door = ['operation' => 'hinged-door', 'hinge' => 'left', 'opens' => 'inward'] + $sash;
        $light = ['operation' => 'fixed', 'glazing' => [6]];
        foreach ([
            'unit.sash_wide' => [$hung, [1000, 900], [1011, 900], 901.0],
            'unit.sash_tall' => [['operation' => 'bottom-hung'] + $hung, [900, 1115], [900, 1116], 1001.0],
            'unit.sash_heavy' => [['glazing' => [12, 16, 12]] + $hung, [900, 1100], [900, 1600], null],
            'unit.door_clear' => [$door, [900, 2115], [900, 2114], 1999.0],
            'unit.small_light' => [$hung, [290, 900], [285, 900], 55.0],
            'louvre.clash' => [['operation' => 'louvre', 'louvre' => ['thickness' => 20, 'pitch' => 29]], [900, 900], null, null],
            'unit.stretched' => [$light, [900, 900], [900, 1000], 100.0],
        ] as $rule => [$root, $good, $bad, $figure]) {
            $found = static function (array $root, array $size) use ($rule): array {
                $house = House::box();
                $type = $house->do('type.add', ['mark' => 'T-1', 'name' => 'unit', 'width' => $size[0], 'height' => $size[1], 'sill' => 300,
                    'tree' => [
                        'frame' => ['jamb' => 55, 'head' => 55, 'sill' => 60, 'depth' => 70],
                        'root' => $root,
                    ] + ($rule === 'unit.stretched' ? ['outline' => ['kind' => 'round']] : [])])->chosen[0];
                $house->place(['left' => 2000, 'type' => $type, 'sill' => ['from' => 'floor', 'height' => 300]]);

                return array_values(array_filter(self::of($house), static fn (Finding $f): bool => $f->rule === $rule));
            };
            if ($bad === null) {
                $root = ['louvre' => ['thickness' => 20, 'pitch' => 28]] + $root;
            }
            self::assertSame([], $found(['louvre' => ['thickness' => 20, 'pitch' => 29]] + $root, $good), "$rule: not over the limit");
            $over = $found($root, $bad ?? $good);
            self::assertCount(1, $over, $rule);
            if ($figure !== null) {
                self::assertEqualsWithDelta($figure, $over[0]->figure, 1e-6, $rule);
            }
        }
    }

    public function test_rain_must_run_off_a_hung_light(): void
    {
        foreach ([
            ['top-hung', 'outward', true, 0],
            ['top-hung', 'inward', true, 1],
            ['top-hung', 'outward', false, 1],
            ['bottom-hung', 'inward', true, 0],
            ['bottom-hung', 'outward', true, 1],
        ] as [$operation, $opens, $facesOut, $count]) {
            $house = House::box();
            $root = ['operation' => $operation, 'opens' => $opens, 'sashFace' => 60, 'sashDepth' => 78, 'glass' => 28];
            $type = $house->do(
                'type.add',
                [
                    'mark' => 'T-1',
                    'name' => 'hung light',
                    'width' => 900,
                    'height' => 900,
                    'sill' => 1200,
                    'tree' => ['frame' => ['jamb' => 55, 'head' => 55, 'sill' => 60, 'depth' => 70], 'root' => $root],
                ],
            )->chosen[0];
            $house->place(['left' => 2000, 'type' => $type, 'facesOut' => $facesOut]);
            $found = array_values(array_filter(self::of($house), static fn (Finding $f): bool => $f->rule === 'unit.rain_in'));
            self::assertCount($count, $found, "$operation $opens");
            self::assertSame($count === 0 ? null : 790.0, $found[0]->figure ?? null, 'the width of its sash: 900 − 2 × 55');
        }
    }

    public function test_no_remedy_is_offered_that_would_do_other_harm(): void
    {
        $house = House::box();
        foreach ([2000, 3115, 4315] as $left) {
            $house->moved(['left' => $left, 'type' => $house->type('W-03')->id]);
        }
        $findings = self::of($house);
        self::assertCount(1, $findings);
        self::assertSame('Move 85 to the left', $findings[0]->remedy?->label, 'the right one has no room, the left one has');
        $house->moved(['left' => 760, 'type' => $house->type('W-03')->id]);
        self::assertNull(self::of($house)[0]->remedy);
    }

    public function test_slanted_openings_whose_boxes_meet_need_not_overlap(): void
    {
        $house = House::box();
        $house->place(['left' => 2000, 'width' => 1000, 'height' => 1000, 'shape' => [0, 0, 1, 0, 0, 1]]);
        $other = $house->moved(['left' => 2100, 'width' => 1000, 'height' => 1000, 'shape' => [1, 0, 1, 1, 0, 1]]);
        self::assertSame([], self::of($house));
        $house->do('opening.change', ['id' => $other->id, 'by' => ['u' => -200]]);
        self::assertCount(1, self::of($house));
    }

    public function test_findings_about_some_are_those_of_all_that_name_them(): void
    {
        $house = House::box();
        $near = $house->moved(['left' => 65, 'type' => $house->type('W-03')->id]);
        $house->moved(['left' => 3000, 'type' => $house->type('W-03')->id, 'facesOut' => false]);
        $over = $house->moved(['left' => 4150, 'type' => $house->type('W-03')->id]);
        foreach ([[$near->id], [$over->id], [$near->id, $over->id]] as $ids) {
            $all = array_values(array_filter(self::of($house), static fn (Finding $f): bool => array_intersect($f->elements, $ids) !== []));
            self::assertNotSame([], $all);
            self::assertEquals($all, Findings::of($house->design, $house->body(), array_flip($ids)));
        }
    }

    public function test_what_ends_up_off_its_wall_is_found(): void
    {
        $house = House::box(heights: [3600, 3600]);
        $house->place(['left' => 2000, 'type' => $house->type('W-09')->id, 'sill' => ['from' => 'datum', 'height' => 6400]], storey: 1);
        $house->do('storey.change', ['id' => $house->storey(0), 'height' => 2400]);
        self::assertSame('opening.off_wall', self::of($house)[0]->rule);
    }

    /** @return list<Finding> */
    private static function of(House $house): array
    {
        return Findings::of($house->design, $house->body());
    }
}
