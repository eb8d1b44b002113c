<?php

declare(strict_types=1);

/*
 * Breaks a running server on purpose and says what came of it: trial.php ADDRESS HOME KILLS REQUESTS PEOPLE FILES JSON. HOME is where
 * bin/keep.php keeps
 * it (its processes are killed by the numbers written down there). First a stranger's answers while nothing else goes on; then people edit
 * while the database, PHP and the workers are killed in turn; then hostile files are sent; then spoiled requests. At the end every key that
 * was acknowledged, or said not to have been done, is held against the log, and every project against its own.
 */

use Bench\Trial\Answer;
use Bench\Trial\Fleet;
use Bench\Trial\Person;
use Bench\Trial\Stranger;
use Bench\Trial\Work;
use Tests\Support\Furnished;
use Tests\Support\HostileFiles;
use Tests\Support\Spoiled;

require dirname(__DIR__).'/vendor/autoload.php';

/** @var list<string> $argv */
[, $address, $home, $kills, $requests, $people, $files, $asJson] = $argv;
[$kills, $requests, $people] = [(int) $kills, (int) $requests, (int) $people];
mt_srand(20261126);
$began = microtime(true);
$say = static fn (string $line) => fwrite(STDERR, sprintf("· %3d s  %s\n", (int) (microtime(true) - $began), $line));
$artisan = static function (string $words, string $input = ''): array {
    $process = proc_open(
        [PHP_BINARY, dirname(__DIR__).'/artisan', ...explode(' ', $words)],
        [['pipe', 'r'], ['pipe', 'w'], STDERR],
        $pipes,
    ) ?: throw new RuntimeException('artisan does not start.');
    fwrite($pipes[0], $input);
    fclose($pipes[0]);
    $said = (string) stream_get_contents($pipes[1]);
    proc_close($process);

    return json_decode($said, true, flags: JSON_THROW_ON_ERROR);
};
$made = $artisan("isleward:trial $people");
$fleet = new Fleet($address);
$all = array_map(static fn (string $email): Person => new Person($email), array_keys($made['people']));
$say('signing in '.count($all).' people');
foreach ($all as $person) {
    $fleet->signIn($person);
}
$project = static fn (Person $p, string $id): array => ['id' => $id] + json_decode(
    $fleet->now($p, 'GET', "/api/projects/$id")->content,
    true,
    flags: JSON_THROW_ON_ERROR,
);
$own = [];
foreach ($all as $person) {
    $own[$person->email] = $project($person, $made['people'][$person->email]);
}
[$outsider, $workers] = [$all[0], array_slice($all, 1)];

$say('a stranger while nothing else goes on');
$idle = new Stranger($fleet, $outsider, $own[$outsider->email]);
$idle->begin($kills < 20 ? 60 : 300);
$fleet->run();
$idle->times = array_slice($idle->times, 12); // what was loaded for the first time is not counted

$say(count($workers).' people edit, nothing is killed');
$work = new Work($fleet, $workers, $own, $project($workers[0], $made['shared']));
$beside = new Stranger($fleet, $outsider, $own[$outsider->email]);
$from = microtime(true);
$work->begin();
$beside->begin($kills < 20 ? 60 : 300, static fn () => $work->end());
$fleet->run();
$perSecond = count($work->acknowledged) / (microtime(true) - $from);

$say(count($workers)." people edit, $kills kills");
$meanwhile = new Stranger($fleet, $outsider, $own[$outsider->email]);
$work->begin();
$meanwhile->begin();
$killed = 0;
$next = microtime(true) + 1.0;
$fleet->run(static function () use ($kills, &$killed, &$next, $home, $work, $meanwhile): void {
    if (microtime(true) < $next) {
        return;
    }
    if ($killed === $kills) {
        $work->end();
        $meanwhile->end();

        return;
    }
    // most of them the database: there is the most to lose
    $which = ['database', 'php', 'database', 'worker-edits', 'database', 'php', 'worker-files', 'database'][$killed % 8];
    $entry = json_decode((string) @file_get_contents("$home/run/$which.json"), true);
    if (is_array($entry) && posix_kill((int) $entry['pid'], SIGKILL)) {
        $killed++;
    }
    $next = microtime(true) + mt_rand(600, 2500) / 1000;
});
$say('holding what was said against the log');
$became = $artisan(
    'isleward:trial --verify',
    json_encode(['acknowledged' => $work->acknowledged, 'denied' => $work->denied], JSON_THROW_ON_ERROR),
);

$say('hostile files, one after the other, and the stranger before and beside each');
$sender = $workers[0];
[$beforeFiles, $besideFiles] = [
    new Stranger($fleet, $outsider, $own[$outsider->email]),
    new Stranger($fleet, $outsider, $own[$outsider->email]),
];
$slowest = ['', 0.0];
$statuses = [];
foreach (array_slice(HostileFiles::all(), 0, (int) $files) as $name => [$kind, $make]) {
    $content = $make(); // before anyone's time is taken
    // the machine is not equally fast all the time
    $beforeFiles->begin(20);
    $fleet->run();
    $besideFiles->begin();
    $fleet->ask(
        $sender, 'POST', "/api/projects/{$own[$sender->email]['id']}/uploads/$kind?name=x.csv", $content,
        static function (Answer $a) use (&$slowest, &$statuses, $name, $besideFiles): void {
            $statuses[$name] = $a->status;
            $slowest = $a->seconds > $slowest[1] ? [$name, $a->seconds] : $slowest;
            $besideFiles->end();
        }, 'application/octet-stream');
    $fleet->run();
}

