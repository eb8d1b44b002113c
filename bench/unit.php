<?php

declare(strict_types=1);

/*
 * Solving and drawing (elevation, plan and section) one composite type of twelve lights under a rising head. Prints ms: the median of
 * several runs, and the regions it clips.
 */

require __DIR__.'/../vendor/autoload.php';

use Isleward\Core\Drawing\UnitElevation;
use Isleward\Core\Drawing\UnitPlan;
use Isleward\Core\Drawing\UnitSection;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Unit\Solver;
use Isleward\Core\Unit\Stock;
use Isleward\Core\Unit\UnitTree;

foreach (Stock::types() as $type) {
    if ($type['mark'] === 'D-18') {
        $values = $type['tree'];
    }
}
// the front under a rising head, its sliding pair under a vent and the widest of its toplights in two: twelve lights
$vent = ['operation' => 'top-hung', 'opens' => 'outward', 'sashFace' => 60, 'sashDepth' => 68, 'glazing' => [6, 16, 6]];
$parts = &$values['root']['parts'];
$slide = $parts[0]['node']['parts'][1]['node'];
$parts[0]['node']['parts'][1]['node'] = [
    'axis' => 'rows',
    'face' => 55,
    'parts' => [['share' => 1, 'node' => $slide], ['fixed' => 400, 'node' => $vent]],
];
$wide = $parts[1]['node']['parts'][2]['node'];
$parts[1]['node']['parts'][2]['node'] = [
    'axis' => 'columns',
    'face' => 55,
    'parts' => [['share' => 1, 'node' => $wide], ['share' => 1, 'node' => $wide]],
];
unset($parts);
$tree = UnitTree::from(new Fields($values));

$times = [];
for ($run = 0; $run < 400; $run++) {
    $start = hrtime(true);
    $unit = Solver::solve($tree, 3900.0, 3270.0);
    UnitElevation::shapes($unit);
    UnitPlan::shapes($unit, 0.0, true);
    UnitSection::shapes($unit, 1300.0);
    $times[] = (hrtime(true) - $start) / 1e6;
}
$times = array_slice($times, 100); // once it is warm
sort($times);
if (count($unit->lights) !== 12) {
    throw new LogicException('That is not twelve lights.');
}
echo json_encode(
    [
        'ms' => $times[150],
        'outline' => $unit->outline->ring(),
        'regions' => array_map(static fn ($l): array => $l->contour->bounds(), $unit->lights),
    ],
), "\n";
