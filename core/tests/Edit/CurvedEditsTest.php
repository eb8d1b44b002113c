<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Joint;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Bend;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CurvedEditsTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        $this->house = House::box(12000, 8000, 300, [3600, 3600]);
    }

    /** @param  array<string, mixed>  $args */
    private function draw(array $args): Wall
    {
        $this->house->do('outline.draw', $args + [
            'closed' => false, 'thickness' => 300, 'base' => $this->house->storey(0), 'top' => $this->house->storey(0),
        ]);
        $walls = array_values($this->house->design->walls);

        return $walls[count($walls) - 1];
    }

    /** @param  array<string, mixed>  $args */
    private function refusal(string $edit, array $args): string
    {
        try {
            $this->house->try($edit, $args)->requireDoable();
        } catch (Refusal $e) {
            return str_replace("\u{202f}", ' ', str_replace("\u{a0}", ' ', $e->getMessage()));
        }
        self::fail("$edit was not refused.");
    }

    /** @return iterable<string, array{array<string, mixed>, float, Bend}> chord 8000, so radius 5000 rises 2000, and so on */
    public static function ways(): iterable
    {
        yield 'through a point' => [['through' => [34000, -2000]], 2000.0, Bend::Rise];
        yield 'through a point on the left' => [['through' => [34000, 2000]], -2000.0, Bend::Rise];
        yield 'by rise' => [['rise' => '2 m'], 2000.0, Bend::Rise];
        yield 'by radius' => [['radius' => 5000], 2000.0, Bend::Radius];
        yield 'by radius to the left' => [['radius' => -5000], -2000.0, Bend::Radius];
        yield 'the long way round' => [['radius' => 5000, 'major' => true], 8000.0, Bend::Radius];
        yield 'by angle' => [['angle' => rad2deg(2 * asin(0.8))], 2000.0, Bend::Angle];
        yield 'by arc length' => [['length' => 2 * 5000 * asin(0.8)], 2000.0, Bend::Length];
    }

    /** @param  array<string, mixed>  $how */
    #[DataProvider('ways')]
    public function test_a_stretch_is_drawn_as_an_arc(array $how, float $rise, Bend $keeps): void
    {
        $wall = $this->draw(['points' => [[30000, 0], ['x' => 38000, 'y' => 0] + $how]]);
        self::assertEqualsWithDelta($rise, $wall->rise, 1e-6);
        self::assertSame($keeps, $wall->keeps);
    }

    public function test_an_arc_runs_on_from_the_stretch_before(): void
    {
        $wall = $this->draw(['points' => [[30000, 0], [36000, 0], ['x' => 39000, 'y' => 3000, 'tangent' => true]]]);
        self::assertEqualsWithDelta(3000.0, abs($wall->surface()->radius()), 1e-6);
        self::assertEqualsWithDelta(0.0, $wall->surface()->tangent(0.0)->y, 1e-9);
        self::assertSame(Joint::Flush, Bodies::of($this->house->design)[$wall->id]->left->joint);

        // with its radius and the angle it turns by, its end follows: a quarter to the right
        $wall = $this->draw(['points' => [[50000, 0], [56000, 0], ['tangent' => true, 'radius' => -2000, 'angle' => 90]]]);
        self::assertEqualsWithDelta([58000.0, -2000.0], [$wall->to->x, $wall->to->y], 1e-6);
        self::assertLessThan(0.0, $wall->rise);
    }

    /** Whichever way a closed outline is drawn, its arcs bulge the way they did in the drawing. */
    public function test_a_closed_outline_keeps_its_bulges_and_has_its_outside_outside(): void
    {
        foreach ([
            [[30000, 0], ['x' => 38000, 'y' => 0, 'through' => [34000, -1500]], [38000, 6000], [30000, 6000]],
            [[30000, 0], [30000, 6000], [38000, 6000], [38000, 0]],
        ] as $i => $points) {
            $this->draw(['points' => $points, 'closed' => true] + ($i === 1 ? ['closing' => ['through' => [34000, -1500]]] : []));
            $arcs = array_values(array_filter($this->house->design->walls, static fn (Wall $w): bool => $w->isCurved()));
            self::assertEqualsWithDelta(1500.0, $arcs[$i]->rise, 1e-6, 'outward both times');
        }
    }

    public function test_what_an_arc_keeps_stays_when_its_end_moves(): void
    {
        foreach (Bend::cases() as $keeps) {
            $house = House::box(12000, 8000, 300, [3600]);
            $house->do('wall.bend', ['wall' => $house->wall(0)->id, 'rise' => 1800, 'keeps' => $keeps->value]);
            $before = $house->wall(0)->face();
            $house->do('wall.move', ['wall' => $house->wall(1)->id, 'by' => 700]);
            $after = $house->wall(0)->face();
            $figures = static fn ($arc): array => [
                'rise' => abs($arc->rise()), 'radius' => $arc->rx, 'angle' => $arc->sweep, 'length' => $arc->length(),
            ];
            self::assertNotEqualsWithDelta($before->start()->distanceTo($before->end()), $after->start()->distanceTo($after->end()), 1.0);
            foreach ($figures($after) as $name => $figure) {
                $same = abs($figure - $figures($before)[$name]) < 1e-6;
                self::assertSame($name === $keeps->value, $same, "$name while it keeps its {$keeps->value}");
            }
        }
    }

    public function test_every_figure_of_the_card_bends_the_wall_and_openings_keep_their_rules(): void
    {
        $house = $this->house;
        $wall = $house->wall(0)->id;
        $opening = $house->place(['type' => $house->type('W-03')->id, 'position' => ['from' => 'middle', 'value' => 0, 'to' => 'centre']]);
        $figures = [
            ['rise' => 1500], ['radius' => 9000], ['length' => 13000], ['angle' => 70], ['outward' => false], ['chord' => 11000],
        ];
        foreach ($figures as $args) {
            $house->do('wall.bend', ['wall' => $wall] + $args);
            $body = $house->body();
            $arc = $body->surface->foot;
            self::assertEqualsWithDelta(
                (float) (array_values($args)[0] === false ? -1 : array_values($args)[0]),
                match (array_key_first($args)) {
                    'rise' => $arc->rise(),
                    'radius' => $body->surface->radius(),
                    'length' => $body->length,
                    'angle' => rad2deg(abs($arc->sweep)),
                    'outward' => $body->surface->radius() <=> 0,
                    'chord' => $arc->start()->distanceTo($arc->end()),
                },
                1e-6,
            );
            $placed = Places::in($house->design)->opening($opening->id);
            self::assertEqualsWithDelta($body->length / 2, $placed->middle(), 1e-6, 'it stays in the middle');
            $jambs = [$placed->inPlan($body->surface, 0.0), $placed->inPlan($body->surface, 1200.0)];
            self::assertEqualsWithDelta(1200.0, $jambs[0]->distanceTo($jambs[1]), 1e-6);
        }
        $house->do('wall.bend', ['wall' => $wall, 'rise' => 0]);
        self::assertFalse($house->design->wall($wall)->isCurved());
    }

    public function test_corners_are_rounded_and_openings_stay_where_they_are(): void
    {
        $house = $this->house;
        $opening = $house->place(['type' => $house->type('W-03')->id, 'left' => 4000]);
        $before = $house->body()->surface->inPlan($house->placed($opening->id)->left);
        $house->do('outline.round', ['outline' => $house->wall()->outline, 'radius' => 2000]);
        $walls = array_values($house->design->wallsOf($house->wall()->outline));
        self::assertCount(8, $walls);
        $own = Bodies::of($house->design)[$house->design->opening($opening->id)->host];
        $after = $own->surface->inPlan($house->placed($opening->id)->left);
        self::assertEqualsWithDelta(0.0, $before->distanceTo($after), 1e-6);
        foreach ($walls as $i => $wall) {
            self::assertSame($i % 2 === 0, $wall->isCurved());
            self::assertSame(Joint::Flush, Bodies::of($house->design)[$wall->id]->left->joint);
        }
        self::assertEqualsWithDelta(8 * 2000 / 2 * M_PI / 2 + 2 * 8000 + 2 * 4000, array_sum(array_map(
            static fn (Wall $w): float => $w->face()->length(),
            $walls,
        )), 1e-6, 'rounded rectangle: 2(a + b) − 8r + 2πr');
        self::assertStringContainsString('curved already', $this->refusal('outline.round', [
            'outline' => $walls[0]->outline, 'radius' => 500, 'walls' => [$walls[1]->id],
        ]));
    }

    /** A law: a wall bent, and bent back, has its openings where they were. */
    public function test_bending_and_straightening_leaves_all_rules_as_they_were(): void
    {
        $house = $this->house;
        foreach ([['from' => 'left', 'value' => 900, 'to' => 'near'], ['from' => 'right', 'value' => 900, 'to' => 'near'],
            ['from' => 'fraction', 'value' => 0.4, 'to' => 'centre']] as $position) {
            $house->place(['type' => $house->type('W-03')->id, 'position' => $position]);
        }
        $was = array_map(static fn ($o): float => $house->placed($o->id)->left, $house->design->openings);
        $house->do('wall.bend', ['wall' => $house->wall()->id, 'radius' => 8000]);
        foreach ($house->design->openings as $opening) {
            self::assertGreaterThan(1200.0, $house->placed($opening->id)->right - $house->placed($opening->id)->left);
        }
        $house->do('wall.bend', ['wall' => $house->wall()->id, 'rise' => 0]);
        self::assertEqualsWithDelta($was, array_map(static fn ($o): float => $house->placed($o->id)->left, $house->design->openings), 1e-6);
    }

    public function test_openings_are_arranged_along_the_arc(): void
    {
        $house = $this->house;
        $house->do('wall.bend', ['wall' => $house->wall()->id, 'radius' => 7000]);
        $length = $house->body()->length;
        $ids = [];
        foreach ([1000, 4000, 9000] as $left) {
            $ids[] = $house->place(['type' => $house->type('W-03')->id, 'left' => $left])->id;
        }
        $house->do('opening.space', ['ids' => $ids, 'between' => 'ends']);
        $placed = array_map($house->placed(...), $ids);
        $gaps = [$placed[0]->left, $placed[1]->left - $placed[0]->right, $placed[2]->left - $placed[1]->right, $length - $placed[2]->right];
        self::assertEqualsWithDelta(array_fill(0, 4, $gaps[0]), $gaps, 1e-6, 'equal along the arc');
        // onto a straight wall and back again by the same rules
        $house->do('opening.copy', ['ids' => [$ids[1]], 'walls' => [$house->wall(2)->id]]);
        $copies = $house->design->openingsOf($house->wall(2)->id);
        self::assertSame($house->design->opening($ids[1])->width, array_values($copies)[0]->width);
        $house->do('opening.change', ['id' => $ids[0], 'leftJamb' => 400]);
        $house->do('opening.mirror', ['ids' => $ids, 'about' => 'middle']);
        self::assertEqualsWithDelta($length - 400, $house->placed($ids[0])->right, 1e-6);
    }

    public function test_what_cannot_be_is_refused_with_figures_and_nothing_is_lost(): void
    {
        $house = $this->house;
        $wall = $house->wall()->id;
        $design = $house->design;
        self::assertStringContainsString(
            'under half the chord of 12 000',
            $this->refusal('wall.bend', ['wall' => $wall, 'radius' => 5000]),
        );
        self::assertStringContainsString('360° was given', $this->refusal('wall.bend', ['wall' => $wall, 'angle' => 360]));
        self::assertStringContainsString('no longer than its chord', $this->refusal('wall.bend', ['wall' => $wall, 'length' => 11000]));
        self::assertStringContainsString('cross or touch', $this->refusal('wall.bend', ['wall' => $wall, 'rise' => -8200]));
        self::assertStringContainsString('takes 10 000 of a side that is 8 000', $this->refusal('outline.round', [
            'outline' => $house->wall()->outline, 'radius' => 5000,
        ]));
        self::assertStringContainsString('cannot be bent to a radius of 250', $this->refusal('outline.draw', [
            'points' => [[30000, 0], ['x' => 30400, 'y' => 0, 'radius' => 250]], 'closed' => false, 'thickness' => 300,
            'base' => $house->storey(0), 'top' => $house->storey(0),
        ]));
        self::assertSame($design, $house->design);

        // an opening wider than the arc allows, and an arc too narrow for an opening
        $house->do('wall.bend', ['wall' => $wall, 'radius' => 6500]);
        self::assertStringContainsString('12 39', $this->refusal('opening.place', [
            'host' => $wall, 'storey' => $house->storey(0), 'width' => 12500, 'height' => 1000,
            'position' => ['from' => 'middle', 'value' => 0, 'to' => 'centre'],
        ]));
        $house->do('wall.bend', ['wall' => $house->wall(1)->id, 'radius' => 4000]);
        $door = $house->place(['width' => 5000, 'height' => 2000, 'position' => ['from' => 'middle', 'value' => 0, 'to' => 'centre']], 1);
        self::assertStringContainsString('5 000 wide with parallel jambs', $this->refusal('wall.change', [
            'walls' => [$house->wall(1)->id], 'thickness' => 1600,
        ]));
        self::assertNotNull($house->design->opening($door->id));
    }

    public function test_only_fixed_lights_bend(): void
    {
        $house = $this->house;
        $house->do('wall.bend', ['wall' => $house->wall()->id, 'radius' => 7000]);
        $hung = $house->place(['type' => $house->type('W-03')->id, 'left' => 1000]);
        self::assertStringContainsString('only fixed ones bend', $this->refusal('opening.change', ['id' => $hung->id, 'jambs' => 'bent']));
        $fixed = $house->place(['type' => $house->type('W-01')->id, 'left' => 4000]);
        $house->do('opening.change', ['id' => $fixed->id, 'jambs' => 'bent']);
        self::assertEqualsWithDelta(900.0, $house->placed($fixed->id)->right - $house->placed($fixed->id)->left, 1e-9);
        // the project's default may change as long as all of them go through their walls so
        $house->do('settings.change', ['jambs' => 'radial']);
        self::assertGreaterThan(1200.0 + 1.0, $house->placed($hung->id)->right - $house->placed($hung->id)->left);
        self::assertTrue($house->refuses('settings.change', ['jambs' => 'bent']));
    }
}
