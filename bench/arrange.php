<?php

declare(strict_types=1);

/*
 * Over HTTP, each against something bare on the same server, the two in turn: stacking 50 openings onto 40 storeys against
 * onto one; gathering over a project of 10 000 against a bare query for the same rows; trying a drag there against a bare
 * authenticated read. Arguments: the server's address and the large project's id. Prints medians in ms.
 */

/** @var list<string> $argv */
[, $address, $large] = $argv;
['call' => $call, 'median' => $median] = require __DIR__.'/client.php';
$call = $call($address);
$out = [];

$storeys = array_map(static fn (int $i): array => ['name' => "Level $i", 'height' => 3600], range(0, 40));
$tower = $call(
    'POST',
    '/api/projects',
    ['name' => 'Tower', 'units' => 'mm', 'storeys' => $storeys, 'rectangle' => ['width' => 130000, 'depth' => 20000, 'thickness' => 300]],
)[1]['id'];
$view = $call('GET', "/api/projects/$tower")[1];
$base = $view['number'];
$do = static function (string $edit, array $args) use ($call, $tower, &$base): array {
    [$ms, $outcome] = $call('POST', "/api/projects/$tower/edits", ['edit' => $edit, 'args' => $args, 'base' => $base]);
    $base = $outcome['number'];

    return [$ms, $outcome];
};
$first = $do(
    'opening.place',
    [
        'host' => $view['walls'][0]['id'],
        'storey' => $view['storeys'][0]['id'],
        'type' => $view['types'][2]['id'],
        'position' => ['from' => 'left', 'value' => 800, 'to' => 'near'],
    ],
)[1]['chosen'][0];
$ids = [$first, ...$do('opening.repeat', ['ids' => [$first], 'count' => 49, 'pitch' => 2500])[1]['chosen']];
$onto = array_column(array_slice($view['storeys'], 1), 'id');
$one = $forty = [];
for ($i = 0; $i < 7; $i++) {
    foreach (['one' => array_slice($onto, $i, 1), 'forty' => $onto] as $name => $targets) {
        [$ms, $outcome] = $do('opening.stack', ['ids' => $ids, 'storeys' => $targets]);
        if (count($outcome['chosen']) !== 50 * count($targets)) {
            throw new LogicException('Not all were stacked.');
        }
        ${$name}[] = $ms;
        $base = $call('POST', "/api/projects/$tower/undo")[1]['number'];
    }
}
$out['stack'] = ['one' => $median(array_slice($one, 2)), 'forty' => $median(array_slice($forty, 2))];

$view = $call('GET', "/api/projects/$large")[1];
$type = $view['types'][array_search('W-03', array_column($view['types'], 'mark'), true)]['id'];
$south = [];
foreach ($view['frontages'] as $frontage) {
    if (round($frontage['bearing'] / 45) % 8 === 4) {
        array_push($south, ...array_keys($frontage['walls']));
    }
}
$gather = $query = [];
$found = ['ids' => []];
for ($i = 0; $i < 40; $i++) {
    [$gather[], $found] = $call('GET', "/api/projects/$large/gather?type=$type&width=1200&sill=900&facing=South");
    [$query[], $rows] = $call('GET', "/api/projects/$large/bare-query?type=$type&walls=".implode(',', $south));
    if ($found['ids'] !== $rows['ids']) {
        throw new LogicException('Not the same rows.');
    }
}
$out['gather'] = [
    'gather' => $median(array_slice($gather, 10)),
    'query' => $median(array_slice($query, 10)),
    'rows' => count($found['ids']),
];

$elevation = $call('GET', "/api/projects/$large/elevations/{$view['frontages'][0]['id']}")[1];
$opening = $elevation['openings'][7];
$try = $read = [];
for ($i = 0; $i < 80; $i++) {
    $try[] = $call(
        'POST',
        "/api/projects/$large/edits?try=1",
        [
            'edit' => 'opening.change',
            'args' => ['id' => $opening['id'], 'leftJamb' => $opening['left'] + $i, 'sillLevel' => $opening['sillLevel']],
            'base' => $view['number'],
        ],
    )[0];
    $read[] = $call('GET', "/api/projects/$large/bare-read")[0];
}
$out['try'] = ['try' => $median(array_slice($try, 15)), 'read' => $median(array_slice($read, 15))];
echo json_encode($out), "\n";
