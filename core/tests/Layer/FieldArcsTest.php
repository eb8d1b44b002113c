<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Layer;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontages;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Solid;
use Isleward\Core\Layer\FieldParts;
use Isleward\Core\Layer\FieldPieces;
use Isleward\Core\Layer\FieldSchedule;
use Isleward\Core\Layer\FieldsDrawn;
use Isleward\Core\Layer\FieldSolids;
use Isleward\Core\Layer\FieldsOn;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\ClosedSolids;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** Battens before an arc of radius 9 000 over 80° (12 566 along it), 300 thick and 3 600 high: straight where they stand, else bent. */
final class FieldArcsTest extends TestCase
{
    use ClosedSolids;

    private House $house;

    private string $wall;

    private function stand(bool $hollow = false): void
    {
        $this->house = House::box(12000, 8000, 300, [3600]);
        $half = deg2rad(40);
        $point = static fn (float $a): array => [20000 + 9000 * sin($a), -9000 * cos($a)];
        $this->house->do('outline.draw', [
            'points' => [$point(-$half), ['through' => $point(0.0), 'x' => $point($half)[0], 'y' => $point($half)[1]]],
            'closed' => false, 'outside' => $hollow ? 'left' : 'right', 'thickness' => 300, 'base' => $this->house->storey(0),
            'top' => $this->house->storey(0),
        ]);
        $this->wall = (string) array_key_last($this->house->design->walls);
    }

    /** @param  array<string, mixed>  $args */
    private function fill(array $args): FieldPieces
    {
        $id = $this->house->do('field.fill', $args + [
            'wall' => $this->wall, 'storey' => $this->house->storey(0), 'region' => [[2000, 500], [5000, 500], [5000, 2500], [2000, 2500]],
        ])->chosen[0];

        return FieldsOn::in($this->house->design)->of(FieldsOn::field($this->house->design, $id));
    }

    private function body(): Body
    {
        return Bodies::of($this->house->design)[$this->wall];
    }

    /** @return list<array{float, float}> corners of a solid in plan, from the middle of the arc */
    private function inPlan(Solid $solid): array
    {
        $start = $this->body()->surface->start();

        return array_map(
            static fn (array $p): array => [$p[0] + $start->x - 20000, $start->y - $p[2]], array_chunk($solid->mesh(0.05)->positions, 3),
        );
    }

    public function test_upright_ones_stand_straight_and_square_to_the_arc(): void
    {
        $this->stand();
        foreach ([
            ['shape' => 'round', 'wide' => 50], ['shape' => 'flat', 'wide' => 40, 'deep' => 60],
            ['shape' => 'tee', 'wide' => 60, 'deep' => 80, 'web' => 6, 'turn' => 20],
        ] as $args) {
            $pieces = $this->fill($args + ['out' => 100, 'battens' => ['by' => 'pitch', 'size' => 300]]);
            $section = $pieces->field->section()->area();
            foreach (array_keys($pieces->pieces) as $i) {
                $solid = FieldSolids::batten($pieces, $i);
                self::assertEqualsWithDelta(2000 * $section, $solid->volume(), 2000 * $section * 1e-9);
                self::assertClosed($mesh = $solid->mesh(0.01));
                self::assertEqualsWithDelta($solid->volume(), $mesh->volume(), $solid->volume() * 2e-3);
                $far = array_map(static fn (array $p): float => hypot(...$p), $this->inPlan($solid));
                // its back, 100 before the face, is square to the radius at its middle; its front is its depth farther out
                self::assertEqualsWithDelta(9100.0, min($far), 0.5);
                self::assertEqualsWithDelta(9100.0 + $pieces->field->reach(), max($far), 0.5);
            }
            $this->house->do('field.remove', ['ids' => [$pieces->field->id]]);
        }
    }

