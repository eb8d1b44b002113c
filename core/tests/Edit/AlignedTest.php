<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Places;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\CurtainWall\Grid;
use Isleward\Core\CurtainWall\LetIn;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Tests\Support\Glazed;
use Isleward\Core\Tests\Support\GridSample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Curtain walls whose lines are in line with what other walls have; all places worked by hand from the plan. */
final class AlignedTest extends TestCase
{
    use Glazed;

    private function gridOf(string $stretch): Grid
    {
        return Runs::in($this->house->design)->of($stretch)->run->stretches[0]->grid();
    }

    /** @return list<float> lines between the edges, to a hundredth */
    private function bays(string $stretch): array
    {
        return array_map(static fn (float $at): float => round($at, 2), array_slice($this->gridOf($stretch)->bays->at, 1, -1));
    }

    /** A stretch 3 m before the south wall, from 500 right of its left end to 9 500. */
    private function before(): string
    {
        return $this->drawn($this->grid(), [[500, -3000], [9500, -3000]])[0];
    }

    /** @param  array<string, mixed>  $more */
    private function align(string $stretch, string $to, array $more = []): void
    {
        $this->house->do('curtain.set', ['walls' => [$stretch], 'bays' => ['walls' => [$this->house->wall()->id], 'to' => $to]] + $more);
    }

    public function test_bays_are_in_line_with_openings_and_follow_them(): void
    {
        $type = $this->house->type('W-03')->id;
        $first = $this->house->place(['left' => 1000, 'type' => $type]);
        $second = $this->house->place(['left' => 5000, 'type' => $type]);
        $width = $first->width;
        $stretch = $this->before();
        $this->align($stretch, 'sides');
        self::assertSame([500.0, 500.0 + $width, 4500.0, 4500.0 + $width], $this->bays($stretch));
        $this->house->do('opening.change', ['id' => $second->id, 'by' => ['u' => 200]]);
        self::assertSame([500.0, 500.0 + $width, 4700.0, 4700.0 + $width], $this->bays($stretch));
        // one over the other makes no second line, one that does not lie over against it none
        $this->house->do('opening.stack', ['ids' => [$first->id], 'storeys' => 'all']);
        $this->house->place(['left' => 10000, 'type' => $type]);
        self::assertCount(4, $this->bays($stretch));
        $this->align($stretch, 'middles');
        self::assertSame([500.0 + $width / 2, 4700.0 + $width / 2], $this->bays($stretch));
        // by hand they are moved as any lines are
        $this->house->do('curtain.hand', ['ids' => [$stretch], 'lines' => [
            ['axis' => 'upright', 'done' => 'moved', 'line' => '1', 'from' => 'before', 'at' => 600],
        ]]);
        self::assertSame(600.0, $this->bays($stretch)[0]);
        $this->house->do('curtain.set', ['walls' => [$stretch], 'bays' => null]);
        self::assertNotSame([500.0 + $width / 2, 4700.0 + $width / 2], $this->bays($stretch));
        self::assertNull($this->house->design->wall($stretch)->curtain?->bays);
    }

    public function test_lines_of_its_own_set_a_stretch_out_and_levels_do_so_up_a_leaning_one(): void
    {
        $stretch = $this->before();
        foreach ([800, 3000, 7000] as $at) {
            $this->house->do('line.add', ['host' => $stretch, 'axis' => 'upright', 'rule' => ['from' => 'left', 'value' => $at]]);
        }
        $this->house->do('curtain.set', ['walls' => [$stretch], 'bays' => ['walls' => [$stretch], 'to' => 'lines'], 'lean' => 15]);
        self::assertSame([800.0, 3000.0, 7000.0], $this->bays($stretch));
        $window = $this->house->placed($this->house->place(['left' => 3000, 'type' => $this->house->type('W-03')->id])->id);
        $this->house->do('curtain.set', [
            'walls' => [$stretch], 'rows' => ['walls' => [$this->house->wall()->id], 'to' => 'sides'], 'foot' => 100,
        ]);
        // up a face that leans by 15° a level is reached after its height over the cosine
        $rows = $this->gridOf($stretch)->rows->at;
        self::assertEqualsWithDelta(($window->sill - 100) / cos(deg2rad(15)), $rows[1], 1e-6);
        self::assertEqualsWithDelta(($window->head - 100) / cos(deg2rad(15)), $rows[2], 1e-6);
    }

    /** An arc of radius 9 000 about (4 000, −9 000 …): what lies square over from its points is found along its radii. */
    public function test_an_arc_is_set_out_along_its_radii(): void
    {
        [$arc] = $this->drawn($this->grid(), [[0, -4000], ['x' => 8000, 'y' => -4000, 'radius' => 9000]]);
        $this->house->place(['left' => 1500, 'type' => $this->house->type('W-03')->id]);
        $this->align($arc, 'middles');
        $curve = $this->house->design->wall($arc)->face();
        $centre = $curve->centre();
        $middle = $this->house->placed(array_key_last($this->house->design->openings) ?? '')->middle();
        // the angle at the centre between its start and the window's middle in plan, times the radius
        $angle = atan2(0.0 - $centre->y, $middle - $centre->x) - atan2(-4000.0 - $centre->y, 0.0 - $centre->x);
        self::assertEqualsWithDelta(abs($angle) * 9000.0, $this->gridOf($arc)->bays->at[1], 1e-6);
    }

