<?php

declare(strict_types=1);

namespace Tests\Peers;

use Isleward\Core\Design\Layout;
use Isleward\Core\Exchange\XlsxReader;
use Isleward\Core\Exchange\XlsxWriter;
use Isleward\Core\Given\Headings;
use Isleward\Core\Given\Line;
use Isleward\Core\Given\Reading;
use Isleward\Core\Schedule\Report;
use Isleward\Core\Schedule\Source;
use Isleward\Core\Tests\Support\House;

/** Workbooks to and from exceljs, which is not ours. */
final class TablesTest extends PeerCase
{
    public function test_numbers_are_numbers_and_a_workbook_of_others_is_read_with_its_merged_cells_and_formulas(): void
    {
        $house = House::box();
        foreach ([1000, 4000, 7000] as $left) {
            $house->place(['left' => $left, 'type' => $house->type('W-03')->id]);
        }
        $layout = Layout::ready('by-type', $house->design->storeys);
        self::assertNotNull($layout);
        $ours = (string) tempnam(sys_get_temp_dir(), 'ours');
        $theirs = tempnam(sys_get_temp_dir(), 'theirs').'.xlsx';
        file_put_contents($ours, XlsxWriter::write([Report::of(Source::of('openings', $house->design, [], []), $layout, $house->design->settings->units)->table()]));
        $case = (string) tempnam(sys_get_temp_dir(), 'case');
        file_put_contents($case, json_encode(['read' => $ours, 'write' => $theirs]));
        $read = self::node('xlsx.mjs', $case);
        self::assertIsArray($read);
        self::assertSame('Openings by type', $read[0]['name']);
        self::assertSame(['Mark', 'Name', 'Width (mm)', 'Height (mm)', 'Count', 'On S0', 'On S1', 'Area each (m²)', 'Area (m²)', 'Glass (m²)'], $read[0]['rows'][0]);
        self::assertEquals(['W-03', 'side-hung pair', 1200, 1450, 3, 3, null, 1.74, 5.22], array_slice($read[0]['rows'][1], 0, 9));
        self::assertSame('0.000', $read[0]['formats'][8]);
        self::assertEquals(['Total', null, null, null, 3, 3, 0, null, 5.22], array_slice($read[0]['rows'][2], 0, 9));

        $sheet = XlsxReader::read($theirs)[1];
        [$header, $columns] = Headings::find($sheet->rows, $house->design->storeys);
        $lines = Reading::of($sheet->rows, $header, $columns, $house->design->storeys)->lines;
        self::assertSame([['W-03', 'side-hung pair', 1200.0, 1450.0], ['W-04', 'side-hung pair', 900.5, null], ['W-05', '', 1200.0, 900.0]], array_map(static fn (Line $l): array => [$l->mark, $l->kind, $l->width, $l->height], $lines));
        self::assertCount(3, $sheet->notes);
        self::assertStringStartsWith('D4 has no saved result', $sheet->notes[2]);
        unlink($ours);
        unlink($theirs);
    }
}
