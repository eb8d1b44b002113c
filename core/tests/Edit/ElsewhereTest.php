<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Joint;
use Isleward\Core\Design\Opening;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** Openings on other walls, walls that move, and walls between rooms; a house 12 000 by 8000, walls 300 thick. */
final class ElsewhereTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        $this->house = House::box(heights: [3600, 3000]);
    }

    public function test_a_copy_keeps_its_way_of_measuring_on_another_wall(): void
    {
        $centred = $this->place(['position' => ['from' => 'middle', 'value' => 0, 'to' => 'centre']]);
        $copy = $this->copied(['ids' => [$centred], 'walls' => [$this->house->wall(1)->id]]);
        self::assertSame('middle', $copy->position->along->from->value);
        self::assertEqualsWithDelta((8000 - 1200) / 2, $this->house->placed($copy->id)->left, 1e-9, 'in the middle of the shorter wall');
        self::assertEqualsWithDelta(900, $this->house->placed($copy->id)->sill, 1e-9);
        $opposite = $this->copied(['ids' => [$centred], 'walls' => 'opposite']);
        self::assertSame($this->house->wall(2)->id, $opposite->host);
        $tooFar = $this->place(['left' => 9000]);
        $change = $this->house->try('opening.copy', ['ids' => [$tooFar], 'walls' => [$this->house->wall(1)->id]]);
        self::assertCount(1, $change->misfits, '9000 from the left is beyond a wall of 8000');
    }

    public function test_what_is_picked_up_at_a_point_is_put_down_with_that_point(): void
    {
        $held = $this->place(['left' => 1000]);
        $neighbour = $this->place(['left' => 6000]);
        $put = [
            'host' => $this->house->wall()->id,
            'storey' => $this->house->storey(1),
            'from' => 'opening',
            'ref' => $neighbour,
            'point' => 'centre',
            'value' => 0,
        ];
        $copy = $this->copied(['ids' => [$held], 'pick' => ['opening' => $held, 'point' => 'centre'], 'put' => $put]);
        self::assertEqualsWithDelta(
            [6000, 3600 + 900],
            [$this->house->placed($copy->id)->left, $this->house->placed($copy->id)->sill],
            1e-9,
            'centre over centre, on the storey above',
        );
        $copy = $this->copied(
            [
                'ids' => [$held],
                'pick' => ['opening' => $held, 'point' => 'right'],
                'put' => ['host' => $this->house->wall()->id, 'from' => 'right', 'value' => 500],
            ],
        );
        self::assertEqualsWithDelta(11500, $this->house->placed($copy->id)->right, 1e-9);
    }

    public function test_only_what_is_chosen_is_carried(): void
    {
        $source = $this->place(['left' => 1000, 'width' => 1500, 'height' => 1200, 'sill' => ['from' => 'floor', 'height' => 1050]]);
        $target = $this->place(['left' => 5000], 1);
        $this->house->do('opening.carry', ['from' => $source, 'ids' => [$target], 'settings' => ['width', 'sill']]);
        $now = $this->house->design->opening($target);
        self::assertSame([1500.0, 1450.0], [$now->width, $now->height], 'not the height');
        self::assertEqualsWithDelta(
            [5000, 3600 + 1050],
            [$this->house->placed($target)->left, $this->house->placed($target)->sill],
            1e-9,
            'above its own floor',
        );
        $this->house->do('opening.carry', ['from' => $source, 'ids' => [$target], 'settings' => ['sill', 'head']]);
        self::assertSame(1200.0, $this->house->design->opening($target)->height, 'sill and head together set the height');
    }

    public function test_jambs_line_up_with_the_storey_below(): void
    {
        $this->place(['left' => 3000]);
        $over = $this->place(['left' => 3350, 'width' => 900], 1);
        foreach (['left' => 3000, 'right' => 3300, 'centre' => 3150] as $edge => $left) {
            $this->house->do('opening.align', ['ids' => [$over], 'edge' => $edge, 'to' => 'below']);
            self::assertEqualsWithDelta($left, $this->house->placed($over)->left, 1e-9, $edge);
        }
    }

    public function test_a_wall_is_moved_and_turned_with_its_openings(): void
    {
        $id = $this->place(['left' => 2000]);
        $this->house->do('wall.move', ['wall' => $this->house->wall()->id, 'by' => 1500]);
        self::assertEqualsWithDelta(
            [12000, 9500],
            [$this->house->body(0)->length, $this->house->body(1)->length],
            1e-9,
            'the walls it meets grow',
        );
        self::assertEqualsWithDelta(2000, $this->house->placed($id)->left, 1e-9);
        $wall = $this->house->wall();
        $this->house->do('wall.turn', ['wall' => $wall->id, 'degrees' => 3, 'about' => 'left']);
        $turned = $this->house->design->wall($wall->id);
        self::assertTrue($turned->from->isAt($wall->from));
        self::assertEqualsWithDelta([12000 * cos(deg2rad(3)), -1500 + 12000 * sin(deg2rad(3))], [$turned->to->x, $turned->to->y], 1e-6);
        self::assertTrue($turned->to->isAt($this->house->design->wall($this->house->wall(1)->id)->from), 'the wall it meets follows');
        self::assertEqualsWithDelta(2000, $this->house->placed($id)->left, 1e-9);
    }

    public function test_a_wall_is_built_again_on_a_storey_it_does_not_reach(): void
    {
        $shed = $this->house->do(
            'outline.draw',
            [
                'rectangle' => ['x' => 20000, 'width' => 6000, 'depth' => 4000],
                'thickness' => 300,
                'base' => $this->house->storey(0),
                'top' => $this->house->storey(0),
            ],
        )->chosen[0];
        $wall = $this->house->design->wallsOf($shed)[0];
        $this->house->do(
            'opening.place',
            [
                'host' => $wall->id,
                'storey' => $this->house->storey(0),
                'type' => $this->house->type('W-03')->id,
                'position' => ['from' => 'left', 'value' => 1000, 'to' => 'near'],
            ],
        );
        $before = [count($this->house->design->walls), count($this->house->design->openings)];
        $this->house->do('wall.stack', ['walls' => [$wall->id], 'from' => $this->house->storey(0), 'storeys' => [$this->house->storey(1)]]);
        self::assertSame([$before[0] + 1, $before[1] + 1], [count($this->house->design->walls), count($this->house->design->openings)]);
        $built = array_values(
            array_filter($this->house->design->walls, fn ($w): bool => $w->base === $this->house->storey(1) && $w->from->x >= 20000),
        )[0] ?? null;
        self::assertNotNull($built);
    }

    public function test_an_inner_wall_stops_at_the_faces_it_ends_in_and_is_measured_between_them(): void
    {
        $this->house->do(
            'outline.draw',
            [
                'points' => [[6000, 0], [6000, 8000]],
                'closed' => false,
                'inner' => true,
                'thickness' => 100,
                'base' => $this->house->storey(0),
                'top' => $this->house->storey(0),
            ],
        );
        $body = Bodies::of($this->house->design)[$this->house->wall(4)->id];
        self::assertSame([Joint::Tee, Joint::Tee], [$body->left->joint, $body->right->joint]);
        self::assertEqualsWithDelta(8000 - 2 * 300, $body->end() - $body->start(), 1e-6, 'clear between the outer walls');
        $door = $this->house->place(['left' => 200, 'type' => $this->house->type('D-01')->id], wall: 4);
        self::assertEqualsWithDelta($body->start() + 200, $this->house->placed($door->id)->left, 1e-6);
        try {
            $this->house->place(['left' => 7400, 'type' => $this->house->type('D-01')->id], wall: 4);
            self::fail('It was placed in the outer wall.');
        } catch (Refusal $refusal) {
            self::assertSame('opening.off_wall', $refusal->reason);
        }
    }

    public function test_the_inner_face_of_an_outer_wall_begins_a_thickness_in(): void
    {
        $id = $this->place(['position' => ['from' => 'left', 'value' => 1000, 'to' => 'near', 'face' => 'inner']]);
        self::assertEqualsWithDelta(1300, $this->house->placed($id)->left, 1e-9, 'the corners are mitred: 300 in from the outer one');
        $this->house->do('opening.change', ['id' => $id, 'measure' => ['from' => 'right', 'face' => 'outer']]);
        self::assertEqualsWithDelta(1300, $this->house->placed($id)->left, 1e-9, 'measured another way it stays where it is');
        self::assertEqualsWithDelta(12000 - 1300 - 1200, $this->house->design->opening($id)->position->along->value, 1e-9);
    }

    /** @param  array<string, mixed>  $args */
    private function place(array $args, int $storey = 0): string
    {
        return $this->house->place($args + ['type' => $this->house->type('W-03')->id], storey: $storey)->id;
    }

    /** @param  array<string, mixed>  $args */
    private function copied(array $args): Opening
    {
        $id = $this->house->do('opening.copy', $args)->chosen[0];

        return $this->house->design->opening($id);
    }
}
