<?php

declare(strict_types=1);

/*
 * In a project of 10 000 openings: what differs from a revision after 10 of them were changed, and after 1000 were. Arguments: the server's
 * address and the project's id. Prints medians in ms.
 */

/** @var list<string> $argv */
[, $address, $project] = $argv;
['call' => $call, 'median' => $median] = require __DIR__.'/client.php';
$call = $call($address);
$view = $call('GET', "/api/projects/$project")[1];
$base = $view['number'];
$ids = $call('GET', "/api/projects/$project/gather?width=1200")[1]['ids'];
$out = [];
foreach ([10, 1000] as $count) {
    $letter = $call('POST', "/api/projects/$project/revisions", ['note' => ''])[1]['letter'];
    $base = $call(
        'POST',
        "/api/projects/$project/edits",
        ['edit' => 'opening.change', 'args' => ['ids' => array_slice($ids, 0, $count), 'fit' => 'all', 'height' => '-10'], 'base' => $base],
    )[1]['number'];
    $times = [];
    for ($i = 0; $i < 12; $i++) {
        [$times[], $found] = $call('GET', "/api/projects/$project/revisions/$letter/difference");
        if (count($found['rows']) !== $count) {
            throw new LogicException(sprintf('%d differ, not %d.', count($found['rows']), $count));
        }
    }
    $out[$count] = $median(array_slice($times, 2));
}
echo json_encode($out), "\n";
