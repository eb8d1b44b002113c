<?php

declare(strict_types=1);

namespace Tests\Peers;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Frontages;
use Isleward\Core\Exchange\XlsxReader;
use Isleward\Core\Exchange\XlsxWriter;
use Isleward\Core\Given\Headings;
use Isleward\Core\Given\Line;
use Isleward\Core\Given\Reading;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Schedule\Layout;
use Isleward\Core\Schedule\Report;
use Isleward\Core\Schedule\Source;
use Isleward\Core\Sheet\Arranged;
use Isleward\Core\Sheet\Paper;
use Isleward\Core\Sheet\SheetDrawings;
use Isleward\Core\Sheet\SheetPlaces;
use Isleward\Core\Sheet\SheetPlan;
use Isleward\Core\Tests\Support\House;

/** Workbooks to and from exceljs, sheets read back by poppler: neither is ours. */
final class TablesTest extends PeerCase
{
    public function test_numbers_are_numbers_and_a_workbook_of_others_is_read_with_its_merged_cells_and_formulas(): void
    {
        $house = House::box();
        foreach ([1000, 4000, 7000] as $left) {
            $house->place(['left' => $left, 'type' => $house->type('W-03')->id]);
        }
        $layout = Layout::ready('by-type', $house->design);
        self::assertNotNull($layout);
        $ours = (string) tempnam(sys_get_temp_dir(), 'ours');
        $theirs = tempnam(sys_get_temp_dir(), 'theirs').'.xlsx';
        file_put_contents(
            $ours,
            XlsxWriter::write(
                [Report::of(Source::of('openings', $house->design, [], []), $layout, $house->design->settings->units)->table()],
            ),
        );
        $case = (string) tempnam(sys_get_temp_dir(), 'case');
        file_put_contents($case, json_encode(['read' => $ours, 'write' => $theirs]));
        $read = self::node('xlsx.mjs', $case);
        self::assertIsArray($read);
        self::assertSame('Openings by type', $read[0]['name']);
        self::assertSame(
            ['Mark', 'Name', 'Width (mm)', 'Height (mm)', 'Count', 'On S0', 'On S1', 'Area each (m²)', 'Area (m²)', 'Glass (m²)'],
            $read[0]['rows'][0],
        );
        self::assertEquals(['W-03', 'side-hung pair', 1200, 1450, 3, 3, null, 1.74, 5.22], array_slice($read[0]['rows'][1], 0, 9));
        self::assertSame('0.000', $read[0]['formats'][8]);
        self::assertEquals(['Total', null, null, null, 3, 3, 0, null, 5.22], array_slice($read[0]['rows'][2], 0, 9));

        $sheet = XlsxReader::read($theirs)[1];
        [$header, $columns] = Headings::find($sheet->rows, $house->design->storeys);
        $lines = Reading::of($sheet->rows, $header, $columns, $house->design->storeys)->lines;
        self::assertSame(
            [['W-03', 'side-hung pair', 1200.0, 1450.0], ['W-04', 'side-hung pair', 900.5, null], ['W-05', '', 1200.0, 900.0]],
            array_map(static fn (Line $l): array => [$l->mark, $l->kind, $l->width, $l->height], $lines),
        );
        self::assertCount(3, $sheet->notes);
        self::assertStringStartsWith('D4 has no saved result', $sheet->notes[2]);
        unlink($ours);
        unlink($theirs);
    }

    /** A wall 12 000 long at 1:100 is 120 mm on paper; 1 pt is 1/72 inch. */
    public function test_a_sheet_is_true_to_scale_and_its_text_is_text(): void
    {
        $house = House::box();
        $house->place(['left' => 3000, 'type' => $house->type('W-03')->id]);
        $bodies = Bodies::of($house->design);
        $frontages = Frontages::of($house->design, $bodies);
        $layout = Layout::ready('by-type', $house->design);
        self::assertNotNull($layout);
        $drawings = new SheetDrawings(
            $house->design,
            $bodies,
            $frontages,
            static fn (): Report => Report::of(
                Source::of('openings', $house->design, $bodies, $frontages),
                $layout,
                $house->design->settings->units,
            ),
        );
        $items = SheetPlaces::of(
            $drawings,
            Paper::A1,
            array_map(
                static fn (array $i): array => ['kind' => $i[0], 'ref' => $i[1], 'scale' => $i[2], 'x' => null, 'y' => null],
                [['elevation', $frontages[0]->id, 100.0], ['plan', $house->storey(0), 50.0], ['schedule', 'by-type', null]],
            ),
        );
        $sheet = Arranged::of(
            $drawings,
            SheetPlan::from(new Fields(['id' => 'sh', 'number' => 'A-01', 'name' => 'Quay side', 'paper' => 'A1', 'items' => $items])),
            '25 November 2026',
            'B',
        );
        self::assertSame([null, null, null], array_column($sheet['blocks'], 'problem'));
        $folder = sys_get_temp_dir().'/sheet-'.bin2hex(random_bytes(4));
        mkdir($folder);
        file_put_contents("$folder/a.svg", $sheet['pages'][0]);
        exec(
            sprintf(
                'cd %s && rsvg-convert --format=pdf --output=a.pdf a.svg 2>&1 && pdfinfo a.pdf && pdftotext -layout a.pdf - && pdftocairo -svg -noshrink -nocenter a.pdf b.svg',
                escapeshellarg($folder),
            ),
            $lines,
            $code,
        );
        $text = implode("\n", $lines);
        self::assertSame(0, $code, $text);
        self::assertMatchesRegularExpression('/Page size:\s+2383\.9\d* x 1683\.7\d*/', $text);
        foreach ([
            'Quay side',
            'A-01',
            '1:100',
            '1:50',
            'as shown',
            'W-03',
            'Openings by type',
            'S 900',
            '25 November 2026',
            '+3.600',
        ] as $said) {
            self::assertStringContainsString($said, $text);
        }
        // every closed outline of the wall's face in what poppler read, in points
        preg_match_all('/<path[^>]* d="([^"]+)"/', (string) file_get_contents("$folder/b.svg"), $paths);
        $widths = [];
        foreach ($paths[1] as $d) {
            preg_match_all('/(-?\d+(?:\.\d+)?) -?\d+(?:\.\d+)?/', $d, $xs);
            $widths[] = $xs[1] === []
                            ? 0.0
                            : round((max(array_map(floatval(...), $xs[1])) - min(array_map(floatval(...), $xs[1]))) / 72 * 25.4, 1);
        }
        self::assertContains(120.0, $widths, 'the elevation at 1:100');
        self::assertContains(240.0, $widths, 'the plan at 1:50');
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);
    }
}
