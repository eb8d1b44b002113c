<?php

declare(strict_types=1);

/*
 * A house of 40 sides whose walls all run up to its roof: one edge's pitch changed over HTTP, against a bare authenticated Eloquent write
 * on the same server, the two in turn. Argument: the server's address.
 */

require __DIR__.'/../vendor/autoload.php';

/** @var list<string> $argv */
[, $address] = $argv;
['call' => $call, 'project' => $project, 'median' => $median] = require __DIR__.'/client.php';
$call = $call($address);
[$id, $do] = $project($call, 'Bench roof', 'benchRoof.1', [['name' => 'Ground', 'height' => 3600]]);
$storey = $call('GET', "/api/projects/$id")[1]['storeys'][0]['id'];
mt_srand(20261127);
$points = [];
for ($i = 0; $i < 40; $i++) {
    [$angle, $far] = [2 * M_PI * $i / 40, 18000 + mt_rand(-600, 600)];
    $points[] = [round($far * cos($angle)), round($far * sin($angle))];
}
$do('outline.draw', ['points' => $points, 'closed' => true, 'thickness' => 300, 'base' => $storey, 'top' => $storey]);
$view = $call('GET', "/api/projects/$id")[1];
$walls = array_column($view['walls'], 'id');
$roof = $do('roof.add', ['outline' => $view['outlines'][0]['id'], 'pitch' => 30])[1]['chosen'][0];
$do('wall.edge', ['walls' => $walls, 'head' => ['roof' => $roof]]);
$edits = $bare = [];
for ($i = 0; $i < 60; $i++) {
    $edits[] = $do('roof.change', ['id' => $roof, 'edge' => ['wall' => $walls[3], 'pitch' => $i % 2 === 0 ? 35 : 32]])[0];
    $bare[] = $call('POST', "/api/projects/$id/bare-write", ['level' => 0])[0];
}
$follow = array_filter($call('GET', "/api/projects/$id")[1]['walls'], static fn (array $w): bool => $w['ring'] !== null);
if (count($follow) !== 40) {
    throw new LogicException(count($follow).' of 40 walls run up to the roof.');
}
echo json_encode(['edit' => $median(array_slice($edits, 12)), 'bare' => $median(array_slice($bare, 12))]), "\n";