    /** Level ones 40 high and 60 deep from 100 out: θ · (9 160² − 9 100²) / 2 · 40, θ = 3 000 / 9 000; cut 9 160 · θ long. */
    public function test_level_flat_ones_are_bent_to_it(): void
    {
        $this->stand();
        $pieces = $this->fill(['angle' => 90, 'wide' => 40, 'deep' => 60, 'out' => 100, 'battens' => ['by' => 'pitch', 'size' => 400]]);
        $theta = 3000 / 9000;
        foreach (array_keys($pieces->pieces) as $i) {
            $solid = FieldSolids::batten($pieces, $i);
            $wanted = $theta * (9160 ** 2 - 9100 ** 2) / 2 * 40;
            self::assertEqualsWithDelta($wanted, $solid->volume(), $wanted * 1e-9);
            self::assertClosed($mesh = $solid->mesh(0.01));
            self::assertEqualsWithDelta($wanted, $mesh->volume(), $wanted * 1e-4);
            self::assertEqualsWithDelta(9160 * $theta, $pieces->lengths[$i], 1e-6);
        }
        $rows = (new FieldSchedule)->rows(
            $this->house->design, Bodies::of($this->house->design),
            Frontages::of($this->house->design, Bodies::of($this->house->design)),
        );
        $cuts = array_map(static fn ($r): string => (string) $r->values['cut'], $rows);
        self::assertSame(['square, bent'], array_values(array_unique($cuts)));

        // before a hollow face they are shorter in front: 8 900 and 8 840 from the middle
        $this->stand(hollow: true);
        $pieces = $this->fill(['angle' => 90, 'wide' => 40, 'deep' => 60, 'out' => 100]);
        self::assertEqualsWithDelta($theta * (8900 ** 2 - 8840 ** 2) / 2 * 40, FieldSolids::batten($pieces, 0)->volume(), 1.0);
        self::assertEqualsWithDelta(8900 * $theta, $pieces->lengths[0], 1e-6);
    }

    public function test_slanting_ones_and_frames_stay_closed(): void
    {
        mt_srand(90);
        $this->stand();
        for ($round = 0; $round < 12; $round++) {
            $pieces = $this->fill([
                'angle' => mt_rand(5, 175), 'wide' => mt_rand(20, 80), 'deep' => mt_rand(20, 120), 'out' => mt_rand(-200, 300),
                'frameWide' => $round % 2 * 40, 'battens' => ['by' => 'pitch', 'size' => 350],
            ]);
            $sum = $meshed = 0.0;
            foreach (FieldSolids::all($pieces) as $solid) {
                self::assertClosed($mesh = $solid->mesh(0.005));
                $sum += $solid->volume();
                $meshed += $mesh->volume();
            }
            self::assertEqualsWithDelta($sum, $meshed, $sum * 1e-3);
            self::assertCount(1, iterator_to_array((new FieldParts)->parts($this->house->design, $this->body()), false));
            $this->house->do('field.remove', ['ids' => [$pieces->field->id]]);
        }
    }

    /** A plan 1 200 over the floor: every upright one where its solid stands, with the area of its section. */
    public function test_a_plan_cuts_them_where_they_stand(): void
    {
        $this->stand();
        $pieces = $this->fill(['wide' => 40, 'deep' => 60, 'out' => 100, 'battens' => ['by' => 'pitch', 'size' => 500]]);
        $drawn = (new FieldsDrawn)->plan($this->house->design, $this->body(), $this->house->storey(0), 180.0)[$pieces->field->id];
        self::assertCount(count($pieces->pieces), $drawn);
        foreach ($drawn as $i => $shape) {
            self::assertEqualsWithDelta(2400.0, abs(Region::signedArea($shape->rings[0])), 1e-6);
            foreach (array_chunk($shape->rings[0], 2) as [$x, $y]) {
                $solid = FieldSolids::batten($pieces, $i);
                self::assertLessThan(1e-6, min(array_map(
                    static fn (array $p): float => hypot($p[0] + 20000 - $x, $p[1] - $y), $this->inPlan($solid),
                )));
            }
        }
        $level = $this->fill(['angle' => 90, 'wide' => 400, 'deep' => 60, 'out' => 300, 'battens' => ['by' => 'count', 'count' => 1],
            'region' => [[2000, 1000], [5000, 1000], [5000, 1400], [2000, 1400]]]);
        $bent = (new FieldsDrawn)->plan($this->house->design, $this->body(), $this->house->storey(0), 180.0)[$level->field->id];
        self::assertCount(1, array_filter($bent, static fn (Shape $s): bool => $s->curves !== []));
    }

    public function test_what_an_arc_does_not_hold_is_refused(): void
    {
        $this->stand(hollow: true);
        foreach ([
            'field.bent' => ['angle' => 90, 'shape' => 'round', 'wide' => 40],
            'field.past_centre' => ['wide' => 40, 'out' => 8700],
        ] as $code => $args) {
            try {
                $this->fill($args);
                self::fail("$code was not refused.");
            } catch (Refusal $why) {
                self::assertSame($code, $why->reason);
            }
        }
    }
}
