<?php

declare(strict_types=1);

/*
 * Moving one opening, over HTTP, against a bare authenticated Eloquent write on the same server, the two in turn.
 * Arguments: the server's address, then project ids. Prints, for each project, both medians in ms.
 */

/** @var list<string> $argv */
[, $address] = $argv;
$projects = array_slice($argv, 2);
$cookies = tempnam(sys_get_temp_dir(), 'jar');
$curl = curl_init();
$call = static function (string $method, string $path, ?array $body = null) use ($curl, $address, $cookies): array {
    $token = '';
    foreach (curl_getinfo($curl, CURLINFO_COOKIELIST) ?: [] as $line) {
        $parts = explode("\t", $line);
        if ($parts[5] === 'XSRF-TOKEN') {
            $token = urldecode($parts[6]);
        }
    }
    curl_setopt_array($curl, [
        CURLOPT_URL => $address.$path, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => $cookies, CURLOPT_COOKIEJAR => $cookies,
        CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "X-XSRF-TOKEN: $token"],
        CURLOPT_POSTFIELDS => $body === null ? '' : json_encode($body),
    ]);
    $start = hrtime(true);
    $answer = curl_exec($curl);
    $ms = (hrtime(true) - $start) / 1e6;
    if (curl_getinfo($curl, CURLINFO_RESPONSE_CODE) >= 300) {
        throw new RuntimeException("$method $path: ".substr((string) $answer, 0, 500));
    }

    return [$ms, json_decode((string) $answer, true)];
};
$call('GET', '/api/session');
$call('POST', '/api/session', ['email' => 'bench@skerrow.example', 'password' => 'harbour-light']);
$median = static function (array $times): float {
    sort($times);

    return $times[intdiv(count($times), 2)];
};
$out = [];
foreach ($projects as $project) {
    $view = $call('GET', "/api/projects/$project")[1];
    $elevation = $call('GET', "/api/projects/$project/elevations/{$view['frontages'][0]['id']}")[1];
    $opening = $elevation['openings'][7]['id'];
    $base = $view['number'];
    $edits = $bare = [];
    for ($i = 0; $i < 80; $i++) {
        [$ms, $outcome] = $call('POST', "/api/projects/$project/edits", ['edit' => 'opening.change', 'args' => ['id' => $opening, 'by' => ['u' => $i % 2 === 0 ? 10 : -10]], 'base' => $base]);
        $base = $outcome['number'];
        $edits[] = $ms;
        $bare[] = $call('POST', "/api/projects/$project/bare-write", ['level' => $i])[0];
    }
    $out[] = ['edit' => $median(array_slice($edits, 15)), 'bare' => $median(array_slice($bare, 15))];
}
echo json_encode($out), "\n";
