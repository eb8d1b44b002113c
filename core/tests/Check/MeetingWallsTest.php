<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Check;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Meeting;
use Isleward\Core\Building\Solved;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\Drawing\Catches;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** Walls that meet a wall, floors that cross it, returns at its corners: figures worked by hand. */
final class MeetingWallsTest extends TestCase
{
    private House $house;

    /** A box of 12 by 8 m, 300 thick; one inner wall 100 thick across it at x = 4000, and one from it eastwards at y = 4000. */
    protected function setUp(): void
    {
        $this->house = House::box();
        $this->inner([[4000, 200], [4000, 7800]]);
        $this->inner([[4000, 4000], [11800, 4000]]);
    }

    public function test_a_wall_that_meets_another_is_known_on_either_side_of_it(): void
    {
        [$south, $across, $east] = [$this->house->body(0), $this->house->body(4), $this->house->body(5)];
        // the south wall runs from west to east seen from outside; from inside meets it at 3950 to 4050
        $a = Meeting::abutments($this->house->design, $south);
        self::assertCount(1, $a);
        self::assertEqualsWithDelta([3950.0, 4050.0, 0.0, 7200.0], [$a[0]->from, $a[0]->to, $a[0]->foot, $a[0]->head], 1e-6);
        self::assertTrue($a[0]->inside);
        // the inner wall runs northwards from the inner face of the south wall, at y = 300, so that its outer face looks east, from where
        // the other comes at y = 3950 to 4050
        $b = Meeting::abutments($this->house->design, $across);
        self::assertCount(1, $b);
        self::assertEqualsWithDelta([3650.0, 3750.0], [$b[0]->from, $b[0]->to], 1e-6);
        self::assertFalse($b[0]->inside);
        self::assertSame([], Meeting::abutments($this->house->design, $east));
    }

    public function test_an_opening_into_the_end_of_a_wall_is_found_from_inside_and_outside(): void
    {
        $type = $this->house->type('W-03')->id; // 1200 wide
        $this->house->place(['left' => 3000, 'type' => $type]);
        $finding = $this->one('opening.across_wall', 0);
        self::assertEqualsWithDelta(100.0, $finding->figure, 1e-6, 'all of the 100 that the wall is thick');
        self::assertStringContainsString('on the inside', $finding->sentence);
        // to the left by 3000 + 1200 − 3950, which is less than to the right
        $this->doRemedy($finding, 'Move 250 to the left', 0);

        $door = $this->house->place(
            ['left' => 2900, 'width' => 800, 'type' => $this->house->type('D-01')->id, 'sill' => ['from' => 'floor', 'height' => 0]],
            wall: 4,
        );
        $finding = $this->one('opening.across_wall', 4);
        self::assertEqualsWithDelta(50.0, $finding->figure, 1e-6);
        self::assertStringContainsString('on the outside', $finding->sentence);
        // off it, and the nib of 200 beside a door
        $this->doRemedy($finding, 'Move 250 to the left', 4);
        self::assertEqualsWithDelta(3650.0 - 200.0, $this->house->placed($door->id)->right, 1e-6);
    }

    public function test_a_nib_is_counted_from_a_wall_that_meets(): void
    {
        $this->house->place(
            ['left' => 3800, 'width' => 800, 'type' => $this->house->type('D-01')->id, 'sill' => ['from' => 'floor', 'height' => 0]],
            wall: 4,
        );
        $finding = $this->one('door.nib', 4);
        self::assertEqualsWithDelta(50.0, $finding->figure, 1e-6);
        $this->doRemedy($finding, 'Move 150 to the right', 4);
    }

    public function test_both_faces_and_the_nibs_beside_them_are_caught_on(): void
    {
        $names = [];
        foreach (Catches::of($this->house->design, $this->house->body(4), [])['upright'] as $line) {
            $names[(string) round($line->at)] = $line->name;
        }
        self::assertStringStartsWith('left face of ', $names['3650']);
        self::assertStringStartsWith('right face of ', $names['3750']);
        self::assertStringStartsWith('nib of 200 from ', $names['3450']);
        self::assertStringStartsWith('nib of 200 from ', $names['3950']);
        // from the corner's inner face
        self::assertSame(
            '150 from the return',
            array_column(
                array_map(static fn ($c): array => $c->toArray(), Catches::of($this->house->design, $this->house->body(0), [])['upright']),
                'name',
                'at',
            )[450] ?? null,
        );
    }

