<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Roof;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\Rooflights;
use Isleward\Core\Roof\Roofs;
use Isleward\Core\Roof\RoofShape;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** A roof over several outlines together is the roof over one outline drawn round all of them. */
final class JoinedRoofsTest extends TestCase
{
    /** @return array{House, list<string>} a house, and beside it the outlines of these rectangles: x, y, width, depth */
    private static function rectangles(float ...$figures): array
    {
        $house = House::box(9000, 7000, 300, [3000]);
        $outlines = [$house->wall()->outline];
        foreach (array_chunk($figures, 4) as [$x, $y, $width, $depth]) {
            $house->do('outline.draw', [
                'points' => [[$x, $y], [$x + $width, $y], [$x + $width, $y + $depth], [$x, $y + $depth]], 'closed' => true,
                'base' => $house->storey(0), 'top' => $house->storey(0), 'thickness' => 250, 'name' => 'Wing '.count($outlines),
            ]);
            $outlines[] = (string) array_key_last($house->design->outlines);
        }

        return [$house, $outlines];
    }

    /** @param  list<string>  $outlines */
    private static function over(House $house, array $outlines): RoofShape
    {
        $id = $house->do('roof.add', [
            'outline' => $outlines[0], 'also' => array_slice($outlines, 1), 'pitch' => 32, 'overhang' => 300, 'thick' => 200,
        ])->chosen[0];

        return Roofs::in($house->design)->of(Roofs::roof($house->design, $id));
    }

    /** @return array<string, float> sums by what lines are, and the areas */
    private static function figures(RoofShape $shape): array
    {
        $out = ['area' => 0.0, 'plan' => 0.0, 'top' => $shape->top()];
        foreach ($shape->sides as $side) {
            $out['area'] += $side->area();
            $out['plan'] += $side->planArea();
        }
        foreach ($shape->lines as [$what, $p, $q]) {
            $out[$what->value] = ($out[$what->value] ?? 0.0) + hypot(hypot($q[0] - $p[0], $q[1] - $p[1]), $q[2] - $p[2]);
        }
        ksort($out);

        return $out;
    }

    /** A wing that touches, one that reaches in, and one flush with a side make an L, a T and a longer house. */
    public function test_it_is_the_roof_over_what_they_are_together(): void
    {
        foreach ([
            [[9000, 1000, 5000, 4000], [
                [0, 0], [9000, 0], [9000, 1000], [14000, 1000], [14000, 5000], [9000, 5000], [9000, 7000], [0, 7000],
            ]],
            [[2500, 4000, 4000, 7000], [
                [0, 0], [9000, 0], [9000, 7000], [6500, 7000], [6500, 11000], [2500, 11000], [2500, 7000], [0, 7000],
            ]],
            [[9000, 0, 5000, 7000], [[0, 0], [14000, 0], [14000, 7000], [0, 7000]]],
        ] as [$wing, $round]) {
            [$house, $outlines] = self::rectangles(...$wing);
            $joined = self::over($house, $outlines);
            $alone = House::box(9000, 7000, 300, [3000]);
            $alone->do('outline.draw', [
                'points' => array_map(static fn (array $p): array => [$p[0] + 40000, $p[1]], $round), 'closed' => true,
                'base' => $alone->storey(0), 'top' => $alone->storey(0), 'thickness' => 250, 'name' => 'Whole',
            ]);
            $whole = self::over($alone, [(string) array_key_last($alone->design->outlines)]);
            $wanted = self::figures($whole);
            $ours = self::figures($joined);
            self::assertSame(array_keys($wanted), array_keys($ours));
            foreach ($wanted as $what => $figure) {
                self::assertEqualsWithDelta($figure, $ours[$what], max(1.0, $figure * 1e-9), $what);
            }
            self::assertCount(count($joined->slopes()), $joined->solids());
        }
    }

    /**
     * Seeded: three rectangles that overlap anyhow. Sloped alike everywhere, the area is that in plan over the cosine, and over no wall
     * that lies between two of them are there eaves.
     */
    public function test_overlapping_outlines_have_one_roof_without_eaves_between_them(): void
    {
        mt_srand(90125);
        $seen = 0;
        for ($i = 0; $i < 60; $i++) {
            $figures = [];
            for ($k = 0; $k < 2; $k++) {
                array_push($figures, mt_rand(-40, 80) * 100.0, mt_rand(-30, 60) * 100.0, mt_rand(30, 80) * 100.0, mt_rand(30, 80) * 100.0);
            }
            [$house, $outlines] = self::rectangles(...$figures);
            try {
                $shape = self::over($house, $outlines);
            } catch (Refusal $refusal) {
                self::assertContains($refusal->reason, ['roof.apart', 'roof.overhangs_cross', 'roof.in_line'], $refusal->getMessage());

                continue;
            }
            $seen++;
            $now = self::figures($shape);
            self::assertEqualsWithDelta($now['plan'] / cos(deg2rad(32)), $now['area'], 1.0);
            // the eaves run round the whole: as long as what surrounds all faces in plan
            $round = 0.0;
            foreach ($shape->sides as $side) {
                $round += $side->from->distanceTo($side->to);
                $middle = $side->from->plus($side->to)->times(0.5);
                foreach ([[0.0, 0.0, 9000.0, 7000.0], ...array_map(
                    static fn (array $r): array => [$r[0], $r[1], $r[0] + $r[2], $r[1] + $r[3]],
                    array_chunk($figures, 4),
                )] as [$x0, $y0, $x1, $y1]) {
                    self::assertFalse($middle->x > $x0 && $middle->x < $x1 && $middle->y > $y0 && $middle->y < $y1, "case $i");
                }
            }
            self::assertEqualsWithDelta($round, $now['eaves'], 0.1);
        }
        self::assertGreaterThan(30, $seen);
    }

