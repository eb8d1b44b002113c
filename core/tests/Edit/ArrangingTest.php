<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Opening;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** The same again, and many at once, on a wall of 12 345. */
final class ArrangingTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        $this->house = House::box(width: 12345, heights: [3600, 3600, 3600]);
    }

    public function test_openings_of_many_widths_are_spaced_evenly(): void
    {
        $ids = [];
        foreach ([[100, 900], [1100, 1200], [2400, 1800], [4300, 2400], [7000, 600]] as [$left, $width]) {
            $ids[] = $this->bare($left, $width);
        }
        $this->house->do('opening.space', ['ids' => $ids, 'between' => 'ends']);
        self::assertSame([907.5, 2715.0, 4822.5, 7530.0, 10837.5], $this->lefts($ids));
        $this->house->do('opening.space', ['ids' => array_reverse($ids), 'between' => 'ends', 'by' => 'centres']);
        self::assertSame([784.5, 3103.5, 5272.5, 7441.5, 10810.5], $this->lefts($ids));
        [$from, $to] = $this->lines(2000, 11000);
        $this->house->do('opening.space', ['ids' => $ids, 'between' => 'lines', 'lines' => [$to, $from]]);
        self::assertSame([2350.0, 3600.0, 5150.0, 7300.0, 10050.0], $this->lefts($ids), '(9000 − 6900) / 6 = 350');
        $this->refused('arrange.no_room', 'opening.space', ['ids' => $ids, 'between' => 'lines', 'lines' => $this->lines(3000, 9000)]);
    }

    public function test_repeats_count_from_the_same_point_of_each(): void
    {
        $pair = [$this->bare(300, 600), $this->bare(1200, 900)];
        $made = $this->house->do('opening.repeat', ['ids' => $pair, 'count' => 3, 'pitch' => '3 m'])->chosen;
        self::assertSame([3300.0, 6300.0, 9300.0, 4200.0, 7200.0, 10200.0], $this->lefts($made));
        $one = $this->bare(500, 1209, 1);
        $all = $this->house->do('opening.repeat', ['ids' => [$one], 'by' => 'fit', 'pier' => 1050])->chosen;
        $lefts = $this->lefts($all);
        sort($lefts);
        self::assertSame([1050.0, 3309.0, 5568.0, 7827.0, 10086.0], $lefts);
        $this->house->do('opening.remove', ['ids' => array_values(array_diff($all, [$one]))]);
        $lefts = $this->lefts($this->house->do('opening.repeat', ['ids' => [$one], 'by' => 'ends', 'count' => 3])->chosen);
        sort($lefts);
        self::assertSame([2179.5, 5568.0, 8956.5], $lefts, '(12345 − 3627) / 4 = 2179.5');
    }

    public function test_what_would_not_fit_is_told_one_by_one_and_the_rest_may_go_on(): void
    {
        $this->bare(5000, 1000, 1);
        $id = $this->bare(5500, 1000);
        $change = $this->house->try('opening.stack', ['ids' => [$id], 'storeys' => [$this->house->storey(1), $this->house->storey(2)]]);
        self::assertCount(1, $change->misfits);
        self::assertStringContainsString('would meet bare opening at 5 000', str_replace("\u{202F}", ' ', $change->misfits[0]->sentence));
        self::assertSame(2, $change->wanted);
        $this->refused(
            'arrange.misfits',
            'opening.stack',
            ['ids' => [$id], 'storeys' => [$this->house->storey(1), $this->house->storey(2)]],
        );
        $done = $this->house->do(
            'opening.stack',
            ['ids' => [$id], 'storeys' => [$this->house->storey(1), $this->house->storey(2)], 'fit' => 'fitting'],
        );
        self::assertSame(
            [$this->house->storey(2)],
            array_map(fn (string $o): string => $this->house->design->opening($o)->storey, $done->chosen),
        );
        self::assertEqualsWithDelta(7200 + 900, $this->house->placed($done->chosen[0])->sill, 1e-9, 'as high over its own floor');
    }

    public function test_a_mirror_turns_rules_and_handing_round(): void
    {
        $type = $this->house->type('W-02')->id;
        $id = $this->house->place(['type' => $type, 'left' => 1450])->id;
        $copy = $this->made('opening.mirror', ['ids' => [$id], 'about' => 'middle', 'copy' => true]);
        $width = $copy->width;
        self::assertEqualsWithDelta(12345 - 1450 - $width, $this->house->placed($copy->id)->left, 1e-9);
        self::assertSame(['right', 1450.0, true], [$copy->position->along->from->value, $copy->position->along->value, $copy->mirrored]);
        // about the outline's centre line that runs along the wall: onto the wall opposite, on the same spot
        $over = $this->made('opening.mirror', ['ids' => [$id], 'about' => 'outline', 'along' => true, 'copy' => true]);
        self::assertSame($this->house->wall(2)->id, $over->host);
        $here = Bodies::of($this->house->design)[$this->house->wall()->id]->surface->inPlan($this->house->placed($id)->left);
        $there = Bodies::of($this->house->design)[$over->host]->surface->inPlan($this->house->placed($over->id)->right);
        self::assertEqualsWithDelta([$here->x, 8000.0], [$there->x, $there->y], 1e-6);
        [$line] = $this->lines(1000, 2000);
        $change = $this->house->try('opening.mirror', ['ids' => [$id], 'about' => 'line', 'line' => $line, 'copy' => false]);
        self::assertStringContainsString('past the wall’s left end', $change->misfits[0]->sentence);
    }

    public function test_what_hangs_on_a_line_follows_it_and_nothing_hangs_on_itself(): void
    {
        [$line] = $this->lines(4000, 9000);
        $first = $this->house->place(
            ['type' => $this->house->type('W-03')->id, 'position' => ['from' => 'line', 'ref' => $line, 'value' => -200, 'to' => 'far']],
        )->id;
        $second = $this->house->place(
            [
                'type' => $this->house->type('W-03')->id,
                'position' => ['from' => 'opening', 'ref' => $first, 'point' => 'right', 'value' => 600, 'to' => 'near'],
            ],
        )->id;
        self::assertSame([2600.0, 4400.0], $this->lefts([$first, $second]));
        $this->house->do('line.change', ['id' => $line, 'by' => 250]);
        self::assertSame([2850.0, 4650.0], $this->lefts([$first, $second]));
        $refusal = $this->refused(
            'position.cycle',
            'line.change',
            ['id' => $line, 'rule' => ['from' => 'opening', 'ref' => $second, 'point' => 'left', 'value' => 0]],
        );
        self::assertStringContainsString('line L1 → W-03 → W-03 → line L1', $refusal->getMessage());
        self::assertStringContainsString('W-03', $this->refused('hanging', 'line.remove', ['ids' => [$line]])->getMessage());
        $this->house->do('line.remove', ['ids' => [$line], 'keepFigures' => true]);
        self::assertSame([2850.0, 4650.0], $this->lefts([$first, $second]));
        self::assertSame(
            'opening',
            $this->house->design->opening($second)->position->along->from->value,
            'only what lost its line is measured anew',
        );
    }

    public function test_a_line_over_every_floor_and_one_across_the_corner(): void
    {
        $sills = $this->house->do(
            'line.add',
            ['host' => $this->house->wall()->id, 'axis' => 'level', 'rule' => ['from' => 'floor', 'height' => 900]],
        )->chosen[0];
        self::assertSame(
            [900.0, 4500.0, 8100.0],
            array_column(Places::in($this->house->design)->lineLevels($this->house->design->line($sills)), 1),
        );
        [$line] = $this->lines(11000, 2000);
        $across = $this->house->do('line.across', ['id' => $line, 'side' => 'right'])->chosen[0];
        $next = $this->house->design->line($across);
        self::assertSame($this->house->wall(1)->id, $next->host);
        self::assertEqualsWithDelta(12345 - 11000, Places::in($this->house->design)->line($next), 1e-9, 'as far from the corner');
        $this->house->do('line.change', ['id' => $line, 'by' => -155]);
        self::assertEqualsWithDelta(1500, Places::in($this->house->design)->line($this->house->design->line($next->id)), 1e-9);
        // the corner goes back by 1000 and is still shared
        $this->house->do('outline.recess', ['wall' => $this->house->wall()->id, 'from' => 9000, 'to' => 12345, 'depth' => 1000]);
        self::assertEqualsWithDelta(1500, Places::in($this->house->design)->line($this->house->design->line($next->id)), 1e-9);
        // set back short of the corner it is shared no more with the part the line lies on: the other stays on its spot, on its own
        $change = $this->house->do(
            'outline.recess',
            ['wall' => $this->house->design->line($line)->host, 'from' => 1500, 'to' => 2500, 'depth' => 500],
        );
        self::assertStringContainsString('a figure of its own', implode(' ', $change->notes));
        self::assertEqualsWithDelta(1500, Places::in($this->house->design)->line($this->house->design->line($next->id)), 1e-9);
    }

    public function test_a_length_is_divided_by_parts_and_by_percentages(): void
    {
        $wall = ['host' => $this->house->wall()->id, 'axis' => 'upright'];
        $at = fn (array $ids): array => array_map(
            fn (string $id): float => round(Places::in($this->house->design)->line($this->house->design->line($id)), 9),
            $ids,
        );
        self::assertSame([2469.0, 4938.0, 7407.0, 9876.0], $at($this->house->do('line.add', $wall + ['parts' => 5])->chosen));
        self::assertSame([1543.125, 12345.0], $at($this->house->do('line.add', $wall + ['percentages' => ['12,5 %', 100]])->chosen));
        // 9876 − 2469 = 7407 in thirds
        [$first, , , $last] = array_keys($this->house->design->lines);
        self::assertSame([4938.0, 7407.0], $at($this->house->do('line.add', $wall + ['parts' => 3, 'between' => [$last, $first]])->chosen));
        $this->refused('position.fraction', 'line.add', $wall + ['percentages' => [50, 120]]);
        $this->refused(
            'position.fraction',
            'opening.place',
            [
                'host' => $wall['host'],
                'storey' => $this->house->storey(0),
                'position' => ['from' => 'fraction', 'value' => 1.2, 'to' => 'near'],
            ],
        );
        $this->refused('line.off_wall', 'line.add', $wall + ['rule' => ['from' => 'right', 'value' => 12400]]);
    }

    public function test_heads_are_aligned_and_held(): void
    {
        $door = $this->house->place(['left' => 1000, 'type' => $this->house->type('D-01')->id])->id;
        $window = $this->house->place(['left' => 4000, 'type' => $this->house->type('W-09')->id])->id;
        $this->house->do('opening.align', ['ids' => [$window], 'edge' => 'head', 'to' => $door, 'hold' => true]);
        self::assertEqualsWithDelta($this->house->placed($door)->head, $this->house->placed($window)->head, 1e-9);
        $this->house->do('opening.change', ['id' => $door, 'height' => 2400]);
        self::assertEqualsWithDelta(2400.0, $this->house->placed($window)->head, 1e-9);
        $this->refused(
            'position.cycle',
            'opening.change',
            ['id' => $door, 'sill' => ['from' => 'opening', 'ref' => $window, 'point' => 'head', 'height' => -2400]],
        );
    }

    public function test_many_are_changed_to_a_figure_or_by_so_much(): void
    {
        $ids = [$this->bare(500, 900), $this->bare(2000, 1200), $this->bare(4000, 1500)];
        $this->house->do('opening.change', ['ids' => $ids, 'width' => '+150']);
        self::assertSame([1050.0, 1350.0, 1650.0], array_map(fn (string $id): float => $this->house->design->opening($id)->width, $ids));
        $this->house->do('opening.change', ['ids' => $ids, 'head' => 2100, 'keep' => 'sill']);
        foreach ($ids as $id) {
            self::assertSame([900.0, 2100.0], [$this->house->placed($id)->sill, $this->house->placed($id)->head]);
        }
        $this->house->do('opening.change', ['ids' => $ids, 'head' => '+100', 'keep' => 'head']);
        self::assertSame(
            [1000.0, 2200.0],
            [$this->house->placed($ids[0])->sill, $this->house->placed($ids[0])->head],
            'it moved up, its height kept',
        );
        $this->refused('arrange.misfits', 'opening.change', ['ids' => $ids, 'width' => '+1000']);
    }

    public function test_bare_openings_are_filled_by_rule_with_types_of_their_size(): void
    {
        $ids = [
            $this->bare(500, 1135),
            $this->bare(2500, 1135),
            $this->house->place(['left' => 5000, 'width' => 1010, 'height' => 2100, 'sill' => ['from' => 'floor', 'height' => 0]])->id,
        ];
        $types = count($this->house->design->types);
        $this->house->do(
            'opening.fill',
            ['ids' => $ids, 'door' => $this->house->type('D-01')->id, 'window' => $this->house->type('W-03')->id],
        );
        [$a, $b, $door] = array_map(fn (string $id): Opening => $this->house->design->opening($id), $ids);
        self::assertSame($a->type, $b->type, 'one type serves both');
        self::assertCount($types + 2, $this->house->design->types);
        self::assertSame(
            [1135.0, 1000.0],
            [$this->house->design->type((string) $a->type)->width, $this->house->design->type((string) $a->type)->height],
        );
        self::assertSame($this->house->type('D-01')->treeHash, $this->house->design->type((string) $door->type)->treeHash);
        $this->house->do('opening.empty', ['ids' => $ids]);
        self::assertNull($this->house->design->opening($ids[0])->type);
    }

    public function test_a_filling_that_does_not_fit_all_is_refused_or_asked_to_fills_the_rest(): void
    {
        // one is too small for a frame; it keeps the others from being filled unless it may be left out
        $ids = [$this->bare(500, 1135), $this->bare(2500, 90)];
        $args = ['ids' => $ids, 'window' => $this->house->type('W-03')->id];
        self::assertTrue($this->house->refuses('opening.fill', $args));
        $change = $this->house->do('opening.fill', $args + ['fit' => 'fitting']);
        self::assertSame([$ids[0]], $change->chosen);
        self::assertSame([$ids[1]], array_column($change->misfits, 'element'));
        self::assertNotNull($this->house->design->opening($ids[0])->type);
        self::assertNull($this->house->design->opening($ids[1])->type);
    }

    public function test_a_recess_keeps_openings_where_they_are_or_names_the_one_in_the_way(): void
    {
        $kept = $this->bare(9000, 1200);
        $middle = $this->house->do(
            'line.add',
            ['host' => $this->house->wall()->id, 'axis' => 'upright', 'rule' => ['from' => 'middle', 'value' => 0]],
        )->chosen[0];
        $door = $this->house->place(
            [
                'width' => 900,
                'height' => 2100,
                'position' => ['from' => 'line', 'ref' => $middle, 'value' => 600, 'to' => 'near'],
                'sill' => ['from' => 'floor', 'height' => 0],
            ],
        )->id;
        $this->refused(
            'recess.across',
            'outline.recess',
            ['wall' => $this->house->wall()->id, 'from' => 9500, 'to' => 12345, 'depth' => 1500],
        );
        $at = Bodies::of($this->house->design)[$this->house->wall()->id]->surface->inPlan($this->house->placed($kept)->left);
        $this->house->do('outline.recess', ['wall' => $this->house->wall()->id, 'from' => 3000, 'to' => 6000, 'depth' => 1500]);
        self::assertCount(8, $this->house->design->walls);
        $now = Bodies::of($this->house->design)[$this->house->design->opening($kept)->host]->surface->inPlan(
            $this->house->placed($kept)->left,
        );
        self::assertTrue($now->isAt($at));
        self::assertEqualsWithDelta(
            12345 / 2 + 600,
            $this->house->placed($door)->left + 6000,
            1e-6,
            'it stays where it is, on the part that begins at 6000',
        );
        self::assertSame(
            'line',
            $this->house->design->opening($door)->position->along->from->value,
            'and the line it is placed from with it',
        );
    }

    private function bare(float $left, float $width, int $storey = 0): string
    {
        return $this->house->place(
            ['left' => $left, 'width' => $width, 'height' => 1000, 'sill' => ['from' => 'floor', 'height' => 900]],
            storey: $storey,
        )->id;
    }

    /** @return list<string> */
    private function lines(float ...$at): array
    {
        return array_values(
            array_map(
                fn (float $u): string => $this->house->do(
                    'line.add',
                    ['host' => $this->house->wall()->id, 'axis' => 'upright', 'rule' => ['from' => 'left', 'value' => $u]],
                )->chosen[0],
                $at,
            ),
        );
    }

    /** @param  array<string, mixed>  $args */
    private function made(string $edit, array $args): Opening
    {
        $id = $this->house->do($edit, $args)->chosen[0];

        return $this->house->design->opening($id);
    }

    /**
     * @param  list<string>  $ids
     * @return list<float>
     */
    private function lefts(array $ids): array
    {
        return array_map(fn (string $id): float => round($this->house->placed($id)->left, 9), $ids);
    }

    /** @param  array<string, mixed>  $args */
    private function refused(string $code, string $edit, array $args): Refusal
    {
        $before = $this->house->design;
        try {
            $change = $this->house->do($edit, $args);
        } catch (Refusal $refusal) {
            self::assertSame($code, $refusal->reason, $refusal->getMessage());
            self::assertSame($before, $this->house->design);

            return $refusal;
        }
        self::fail('It was done: '.$change->summary);
    }
}