    public function test_bays_are_in_line_with_those_of_another_run_and_never_wait_for_each_other(): void
    {
        $front = $this->before();
        $behind = $this->drawn($this->grid(['bays' => ['by' => 'sizes', 'sizes' => [700, 1100, 2000], 'after' => 'rest']]),
            [[0, -6000], [9000, -6000]])[0];
        $this->house->do('curtain.set', ['walls' => [$front], 'bays' => ['walls' => [$behind], 'to' => 'grid']]);
        // from its left end 500 right of the other's: 700, 1 800, 3 800, and its end at 9 000
        self::assertSame([200.0, 1300.0, 3300.0, 8500.0], $this->bays($front));
        $this->house->do('curtain.hand', ['ids' => [$behind], 'lines' => [
            ['axis' => 'upright', 'done' => 'moved', 'line' => '2', 'from' => 'start', 'at' => 1500],
            ['axis' => 'upright', 'done' => 'added', 'at' => 5000, 'within' => '0'],
        ]]);
        self::assertSame([200.0, 1000.0, 3300.0, 8500.0], $this->bays($front), 'a line in one row only is none of its bays');
        self::assertStringContainsString('that is in line with it', $this->refusal('curtain.set', [
            'walls' => [$behind], 'bays' => ['walls' => [$front], 'to' => 'grid'],
        ]));
        // where the other goes it is set out as its type says, and an undo puts both back
        $was = $this->house->design->wall($front)->toArray();
        $change = $this->house->do('outline.remove', ['id' => $this->house->design->wall($behind)->outline, 'withContents' => true]);
        self::assertNull($this->house->design->wall($front)->curtain?->bays);
        self::assertSame($was, $this->house->design->after($change->inverse(''))->wall($front)->toArray());
    }

    /** Whichever way what is let in faces and is handed, its lines stand under the windows over it. */
    #[DataProvider('ways')]
    public function test_what_is_let_in_is_in_line_with_the_windows_over_it(bool $facesOut, bool $mirrored): void
    {
        $wall = $this->house->wall()->id;
        $opening = $this->letIn($this->grid());
        foreach ([1500, 3100] as $left) {
            $this->house->place(['left' => $left, 'type' => $this->house->type('W-01')->id], 0, 1);
        }
        $this->house->do('opening.change', ['id' => $opening->id, 'facesOut' => $facesOut, 'mirrored' => $mirrored]);
        $this->house->do('opening.curtain', [
            'ids' => [$opening->id], 'grid' => $opening->curtain->grid ?? '', 'bays' => ['walls' => [$wall], 'to' => 'middles'],
        ]);
        $placed = $this->house->placed($opening->id);
        $at = LetIn::of($this->house->design, $placed)->stretches[0]->grid()->bays->at;
        $seen = array_map(static fn (float $x): float => round($facesOut ? $placed->left + $x : $placed->right - $x, 2), $at);
        sort($seen);
        $middles = [];
        foreach ($this->house->design->openings as $other) {
            if ($other->id !== $opening->id) {
                $middles[] = round(Places::in($this->house->design)->of($other)->middle(), 2);
            }
        }
        sort($middles);
        self::assertSame($middles, array_slice($seen, 1, -1));
    }

    /** @return iterable<array{bool, bool}> */
    public static function ways(): iterable
    {
        yield [true, false];
        yield [true, true];
        yield [false, false];
        yield [false, true];
    }

    public function test_what_it_cannot_be_in_line_with_is_refused(): void
    {
        $stretch = $this->before();
        $wall = $this->house->wall()->id;
        foreach ([
            [['bays' => ['walls' => [$wall], 'to' => 'sides']], 'it would have one bay'],
            [['rows' => ['walls' => [$wall], 'to' => 'lines']], 'it would have one row'],
            [['bays' => ['walls' => [], 'to' => 'lines']], 'Say with which walls'],
            [['bays' => ['walls' => ['op-none'], 'to' => 'lines']], 'in line with walls'],
            [['bays' => ['walls' => ['wa-none'], 'to' => 'lines']], 'not there any more'],
        ] as [$args, $says]) {
            self::assertStringContainsString($says, $this->refusal('curtain.set', ['walls' => [$stretch]] + $args));
        }
        self::assertStringContainsString('sets its lines out by a rule', $this->refusal('grid.add', GridSample::values([
            'bays' => ['by' => 'places', 'sizes' => [100]],
        ])));
        // what was in line with windows that went is told, and stands in one bay
        $window = $this->house->place(['left' => 3000, 'type' => $this->house->type('W-03')->id]);
        $this->align($stretch, 'sides');
        $this->house->do('opening.remove', ['ids' => [$window->id]]);
        self::assertSame([], $this->bays($stretch));
        $body = Bodies::one($this->house->design, $this->house->design->wall($stretch));
        $rules = array_map(static fn (Finding $f): string => $f->rule, Findings::of($this->house->design, $body));
        self::assertContains('run.aligned_nothing', $rules);
    }
}
