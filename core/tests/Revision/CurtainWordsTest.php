<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Revision;

use Isleward\Core\Design\Change;
use Isleward\Core\Revision\Difference;
use Isleward\Core\Tests\Support\GridSample;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** What a revision tells of curtain walls: with figures, and nothing that did not change. */
final class CurtainWordsTest extends TestCase
{
    private House $house;

    private string $grid;

    private string $wall;

    protected function setUp(): void
    {
        $this->house = House::box(12000, 8000, 300, [3600, 3600]);
        $this->grid = $this->house->do('grid.add', ['name' => 'test'] + GridSample::values())->chosen[0];
        $this->wall = $this->house->do('outline.draw', [
            'points' => [[0, -9000], [6000, -9000]], 'closed' => false, 'grid' => $this->grid,
            'base' => $this->house->storey(0), 'top' => $this->house->storey(0), 'name' => 'Prow',
        ])->chosen[0];
    }

    /**
     * @param  array<string, mixed>  $arguments
     * @return list<string>
     */
    private function told(string $edit, array $arguments): array
    {
        $then = $this->house->design;
        $change = $this->house->do($edit, $arguments);

        return array_column(Difference::between($then, $this->house->design, $change), 'sentence');
    }

    public function test_a_stretch_that_leans_and_is_higher_is_told_with_both_figures(): void
    {
        self::assertSame(
            ['Stretch 1 of Prow stands 72° from the ground, leaning in, instead of 90° from the ground, '
                .'4800 high instead of as its storeys.'],
            self::plain($this->told('curtain.set', ['walls' => [$this->wall], 'lean' => 18, 'height' => 4800])),
        );
    }

    public function test_where_a_stretch_stands_and_stood_is_told_so_that_it_can_be_drawn(): void
    {
        $then = $this->house->design;
        $change = $this->house->do('curtain.set', ['walls' => [$this->wall], 'foot' => 300, 'height' => 3000]);
        $told = Difference::between($then, $this->house->design, $change)[0];
        $place = static fn (?array $p): array => [$p['host'] ?? '', $p['sillLevel'] ?? 0, $p['height'] ?? 0, $p['span'] ?? 0];
        self::assertSame([$this->wall, 0.0, 3600.0, 6000.0], $place($told['then']));
        self::assertSame([$this->wall, 300.0, 3000.0, 6000.0], $place($told['now']));
    }

    public function test_what_was_changed_by_hand_is_told_and_told_again_when_it_is_reset(): void
    {
        $by = ['ids' => [$this->wall], 'infills' => [['left' => '1', 'foot' => '0', 'infill' => ['kind' => 'void']]]];
        self::assertSame(['Stretch 1 of Prow by hand: Cell right of line 1, over line 0: open.'], $this->told('curtain.hand', $by));
        self::assertSame(
            ['Stretch 1 of Prow no more by hand: Cell right of line 1, over line 0: open.'],
            $this->told('curtain.hand', ['ids' => [$this->wall], 'reset' => [['of' => 'infills', 'places' => [0]]]]),
        );
    }

    public function test_the_cells_and_members_that_differ_are_marked_where_they_were_and_are(): void
    {
        $then = $this->house->design;
        $change = $this->house->do('curtain.hand', [
            'ids' => [$this->wall], 'infills' => [['left' => '1', 'foot' => '0', 'infill' => ['kind' => 'void']]],
        ]);
        [$row] = Difference::between($then, $this->house->design, $change);
        // bays of 1 500 between middles of mullions 50 wide, rows of 1 800
        self::assertSame([[false, $this->wall], [true, $this->wall]], array_map(
            static fn (array $p): array => [$p['now'], $p['host']],
            $row['parts'],
        ));
        foreach ($row['parts'] as $part) {
            $xs = array_filter($part['ring'], static fn (int $i): bool => $i % 2 === 0, ARRAY_FILTER_USE_KEY);
            $ys = array_diff_key($part['ring'], $xs);
            self::assertSame([1525.0, 2975.0, 50.0, 1775.0], [min($xs), max($xs), min($ys), max($ys)]);
        }
        // a line that is moved moves the members on it and the cells beside it, and no others
        $then = $this->house->design;
        $change = $this->house->do('curtain.hand', [
            'ids' => [$this->wall], 'lines' => [['axis' => 'upright', 'line' => '1', 'done' => 'moved', 'from' => 'start', 'at' => '1600']],
        ]);
        [$row] = Difference::between($then, $this->house->design, $change);
        $now = array_values(array_filter($row['parts'], static fn (array $p): bool => $p['now']));
        self::assertLessThan(count($row['parts']), count($now));
        foreach ($now as $part) {
            $xs = array_filter($part['ring'], static fn (int $i): bool => $i % 2 === 0, ARRAY_FILTER_USE_KEY);
            self::assertLessThanOrEqual(3025.0, max($xs), 'what is right of line 2 is as it was');
        }
    }

    public function test_a_type_marks_the_faces_of_what_it_changes_wholly(): void
    {
        $then = $this->house->design;
        $change = $this->house->do('grid.change', ['id' => $this->grid] + GridSample::values(['joint' => 14]));
        $parts = Difference::between($then, $this->house->design, $change)[0]['parts'];
        self::assertSame([], $parts, 'joints are seen in none of its cells: members stand everywhere');
        $then = $this->house->design;
        $change = $this->house->do('grid.change', ['id' => $this->grid] + GridSample::values(['bays' => ['by' => 'count', 'count' => 7]]));
        $parts = Difference::between($then, $this->house->design, $change)[0]['parts'];
        self::assertNotSame([], $parts);
        self::assertSame([$this->wall], array_values(array_unique(array_column($parts, 'host'))));
    }

    public function test_a_type_is_told_by_what_of_it_is_another(): void
    {
        $values = GridSample::values();
        $values['rules']['bays'] = ['by' => 'count', 'count' => 4];
        $values['rules']['joint'] = 14;
        $mark = $this->house->design->grid($this->grid)->mark();
        $said = $this->told('grid.change', ['id' => $this->grid] + $values);
        self::assertCount(1, $said);
        self::assertStringStartsWith("Grid type $mark test its bays are set out by a count of 4 instead of ", $said[0]);
        self::assertStringContainsString('its joints are others', $said[0]);
        self::assertStringNotContainsString('rows', $said[0]);
        self::assertStringNotContainsString('members', $said[0]);
    }

    public function test_a_wall_that_becomes_curtain_wall_says_so(): void
    {
        $wall = $this->house->wall()->id;
        $mark = $this->house->design->grid($this->grid)->mark();
        $all = ['walls' => [$wall], 'grid' => $this->grid, 'base' => $this->house->storey(0), 'top' => $this->house->storey(1)];
        self::assertContains(
            sprintf('Stretch 1 of %s is curtain wall %s now.', $this->house->design->outlines[$this->house->wall()->outline]->name, $mark),
            $this->told('curtain.set', $all),
        );
    }

    /**
     * @param  list<string>  $said
     * @return list<string> without the spaces in figures
     */
    private static function plain(array $said): array
    {
        return preg_replace('/(?<=\d)\x{202f}(?=\d)/u', '', $said) ?? [];
    }
}
