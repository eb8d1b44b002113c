<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Given;

use Isleward\Core\Exchange\CsvReader;
use Isleward\Core\Given\Column;
use Isleward\Core\Given\Headings;
use Isleward\Core\Given\Line;
use Isleward\Core\Given\Reading;
use Isleward\Core\Given\Revised;
use Isleward\Core\Given\Role;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** A schedule that comes anew: what it changes; and storeys of other names, said by hand. */
final class RevisedTest extends TestCase
{
    private const BEFORE = "Mark;Kind;Width;Height;Sill;S0;S1\nW-01;fixed;1000;1200;900;2;\nW-02;casement;800;1200;900;1;1\n"
        ."W-03;pair;1200;1450;900;;3\nD-01;door;1000;2150;0;1;\nD-01;door;900;2150;0;1;\n";

    private House $house;

    protected function setUp(): void
    {
        $this->house = House::box();
    }

    /** @return list<Line> */
    private function lines(string $csv): array
    {
        $rows = CsvReader::read($csv, 'given')->rows;
        [$header, $columns] = Headings::find($rows, $this->house->design->storeys);

        return Reading::of($rows, $header, $columns, $this->house->design->storeys)->lines;
    }

    public function test_lines_are_new_gone_and_otherwise_by_their_marks_in_whatever_order_they_come(): void
    {
        $after = "Mark;Kind;Width;Height;Sill;S0;S1\nD-01;door;1000;2150;0;1;\nd 1;door;950;2150;;1;\nW-02;casement;800;1200;900;;3\n"
            ."W-60;porthole;600;600;1500;4;\nW-01;fixed light;1000;1200;900;2;\n";
        $revised = Revised::between($this->lines(self::BEFORE), $this->lines($after), $this->house->design->storeys);
        $said = static fn (array $told): array => array_map(
            static fn (array $t): string => $t['mark'].', '.Length::said($t['what'], Units::Millimetre), $told,
        );
        self::assertSame(['W-60, 600 × 600, 4 of them'], $said($revised->new));
        self::assertSame(["W-03, 1\u{202F}200 × 1\u{202F}450, 3 of them"], $said($revised->gone));
        self::assertSame([
            'd 1, width 900 → 950, sill 0 → none', 'W-02, count 2 → 3, on S0 1 → 0, on S1 1 → 3', 'W-01, “fixed” → “fixed light”',
        ], $said($revised->changed));
        self::assertSame(1, $revised->same);
    }

    /** Law: against itself nothing differs; the other way round new is gone and gone is new. Lines are all accounted for. */
    public function test_it_is_one_thing_from_either_side(): void
    {
        mt_srand(11);
        $storeys = $this->house->design->storeys;
        for ($i = 0; $i < 30; $i++) {
            $some = function (): array {
                $csv = "Mark;Width;Height;S0\n";
                for ($n = mt_rand(1, 12); $n > 0; $n--) {
                    $csv .= sprintf("W-%02d;%d;1200;%d\n", mt_rand(1, 8), mt_rand(5, 7) * 100, mt_rand(1, 2));
                }

                return $this->lines($csv);
            };
            [$a, $b] = [$some(), $some()];
            $self = Revised::between($a, $a, $storeys);
            self::assertSame([[], [], [], count($a)], [$self->new, $self->gone, $self->changed, $self->same]);
            [$on, $back] = [Revised::between($a, $b, $storeys), Revised::between($b, $a, $storeys)];
            self::assertSame(count($b), count($on->new) + count($on->changed) + $on->same);
            self::assertSame(count($a), count($on->gone) + count($on->changed) + $on->same);
            $marks = static fn (array $told): array => [...array_count_values(array_column($told, 'mark'))];
            self::assertEquals($marks($on->new), $marks($back->gone));
            self::assertSame($on->same, $back->same);
        }
    }

    public function test_a_storey_of_another_name_is_what_someone_said(): void
    {
        $rows = CsvReader::read("Mark;Width;Height;Storey\nW-01;1000;1200;Quay deck\nW-02;1000;1200;S1\nW-03;900;1200;Quay deck\n", 'given')->rows;
        $storeys = $this->house->design->storeys;
        [$header, $columns] = Headings::find($rows, $storeys);
        $read = Reading::of($rows, $header, $columns, $storeys);
        self::assertSame(['Quay deck' => null, 'S1' => $this->house->storey(1)], $read->storeyOf);
        self::assertSame(['There is no storey “Quay deck” in this project.'], $read->lines[0]->problems);
        $columns[3] = Column::from(new Fields(['role' => 'storey', 'storeys' => ['Quay deck' => $this->house->storey(0)]]));
        $read = Reading::of($rows, $header, $columns, $storeys);
        self::assertSame([[], [], []], array_map(static fn (Line $l): array => $l->problems, $read->lines));
        self::assertSame([$this->house->storey(0) => 1], $read->lines[2]->byStorey);
        // kept and read again it means the same; a storey that went is asked for again
        self::assertEquals($columns[3], Column::from(new Fields($columns[3]->toArray())));
        $columns[3] = Column::of(Role::Storey, storeys: ['Quay deck' => 'st-gone']);
        self::assertNotSame([], Reading::of($rows, $header, $columns, $storeys)->lines[0]->problems);
        $this->expectException(Refusal::class);
        Column::from(new Fields(['role' => 'storey', 'storeys' => ['Quay deck' => ['x']]]));
    }
}
