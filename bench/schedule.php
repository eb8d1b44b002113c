<?php

declare(strict_types=1);

/*
 * Reading a given schedule of 5 000 lines and holding it against 5 000 openings, beside reading the same file with fgetcsv: medians of both
 * in turn, ms.
 */

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Exchange\CsvReader;
use Isleward\Core\Given\Headings;
use Isleward\Core\Given\Held;
use Isleward\Core\Given\Reading;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Tests\Support\House;

require __DIR__.'/../vendor/autoload.php';

$house = House::box(width: 400000, heights: array_fill(0, 20, 3600));
$types = array_values($house->design->types);
$elements = $house->design->elements();
$csv = "Mark,Description,Width (mm),Height (mm),Sill (mm),Count,Storey\r\n";
for ($i = 0; $i < 5000; $i++) {
    $storey = intdiv($i, 250);
    $type = $types[$i % count($types)];
    $mark = sprintf('%d.%03d', $storey, $i % 250);
    $id = "op-$i";
    $elements[$id] = Kind::Opening->make(
        new Fields(
            ['id' => $id, 'host' => $house->wall()->id, 'storey' => $house
                ->storey($storey), 'type' => $type->id, 'width' => $type->width, 'height' => $type->height, 'shape' => null,
                'position' => ['from' => 'left', 'value' => 500.0 + 1500.0 * ($i % 250), 'to' => 'near'],
                'sill' => ['from' => 'floor', 'height' => 900.0], 'facesOut' => true, 'mirrored' => false, 'setback' => 90.0,
                'mark' => $mark]));
    $csv .= sprintf(
        "%s,\"%s\",%s,%s,%d,1,S%d\r\n",
        $mark,
        $type->name,
        $i % 7 === 0 ? $type->width + 25 : $type->width,
        $type->height,
        $i % 11 === 0 ? 850 : 900,
        $storey,
    );
}
$design = Design::of($house->design->settings, $elements);
$file = (string) tempnam(sys_get_temp_dir(), 'csv');
file_put_contents($file, $csv);
$ours = $theirs = [];
$found = 0;
for ($round = 0; $round < 25; $round++) {
    $start = hrtime(true);
    $rows = CsvReader::read((string) file_get_contents($file), 'given')->rows;
    [$header, $columns] = Headings::find($rows, $design->storeys);
    $lines = Reading::of($rows, $header, $columns, $design->storeys)->lines;
    $found = count(Held::against($lines, $design)['found']);
    $ours[] = (hrtime(true) - $start) / 1e6;
    $start = hrtime(true);
    $stream = fopen($file, 'rb');
    $n = 0;
    while ($stream !== false && ($row = fgetcsv($stream, null, ',', '"', '')) !== false) {
        $n += count($row);
    }
    $theirs[] = (hrtime(true) - $start) / 1e6;
    if ($n !== 5001 * 7 || count($lines) !== 5000 || $found < 1000) {
        throw new LogicException("$n cells, ".count($lines)." lines, $found differ.");
    }
}
unlink($file);
sort($ours);
sort($theirs);
echo json_encode(['ours' => $ours[12], 'fgetcsv' => $theirs[12], 'found' => $found]), "\n";
