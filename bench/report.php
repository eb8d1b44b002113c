<?php

declare(strict_types=1);

/* Puts what was measured into ratios; --json prints one flat object. */

/** @var list<string> $argv */
$read = static fn (string $name): array => json_decode(
    (string) file_get_contents("{$argv[1]}/bench-$name.json"),
    true,
    8,
    JSON_THROW_ON_ERROR,
);
$theirs = $read('manifold');
$ours = $read('cut');
[$small, $middle, $large] = $read('edit');
$fps = $read('fps');
$open = $read('open');
$first = $read('first-load');
$refetch = $read('refetch');
$rack = $read('rack');
$revision = $read('revision');
$schedule = $read('schedule');
$tracing = $read('tracing');
$glb = $read('glb');
$grid = $read('grid');
$tower = $read('tower');
$fins = $read('fins');
$regions = $read('regions');
$roof = $read('roof');
$under = $read('under-roof');
$skeleton = $read('skeleton')['ms'];
$rounds = array_map(static fn (int $n): array => [$read("unit-$n")['ms'], $read("clipping-$n")['ms']], range(1, 7));
usort($rounds, static fn (array $a, array $b): int => $a[0] / $a[1] <=> $b[0] / $b[1]);
[$unit, $clipping] = $rounds[3];
['stack' => $stack, 'gather' => $gather, 'try' => $try] = $read('arrange');
$figures = [];
foreach ([100, 1000, 4000] as $n) {
    $figures["cut.vs_manifold.$n"] = [
        $ours[$n] / $theirs[$n],
        sprintf('%.1f ms against %.1f ms', $ours[$n], $theirs[$n]),
        $n === 1000 ? 0.25 : null,
    ];
}
$figures['cut.curved_vs_flat.1000'] = [
    $ours['curved'] / $ours['flat'],
    sprintf('%.1f ms against %.1f ms', $ours['curved'], $ours['flat']),
    4.0,
];
$figures['cut.growth.1000_4000'] = [$ours[4000] / $ours[1000] / 4, 'time ratio over 4', 1.3];
foreach (['100' => $small, '1000' => $middle, '10000' => $large] as $n => $pair) {
    $figures["edit.vs_bare_write.$n"] = [
        $pair['edit'] / $pair['bare'],
        sprintf('%.1f ms against %.1f ms', $pair['edit'], $pair['bare']),
        1.8,
    ];
}
$figures['edit.growth.100_10000'] = [$large['edit'] / $small['edit'], 'time ratio', 1.5];
$figures['stack.40_vs_1'] = [$stack['forty'] / $stack['one'], sprintf('%.0f ms against %.0f ms', $stack['forty'], $stack['one']), 20.0];
$figures['gather.vs_bare_query'] = [
    $gather['gather'] / $gather['query'],
    sprintf('%.1f ms against %.1f ms for %d rows', $gather['gather'], $gather['query'], $gather['rows']),
    3.0,
];
$figures['try.vs_bare_read'] = [$try['try'] / $try['read'], sprintf('%.1f ms against %.1f ms', $try['try'], $try['read']), 1.4];
$figures['open.vs_bytes.10000'] = [
    $open['open'] / $open['bytes'],
    sprintf('%.0f ms against %.0f ms for %.0f kB', $open['open'], $open['bytes'], $open['size'] / 1000),
    3.0,
];
$figures['first.sign_in'] = [$first['sign_in'], 's until signing in is shown, on a slow line and a slow processor', 3.0];
$figures['first.desk'] = [$first['desk'], sprintf('s likewise until the desk stands; its drawing after %.1f', $first['drawn']), 5.0];
$figures['type.refetch'] = [
    $refetch['few']['anew'],
    sprintf('of %.3f that hold it; of one that all hold %.3f', $refetch['few']['hold'], $refetch['all']['anew']),
    round($refetch['few']['hold'] + 0.02, 3),
];
$figures['revision.growth'] = [
    $revision['1000'] / $revision['10'],
    sprintf('%.0f ms after 1000 changes against %.0f ms after 10', $revision['1000'], $revision['10']),
    null,
];
$figures['schedule.vs_fgetcsv'] = [
    $schedule['ours'] / $schedule['fgetcsv'],
    sprintf('%.0f ms against %.0f ms; %d differ', $schedule['ours'], $schedule['fgetcsv'], $schedule['found']),
    5.0,
];
$figures['unit.vs_clipping'] = [$unit / $clipping, sprintf('%.2f ms against %.2f ms, the middle of seven rounds', $unit, $clipping), 2.0];
$figures['grid.solve_vs_arrays'] = [
    $grid['solve40'] / $grid['arrays'],
    sprintf('%.0f ms against %.0f ms; %d cells, %d members', $grid['solve40'], $grid['arrays'], $grid['cells'], $grid['members']),
    5.0,
];
$figures['grid.one_line'] = [
    $tower['edit'] / $tower['bare'],
    sprintf('%.1f ms against %.1f ms', $tower['edit'], $tower['bare']),
    3.0,
];
$figures['grid.glb_bytes_per_cell'] = [
    filesize("{$argv[1]}/bench-tower.glb") / $tower['cells'],
    sprintf('%.2f MB with %d cells', filesize("{$argv[1]}/bench-tower.glb") / 1e6, $tower['cells']),
    null,
];
$figures['grid.fps.8000'] = [$tower['fps'], 'panning all four sides, frames a second (30 is wanted)', null];
$figures['grid.growth.10_40'] = [$grid['solve40'] / $grid['solve10'] / 4, 'time ratio over 4', 1.1];
$figures['pack.growth.2000_20000'] = [$grid['pack20000'] / $grid['pack2000'] / 10, 'time ratio over 10', 1.5];
$figures['roof.growth.40_400'] = [
    $roof['400'] / $roof['40'] / 10,
    sprintf('%.1f ms and %.1f ms: time ratio over 10', $roof['40'], $roof['400']),
    3.0,
];
$figures['roof.edit'] = [$under['edit'] / $under['bare'], sprintf('%.1f ms against %.1f ms', $under['edit'], $under['bare']), 4.0];
$figures['roof.vs_skeleton.100'] = [$roof['100'] / $skeleton, sprintf('%.1f ms against %.1f ms', $roof['100'], $skeleton), 3.0];
$figures['regions.growth.100_1000'] = [
    $regions['1000'] / $regions['100'] / 10,
    sprintf('%.1f ms and %.1f ms: time ratio over 10', $regions['100'], $regions['1000']),
    1.3,
];
$figures['fins.solve_vs_arrays'] = [
    $fins['solve'] / $fins['arrays'],
    sprintf('%.1f ms against %.1f ms; %d fins on 12 bands', $fins['solve'], $fins['arrays'], $fins['count']),
    3.0,
];
$figures['fins.law_try'] = [$fins['try'] / $fins['read'], sprintf('%.1f ms against %.1f ms', $fins['try'], $fins['read']), 2.0];
$figures['fins.fps.10000'] = [
    $fins['fps'],
    sprintf('elevation panned, frames a second (30 is wanted); solid turned %.1f with software rendering', $fins['turning']),
    null,
];
$figures['fins.draw_calls'] = [$fins['calls'], 'of the solid pane', 60.0];
$figures['layers.glb_bytes_per_fin'] = [
    filesize("{$argv[1]}/bench-fins.glb") / $fins['count'],
    sprintf('%.2f MB with %d fins, a building included', filesize("{$argv[1]}/bench-fins.glb") / 1e6, $fins['count']),
    60.0,
];
$figures['glb.bytes_per_opening.5000'] = [
    ($glb['5000'] - $glb['2500']) / 2500,
    sprintf('%.1f MB with 5000 openings of 30 types, %.1f MB with 2500', $glb['5000'] / 1e6, $glb['2500'] / 1e6),
    null,
];
$figures['rack.fps.500'] = [
    $rack['fps'],
    sprintf('of %.0f while nothing moves, %d of 500 units drawn at once', $rack['still'], $rack['drawn']),
    null,
];
$figures['tracing.fps'] = [
    $tracing['catching'],
    sprintf('catching, %.0f panning; of 50 000 lines (30 is wanted)', $tracing['panning']),
    null,
];
$figures['desk.fps.5000'] = [min($fps), sprintf('panning %.0f, zooming %.0f frames a second', $fps['pan'], $fps['zoom']), null];

if (getenv('JSON') === '1') {
    echo json_encode(array_map(static fn (array $f): float => round($f[0], 4), $figures), JSON_PRETTY_PRINT), "\n";
    exit;
}
foreach ($figures as $name => [$value, $note, $most]) {
    printf(
        "%-26s %8.3f   %s%s\n",
        $name,
        $value,
        $note,
        $most === null ? '' : sprintf('   (at most %s%s)', $most, $value <= $most ? '' : ', NOT REACHED'),
    );
}
