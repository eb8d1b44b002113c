<?php

declare(strict_types=1);

/*
 * Keeps Isleward running in the foreground until it is asked to end; started by ./isleward, which has installed and built what is needed.
 *
 *   --home=DIR       for data, logs and sockets          --database=NAME   the database that is used (isleward)
 *   --host, --port   where to serve                      --anew            what is in that database goes first
 *   --parts=…        of database,migrate,demo,cache,web,workers; all when left out
 *   --demo=always    a demo project each time, not only into an empty database
 *   --restarts=N     how often each program is started again within ten minutes (3)
 *   --parent=PID     ends with that process              --quiet           says only what goes wrong
 *
 * When all runs it writes DIR/running, with a line NAME=VALUE for each thing others need to know.
 */

use App\Running\Asked;
use App\Running\Database;
use App\Running\Failure;
use App\Running\Place;
use App\Running\Supervisor;
use App\Running\Web;
use App\Running\Workers;

require dirname(__DIR__).'/vendor/autoload.php';

/** @var array<string, string|false> $given */
$given = getopt(
    '',
    ['home:', 'host:', 'port:', 'database:', 'parts:', 'demo:', 'restarts:', 'parent:', 'first-database-port:', 'flush:', 'anew', 'quiet'],
);
$option = static fn (string $name, string $default): string => is_string($given[$name] ?? null) ? $given[$name] : $default;
$root = dirname(__DIR__);
chdir($root);
$home = $option('home', "$root/var");
$parts = explode(',', $option('parts', 'database,migrate,demo,cache,web,workers'));
$supervisor = null;
$began = microtime(true);
$ended = 0;
try {
    $supervisor = new Supervisor($home, (int) $option('restarts', '3'), isset($given['parent']) ? (int) $given['parent'] : null);
    $supervisor->takePlace();
    $port = (int) $option('port', '8080');
    $host = $option('host', '127.0.0.1');
    if (in_array('web', $parts, true) && Place::taken($port, $host)) {
        throw new Failure("Port $port is taken by another program: stop that, or choose another with --port N.");
    }
    $place = new Place($root, $home, $host, $port);
    $supervisor->hold($place->address());
    $name = $option('database', 'isleward');
    $known = ['APP_URL' => getenv('ISLEWARD_URL') ?: $place->address()];
    if (in_array('database', $parts, true)) {
        $database = new Database($place, (int) $option('first-database-port', '23306'), (int) $option('flush', '1'));
        if ($database->making() !== null) {
            $supervisor->step('making an empty database', $database->making(), "$home/db/install.log");
        }
        $supervisor->say('starting the database');
        $supervisor->start($database->service(), 60.0);
        $database->prepare($name, isset($given['anew']));
        $known += $database->environment($name);
    }
    $known += ['APP_CONFIG_CACHE' => "$home/cache/config.php", 'APP_ROUTES_CACHE' => "$home/cache/routes.php"];
    foreach ($known as $key => $value) {
        putenv("$key=$value");
    }
    array_map(unlink(...), glob("$home/cache/*.php") ?: []);
    $artisan = static fn (string ...$words): array => $place->asServing([...Place::php(), "$root/artisan", ...$words]);
    if (in_array('migrate', $parts, true)) {
        $supervisor->step('bringing the database to this version', $artisan('migrate', '--force'), "$home/migrate.log");
    }
    if (in_array('demo', $parts, true)) {
        $supervisor->step(
            'looking for a project, or making the demo',
            $artisan('isleward:demo', ...($option('demo', 'if-empty') === 'always' ? [] : ['--if-empty'])),
            "$home/demo.log",
        );
    }
    if (in_array('cache', $parts, true)) {
        $supervisor->step('reading the settings', $artisan('config:cache'), "$home/cache.log");
        $supervisor->step('reading the addresses', $artisan('route:cache'), "$home/cache.log");
    }
    if (in_array('web', $parts, true)) {
        $supervisor->say('starting PHP and the web server');
        foreach ((new Web($place))->services() as $service) {
            $supervisor->start($service);
        }
    }
    if (in_array('workers', $parts, true)) {
        foreach (Workers::services($place) as $service) {
            $supervisor->start($service);
        }
    }
    $lines = implode('', array_map(static fn (string $k, string $v): string => "$k=$v\n", array_keys($known), $known));
    if (file_put_contents("$home/running.new", $lines) === false || ! rename("$home/running.new", "$home/running")) {
        throw new Failure("$home/running cannot be written.");
    }
    if (! isset($given['quiet'])) {
        $seconds = microtime(true) - $began;
        $address = $place->address();
        $people = in_array('demo', $parts, true) ? <<<'EOF'
          The demo’s people, where it was made:
          sign in    pilot@skerrow.example   ·   password: harbour-light
          to look    guest@skerrow.example   ·   password: harbour-light   (may not change anything)
        EOF : '  Without demo: the first page makes the first account, or ./isleward person add does.';
        fwrite(STDOUT, <<<EOF

          Isleward   $address
        $people

          Started in {$supervisor->seconds($seconds)}. Ctrl-C stops it.

        EOF);
    }
    $supervisor->watch();
} catch (Asked) {
    $supervisor?->say('stopping');
} catch (Failure $failure) {
    fwrite(STDERR, '✗ '.$failure->getMessage()."\n");
    $ended = 1;
} catch (Throwable $e) {
    fwrite(STDERR, '✗ '.$e->getMessage().' ('.$e->getFile().':'.$e->getLine().")\n");
    $ended = 1;
}
if ($supervisor !== null && $supervisor->holds()) {
    $supervisor->stop();
    $supervisor->say('stopped');
}
exit($ended);