    public function test_a_leaf_that_strikes_a_wall_opens_only_so_far(): void
    {
        $door = $this->house->place(
            ['left' => 1000, 'width' => 900, 'type' => $this->house->type('D-01')->id, 'sill' => ['from' => 'floor', 'height' => 0]],
            wall: 4,
        );
        self::assertSame([], $this->rules(4));
        // a wall 100 thick stands along the door, 500 before either face, as far as the door reaches
        foreach ([4050 + 500, 3950 - 600] as $x) {
            $this->inner([[$x + 50, 1000], [$x + 50, 2300]]);
        }
        $finding = $this->one('leaf.swing', 4);
        $unit = Solved::in($this->house->design->type((string) $door->type), $door);
        $leaf = $unit->lights[0]->leaves[0] ?? throw new \LogicException('A door has a leaf.');
        [$x0, , $x1] = $leaf->contour->bounds();
        // its edge goes round its hinge at the face it opens to; the struck face lies 500 beyond the wall's
        $behind = $leaf->motion->z + $door->setback;
        foreach ([true, false] as $inward) {
            $away = $inward ? 100.0 - $behind + 500.0 : $behind + 500.0;
            $angles[] = rad2deg(asin(min(1.0, $away / ($x1 - $x0))));
        }
        self::assertEqualsWithDelta(
            0.0,
            min(abs($finding->figure - $angles[0]), abs($finding->figure - $angles[1])),
            0.5,
            "$finding->figure against ".implode(' or ', $angles),
        );
        // further away than the leaf is wide nothing is struck
        $free = House::box();
        $free->do(
            'outline.draw',
            [
                'points' => [[4000, 200], [4000, 7800]], 'thickness' => 100, 'closed' => false, 'inner' => true,
                'base' => $free->storey(0), 'top' => $free->storey(1),
            ],
        );
        $free->place(
            ['left' => 1000, 'width' => 900, 'type' => $free->type('D-01')->id, 'sill' => ['from' => 'floor', 'height' => 0]],
            wall: 4,
        );
        self::assertSame([], array_map(static fn (Finding $f): string => $f->rule, Findings::of($free->design, $free->body(4))));
    }

    public function test_doors_off_their_floor_and_openings_across_one_are_found_by_any_figure(): void
    {
        foreach ([301.0, 1000.0, 45.0] as $off) {
            $house = House::box();
            $house->place(['left' => 2000, 'type' => $house->type('D-01')->id, 'sill' => ['from' => 'floor', 'height' => $off]]);
            $found = array_values(array_filter(
                Findings::of($house->design, $house->body()),
                static fn (Finding $f): bool => $f->rule === 'door.floating',
            ));
            self::assertEqualsWithDelta($off, $found[0]->figure ?? 0.0, 1e-6);
        }
        // storeys of 3600: sill at 3000, head at 4450, so 600 under the floor over it and 850 over it
        $house = House::box();
        $house->place([
            'left' => 2000, 'width' => 1200, 'height' => 1450, 'type' => $house->type('W-03')->id,
            'sill' => ['from' => 'floor', 'height' => 3000],
        ]);
        $found = array_values(array_filter(
            Findings::of($house->design, $house->body()),
            static fn (Finding $f): bool => $f->rule === 'opening.across_floor',
        ));
        self::assertCount(1, $found);
        self::assertEqualsWithDelta(600.0, $found[0]->figure, 1e-6);
        self::assertSame('Move 600 up', $found[0]->remedy?->label);
        // up to the floor is not across it
        $house = House::box();
        $house->place(['left' => 2000, 'width' => 1200, 'height' => 1450, 'sill' => ['from' => 'floor', 'height' => 2150]]);
        self::assertSame([], Findings::of($house->design, $house->body()));
    }

    public function test_margins_are_counted_from_the_inner_face_of_the_return(): void
    {
        // 150 from the outer corner of a wall whose neighbour is 300 thick: 150 inside it
        $this->house->place(['left' => 150, 'type' => $this->house->type('W-03')->id]);
        $finding = $this->one('opening.in_return', 0);
        self::assertEqualsWithDelta(150.0, $finding->figure, 1e-6);
        $this->doRemedy($finding, 'Move 300 to the right', 0);
        // at a re-entrant corner the outer face is the shorter one
        $house = House::box();
        $house->do('outline.recess', ['wall' => $house->wall(0)->id, 'from' => 4000, 'to' => 8000, 'depth' => 1000]);
        foreach ($house->design->walls as $wall) {
            $body = Bodies::one($house->design, $wall);
            if (abs($body->length - 4000.0) < 1 && abs($wall->from->y - 1000.0) < 1) {
                self::assertEqualsWithDelta(
                    [0.0, 4000.0],
                    [
                        Meeting::clearEnd($house->design, $body, 0.0, 2000.0, false),
                        Meeting::clearEnd($house->design, $body, 0.0, 2000.0, true),
                    ],
                    1e-6,
                );

                return;
            }
        }
        self::fail('There is a wall set back.');
    }

    /** @param  list<array{int, int}>  $points */
    private function inner(array $points): void
    {
        $this->house->do(
            'outline.draw',
            [
                'points' => $points, 'thickness' => 100, 'closed' => false, 'inner' => true,
                'base' => $this->house->storey(0), 'top' => $this->house->storey(1),
            ],
        );
    }

    /** @return list<string> */
    private function rules(int $wall): array
    {
        return array_map(static fn (Finding $f): string => $f->rule, Findings::of($this->house->design, $this->house->body($wall)));
    }

    private function one(string $rule, int $wall): Finding
    {
        $found = array_values(array_filter(
            Findings::of($this->house->design, $this->house->body($wall)),
            static fn (Finding $f): bool => $f->rule === $rule,
        ));
        self::assertCount(1, $found, $rule.' among '.implode(', ', $this->rules($wall)));

        return $found[0];
    }

    private function doRemedy(Finding $finding, string $label, int $wall): void
    {
        self::assertSame($label, $finding->remedy?->label);
        $this->house->do($finding->remedy->edit, $finding->remedy->args);
        self::assertSame([], $this->rules($wall), 'nothing is left after the remedy');
    }
}
