<?php

declare(strict_types=1);

/*
 * Moving one opening, over HTTP, against a bare authenticated Eloquent write on the same server, the two in turn.
 * Arguments: the server's address, then project ids. Prints, for each project, both medians in ms.
 */

/** @var list<string> $argv */
[, $address] = $argv;
$projects = array_slice($argv, 2);
['call' => $call, 'median' => $median] = require __DIR__.'/client.php';
$call = $call($address);
$out = [];
foreach ($projects as $project) {
    $view = $call('GET', "/api/projects/$project")[1];
    $elevation = $call('GET', "/api/projects/$project/elevations/{$view['frontages'][0]['id']}")[1];
    $opening = $elevation['openings'][7]['id'];
    $base = $view['number'];
    $edits = $bare = [];
    for ($i = 0; $i < 80; $i++) {
        [$ms, $outcome] = $call(
            'POST',
            "/api/projects/$project/edits",
            ['edit' => 'opening.change', 'args' => ['id' => $opening, 'by' => ['u' => $i % 2 === 0 ? 10 : -10]], 'base' => $base],
        );
        $base = $outcome['number'];
        $edits[] = $ms;
        $bare[] = $call('POST', "/api/projects/$project/bare-write", ['level' => $i])[0];
    }
    $out[] = ['edit' => $median(array_slice($edits, 15)), 'bare' => $median(array_slice($bare, 15))];
}
echo json_encode($out), "\n";