$say("$requests spoiled requests");
$spoiler = $workers[count($workers) - 1];
$id = (string) $fleet->now($spoiler, 'POST', '/api/projects', ['name' => 'Spoiled', 'units' => 'mm', 'storeys' => [
    ['name' => 'Quay', 'height' => 4200], ['name' => 'Charts', 'height' => 3600],
],
    'rectangle' => ['width' => 12000, 'depth' => 8000, 'thickness' => 300]])->get('id');
$me = array_column(json_decode($fleet->now($spoiler, 'GET', "/api/projects/$id/people")->content, true)['members'], 'id')[0];
$furnished = new Furnished(static function (string $method, string $path, mixed $body, string $type) use ($fleet, $spoiler, $id): array {
    $answer = $fleet->now($spoiler, $method, rtrim("/api/projects/$id/$path", '/'), $body, $type);

    return $answer->status < 300 ? (array) json_decode(
        $answer->content,
        true,
    ) : throw new RuntimeException("$method $path: $answer->status $answer->content");
}, static fn (): object => (object) [
    'id' => $id,
    'change_number' => json_decode($fleet->now($spoiler, 'GET', "/api/projects/$id")->content, true)['number'],
], $me);
$right = array_filter(
    $furnished->requests(),
    static fn (string $route): bool => ! in_array($route, ['DELETE api/session', 'DELETE api/projects/{project}'], true),
    ARRAY_FILTER_USE_KEY,
);
foreach ($furnished->edits() as $name => $args) {
    $right[$name] = ['POST', "/api/projects/$id/edits", ['edit' => $name, 'args' => $args, 'base' => 0]];
}
$right = array_values($right);
$byStatus = $failures = [];
$plain = 0;
$sent = 0;
$ask = static function () use (&$ask, &$sent, $requests, $right, $fleet, $spoiler, &$byStatus, &$failures, &$plain): void {
    if ($sent++ >= $requests) {
        return;
    }
    [$method, $path, $content, $type] = Spoiled::one($right[mt_rand(0, count($right) - 1)]);
    $fleet->ask(
        $spoiler, $method, $path, $content, static function (Answer $a) use (&$ask, &$byStatus, &$failures, &$plain, $method, $path): void {
            $byStatus[$a->status] = ($byStatus[$a->status] ?? 0) + 1;
            if ($a->status >= 500 || $a->status === 0) {
                $failures["$a->status $method ".substr($path, 0, 120).' '.substr($a->content, 0, 120)] = true;
            }
            if ($a->status >= 400 && str_starts_with($path, '/api/') && $a->type !== 'application/problem+json') {
                $plain++;
                $failures["no problem: $a->status $method ".substr($path, 0, 120)] = true;
            }
            $ask();
        }, $type);
};
for ($i = 0; $i < 4; $i++) {
    $ask();
}
$fleet->run();
ksort($byStatus);

$result = [
    'kills' => $killed, 'acknowledged' => count($work->acknowledged), 'lost' => count($became['lost']),
    'doubled' => count($became['doubled']),
    'denied' => count($work->denied), 'falsely denied' => count($became['false']), 'half done' => count($became['half']),
    'asked again' => $work->unsure, 'waited' => $work->busy,
    '5xx of edits' => array_sum($work->failures), 'requests' => array_sum($byStatus), '5xx' => array_sum(array_filter(
        $byStatus,
        static fn (int $s): bool => $s >= 500 || $s === 0,
        ARRAY_FILTER_USE_KEY,
    )), 'no problem+json' => $plain,
    'slowest file s' => round($slowest[1], 1),
];
$strangers = [
    'idle' => $idle, 'beside edits' => $beside, 'beside edits and kills' => $meanwhile, 'before files' => $beforeFiles,
    'beside files' => $besideFiles,
];
foreach ($strangers as $when => $stranger) {
    $result["stranger $when p50 ms"] = round(1000 * $stranger->percentile(0.5), 1);
    $result["stranger $when p95 ms"] = round(1000 * $stranger->percentile(0.95), 1);
}
$ratio = static fn (Stranger $a, Stranger $b): float => round($a->percentile(0.95) / max(0.0001, $b->percentile(0.95)), 2);
$result += [
    'edits a second' => round($perSecond, 1),
    'stranger beside edits p95 ratio' => $ratio($beside, $idle), 'stranger beside files p95 ratio' => $ratio($besideFiles, $beforeFiles),
];
if ($asJson === '1') {
    echo json_encode($result, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR)."\n";
} else {
    foreach ($result as $name => $value) {
        printf("%-42s %s\n", $name, $value);
    }
    printf(
        "%-42s %s\n",
        'answers',
        implode(', ', array_map(static fn (int $s, int $n): string => "$n × $s", array_keys($byStatus), $byStatus)),
    );
    printf("%-42s %s\n", 'slowest file', $slowest[0]);
}
$wrong = [
    ...array_keys($work->failures), ...$became['lost'], ...$became['doubled'], ...$became['false'], ...$became['half'],
    ...array_keys($failures),
];
foreach (array_slice($wrong, 0, 30) as $what) {
    fwrite(STDERR, "✗ $what\n");
}
exit($wrong === [] && $slowest[1] < 12.0 && ! in_array(0, $statuses, true) ? 0 : 1);
