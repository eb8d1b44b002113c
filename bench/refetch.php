<?php

declare(strict_types=1);

/*
 * How many frontages are fetched again after one type of thirty has been changed: of a type that stands in two of them, and of one that
 * stands in all. Arguments: the server's address and a project. Prints the shares of frontages that hold each, and that came anew.
 */

/** @var list<string> $argv */
[, $address, $project] = $argv;
['call' => $call] = require __DIR__.'/client.php';
$call = $call($address);
$view = $call('GET', "/api/projects/$project")[1];
$tags = static function () use ($call, $project, $view): array {
    $tags = [];
    foreach ($view['frontages'] as $frontage) {
        $tags[$frontage['id']] = $call('GET', "/api/projects/$project/elevations/{$frontage['id']}")[2];
    }

    return $tags;
};
$base = $view['number'];
$edit = static function (string $name, array $args) use ($call, $project, &$base): array {
    $outcome = $call('POST', "/api/projects/$project/edits", ['edit' => $name, 'args' => $args, 'base' => $base])[1];
    $base = $outcome['number'];

    return $outcome;
};
$values = static fn (string $type): array => $call('GET', "/api/projects/$project/types/$type")[1]['type'];
$own = $edit('type.add', ['mark' => 'Z-01'] + array_diff_key($values($view['types'][0]['id']), ['id' => 1]))['chosen'][0];
foreach (array_slice($view['frontages'], 0, 2) as $frontage) {
    $openings = $call('GET', "/api/projects/$project/elevations/{$frontage['id']}")[1]['openings'];
    $edit('opening.change', ['ids' => array_column(array_slice($openings, 0, 3), 'id'), 'type' => $own, 'fit' => 'fitting']);
}
$share = static function (string $type) use ($tags, $edit, $view, $call, $project, $values): array {
    $holding = array_filter($view['frontages'], static fn (array $f): bool => in_array(
        $type,
        array_column($call('GET', "/api/projects/$project/elevations/{$f['id']}")[1]['openings'], 'type'),
        true,
    ));
    $before = $tags();
    $tree = $values($type)['tree'];
    $edit('type.change', ['id' => $type, 'tree' => ['frame' => ['depth' => $tree['frame']['depth'] + 5] + $tree['frame']] + $tree]);
    $n = count($view['frontages']);

    return ['hold' => count($holding) / $n, 'anew' => count(array_diff_assoc($tags(), $before)) / $n];
};
echo json_encode(['few' => $share($own), 'all' => $share($view['types'][0]['id'])]), "\n";