    /** Outlines apart, with a court between them, or open are refused with the reason; one that is removed leaves the others their roof. */
    public function test_what_is_no_whole_is_refused_and_outlines_go_by_themselves(): void
    {
        [$house, $outlines] = self::rectangles(20000, 0, 5000, 5000);
        foreach ([
            [$outlines, 'roof.apart'],
            [[$outlines[0], 'ou-none'], 'outline.unknown'],
        ] as [$over, $reason]) {
            try {
                self::over($house, $over);
                self::fail("$reason was not refused.");
            } catch (Refusal $refusal) {
                self::assertSame($reason, $refusal->reason);
            }
        }
        [$house, $outlines] = self::rectangles(9000, 0, 2000, 2000, 9000, 5000, 2000, 2000, 11000, 0, 2000, 7000);
        try {
            self::over($house, $outlines);
            self::fail('A court was not refused.');
        } catch (Refusal $refusal) {
            self::assertStringContainsString('leave a court between them', $refusal->getMessage());
        }
        [$house, $outlines] = self::rectangles(9000, 1000, 5000, 4000);
        self::over($house, $outlines);
        $house->do('outline.remove', ['id' => $outlines[1], 'withContents' => true]);
        $roofs = Roofs::in($house->design)->all();
        self::assertCount(1, $roofs);
        self::assertSame([$outlines[0]], $roofs[0]->outlines());
        self::assertNull(Roofs::in($house->design)->why($roofs[0]));
    }

    /** Walls of both run up to it, those between them too, and nothing is found then. */
    public function test_walls_of_all_its_outlines_run_up_to_it(): void
    {
        [$house, $outlines] = self::rectangles(9000, 1000, 5000, 4000);
        $roof = self::over($house, $outlines)->roof;
        self::assertCount(8, Roofs::in($house->design)->wallsOf($roof));
        $house->do('wall.edge', ['walls' => array_keys($house->design->walls), 'head' => ['roof' => $roof->id]]);
        $bodies = Bodies::of($house->design);
        foreach ($bodies as $body) {
            self::assertNotNull($body->heads, $body->host->id());
            $found = array_filter(
                Findings::of($house->design, $body),
                static fn (Finding $f): bool => str_starts_with($f->rule, 'roof.'),
            );
            self::assertSame([], array_map(static fn (Finding $f): string => $f->sentence, array_values($found)));
        }
        // that between them reaches as high as the wing's ridge: half of 4 000 and two overhangs of 300, at 32° from the eaves, which lie
        // 300 tan 32° under the walls' heads
        $east = $bodies[$house->wall(1)->id];
        $ridge = 3000.0 + (2300.0 - 300.0) * tan(deg2rad(32));
        self::assertEqualsWithDelta($ridge, max(array_column($east->headLine($east->start(), $east->end()), 1)), 0.01);
    }

    /** A wing over the middle of the north wall leaves two stretches of eaves there: both hold rooflights, measured from one end. */
    public function test_rooflights_stand_in_every_stretch_over_a_wall(): void
    {
        [$house, $outlines] = self::rectangles(3500, 7000, 2000, 3000);
        $roof = self::over($house, $outlines)->roof->id;
        $shape = static fn (): RoofShape => Roofs::in($house->design)->of(Roofs::roof($house->design, $roof));
        $north = $house->wall(2)->id;
        self::assertCount(2, $shape()->over($north));
        $type = $house->type('W-01')->id;
        foreach ([2000.0, 7000.0] as $x) {
            $house->do('roof.light', ['id' => $roof, 'type' => $type, 'at' => ['x' => $x, 'y' => 6200.0], 'width' => 600, 'height' => 700]);
        }
        // seen from outside, from the north, the left end of the eaves is the eastern one, 300 past the wall
        [$west, $east] = Roofs::roof($house->design, $roof)->lights;
        self::assertEqualsWithDelta([9300.0 - 2000.0 - 300.0, 9300.0 - 7000.0 - 300.0], [$west->along, $east->along], 5.0);
        $placed = Rooflights::of($house->design, $shape());
        self::assertCount(2, $placed);
        self::assertNotSame($placed[0]->face->side, $placed[1]->face->side);
        foreach ($placed as $k => $one) {
            self::assertSame(0.0, $one->off);
            $xs = array_map(static fn ($c): float => $c->x, $one->corners());
            self::assertEqualsWithDelta([2000.0, 7000.0][$k], (min($xs) + max($xs)) / 2, 5.0);
        }
        $volume = static fn (array $solids): float => array_sum(array_map(static fn ($s): float => $s->volume(), $solids));
        self::assertEqualsWithDelta(
            $volume($shape()->solids()) - 2 * 600.0 * 700.0 * 200.0, $volume(Rooflights::faces($shape(), $placed)), 1.0,
        );
    }
}
