<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Given;

use Isleward\Core\Exchange\CsvReader;
use Isleward\Core\Exchange\XlsxReader;
use Isleward\Core\Exchange\XlsxWriter;
use Isleward\Core\Given\Column;
use Isleward\Core\Given\Discrepancy;
use Isleward\Core\Given\Headings;
use Isleward\Core\Given\Held;
use Isleward\Core\Given\Kinds;
use Isleward\Core\Given\Line;
use Isleward\Core\Given\Marks;
use Isleward\Core\Given\Reading;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Schedule\Table;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class GivenTest extends TestCase
{
    public function test_columns_units_and_decimal_commas_are_recognised(): void
    {
        $house = House::box();
        $csv = "Window schedule;;;;;;\n\nMark;Description;Width (m);Height (m);Cill height mm;On S0;S1 qty\nW-03;side-hung pair;1,20;1,45;900;2;1\nD 2;pair of doors;1,800;2,30;0;1;\nTotal;;;;;3;1\n";
        [$header, $columns, $lines] = self::read($csv, $house);
        self::assertSame(2, $header);
        self::assertSame(
            ['mark', 'kind', 'width m', 'height m', 'sill mm', 'on-storey', 'on-storey'],
            array_map(static fn (Column $c): string => trim($c->role->value.' '.$c->unit), $columns),
        );
        self::assertSame(
            [['W-03', 1200.0, 1450.0, 900.0, 3], ['D 2', 1800.0, 2300.0, 0.0, 1]],
            array_map(static fn (Line $l): array => [$l->mark, $l->width, $l->height, $l->sill, $l->wanted()], $lines),
        );
        self::assertSame([$house->storey(0) => 2, $house->storey(1) => 1], $lines[0]->byStorey);
    }

    /** @return iterable<string, array{string, list<float|null>}> width and height of the first line by hand */
    public static function cells(): iterable
    {
        yield 'thousands in mm' => ["Ref,Width,Height\nA,\"1,200\",\"1,450\"\n", [1200.0, 1450.0]];
        yield 'feet and inches' => ["Ref,Width,Height\nA,4' 0\"\"\"\nB,3' 6\"\"\n", [null, null]];
        yield 'inches by heading' => ["Ref,Width (in),Height (in)\nA,47.25,57 1/8\n", [1200.15, 1450.975]];
        yield 'feet and inches in cells' => ["Ref\tWidth\tHeight\nA\t4' 0\"\t3' 6\"\n", [1219.2, 1066.8]];
        yield 'units in a row of their own' => ["No,W,H\n,cm,cm\nA,120,145\n", [1200.0, 1450.0]];
        yield 'metres by size' => ["Mark,Width,Height\nA,1.2,1.45\nB,0.9,2.1\n", [1200.0, 1450.0]];
        yield 'one column of sizes' => ["Mark,Size\nA,1200 x 1450\n", [1200.0, 1450.0]];
        yield 'points that part thousands' => ["Marca;Anchura;Altura\n;mm;mm\nA;1.200;1.450\nB;900;2.100\n", [1200.0, 1450.0]];
        yield 'points before three decimals' => ["Mark,Width (mm),Height (mm)\nA,900.500,1450.250\n", [900.5, 1450.25]];
        yield 'one point before a decimal, so all are' => ["Mark,Width (mm),Height (mm)\nA,1200,1.450\nB,1200,1450.5\n", [1200.0, null]];
        yield 'three figures after a point in metres' => ["Mark,Width (m),Height (m)\nA,1.200,1.450\n", [1200.0, 1450.0]];
        yield 'a cell in another unit says so' => ["Mark,Width,Height\nA,1200,1.45\nB,900,2100\n", [1200.0, null]];
    }

    /** @param  list<float|null>  $size */
    #[DataProvider('cells')]
    public function test_lengths_are_read_as_they_are_written(string $csv, array $size): void
    {
        [, , $lines] = self::read($csv, House::box());
        self::assertEqualsWithDelta($size, [$lines[0]->width, $lines[0]->height], 1e-9);
        self::assertSame($size[1] === null, $lines[0]->problems !== []);
    }

    public function test_headings_of_many_words_are_understood_and_a_storeys_quantity_stays_its_own(): void
    {
        $house = House::box();
        [, $columns] = self::read("Tag,Clear opening width,Frame height,FFL to sill,S0 qty\nA,900,2100,0,1\n", $house);
        self::assertSame(
            ['mark', 'width', 'height', 'sill', 'on-storey'],
            array_map(static fn (Column $c): string => $c->role->value, $columns),
        );
    }

    public function test_a_table_without_marks_or_sizes_is_refused_by_name(): void
    {
        $this->expectExceptionMessage('No column states the heights.');
        self::read("Mark,Width,Colour\nA,900,red\n", House::box());
    }

    /** What another library wrote is read in tests/Peers; here: what we write comes back, and what is no workbook is refused. */
    public function test_a_workbook_comes_back_and_a_bomb_is_not_opened(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'x');
        file_put_contents(
            $path,
            XlsxWriter::write(
                [new Table(
                    'Doors: "all"/some',
                    ['Mark', 'Width (mm)'],
                    [null, 1],
                    [['=W-01 <&>', 1200.5], ["two\nlines", 7]],
                    ['Total', 2401.0],
                )],
            ),
        );
        $sheet = XlsxReader::read($path)[0];
        self::assertSame('Doors  "all" some', $sheet->name);
        self::assertSame([['Mark', 'Width (mm)'], ['=W-01 <&>', 1200.5], ["two\nlines", 7.0], ['Total', 2401.0]], $sheet->rows);
        foreach ([
            'table.bomb' => ['xl/workbook.xml' => str_repeat('0', 125_000_000)],
            'table.entities' => ['xl/workbook.xml' => '<!DOCTYPE x [<!ENTITY a "b">]><workbook/>'],
            'table.unreadable' => ['other.txt' => 'x'],
        ] as $reason => $parts) {
            $zip = new \ZipArchive;
            $zip->open($path, \ZipArchive::OVERWRITE | \ZipArchive::CREATE);
            array_walk($parts, static fn (string $content, string $name) => $zip->addFromString($name, $content));
            $zip->close();
            try {
                XlsxReader::read($path);
                self::fail("$reason was read.");
            } catch (Refusal $refusal) {
                self::assertSame($reason, $refusal->reason);
            }
        }
        unlink($path);
    }

    public function test_marks_and_kinds_are_what_people_write(): void
    {
        self::assertSame(Marks::key('W-01'), Marks::key(' w 1 '));
        self::assertNotSame(Marks::key('W-1.01'), Marks::key('W-101'));
        self::assertNotSame(Marks::key('W-10'), Marks::key('W-01'));
        self::assertSame(
            ['W-03', 'W-33', 'D-04', 'D-08', 'W-17', null],
            array_map(Kinds::like(...), ['Casement, pair', 'Double hung', 'Double door, 2 leaves', 'Steel fire door', 'HOPPER', 'thing']),
        );
    }

    /** What the words mean is what the ready type does. */
    public function test_a_kinds_ready_type_opens_as_its_words_say(): void
    {
        foreach (
            ['sliding door' => 'sliding-door', 'bi-fold door' => 'folding', 'double door' => 'door-pair', 'awning' => 'top-hung',
                'hopper' => 'bottom-hung', 'double hung sash' => 'vertical-sliding', 'slider' => 'sliding',
                'casement' => 'side-hung', 'louvre' => 'louvre',
                'tilt and turn' => 'tilt-and-turn', 'flush door' => 'hinged-door', 'vertical pivot' => 'vertical-pivot',
                'pivot' => 'horizontal-pivot', 'fixed' => 'fixed'] as $words => $operation) {
            $ready = Kinds::ready((string) Kinds::like($words));
            self::assertNotNull($ready, $words);
            $type = \Isleward\Core\Design\UnitType::from(new \Isleward\Core\Measure\Fields(['id' => 'ty', 'position' => 0] + $ready));
            self::assertSame(
                [$operation],
                array_values(array_unique(array_map(static fn ($l): string => $l->operation->value, $type->tree()->lights()))),
                $words,
            );
        }
    }

    public function test_a_schedule_held_against_the_model_says_what_differs_and_each_remedy_puts_it_right(): void
    {
        $house = House::box();
        $pair = $house->type('W-03');
        foreach ([
            [1000, 0, []],
            [4000, 0, ['sill' => ['from' => 'floor', 'height' => 700]]],
            [7000, 0, []],
            [1000, 1, ['width' => 1300]],
        ] as [$left, $storey, $more]) {
            $house->place(['left' => $left, 'type' => $pair->id] + $more, storey: $storey);
        }
        $house->place(['left' => 9500, 'type' => $house->type('W-09')->id]);
        $csv = "Mark,Width,Height,Sill,Qty,Storey\nW-03,1200,1450,900,2,S0\nW-03,1200,1450,900,2,S1\nW-77,900,900,900,4,S0\nW-03,1200,1450,900,1,S1\n";
        [, , $lines] = self::read($csv, $house);
        $found = static fn (): array => array_map(
            static fn (Discrepancy $d): string => $d->what.' '.$d->mark,
            Held::against($lines, $house->design)['found'],
        );
        self::assertEqualsCanonicalizing(
            ['duplicate W-03', 'size W-03', 'sill W-03', 'storey W-03', 'missing W-03', 'missing W-77', 'surplus W-09'],
            $found(),
        );
        foreach (['size', 'sill', 'storey'] as $what) {
            $row = array_values(
                array_filter(Held::against($lines, $house->design)['found'], static fn (Discrepancy $d): bool => $d->what === $what),
            )[0];
            self::assertNotNull($row->remedy, $row->sentence);
            $house->do($row->remedy->edit, $row->remedy->args);
            self::assertNotContains("$what W-03", $found(), $row->sentence);
        }
        $house->do(
            'type.from-lines',
            ['lines' => [['mark' => 'W-77', 'kind' => 'fixed light', 'width' => 900, 'height' => 900, 'sill' => 900]]],
        );
        self::assertSame(900.0, $house->type('W-77')->width);
    }

    public function test_openings_are_marked_by_a_rule_and_what_has_the_mark_itself_is_held_first(): void
    {
        $house = House::box();
        foreach ([[4000, 0, 1], [1000, 0, 0], [4000, 0, 0], [1000, 1, 0]] as [$left, $storey, $wall]) {
            $house->place(['left' => $left, 'type' => $house->type('W-03')->id], wall: $wall, storey: $storey);
        }
        $house->do('opening.number', ['text' => '{storey}.{n}']);
        self::assertSame(
            ['0.03', '0.01', '0.02', '1.01'],
            array_values(array_map(static fn ($o): ?string => $o->mark, $house->design->openings)),
        );
        [, , $lines] = self::read("Mark,Width,Height\n0.02,1300,1450\n0.01,1200,1450\n", $house);
        $found = Held::against($lines, $house->design)['found'];
        self::assertSame(
            ['One 0.02 on S0 is 1 200 × 1 450, given 1 300 × 1 450.', 'W-03 is in no line: 2 are placed.'],
            array_map(static fn (Discrepancy $d): string => str_replace("\u{202F}", ' ', $d->sentence), $found),
        );
        $copied = $house->do('opening.repeat', ['ids' => [array_key_first($house->design->openings)], 'pitch' => 1500, 'count' => 1]);
        self::assertNull($house->design->openings[$copied->chosen[0]]->mark);
    }

    /** @return array{int|null, list<Column>, list<Line>} */
    private static function read(string $csv, House $house): array
    {
        $rows = CsvReader::read($csv, 'given')->rows;
        [$header, $columns] = Headings::find($rows, $house->design->storeys);

        return [$header, $columns, Reading::of($rows, $header, $columns, $house->design->storeys)->lines];
    }
}
